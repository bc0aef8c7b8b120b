/**
 * How far a value moves when each root that it rests on stands at its 10th (down) and at its 90th (up) percentile.
 * Roots are numbered in the order in which the ledger meets them and listed upwards; the three lists run side by side.
 */
export interface Shifts {
  readonly roots: readonly number[];
  readonly down: readonly number[];
  readonly up: readonly number[];
}
export const NO_SHIFT: Shifts = { roots: [], down: [], up: [] };

export type Sum = (...values: number[]) => number;

interface Summed {
  readonly id: string;
  readonly f?: Sum | undefined;
  readonly asList?: ((values: readonly number[]) => number) | undefined;
}

const LOW: number[][] = [];
const HIGH: number[][] = [];
const FINGERS: number[][] = [];

/** A list of that length to reckon in, kept for the next sum of as many inputs. */
export function listOf<T>(kept: T[][], n: number): T[] {
  return (kept[n] ??= new Array<T>(n));
}

/** The sum computed again with each root at either end, as differences from its value. */
export function carryShifts(
  spec: Summed,
  moves: readonly Shifts[],
  values: readonly number[],
  raw: number,
): Shifts {
  const n = moves.length;
  let moving = 0;
  let only = NO_SHIFT;
  for (let i = 0; i < n; i += 1) {
    if ((moves[i] as Shifts).roots.length > 0) {
      moving += 1;
      only = moves[i] as Shifts;
    }
  }
  if (moving === 0) return NO_SHIFT;
  const roots = moving === 1 ? only.roots : merged(moves);
  const down = new Array<number>(roots.length);
  const up = new Array<number>(roots.length);
  // Reckoned thousands of times while somebody types: the same three lists serve every sum.
  const low = listOf(LOW, n);
  const high = listOf(HIGH, n);
  const at = listOf(FINGERS, n);
  // Each input lists its roots upwards, so one finger in each list keeps step with the merged one.
  for (let i = 0; i < n; i += 1) {
    low[i] = values[i] as number;
    high[i] = values[i] as number;
    at[i] = 0;
  }
  for (let k = 0; k < roots.length; k += 1) {
    const root = roots[k] as number;
    for (let i = 0; i < n; i += 1) {
      const move = moves[i] as Shifts;
      const value = values[i] as number;
      const finger = at[i] as number;
      if (move.roots[finger] === root) {
        low[i] = value + (move.down[finger] as number);
        high[i] = value + (move.up[finger] as number);
        at[i] = finger + 1;
      } else {
        low[i] = value;
        high[i] = value;
      }
    }
    const below = sumOf(spec, low) - raw;
    const above = sumOf(spec, high) - raw;
    if (!Number.isFinite(below) || !Number.isFinite(above)) {
      throw new Error(`invariant: figure "${spec.id}" has no end to its range`);
    }
    down[k] = below;
    up[k] = above;
  }
  return { roots, down, up };
}

/** The moves of a plain addition: those of its terms, added root by root. */
export function addShifts(moves: readonly Shifts[]): Shifts {
  const roots = merged(moves);
  if (roots.length === 0) return NO_SHIFT;
  const down = new Array<number>(roots.length).fill(0);
  const up = new Array<number>(roots.length).fill(0);
  for (const move of moves) {
    let k = 0;
    for (let i = 0; i < move.roots.length; i += 1) {
      while (roots[k] !== move.roots[i]) k += 1;
      down[k] = (down[k] as number) + (move.down[i] as number);
      up[k] = (up[k] as number) + (move.up[i] as number);
    }
  }
  return { roots, down, up };
}

/** How far below and above its value a figure's range goes: whichever end of a root moves it to a side counts there. */
export function spanOf({ roots, down, up }: Shifts): { below: number; above: number } {
  let below = 0;
  let above = 0;
  for (let i = 0; i < roots.length; i += 1) {
    const a = down[i] as number;
    const b = up[i] as number;
    const least = a < b ? (a < 0 ? a : 0) : b < 0 ? b : 0;
    const most = a > b ? (a > 0 ? a : 0) : b > 0 ? b : 0;
    below += least * least;
    above += most * most;
  }
  return { below: Math.sqrt(below), above: Math.sqrt(above) };
}

/** All roots of several lists, each once, upwards; the first list itself where the others add none. */
function merged(moves: readonly Shifts[]): readonly number[] {
  let all: readonly number[] = NO_SHIFT.roots;
  for (const { roots } of moves) {
    if (roots.length === 0 || roots === all) continue;
    all = all.length === 0 ? roots : union(all, roots);
  }
  return all;
}

function union(a: readonly number[], b: readonly number[]): readonly number[] {
  const out: number[] = [];
  let i = 0;
  let j = 0;
  while (i < a.length || j < b.length) {
    const x = i < a.length ? (a[i] as number) : Infinity;
    const y = j < b.length ? (b[j] as number) : Infinity;
    out.push(Math.min(x, y));
    if (x <= y) i += 1;
    if (y <= x) j += 1;
  }
  return out.length === a.length ? a : out.length === b.length ? b : out;
}

/** A sum of its inputs. Most have few: called so, they cost a plain call. */
export function sumOf({ f, asList }: Summed, v: readonly number[]): number {
  if (asList) return asList(v);
  if (!f) throw new Error('invariant: a sum says how it is reckoned');
  switch (v.length) {
    case 1:
      return f(v[0] as number);
    case 2:
      return f(v[0] as number, v[1] as number);
    case 3:
      return f(v[0] as number, v[1] as number, v[2] as number);
    case 4:
      return f(v[0] as number, v[1] as number, v[2] as number, v[3] as number);
    case 5:
      return f(v[0] as number, v[1] as number, v[2] as number, v[3] as number, v[4] as number);
    case 6:
      return f(
        v[0] as number,
        v[1] as number,
        v[2] as number,
        v[3] as number,
        v[4] as number,
        v[5] as number,
      );
    case 7:
      return f(
        v[0] as number,
        v[1] as number,
        v[2] as number,
        v[3] as number,
        v[4] as number,
        v[5] as number,
        v[6] as number,
      );
    case 8:
      return f(
        v[0] as number,
        v[1] as number,
        v[2] as number,
        v[3] as number,
        v[4] as number,
        v[5] as number,
        v[6] as number,
        v[7] as number,
      );
    default:
      return f(...v);
  }
}
