import { pieceFileSchema, runFileSchema, type Line, type PieceFile, type RunFile } from '../model/documents';
import { cycleFrom, kitchenHolds, referencesOf, type RefKind, type Reference } from '../model/references';
import { oversized } from './limits';
import { upToDate } from './migrate';
import { readWith, type DocFault, type Result } from './readWith';

export type { DocFault, Result } from './readWith';

/** A file brought up to date, unless it holds more than any of ours. */
function sized(data: unknown): ReturnType<typeof upToDate> {
  const over = oversized(data);
  return over
    ? {
        ok: false,
        faults: [
          {
            field: over.field || '(document)',
            fault: `It has ${over.entries} entries: more than any file of ours.`,
            mend: 'Choose a file that Carnelian has saved.',
          },
        ],
      }
    : upToDate(data);
}

/** Reads a run file and checks that all that its lines name is in it, and that no formula is made of itself. */
export function readRunFile(data: unknown): Result<RunFile> {
  const brought = sized(data);
  if (!brought.ok) return brought;
  const read = readWith<RunFile>(runFileSchema, brought.value);
  if (!read.ok) return read;
  const faults = missingIn(read.value, read.value.run.lines, (i) => `run.lines[${i}]`);
  return faults.length > 0 ? { ok: false, faults } : read;
}

/** Reads a piece file and checks that all that the piece names is in it. */
export function readPieceFile(data: unknown): Result<PieceFile> {
  const brought = sized(data);
  if (!brought.ok) return brought;
  const read = readWith<PieceFile>(pieceFileSchema, brought.value);
  if (!read.ok) return read;
  const faults = missingIn(read.value, [read.value.piece.line], () => 'piece.line');
  return faults.length > 0 ? { ok: false, faults } : read;
}

/** Missing things that are told of one file. */
const MOST_FAULTS = 40;

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
  const known: Partial<Record<RefKind, ReadonlySet<string>>> = Object.fromEntries(
    Object.entries(held).map(([kind, list]) => [kind, new Set(list.map(({ id }) => id))]),
  );
  const need = ({ kind, id, field }: Reference, within: string) => {
    if (known[kind]?.has(id) || faults.length >= MOST_FAULTS) return;
    const ids = held[kind]
      .slice(0, 12)
      .map((item) => item.id)
      .join(', ');
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
