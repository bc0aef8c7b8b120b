/**
 * How far a value moves when each root that it rests on stands at its 10th (down) and at its 90th (up) percentile: root,
 * down, up, for one root after another in one flat list, roots upwards. Roots are numbered in the order in which the
 * ledger meets them.
 */
export type Shifts = readonly number[];
export const NO_SHIFT: Shifts = [];
/** Places that a root takes in the list. */
export const STRIDE = 3;

export type Sum = (...values: number[]) => number;

interface Summed {
  readonly id: string;
  readonly f?: Sum | undefined;
  readonly asList?: ((values: readonly number[]) => number) | undefined;
}

const LOW: number[][] = [];
const HIGH: number[][] = [];
const FINGERS: number[][] = [];
const ROOTS: number[] = [];

/** A list of that length to reckon in, kept for the next sum of as many inputs. */
export function listOf<T>(kept: T[][], n: number): T[] {
  return (kept[n] ??= new Array<T>(n));
}

/**
 * Puts all roots of several lists into `ROOTS`, each once, upwards, and returns how many there are. Lists hold few roots
 * and mostly the same ones: each is put where it belongs.
 */
function gatherRoots(moves: readonly Shifts[]): number {
  let count = 0;
  for (const move of moves) {
    let place = 0;
    for (let i = 0; i < move.length; i += STRIDE) {
      const root = move[i] as number;
      while (place < count && (ROOTS[place] as number) < root) place += 1;
      if (place < count && ROOTS[place] === root) continue;
      for (let k = count; k > place; k -= 1) ROOTS[k] = ROOTS[k - 1] as number;
      ROOTS[place] = root;
      count += 1;
    }
  }
  return count;
}

/** The sum computed again with each root at either end, as differences from its value. */
export function carryShifts(
  spec: Summed,
  moves: readonly Shifts[],
  values: readonly number[],
  raw: number,
): Shifts {
  const n = moves.length;
  const count = gatherRoots(moves);
  if (count === 0) return NO_SHIFT;
  const out = new Array<number>(count * STRIDE);
  // Reckoned thousands of times while somebody types: the same three lists serve every sum.
  const low = listOf(LOW, n);
  const high = listOf(HIGH, n);
  const at = listOf(FINGERS, n);
  for (let i = 0; i < n; i += 1) {
    low[i] = values[i] as number;
    high[i] = values[i] as number;
    at[i] = 0;
  }
  for (let k = 0; k < count; k += 1) {
    const root = ROOTS[k] as number;
    // Each input lists its roots upwards, so one finger in each list keeps step with the merged one.
    for (let i = 0; i < n; i += 1) {
      const move = moves[i] as Shifts;
      const value = values[i] as number;
      const finger = at[i] as number;
      if (move[finger] === root) {
        low[i] = value + (move[finger + 1] as number);
        high[i] = value + (move[finger + 2] as number);
        at[i] = finger + STRIDE;
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
    out[k * STRIDE] = root;
    out[k * STRIDE + 1] = below;
    out[k * STRIDE + 2] = above;
  }
  return out;
}

/** The moves of a plain addition: those of its terms, added root by root. */
export function addShifts(moves: readonly Shifts[]): Shifts {
  const count = gatherRoots(moves);
  if (count === 0) return NO_SHIFT;
  const out = new Array<number>(count * STRIDE);
  for (let k = 0; k < count; k += 1) {
    out[k * STRIDE] = ROOTS[k] as number;
    out[k * STRIDE + 1] = 0;
    out[k * STRIDE + 2] = 0;
  }
  for (const move of moves) {
    let k = 0;
    for (let i = 0; i < move.length; i += STRIDE) {
      while (out[k] !== move[i]) k += STRIDE;
      out[k + 1] = (out[k + 1] as number) + (move[i + 1] as number);
      out[k + 2] = (out[k + 2] as number) + (move[i + 2] as number);
    }
  }
  return out;
}

/** How far below and above its value a figure's range goes: whichever end of a root moves it to a side counts there. */
export function spanOf(shifts: Shifts): { below: number; above: number } {
  let below = 0;
  let above = 0;
  for (let i = 0; i < shifts.length; i += STRIDE) {
    const a = shifts[i + 1] as number;
    const b = shifts[i + 2] as number;
    const least = a < b ? (a < 0 ? a : 0) : b < 0 ? b : 0;
    const most = a > b ? (a > 0 ? a : 0) : b > 0 ? b : 0;
    below += least * least;
    above += most * most;
  }
  return { below: Math.sqrt(below), above: Math.sqrt(above) };
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
