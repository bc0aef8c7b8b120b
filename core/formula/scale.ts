import type { FormulaDoc } from '../model/documents';
import type { ReadLine } from '../quantity';
import type { ReadFormula } from './read';
import { rewritten, writtenG } from './rewrite';

/** How a formula is scaled in place: to a mass, to pieces, or to what there is of one ingredient. */
export type ScaleBy =
  | { readonly by: 'mass'; readonly massG: number }
  | { readonly by: 'pieces'; readonly pieces: number }
  | { readonly by: 'ingredient'; readonly lineIndex: number; readonly massG: number };

/**
 * Times the formula as written. Null where it cannot be said: a formula without mass, one that states no pieces, or a
 * line without an amount.
 */
export function factorOf(
  { lines, massG }: Pick<ReadFormula, 'lines' | 'massG'>,
  doc: Pick<FormulaDoc, 'statedPieces'>,
  to: ScaleBy,
): number | null {
  const over = (wanted: number, has: number) => (has > 0 && wanted > 0 ? wanted / has : null);
  switch (to.by) {
    case 'mass':
      return over(to.massG, massG);
    case 'pieces':
      return over(to.pieces, doc.statedPieces ?? 0);
    case 'ingredient':
      return over(to.massG, lines[to.lineIndex]?.massG ?? 0);
  }
}

export interface ScaledLine {
  readonly name: string;
  readonly massG: number;
  /** How many, for what is counted: eggs; null for what is weighed. */
  readonly count: number | null;
}

/** What each line comes to, times the formula. Lines without an amount are left out. */
export function scaledLines(lines: readonly ReadLine[], factor: number): ScaledLine[] {
  return lines
    .filter(({ status }) => status === 'read')
    .map(({ called, name, massG, whole }) => ({
      name: called || name,
      massG: massG * factor,
      count: whole?.sort === 'egg' ? whole.count * factor : null,
    }));
}

/** The formula written anew, times a factor, in grams; what is counted stays counted, to a quarter. */
export function scaledText(doc: FormulaDoc, read: Pick<ReadFormula, 'lines' | 'at'>, factor: number): string {
  return rewritten(doc, read, (i) => {
    const line = read.lines[i];
    if (!line || line.status !== 'read') return null;
    const name = line.called || line.name;
    if (line.whole?.sort !== 'egg') return `${writtenG(line.massG * factor)} ${name}`;
    return `${Math.max(0.25, Math.round(line.whole.count * factor * 4) / 4)} ${name}`;
  });
}
