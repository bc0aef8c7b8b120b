import type { Basis, Figure, RangeCause, Unit, Why } from './figure';
import {
  NO_SHIFT,
  STRIDE,
  addShifts,
  carryShifts,
  listOf,
  spanOf,
  sumOf,
  type Shifts,
  type Sum,
} from './shifts';

export interface InputSpec {
  readonly id: string;
  readonly label: string;
  readonly unit: Unit;
  readonly value: number;
  /** Half the width from the 10th to the 90th percentile, in the unit of the value. 0 for an exact value. */
  readonly spread: number;
  readonly basis: Basis;
  readonly sentence: string;
  /** Bounds of a value that a person may put in its place; left out where it cannot be replaced. */
  readonly replace?: { readonly min: number; readonly max: number } | undefined;
}

/** How a figure that a person acts on is rounded: to a step, and never below `least`. A step of 0 leaves it as it is. */
export interface Decision {
  readonly step: number;
  readonly how: 'nearest' | 'down' | 'up';
  readonly least?: number;
}
export const AS_IT_IS: Decision = { step: 0, how: 'nearest' };

export interface DeriveSpec {
  readonly id: string;
  readonly label: string;
  readonly unit: Unit;
  readonly from: readonly string[];
  /** Called with the inputs one by one; `asList` gets them as one list, for sums of many. One of the two is given. */
  readonly f?: Sum | undefined;
  readonly asList?: ((values: readonly number[]) => number) | undefined;
  readonly sentence: string;
  /** Arithmetic with `{id}` for inputs, × ÷ + − ² ³ π √( ln( and "the smallest of"; words where it is none of these. */
  readonly sum: string;
  /** A plain addition of all inputs: how far it moves is the sum of how far they do. */
  readonly adds?: boolean | undefined;
  /** Whole things: the value is rounded, its range is rounded likewise, and what follows takes the count as decided. */
  readonly whole?: 'floor' | 'ceil' | undefined;
  /**
   * A figure that a person acts on as a plain number ("weigh 54 g into each well"): the value is rounded so, and what
   * follows takes it as decided, without the range of the estimate that it was chosen by.
   */
  readonly decide?: Decision | undefined;
  /** Bounds of a weighed value that may be pinned in its place; left out where it cannot be pinned. */
  readonly pin?: { readonly min: number; readonly max: number } | undefined;
}

/** Draws every root anew and holds what the plan had decided: for checking ranges against sampling. */
export interface Sampling {
  readonly root: (id: string, value: number, spread: number) => number;
  readonly held: (id: string) => number | undefined;
}

/** A stated value that cannot be: below or above what the figure may come to. Caught at the edge and said as a fault. */
export class OutOfBounds extends Error {
  constructor(
    readonly at: {
      readonly id: string;
      readonly label: string;
      readonly unit: Unit;
      readonly value: number;
      readonly min: number;
      readonly max: number;
    },
  ) {
    super(`"${at.id}" is stated as ${at.value}, outside ${at.min} to ${at.max}`);
  }
}

interface Cell {
  readonly input: InputSpec | null;
  readonly derive: DeriveSpec | null;
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly expected: Figure['expected'];
  /** Set of bases as bits, in the order of `BASES`. */
  readonly bases: number;
  readonly kind: Figure['kind'];
  /** What is passed on to sums that use it. */
  readonly shifts: Shifts;
  /** The roots of the sum itself, where the figure is decided or counted and passes none of them on. */
  readonly own: Shifts;
  figure: Figure | null;
}

const BASES: readonly Basis[] = ['typical', 'geometry', 'physics', 'stated', 'counted', 'measured here'];
const MEASURED = 1 << BASES.indexOf('measured here');
const NONE: readonly string[] = [];
/** Inputs of the sum in hand. No sum adds another, so one pair of lists serves all. */
const VALUES: number[][] = [];
const MOVES: Shifts[][] = [];

/**
 * Builds the figures of a plan one after another and carries each root's spread through every sum.
 *
 * Ranges: each root is moved to its 10th and its 90th percentile on its own, every figure is computed again along that
 * move, and the moves are combined as independent ones (root of the sum of squares). A root that enters a sum twice is
 * moved in both places at once, so correlations are kept. Exact for linear sums of independent normal roots; first
 * order otherwise.
 *
 * `stated` holds what people measured, by figure id. On an input it takes the place of the starting value; on a figure
 * that may be pinned it takes the place of the sum. Either way it carries no range.
 */
export class Ledger {
  private readonly cells = new Map<string, Cell>();
  private readonly rootIds: string[] = [];

  constructor(
    private readonly stated: Readonly<Record<string, number>>,
    private readonly sampling: Sampling | null = null,
  ) {}

  /** Adds a starting value. Returns the value that now stands. */
  input(spec: InputSpec): number {
    const given = spec.replace ? this.stands(spec, spec.replace) : undefined;
    const { spread } = spec;
    if (given !== undefined) {
      const expected = { value: spec.value, low: spec.value - spread, high: spec.value + spread };
      return this.put(spec, {
        input: spec,
        derive: null,
        value: given,
        low: given,
        high: given,
        expected,
        bases: MEASURED,
        kind: 'input',
        shifts: NO_SHIFT,
        own: NO_SHIFT,
        figure: null,
      });
    }
    const value = this.sampling && spread > 0 ? this.sampling.root(spec.id, spec.value, spread) : spec.value;
    const shifts = spread === 0 ? NO_SHIFT : [this.rootIds.push(spec.id) - 1, -spread, spread];
    return this.put(spec, {
      input: spec,
      derive: null,
      value,
      low: spec.value - spread,
      high: spec.value + spread,
      expected: null,
      bases: 1 << BASES.indexOf(spec.basis),
      kind: 'input',
      shifts,
      own: shifts,
      figure: null,
    });
  }

  /** Adds a sum of figures already in the ledger. Returns the value that now stands. */
  derive(spec: DeriveSpec): number {
    const { from } = spec;
    const n = from.length;
    const values = listOf(VALUES, n);
    const moves = listOf(MOVES, n);
    let bases = 0;
    for (let i = 0; i < n; i += 1) {
      const cell = this.cell(from[i] as string);
      values[i] = cell.value;
      moves[i] = cell.shifts;
      bases |= cell.bases;
    }
    const raw = finite(spec.id, sumOf(spec, values));
    // A decided figure has no range of its own: there is nothing to carry.
    const own = spec.decide ? NO_SHIFT : spec.adds ? addShifts(moves) : carryShifts(spec, moves, values, raw);
    const { value, low, high } = standOf(spec, raw, own, this.sampling);
    const pinned = spec.pin ? this.stands(spec, spec.pin) : undefined;
    if (pinned !== undefined) {
      return this.put(spec, {
        input: null,
        derive: spec,
        value: pinned,
        low: pinned,
        high: pinned,
        expected: { value, low, high },
        bases: MEASURED,
        kind: 'pinned',
        shifts: NO_SHIFT,
        own: NO_SHIFT,
        figure: null,
      });
    }
    const passesOn = spec.whole === undefined && spec.decide === undefined;
    return this.put(spec, {
      input: null,
      derive: spec,
      value,
      low,
      high,
      expected: null,
      bases,
      kind: 'derived',
      shifts: passesOn ? own : NO_SHIFT,
      own,
      figure: null,
    });
  }

  /** What widens a figure's range, largest first, with the share of the squared width; what adds under 2 % is left out. */
  causes(id: string): RangeCause[] {
    const { own } = this.cell(id);
    const widths: RangeCause[] = [];
    let total = 0;
    for (let i = 0; i < own.length; i += STRIDE) {
      const square = (((own[i + 2] as number) - (own[i + 1] as number)) / 2) ** 2;
      total += square;
      widths.push({ id: this.rootIds[own[i] as number] ?? '', share: square });
    }
    if (total === 0) return [];
    return widths
      .map((cause) => ({ id: cause.id, share: cause.share / total }))
      .filter(({ share }) => share > 0.02)
      .sort((x, y) => y.share - x.share);
  }

  /** The figure of that id. Throws where the plan never made it. */
  figure(id: string): Figure {
    const cell = this.cell(id);
    cell.figure ??= figureOf(cell);
    return cell.figure;
  }

  value(id: string): number {
    return this.cell(id).value;
  }

  has(id: string): boolean {
    return this.cells.has(id);
  }

  /** All figures in the order in which they were added. */
  figures(): Figure[] {
    return [...this.cells.keys()].map((id) => this.figure(id));
  }

  /** The sums behind the derived figures, in order: for laying them out elsewhere and checking that both agree. */
  sums(): DeriveSpec[] {
    const out: DeriveSpec[] = [];
    for (const { derive, kind } of this.cells.values()) {
      if (derive && kind === 'derived') out.push(derive);
    }
    return out;
  }

  private stands(
    { id, label, unit }: { readonly id: string; readonly label: string; readonly unit: Unit },
    { min, max }: { readonly min: number; readonly max: number },
  ): number | undefined {
    if (!Object.prototype.hasOwnProperty.call(this.stated, id)) return undefined;
    const value = this.stated[id] as number;
    // Written this way round, NaN falls out of bounds too.
    if (!(value >= min && value <= max)) throw new OutOfBounds({ id, label, unit, value, min, max });
    return value;
  }

  private cell(id: string): Cell {
    const cell = this.cells.get(id);
    if (!cell) throw new Error(`invariant: no figure "${id}" in this plan`);
    return cell;
  }

  private put(spec: { readonly id: string }, cell: Cell): number {
    const { size } = this.cells;
    this.cells.set(spec.id, cell);
    if (this.cells.size === size) throw new Error(`invariant: figure "${spec.id}" twice in a plan`);
    return cell.value;
  }
}

/** The figure as people get to see it: made when somebody asks, since most never are. */
function figureOf(cell: Cell): Figure {
  const { value, low, high, kind, expected } = cell;
  const bases = BASES.filter((_, bit) => cell.bases & (1 << bit));
  if (cell.input) {
    const { id, label, unit, sentence, replace } = cell.input;
    const why: Why = { sentence, sum: '', inputs: NONE };
    return { id, label, unit, value, low, high, bases, kind, replace: replace ?? null, expected, why };
  }
  if (!cell.derive) throw new Error('invariant: a figure is given or derived');
  const { id, label, unit, sentence, sum, from, pin } = cell.derive;
  const why: Why = { sentence, sum, inputs: from };
  return { id, label, unit, value, low, high, bases, kind, replace: pin ?? null, expected, why };
}

/** Value and range of a sum, rounded where it is counted, bare where it is decided. */
function standOf(
  spec: DeriveSpec,
  raw: number,
  shifts: Shifts,
  sampling: Sampling | null,
): { value: number; low: number; high: number } {
  const held = sampling && (spec.whole || spec.decide) ? sampling.held(spec.id) : undefined;
  if (spec.decide) {
    const value = held ?? decided(spec.decide, raw);
    return { value, low: value, high: value };
  }
  const { below, above } = spanOf(shifts);
  if (!spec.whole) return { value: raw, low: raw - below, high: raw + above };
  const round = spec.whole === 'floor' ? floorNear : ceilNear;
  return { value: held ?? round(raw), low: round(raw - below), high: round(raw + above) };
}

/** A value as decided: to the step, never below the least. */
export function decided({ step, how, least }: Decision, value: number): number {
  const round = how === 'nearest' ? Math.round : how === 'down' ? floorNear : ceilNear;
  const stepped = step === 0 ? value : round(value / step) * step;
  return least === undefined ? stepped : Math.max(stepped, least);
}

function finite(id: string, value: number): number {
  if (!Number.isFinite(value)) throw new Error(`invariant: figure "${id}" is ${value}`);
  return value;
}

/** Floating point leaves 11.999999999 where twelve pieces fit. */
const floorNear = (value: number) => Math.floor(value + 1e-9);
const ceilNear = (value: number) => Math.ceil(value - 1e-9);
