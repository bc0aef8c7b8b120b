import { anyDocSchema, type AnyDoc } from '../model/documents';
import { readWith, type Result } from './read';

type Step = (doc: Record<string, unknown>) => Record<string, unknown>;

/** For each kind, the steps that bring version 1, 2, … to the next. The current version is one past their number. */
const MIGRATIONS: Readonly<Record<AnyDoc['kind'], readonly Step[]>> = {
  formula: [],
  kitchen: [],
  run: [],
  piece: [],
};

/** Reads a stored or imported document of any version: brings older ones up to date and refuses newer ones. */
export function readDocument(
  data: unknown,
  migrations: Readonly<Record<string, readonly Step[]>> = MIGRATIONS,
): Result<AnyDoc> {
  if (typeof data !== 'object' || data === null || Array.isArray(data)) {
    return refuse('(document)', 'This is not a document.', 'Use a file that Carnelian has exported.');
  }
  const doc = data as Record<string, unknown>;
  const kind = typeof doc.kind === 'string' ? doc.kind : '';
  const steps = Object.prototype.hasOwnProperty.call(migrations, kind) ? migrations[kind] : undefined;
  if (!steps)
    return refuse(
      'kind',
      `"${kind}" is no kind of document known here.`,
      'Use formula, kitchen, piece or run.',
    );
  const version = typeof doc.version === 'number' ? doc.version : 0;
  const current = steps.length + 1;
  if (!Number.isInteger(version) || version < 1) {
    return refuse('version', 'The document has no version.', `Versions 1 to ${current} can be read.`);
  }
  if (version > current) {
    return refuse(
      'version',
      `It was written by a newer Carnelian (version ${version}).`,
      'Update, then open it again.',
    );
  }
  const brought = steps.slice(version - 1).reduce((d, step) => step(d), doc);
  return readWith<AnyDoc>(anyDocSchema, brought);
}

function refuse(field: string, fault: string, mend: string): Result<AnyDoc> {
  return { ok: false, faults: [{ field, fault, mend }] };
}
