/** Writes the JSON Schemas of all documents to `docs/schemas/`, or with `--check` says whether they are current. */
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { z } from 'zod';
import {
  formulaSchema,
  kitchenSchema,
  pieceFileSchema,
  pieceSchema,
  runFileSchema,
  runSchema,
} from '../core/model/documents';

const SCHEMAS = {
  'run-file': { schema: runFileSchema, title: 'A run with all that it rests on' },
  run: { schema: runSchema, title: 'A run' },
  formula: { schema: formulaSchema, title: 'A formula' },
  kitchen: { schema: kitchenSchema, title: 'A kitchen' },
  'piece-file': { schema: pieceFileSchema, title: 'A whole piece with all that it is made of' },
  piece: { schema: pieceSchema, title: 'A whole piece' },
} as const;

/** The text of each schema file, by its path. */
export function schemaFiles(): Record<string, string> {
  return Object.fromEntries(
    Object.entries(SCHEMAS).map(([name, { schema, title }]) => {
      const json = z.toJSONSchema(schema, { io: 'input', target: 'draft-2020-12' });
      return [`docs/schemas/${name}.schema.json`, `${JSON.stringify({ title, ...json }, null, 2)}\n`];
    }),
  );
}

if (process.argv[1]?.endsWith('schemas.ts')) {
  mkdirSync('docs/schemas', { recursive: true });
  for (const [path, text] of Object.entries(schemaFiles())) {
    const current = existsSync(path) && readFileSync(path, 'utf8') === text;
    if (!current) writeFileSync(path, text);
    process.stdout.write(`${current ? 'current' : 'written'} ${path}\n`);
  }
}
