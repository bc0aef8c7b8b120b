import { type AnyRef, type Ref } from './expr';
import { BASES, type Bounds, type Figure, type Known, type Words } from './figure';
import { spanAbove, spanBelow, type Moved, type Moves } from './moves';
import { tiedWidth, type Ties } from './ties';
import { OP, Term, ceilNear, floorNear } from './term';
import type { Unit } from './unit';

/** How a figure that a person acts on is rounded: to a step, and never below `least`. A step of 0 leaves it as it is. */
export interface Decision {
  readonly step: number;
  readonly how: 'nearest' | 'down' | 'up';
  readonly least?: number;
  /** How the rounding is said after the sum, where the usual words do not fit. */
  readonly said?: string;
}
export const AS_IT_IS: Decision = { step: 0, how: 'nearest' };
/** The step of the scale, g. */
export const toScale = (stepG: number): Decision => ({ step: stepG, how: 'nearest', least: stepG });

/** What a sum is beyond its value. */
export interface More {
  /** Whole things: the value is rounded, its range likewise, and what follows takes the count as decided. */
  readonly whole?: 'floor' | 'ceil' | undefined;
  /**
   * A figure that a person acts on as a plain number ("weigh 54 g into each well"): the value is rounded so, and what
   * follows takes it as decided, without the range of the estimate that it was chosen by.
   */
  readonly decide?: Decision | undefined;
  /** Bounds of a weighed value that may be pinned in its place; left out where it cannot be pinned. */
  readonly pin?: Bounds | undefined;
  /** How the rounding is said after the sum, where the usual words do not fit. */
  readonly said?: string | undefined;
  /** It may lie below nought; the range of any other figure ends there. */
  readonly signed?: boolean | undefined;
}
/** Draws every root anew and holds what the plan had decided: for checking ranges against sampling. */
export interface Sampling {
  readonly root: (key: string, value: number, spread: number) => number;
  readonly held: (id: string) => number | undefined;
}
const MEASURED = 1 << BASES.indexOf('measured here');
export const NONE: readonly Cell[] = [];
export const PLAIN: More = {};
/**
 * A figure as the ledger keeps it, with how it is reckoned: a leaf that sums of others are made of. A class and not a
 * plain object: the engine lays every one out alike, and they live no longer than the plan.
 */
export class Cell extends Term implements Moved {
  /** A starting value is an input until it is pinned or reckoned. */
  kind: Figure['kind'] = 'input';
  expected: Figure['expected'] = null;
  value = 0;
  low = 0;
  high = 0;
  /** Set of bases as bits, in the order of `BASES`. */
  bases = 0;
  /** Where the moves stand that are passed on to sums that use it. */
  start = 0;
  end = 0;
  /** Where the roots of the sum itself begin; a figure that is decided or counted passes none of them on. */
  own = 0;
  figure: Figure | null = null;

  constructor(
    readonly id: string,
    readonly words: Words,
    readonly unit: Unit,
    readonly sum: Term | null,
    readonly inputs: readonly Cell[],
    readonly more: More,
    readonly known: Known | null,
  ) {
    super(OP.ref, null, null, null, '', null);
  }

  get label(): string {
    return this.words.label;
  }
  get sentence(): string {
    return this.words.sentence;
  }
  get pinned(): boolean {
    return this.kind === 'pinned';
  }
}

export const refOf = <U extends Unit>(cell: Cell): Ref<U> => cell as unknown as Ref<U>;
/** A figure's reference as one of whatever unit. */
export const anyRef = <U extends Unit>(ref: Ref<U>): AnyRef => ref as unknown as AnyRef;

/** Units in which a figure may lie below nought. */
const SIGNED: ReadonlySet<Unit> = new Set(['K', '°C']);

/** The low end of a starting value's range: it does not cross nought where nothing can. */
export function lowEnd(value: number, spread: number, unit: Unit): number {
  const low = value - spread;
  return low < 0 && value >= 0 && !SIGNED.has(unit) ? 0 : low;
}

export const rangeOf = (value: number, spread: number, unit: Unit) => ({
  value,
  low: lowEnd(value, spread, unit),
  high: value + spread,
});

/** A measured value stands without a range, and passes none on. */
export function measuredCell(cell: Cell, value: number): Cell {
  cell.at = cell.value = cell.low = cell.high = value;
  cell.bases = MEASURED;
  cell.own = cell.start = cell.end = 0;
  return cell;
}

/** The figure as people get to see it: made when somebody asks, since most never are. */
export function figureOf(cell: Cell): Figure {
  const { id, label, sentence, unit, value, low, high, kind, expected, known, more } = cell;
  const bases = BASES.filter((_, bit) => cell.bases & (1 << bit));
  const inputs = cell.inputs.map((input) => input.id);
  return {
    id,
    label,
    unit,
    value,
    low,
    high,
    bases,
    kind,
    replace: more.pin ?? null,
    known,
    expected,
    sentence,
    inputs,
  };
}

/** Below nought by less than this, of any unit, is floating point. */
const NOTHING = 1e-6;

/** Value and range of a sum, rounded where it is counted, bare where it is decided. */
export function stand(cell: Cell, raw: number, moves: Moves, sampling: Sampling | null, ties: Ties): void {
  const { whole, decide, signed } = cell.more;
  const held = sampling && (whole || decide) ? sampling.held(cell.id) : undefined;
  if (decide) {
    cell.at = cell.value = cell.low = cell.high = held ?? decided(decide, raw);
    return;
  }
  const bounded = signed !== true && !SIGNED.has(cell.unit);
  // What floating point leaves of a difference that is nothing is nothing.
  const settled = bounded && raw < 0 && raw > -NOTHING ? 0 : raw;
  const wide = ties.size > 0 ? tiedWidth(moves, cell, ties) : 1;
  const below = settled - wide * spanBelow(moves, cell);
  const low = bounded && below < 0 && settled >= 0 ? 0 : below;
  const high = settled + wide * spanAbove(moves, cell);
  const round = whole === undefined ? as : whole === 'floor' ? floorNear : ceilNear;
  cell.at = cell.value = held ?? round(settled);
  cell.low = round(low);
  cell.high = round(high);
}

/** A value as decided: to the step, never below the least. */
export function decided({ step, how, least }: Decision, value: number): number {
  const round = how === 'nearest' ? Math.round : how === 'down' ? floorNear : ceilNear;
  const stepped = step === 0 ? value : round(value / step) * step;
  return least === undefined ? stepped : Math.max(stepped, least);
}

export function finite(id: string, value: number): number {
  if (!Number.isFinite(value)) throw new Error(`invariant: figure "${id}" is ${value}`);
  return value;
}

const as = (value: number) => value;
