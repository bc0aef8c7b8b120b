import type { z } from 'zod';
import { runFileSchema, type RunFile } from './documents';

/** What is wrong with a document: which field, what is wrong, and what would be right. */
export interface DocFault {
  readonly field: string;
  readonly fault: string;
  readonly mend: string;
}

export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly faults: readonly DocFault[] };

const MENDS: Readonly<Record<string, string>> = {
  invalid_type: 'Give a value of the kind that the schema in docs/schemas names.',
  invalid_value: 'Use one of the values that the schema names.',
  invalid_union: 'Use one of the forms that the schema names.',
  too_small: 'Raise it to the bound.',
  too_big: 'Lower it to the bound.',
};

/** `["lines", 0, "count"]` as `lines[0].count`; the document itself is `(document)`. */
function fieldName(path: readonly PropertyKey[]): string {
  const text = path.map((part) => (typeof part === 'number' ? `[${part}]` : `.${String(part)}`)).join('');
  return text.replace(/^\./, '') || '(document)';
}

/** Reads unknown data against a schema, naming field, fault and mend of all that does not fit. */
export function readWith<T>(schema: z.ZodType<T>, data: unknown): Result<T> {
  const parsed = schema.safeParse(data);
  if (parsed.success) return { ok: true, value: parsed.data };
  return {
    ok: false,
    faults: parsed.error.issues.map((issue) => ({
      field: fieldName(issue.path),
      fault: issue.message,
      mend: MENDS[issue.code] ?? 'Correct it and read the document again.',
    })),
  };
}

/** Reads a run file and checks that every line's formula, tin and oven are in it. */
export function readRunFile(data: unknown): Result<RunFile> {
  const read = readWith<RunFile>(runFileSchema, data);
  if (!read.ok) return read;
  const { run, formulas, kitchen } = read.value;
  const faults: DocFault[] = [];
  const need = (held: readonly { id: string }[], id: string, field: string, what: string) => {
    if (held.some((item) => item.id === id)) return;
    const ids = held.map((item) => item.id).join(', ');
    faults.push({ field, fault: `There is no ${what} "${id}" in this file.`, mend: `Use one of: ${ids}.` });
  };
  run.lines.forEach((line, i) => {
    need(formulas, line.formulaId, `run.lines[${i}].formulaId`, 'formula');
    need(kitchen.tins, line.tinId, `run.lines[${i}].tinId`, 'tin');
    need(kitchen.ovens, line.ovenId, `run.lines[${i}].ovenId`, 'oven');
  });
  return faults.length > 0 ? { ok: false, faults } : read;
}
