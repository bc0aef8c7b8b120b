import type { z } from 'zod';
import { pieceFileSchema, runFileSchema, type Line, type PieceFile, type RunFile } from '../model/documents';
import { cycleFrom, kitchenHolds, referencesOf, type RefKind, type Reference } from '../model/references';

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

/** Reads a run file and checks that all that its lines name is in it, and that no formula is made of itself. */
export function readRunFile(data: unknown): Result<RunFile> {
  const read = readWith<RunFile>(runFileSchema, data);
  if (!read.ok) return read;
  const faults = missingIn(read.value, read.value.run.lines, (i) => `run.lines[${i}]`);
  return faults.length > 0 ? { ok: false, faults } : read;
}

/** Reads a piece file and checks that all that the piece names is in it. */
export function readPieceFile(data: unknown): Result<PieceFile> {
  const read = readWith<PieceFile>(pieceFileSchema, data);
  if (!read.ok) return read;
  const faults = missingIn(read.value, [read.value.piece.line], () => 'piece.line');
  return faults.length > 0 ? { ok: false, faults } : read;
}

/** What lines name that a file does not hold, and formulas that are made of themselves. */
function missingIn(
  { formulas, kitchen }: Pick<RunFile, 'formulas' | 'kitchen'>,
  lines: readonly Line[],
  at: (i: number) => string,
): DocFault[] {
  const held: Readonly<Record<RefKind, readonly { id: string }[]>> = {
    formula: formulas,
    ...kitchenHolds(kitchen),
  };
  const faults: DocFault[] = [];
  const need = ({ kind, id, field }: Reference, within: string) => {
    if (held[kind].some((item) => item.id === id)) return;
    const ids = held[kind].map((item) => item.id).join(', ');
    faults.push({
      field: `${within}.${field}`,
      fault: `There is no ${kind} "${id}" in this file.`,
      mend: ids ? `Use one of: ${ids}.` : `Add the ${kind} to the file.`,
    });
  };
  lines.forEach((line, i) => {
    for (const reference of referencesOf(line)) need(reference, at(i));
  });
  formulas.forEach((formula, i) => {
    (formula.parts ?? []).forEach((part, k) =>
      need({ kind: 'formula', id: part.formulaId, field: `parts[${k}].formulaId` }, `formulas[${i}]`),
    );
    const cycle = cycleFrom(formula, formulas);
    if (cycle) {
      faults.push({
        field: `formulas[${i}].parts`,
        fault: `"${formula.name}" is made of itself: ${cycle.join(' → ')}.`,
        mend: 'Take one of these parts out.',
      });
    }
  });
  return faults;
}
