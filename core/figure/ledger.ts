import type { Basis, Figure, RangeCause, Unit, Why } from './figure';

/** How far a value moves when one root stands at its 10th (down) and at its 90th (up) percentile. */
interface Shift {
  readonly down: number;
  readonly up: number;
}
type Shifts = ReadonlyMap<string, Shift>;
const STILL: Shifts = new Map();

interface Cell {
  readonly figure: Figure;
  readonly shifts: Shifts;
}

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
  readonly f: (...values: number[]) => number;
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

  constructor(private readonly stated: Readonly<Record<string, number>>) {}

  /** Adds a starting value. Returns the value that now stands. */
  input(spec: InputSpec): number {
    const given = spec.replace ? this.given(spec.id) : undefined;
    const low = spec.value - spec.spread;
    const high = spec.value + spec.spread;
    const measured = given !== undefined;
    const value = given ?? spec.value;
    const shifts: Shifts =
      measured || spec.spread === 0 ? STILL : new Map([[spec.id, { down: -spec.spread, up: spec.spread }]]);
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
        why: { sentence: spec.sentence, sum: '', inputs: [], causes: [] },
      },
      shifts,
    );
  }

  /** Adds a sum of figures already in the ledger. Returns the value that now stands. */
  derive(spec: DeriveSpec): number {
    const cells = spec.from.map((id) => this.cell(id));
    const values = cells.map((cell) => cell.figure.value);
    const raw = finite(spec.id, spec.f(...values));
    const shifts = this.carry(spec, cells, values, raw);
    const down = spanOf(shifts, 'down');
    const up = spanOf(shifts, 'up');
    const round = spec.whole === 'floor' ? floorNear : spec.whole === 'ceil' ? ceilNear : identity;
    const decided = spec.decide?.(raw);
    const computed =
      decided === undefined
        ? { value: round(raw), low: round(raw - down), high: round(raw + up) }
        : { value: decided, low: decided, high: decided };
    const pinned = spec.pin ? this.given(spec.id) : undefined;
    const why: Why = {
      sentence: spec.sentence,
      sum: spec.sum,
      inputs: spec.from,
      causes: spec.decide ? [] : causesOf(shifts),
    };
    const bases = [...new Set(cells.flatMap((cell) => cell.figure.bases))];
    const common = { id: spec.id, label: spec.label, unit: spec.unit, replace: spec.pin ?? null };
    if (pinned !== undefined) {
      return this.put(
        {
          ...common,
          value: pinned,
          low: pinned,
          high: pinned,
          bases: ['measured here'],
          kind: 'pinned',
          expected: computed,
          why,
        },
        STILL,
      );
    }
    return this.put(
      { ...common, ...computed, bases, kind: 'derived', expected: null, why },
      spec.whole || spec.decide ? STILL : shifts,
    );
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

  private put(figure: Figure, shifts: Shifts): number {
    if (this.cells.has(figure.id)) throw new Error(`invariant: figure "${figure.id}" twice in a plan`);
    this.cells.set(figure.id, { figure, shifts });
    return figure.value;
  }

  private carry(spec: DeriveSpec, cells: Cell[], values: number[], raw: number): Shifts {
    const roots = new Set(cells.flatMap((cell) => [...cell.shifts.keys()]));
    if (roots.size === 0) return STILL;
    const out = new Map<string, Shift>();
    for (const root of roots) {
      const moved = (side: 'down' | 'up') =>
        finite(
          spec.id,
          spec.f(...cells.map((cell, i) => (values[i] ?? 0) + (cell.shifts.get(root)?.[side] ?? 0))),
        ) - raw;
      out.set(root, { down: moved('down'), up: moved('up') });
    }
    return out;
  }
}

/** Width of the combined range to one side: whichever end of a root moves the value that way counts. */
function spanOf(shifts: Shifts, side: 'down' | 'up'): number {
  const sign = side === 'up' ? 1 : -1;
  let sum = 0;
  for (const shift of shifts.values()) {
    const reach = Math.max(sign * shift.down, sign * shift.up, 0);
    sum += reach * reach;
  }
  return Math.sqrt(sum);
}

function causesOf(shifts: Shifts): RangeCause[] {
  const squares = [...shifts].map(([id, { down, up }]) => ({ id, square: ((up - down) / 2) ** 2 }));
  const total = squares.reduce((sum, { square }) => sum + square, 0);
  if (total === 0) return [];
  return squares
    .map(({ id, square }) => ({ id, share: square / total }))
    .filter(({ share }) => share > 0.02)
    .sort((a, b) => b.share - a.share);
}

function finite(id: string, value: number): number {
  if (!Number.isFinite(value)) throw new Error(`invariant: figure "${id}" is ${value}`);
  return value;
}

/** Floating point leaves 11.999999999 where twelve pieces fit. */
const floorNear = (value: number) => Math.floor(value + 1e-9);
const ceilNear = (value: number) => Math.ceil(value - 1e-9);
const identity = (value: number) => value;
