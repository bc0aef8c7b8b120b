import type { Basis, Figure, RangeCause, Unit, Why } from './figure';

/**
 * How far a value moves when each root that it rests on stands at its 10th (down) and at its 90th (up) percentile.
 * Roots are numbered in the order in which the ledger meets them; the three lists run side by side.
 */
interface Shifts {
  readonly roots: readonly number[];
  readonly down: readonly number[];
  readonly up: readonly number[];
}
const STILL: Shifts = { roots: [], down: [], up: [] };

interface Cell {
  readonly figure: Figure;
  readonly shifts: Shifts;
  /** The roots of the sum itself, where the figure is decided or counted and passes none of them on. */
  readonly own: Shifts;
}

type Sum = (...values: number[]) => number;

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
  readonly replace?: { readonly min: number; readonly max: number };
}

export interface DeriveSpec {
  readonly id: string;
  readonly label: string;
  readonly unit: Unit;
  readonly from: readonly string[];
  readonly f: Sum;
  readonly sentence: string;
  readonly sum: string;
  /** Whole things: the value is rounded, its range is rounded likewise, and what follows takes the count as decided. */
  readonly whole?: 'floor' | 'ceil';
  /**
   * A figure that a person acts on as a plain number ("weigh 54 g into each well"): the value is rounded so, and what
   * follows takes it as decided, without the range of the estimate that it was chosen by.
   */
  readonly decide?: (value: number) => number;
  /** Bounds of a weighed value that may be pinned in its place; left out where it cannot be pinned. */
  readonly pin?: { readonly min: number; readonly max: number };
}

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

  constructor(private readonly stated: Readonly<Record<string, number>>) {}

  /** Adds a starting value. Returns the value that now stands. */
  input(spec: InputSpec): number {
    const given = spec.replace ? this.given(spec.id) : undefined;
    const low = spec.value - spec.spread;
    const high = spec.value + spec.spread;
    const measured = given !== undefined;
    const value = given ?? spec.value;
    const shifts: Shifts =
      measured || spec.spread === 0
        ? STILL
        : { roots: [this.rootIds.push(spec.id) - 1], down: [-spec.spread], up: [spec.spread] };
    return this.put(
      {
        id: spec.id,
        label: spec.label,
        unit: spec.unit,
        value,
        low: measured ? value : low,
        high: measured ? value : high,
        bases: [measured ? 'measured here' : spec.basis],
        kind: 'input',
        replace: spec.replace ?? null,
        expected: measured ? { value: spec.value, low, high } : null,
        why: { sentence: spec.sentence, sum: '', inputs: NONE },
      },
      shifts,
      shifts,
    );
  }

  /** Adds a sum of figures already in the ledger. Returns the value that now stands. */
  derive(spec: DeriveSpec): number {
    const cells: Cell[] = [];
    const values: number[] = [];
    const bases: Basis[] = [];
    for (const id of spec.from) {
      const cell = this.cell(id);
      cells.push(cell);
      values.push(cell.figure.value);
      for (const basis of cell.figure.bases) if (!bases.includes(basis)) bases.push(basis);
    }
    const raw = finite(spec.id, call(spec.f, values));
    const own = this.carry(spec, cells, values, raw);
    const computed = standOf(spec, raw, own);
    const pinned = spec.pin ? this.given(spec.id) : undefined;
    const why: Why = { sentence: spec.sentence, sum: spec.sum, inputs: spec.from };
    const { id, label, unit } = spec;
    const replace = spec.pin ?? null;
    if (pinned !== undefined) {
      const { low, value, high } = { low: pinned, value: pinned, high: pinned };
      const kind = 'pinned';
      return this.put(
        { id, label, unit, value, low, high, bases: MEASURED, kind, replace, expected: computed, why },
        STILL,
        STILL,
      );
    }
    const { value, low, high } = computed;
    const passesOn = spec.whole === undefined && spec.decide === undefined;
    return this.put(
      { id, label, unit, value, low, high, bases, kind: 'derived', replace, expected: null, why },
      passesOn ? own : STILL,
      spec.decide ? STILL : own,
    );
  }

  /** What widens a figure's range, largest first, with the share of the squared width; what adds under 2 % is left out. */
  causes(id: string): RangeCause[] {
    const { roots, down, up } = this.cell(id).own;
    const squares = roots.map((_, i) => (((up[i] ?? 0) - (down[i] ?? 0)) / 2) ** 2);
    const total = squares.reduce((sum, square) => sum + square, 0);
    if (total === 0) return [];
    return roots
      .map((root, i) => ({ id: this.rootIds[root] ?? '', share: (squares[i] ?? 0) / total }))
      .filter(({ share }) => share > 0.02)
      .sort((a, b) => b.share - a.share);
  }

  /** The figure of that id. Throws where the plan never made it. */
  figure(id: string): Figure {
    return this.cell(id).figure;
  }

  value(id: string): number {
    return this.cell(id).figure.value;
  }

  has(id: string): boolean {
    return this.cells.has(id);
  }

  /** All figures in the order in which they were added. */
  figures(): Figure[] {
    return [...this.cells.values()].map((cell) => cell.figure);
  }

  private given(id: string): number | undefined {
    return Object.prototype.hasOwnProperty.call(this.stated, id) ? this.stated[id] : undefined;
  }

  private cell(id: string): Cell {
    const cell = this.cells.get(id);
    if (!cell) throw new Error(`invariant: no figure "${id}" in this plan`);
    return cell;
  }

  private put(figure: Figure, shifts: Shifts, own: Shifts): number {
    if (this.cells.has(figure.id)) throw new Error(`invariant: figure "${figure.id}" twice in a plan`);
    this.cells.set(figure.id, { figure, shifts, own });
    return figure.value;
  }

  /** The sum computed again with each root at either end, as differences from its value. */
  private carry(spec: DeriveSpec, cells: readonly Cell[], values: readonly number[], raw: number): Shifts {
    const roots: number[] = [];
    for (const cell of cells) {
      for (const root of cell.shifts.roots) if (!roots.includes(root)) roots.push(root);
    }
    if (roots.length === 0) return STILL;
    const down: number[] = [];
    const up: number[] = [];
    const low = values.slice();
    const high = values.slice();
    for (const root of roots) {
      cells.forEach(({ shifts }, i) => {
        const at = shifts.roots.indexOf(root);
        const value = values[i] ?? 0;
        low[i] = at < 0 ? value : value + (shifts.down[at] ?? 0);
        high[i] = at < 0 ? value : value + (shifts.up[at] ?? 0);
      });
      down.push(finite(spec.id, call(spec.f, low)) - raw);
      up.push(finite(spec.id, call(spec.f, high)) - raw);
    }
    return { roots, down, up };
  }
}

const NONE: readonly string[] = [];
const MEASURED: readonly Basis[] = ['measured here'];

/** Most sums have few inputs: called so, they cost a plain call. */
function call(f: Sum, v: readonly number[]): number {
  switch (v.length) {
    case 1:
      return f(v[0] as number);
    case 2:
      return f(v[0] as number, v[1] as number);
    case 3:
      return f(v[0] as number, v[1] as number, v[2] as number);
    case 4:
      return f(v[0] as number, v[1] as number, v[2] as number, v[3] as number);
    default:
      return f(...v);
  }
}

/** Value and range of a sum, rounded where it is counted, bare where it is decided. */
function standOf(
  spec: DeriveSpec,
  raw: number,
  shifts: Shifts,
): { value: number; low: number; high: number } {
  if (spec.decide) {
    const value = spec.decide(raw);
    return { value, low: value, high: value };
  }
  // Whichever end of a root moves the value to a side counts there.
  let below = 0;
  let above = 0;
  for (let i = 0; i < shifts.roots.length; i += 1) {
    const down = shifts.down[i] ?? 0;
    const up = shifts.up[i] ?? 0;
    const least = Math.min(down, up, 0);
    const most = Math.max(down, up, 0);
    below += least * least;
    above += most * most;
  }
  const round = spec.whole === 'floor' ? floorNear : spec.whole === 'ceil' ? ceilNear : identity;
  return { value: round(raw), low: round(raw - Math.sqrt(below)), high: round(raw + Math.sqrt(above)) };
}

function finite(id: string, value: number): number {
  if (!Number.isFinite(value)) throw new Error(`invariant: figure "${id}" is ${value}`);
  return value;
}

/** Floating point leaves 11.999999999 where twelve pieces fit. */
const floorNear = (value: number) => Math.floor(value + 1e-9);
const ceilNear = (value: number) => Math.ceil(value - 1e-9);
const identity = (value: number) => value;
