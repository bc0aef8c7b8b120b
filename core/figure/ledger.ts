import type { Basis, Figure, RangeCause, Unit, Why } from './figure';
import {
  STRIDE,
  addMoves,
  carryMoves,
  listOf,
  spanAbove,
  spanBelow,
  sumOf,
  type Moves,
  type Span,
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

type Bounds = NonNullable<DeriveSpec['pin']>;

/**
 * A figure as the ledger keeps it, with how it is reckoned. A class and not a plain object: the engine lays every one
 * out alike, and they live no longer than the plan.
 */
class Cell implements DeriveSpec, Span {
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
    readonly label: string,
    readonly unit: Unit,
    readonly sentence: string,
    readonly from: readonly string[],
    readonly f: Sum | undefined,
    readonly asList: DeriveSpec['asList'],
    readonly sum: string,
    readonly whole: DeriveSpec['whole'],
    readonly decide: Decision | undefined,
    readonly pin: Bounds | undefined,
    readonly adds: boolean | undefined,
  ) {}
}

const BASES: readonly Basis[] = ['typical', 'geometry', 'physics', 'stated', 'counted', 'measured here'];
const MEASURED = 1 << BASES.indexOf('measured here');
const NONE: readonly string[] = [];
/** Inputs of the sum in hand. No sum adds another, so one pair of lists serves all. */
const VALUES: number[][] = [];
const SPANS: Cell[][] = [];

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
  private readonly moves: Moves = [];

  constructor(
    private readonly stated: Readonly<Record<string, number>>,
    private readonly sampling: Sampling | null = null,
  ) {}

  /** Adds a starting value. Returns the value that now stands. */
  input(spec: InputSpec): number {
    const { id, label, unit, value, spread, basis, sentence, replace } = spec;
    return this.root(id, label, unit, value, spread, basis, sentence, replace);
  }

  /** Adds a sum of figures already in the ledger. Returns the value that now stands. */
  derive(spec: DeriveSpec): number {
    const { id, label, unit, from, f, asList, sentence, sum, whole, decide, pin, adds } = spec;
    return this.reckon(new Cell(id, label, unit, sentence, from, f, asList, sum, whole, decide, pin, adds));
  }

  /** Adds a starting value, with half the width of its range. */
  root(
    id: string,
    label: string,
    unit: Unit,
    value: number,
    spread: number,
    basis: Basis,
    sentence: string,
    replace?: Bounds,
  ): number {
    const cell = new Cell(
      id,
      label,
      unit,
      sentence,
      NONE,
      undefined,
      undefined,
      '',
      undefined,
      undefined,
      replace,
      undefined,
    );
    const given = replace ? this.stands(cell, replace) : undefined;
    if (given !== undefined) {
      cell.expected = { value, low: value - spread, high: value + spread };
      return this.put(measured(cell, given));
    }
    cell.value = this.sampling && spread > 0 ? this.sampling.root(id, value, spread) : value;
    cell.low = value - spread;
    cell.high = value + spread;
    cell.bases = 1 << BASES.indexOf(basis);
    if (spread !== 0) {
      cell.own = cell.start = this.moves.length;
      this.moves.push(this.rootIds.push(id) - 1, -spread, spread);
      cell.end = this.moves.length;
    }
    return this.put(cell);
  }

  /** Adds a sum of figures already in the ledger, of arguments rather than of a description. */
  protected sumCell(
    id: string,
    label: string,
    unit: Unit,
    from: readonly string[],
    f: Sum | undefined,
    asList: DeriveSpec['asList'],
    sentence: string,
    sum: string,
    { whole, decide, pin, adds }: Pick<DeriveSpec, 'whole' | 'decide' | 'pin' | 'adds'>,
  ): number {
    return this.reckon(new Cell(id, label, unit, sentence, from, f, asList, sum, whole, decide, pin, adds));
  }

  private reckon(cell: Cell): number {
    const { from } = cell;
    const { moves } = this;
    const n = from.length;
    const values = listOf(VALUES, n);
    const spans = listOf(SPANS, n);
    let bases = 0;
    for (let i = 0; i < n; i += 1) {
      const input = this.cell(from[i] as string);
      values[i] = input.value;
      spans[i] = input;
      bases |= input.bases;
    }
    const raw = finite(cell.id, sumOf(cell, values));
    cell.own = cell.start = moves.length;
    // A decided figure has no range of its own: there is nothing to carry.
    if (!cell.decide) {
      if (cell.adds) addMoves(moves, spans);
      else carryMoves(moves, cell, spans, values, raw);
    }
    cell.end = moves.length;
    cell.kind = 'derived';
    cell.bases = bases;
    stand(cell, raw, moves, this.sampling);
    const pinned = cell.pin ? this.stands(cell, cell.pin) : undefined;
    if (pinned !== undefined) {
      cell.expected = { value: cell.value, low: cell.low, high: cell.high };
      cell.kind = 'pinned';
      moves.length = cell.start;
      return this.put(measured(cell, pinned));
    }
    if (cell.whole !== undefined) cell.start = cell.end;
    return this.put(cell);
  }

  /** What widens a figure's range, largest first, with the share of the squared width; what adds under 2 % is left out. */
  causes(id: string): RangeCause[] {
    const { own, end } = this.cell(id);
    const widths: RangeCause[] = [];
    let total = 0;
    for (let i = own; i < end; i += STRIDE) {
      const square = (((this.moves[i + 2] as number) - (this.moves[i + 1] as number)) / 2) ** 2;
      total += square;
      widths.push({ id: this.rootIds[this.moves[i] as number] ?? '', share: square });
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
    for (const cell of this.cells.values()) {
      if (cell.kind === 'derived') out.push(cell);
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

  private put(cell: Cell): number {
    const { size } = this.cells;
    this.cells.set(cell.id, cell);
    if (this.cells.size === size) throw new Error(`invariant: figure "${cell.id}" twice in a plan`);
    return cell.value;
  }
}

/** A measured value stands without a range, and passes none on. */
function measured(cell: Cell, value: number): Cell {
  cell.value = cell.low = cell.high = value;
  cell.bases = MEASURED;
  cell.own = cell.start = cell.end = 0;
  return cell;
}

/** The figure as people get to see it: made when somebody asks, since most never are. */
function figureOf(cell: Cell): Figure {
  const { id, label, unit, value, low, high, kind, expected, sentence, sum, from, pin } = cell;
  const bases = BASES.filter((_, bit) => cell.bases & (1 << bit));
  const why: Why = { sentence, sum, inputs: from };
  return { id, label, unit, value, low, high, bases, kind, replace: pin ?? null, expected, why };
}

/** Value and range of a sum, rounded where it is counted, bare where it is decided. */
function stand(cell: Cell, raw: number, moves: Moves, sampling: Sampling | null): void {
  const held = sampling && (cell.whole || cell.decide) ? sampling.held(cell.id) : undefined;
  if (cell.decide) {
    cell.value = cell.low = cell.high = held ?? decided(cell.decide, raw);
    return;
  }
  const low = raw - spanBelow(moves, cell);
  const high = raw + spanAbove(moves, cell);
  const round = cell.whole === undefined ? as : cell.whole === 'floor' ? floorNear : ceilNear;
  cell.value = held ?? round(raw);
  cell.low = round(low);
  cell.high = round(high);
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
const as = (value: number) => value;
