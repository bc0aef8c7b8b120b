import type { FormulaDoc } from '../model/documents';
import type { ReadFormula, WeighedLine } from './read';

interface Known {
  readonly doc: FormulaDoc;
  readonly read: ReadFormula;
}

/** How a formula grows out of another that leaves some of its lines out: one base, parted before those go in. */
export interface Split {
  /** Lines that only the whole formula has, under ids of their own. */
  readonly extras: readonly WeighedLine[];
  /** Mass of the base, as a share of the whole formula. */
  readonly share: number;
}

const linesOf = ({ text }: FormulaDoc): string[] =>
  text
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter(Boolean);

const massOf = ({ doc, read }: Known): number =>
  read.massG + (doc.parts ?? []).reduce((sum, { massG }) => sum + massG, 0);

/**
 * The whole formula as its base and what comes after; null where the base has a line of its own, so that the two have
 * no bowl in common any more, or is not said to be apart from it.
 */
export function splitOf(base: Known, whole: Known): Split | null {
  if (base.doc.apartFrom !== whole.doc.id) return null;
  const left = linesOf(whole.doc);
  for (const line of linesOf(base.doc)) {
    const at = left.indexOf(line);
    if (at < 0) return null;
    left.splice(at, 1);
  }
  const extras = whole.read.weighed.items.flatMap((item): WeighedLine[] => {
    if (!left.includes(item.written)) return [];
    const id = `extra.${item.index + 1}`;
    return [{ ...item, id, writtenId: `${id}.written` }];
  });
  const of = massOf(whole);
  return extras.length > 0 && of > 0 ? { extras, share: massOf(base) / of } : null;
}
