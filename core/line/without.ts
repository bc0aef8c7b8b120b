import type { FormulaDoc, Line } from '../model/documents';
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
  /** Whether it is nuts that are left out, and the pieces promised free of them. */
  readonly nuts: boolean;
  readonly formulaId: string;
  readonly lineId: string;
}

/**
 * Splits a line before one of its ingredients goes in: one base is mixed, so many pieces are made without it, first, in a
 * bowl and with a tin and a pot of their own. Null where the line has no such formula, or fewer pieces than are asked for.
 */
export function without(
  line: Line,
  formula: FormulaDoc,
  { at, what, count, nuts, formulaId, lineId }: WithoutAsk,
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
    steps: `${nuts ? FIRST_NUTS : FIRST} ${what}.\n${formula.steps}`.trimEnd(),
  };
  const promised = {
    id: `${lineId}-free`,
    name: `Without ${what}`.slice(0, LONGEST_NAME),
    count,
    colour: null,
    coat: null,
    toppings: [],
    nutFree: true,
  };
  const first = {
    ...line,
    id: lineId,
    formulaId,
    count,
    measured: {},
    ticks: [],
    lots: nuts ? [promised] : [],
    ...('batches' in line ? { batches: null } : {}),
  } as Line;
  const rest = edit(line, choose({ count: line.count - count }));
  return { formula: apart, first, rest };
}

const FIRST_NUTS =
  'Part the batter before these are anywhere near it: what is for the pieces without goes into a bowl and a tin of its own, washed and dry, and is filled and baked first. Left out:';
const FIRST =
  'Part the batter before this goes in: what is for the pieces without goes into a bowl of its own and is filled first. Left out:';
const LONGEST_NAME = 80;
const nameWithout = (name: string, what: string) => {
  const tail = `, without ${what}`;
  return `${name.slice(0, Math.max(LONGEST_NAME - tail.length, 1))}${tail}`.slice(0, LONGEST_NAME);
};
