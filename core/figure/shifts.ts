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
  readonly f?: Sum;
  readonly asList?: (values: readonly number[]) => number;
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
  const low = values.slice();
  const high = values.slice();
  // Each input lists its roots upwards, so one finger in each list keeps step with the merged one.
  const at = new Array<number>(n).fill(0);
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

function merged(moves: readonly Shifts[]): readonly number[] {
  const roots: number[] = [];
  for (const move of moves) for (const root of move.roots) if (!roots.includes(root)) roots.push(root);
  return roots.sort((a, b) => a - b);
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
    default:
      return f(...v);
  }
}
