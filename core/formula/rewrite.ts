import type { FormulaDoc } from '../model/documents';
import type { ReadFormula } from './read';

type Known = Pick<ReadFormula, 'lines' | 'at'>;

/** A mass as it is written into a formula: tenths below 20 g. */
export const writtenG = (massG: number): string => `${Number(massG.toFixed(massG < 20 ? 1 : 0))} g`;

/**
 * A formula written anew where `over` says otherwise: null leaves a thing as it is, an empty text takes it out. A line
 * that names several things is written out, thing by thing, once one of them changes.
 */
export function rewritten(
  doc: Pick<FormulaDoc, 'text'>,
  { lines, at }: Known,
  over: (index: number) => string | null,
): string {
  return doc.text
    .split(/\r?\n/)
    .flatMap((raw, row) => {
      const here = lines.flatMap((line, i) => (at[i] === row ? [{ line, next: over(i) }] : []));
      if (here.every(({ next }) => next === null)) return [raw];
      const parts = here.flatMap(({ line, next }) => {
        if (next !== null) return next === '' ? [] : [next];
        return line.status === 'read' ? [`${writtenG(line.massG)} ${line.called}`] : [];
      });
      return parts.length === 0 ? [] : [parts.join(' + ')];
    })
    .join('\n');
}
