import type { FormulaDoc, Line } from '../model/documents';
import type { AllergenKind } from '../model/kinds';
import { choose, edit } from './edit';

/** Some pieces of a line without one of its ingredients. */
export interface Without {
  /** The formula without the line. */
  readonly formula: FormulaDoc;
  /** The pieces without it, which are made first. */
  readonly first: Line;
  /** All others, as they were. */
  readonly rest: Line;
}

export interface WithoutAsk {
  /** Line of the formula, counted from 0. */
  readonly at: number;
  /** What it is called: "walnuts". */
  readonly what: string;
  readonly count: number;
  /** What the pieces are then free of, and promised to be; empty where the rest of the formula holds it too. */
  readonly free: readonly AllergenKind[];
  readonly formulaId: string;
  readonly lineId: string;
}

/**
 * Splits a line before one of its ingredients goes in: so many pieces are made without it, first. One base is mixed for
 * both, unless they are promised free of something: then they are mixed apart, in a bowl of their own. Null where the line has no such formula, or fewer pieces than are asked for.
 */
export function without(
  line: Line,
  formula: FormulaDoc,
  { at, what, count, free, formulaId, lineId }: WithoutAsk,
): Without | null {
  const written = formula.text.split(/\r?\n/);
  if (!('formulaId' in line) || line.formulaId !== formula.id) return null;
  if (count < 1 || count >= line.count || written[at] === undefined) return null;
  const { statedPieces: _stated, ...of } = formula;
  const apart: FormulaDoc = {
    ...of,
    id: formulaId,
    apartFrom: formula.id,
    name: nameWithout(formula.name, what),
    text: written.filter((_, i) => i !== at).join('\n'),
    steps: `${free.length > 0 ? FIRST_FREE : FIRST} ${what}.\n${formula.steps}`.trimEnd(),
  };
  const first = {
    ...line,
    id: lineId,
    formulaId,
    count,
    measured: {},
    ticks: [],
    lots: [],
    ...(free.length > 0 ? { freeFrom: [...free], packetsRead: [] } : {}),
    ...('batches' in line ? { batches: null } : {}),
  } as Line;
  const rest = edit(line, choose({ count: line.count - count }));
  return { formula: apart, first, rest };
}

const FIRST_FREE =
  'Mix, fill and bake these first, in a bowl and a tin of their own, washed and dry, before what is left out comes out of its packet:';
const FIRST =
  'Part the batter before this goes in: what is for the pieces without goes into a bowl of its own and is filled first. Left out:';
const LONGEST_NAME = 80;
const nameWithout = (name: string, what: string) => {
  const tail = `, without ${what}`;
  return `${name.slice(0, Math.max(LONGEST_NAME - tail.length, 1))}${tail}`.slice(0, LONGEST_NAME);
};
