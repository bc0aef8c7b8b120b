import { pieceFileSchema, runFileSchema, type Line, type PieceFile, type RunFile } from '../model/documents';
import { cycleFrom, kitchenHolds, referencesOf, type RefKind, type Reference } from '../model/references';
import { upToDate } from './migrate';
import { readWith, type DocFault, type Result } from './readWith';

export type { DocFault, Result } from './readWith';

/** Reads a run file and checks that all that its lines name is in it, and that no formula is made of itself. */
export function readRunFile(data: unknown): Result<RunFile> {
  const brought = upToDate(data);
  if (!brought.ok) return brought;
  const read = readWith<RunFile>(runFileSchema, brought.value);
  if (!read.ok) return read;
  const faults = missingIn(read.value, read.value.run.lines, (i) => `run.lines[${i}]`);
  return faults.length > 0 ? { ok: false, faults } : read;
}

/** Reads a piece file and checks that all that the piece names is in it. */
export function readPieceFile(data: unknown): Result<PieceFile> {
  const brought = upToDate(data);
  if (!brought.ok) return brought;
  const read = readWith<PieceFile>(pieceFileSchema, brought.value);
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
