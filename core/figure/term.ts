/**
 * The small hidden room where sums are kept and reckoned: a tree of terms, each of one operation. Nobody outside of this
 * folder meets a term; they hold it as a typed `Expr`.
 */
export const OP = {
  /** Leaves: their value stands in `at`. */
  ref: 0,
  number: 1,
  measure: 2,
  pi: 3,
  plus: 4,
  minus: 5,
  times: 6,
  over: 7,
  power: 8,
  least: 9,
  larger: 10,
  atLeast: 11,
  sqrt: 12,
  cbrt: 13,
  ln: 14,
  exp: 15,
  wholeOf: 16,
  call: 17,
  total: 18,
} as const;

/** A function of the physics, with the words that say what it does. */
export interface Called {
  readonly f: (bag: Readonly<Record<string, number>>) => number;
  readonly keys: readonly string[];
  /** Filled anew before each call; no sum is reckoned within another. */
  readonly bag: Record<string, number>;
  /** Words between the terms of `said`. */
  readonly strings: readonly string[];
  readonly said: readonly Term[];
}

export class Term {
  /** Value of a leaf: of a figure as it stands, or as it is moved for its range. */
  at = 0;
  constructor(
    readonly op: number,
    readonly a: Term | null,
    readonly b: Term | null,
    readonly list: readonly Term[] | null,
    /** The unit of a measure. */
    readonly unitText: string,
    readonly called: Called | null,
  ) {}

  /** A figure rests on others, those on more: written out, each would be written as often as there are ways to it. */
  toJSON(): never {
    throw new Error('invariant: a sum is not written out; write its figure');
  }
}

export const leaf = (op: number, value: number, unitText = ''): Term => {
  const term = new Term(op, null, null, null, unitText, null);
  term.at = value;
  return term;
};

/** Floating point leaves 11.999999999 where twelve pieces fit. */
export const floorNear = (value: number): number => Math.floor(value + 1e-9);
export const ceilNear = (value: number): number => Math.ceil(value - 1e-9);

/** The value of a term, from its leaves as they stand. */
export function evaluate(term: Term): number {
  switch (term.op) {
    case OP.ref:
    case OP.number:
    case OP.measure:
    case OP.pi:
      return term.at;
    case OP.plus:
      return evaluate(term.a as Term) + evaluate(term.b as Term);
    case OP.minus:
      return evaluate(term.a as Term) - evaluate(term.b as Term);
    case OP.times:
      return evaluate(term.a as Term) * evaluate(term.b as Term);
    case OP.over:
      return evaluate(term.a as Term) / evaluate(term.b as Term);
    case OP.power: {
      const base = evaluate(term.a as Term);
      const exponent = evaluate(term.b as Term);
      return exponent === 2 ? base * base : base ** exponent;
    }
    case OP.least: {
      const list = term.list as readonly Term[];
      let best = Infinity;
      for (let i = 0; i < list.length; i += 1) best = Math.min(best, evaluate(list[i] as Term));
      return best;
    }
    case OP.larger:
    case OP.atLeast:
      return Math.max(evaluate(term.a as Term), evaluate(term.b as Term));
    case OP.sqrt:
      return Math.sqrt(evaluate(term.a as Term));
    case OP.cbrt:
      return Math.cbrt(evaluate(term.a as Term));
    case OP.ln:
      return Math.log(evaluate(term.a as Term));
    case OP.exp:
      return Math.exp(evaluate(term.a as Term));
    case OP.wholeOf:
      return floorNear(evaluate(term.a as Term));
    case OP.total: {
      const list = term.list as readonly Term[];
      let sum = 0;
      for (let i = 0; i < list.length; i += 1) sum += evaluate(list[i] as Term);
      return sum;
    }
    case OP.call: {
      const { f, keys, bag } = term.called as Called;
      const list = term.list as readonly Term[];
      for (let i = 0; i < keys.length; i += 1) bag[keys[i] as string] = evaluate(list[i] as Term);
      return f(bag);
    }
    default:
      throw new Error(`invariant: no operation ${term.op}`);
  }
}

/** How a term goes with one of its figures: not at all, in a straight line, or otherwise. */
export const APART = 0;
export const STRAIGHT = 1;
export const BENT = 2;

/** Whether a term is a straight line in that figure while all others stand still. */
export function courseOf(term: Term, leaf: Term): number {
  switch (term.op) {
    case OP.ref:
      return term === leaf ? STRAIGHT : APART;
    case OP.number:
    case OP.measure:
    case OP.pi:
      return APART;
    case OP.plus:
    case OP.minus:
      return Math.max(courseOf(term.a as Term, leaf), courseOf(term.b as Term, leaf));
    case OP.times:
      return Math.min(courseOf(term.a as Term, leaf) + courseOf(term.b as Term, leaf), BENT);
    case OP.over:
      return courseOf(term.b as Term, leaf) === APART ? courseOf(term.a as Term, leaf) : BENT;
    default:
      return BENT;
  }
}

/** Puts the figures that a term rests on at the end of a list, each once, in the order in which they first stand in it. */
export function gatherLeaves(term: Term, into: Term[]): void {
  if (term.op === OP.ref) {
    if (!into.includes(term)) into.push(term);
    return;
  }
  if (term.a) gatherLeaves(term.a, into);
  if (term.b) gatherLeaves(term.b, into);
  const { list } = term;
  if (list) for (let i = 0; i < list.length; i += 1) gatherLeaves(list[i] as Term, into);
}
