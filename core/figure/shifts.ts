/**
 * How far values move when each root that they rest on stands at its 10th (down) and at its 90th (up) percentile: root,
 * down, up, for one root after another, roots upwards, and one value's moves after another's in one flat list for the
 * whole plan. A span of that list, from `start` to `end`, is one value's. Roots are numbered in the order in which the
 * ledger meets them.
 */
export type Moves = number[];
/** Places that a root takes in the list. */
export const STRIDE = 3;

/** Where the moves of one input of a sum stand. */
export interface Span {
  readonly start: number;
  readonly end: number;
}

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
 * Puts all roots of several spans into `ROOTS`, each once, upwards, and returns how many there are. Spans hold few roots
 * and mostly the same ones: each is put where it belongs.
 */
function gatherRoots(moves: Moves, spans: readonly Span[]): number {
  let count = 0;
  for (let s = 0; s < spans.length; s += 1) {
    const { start, end } = spans[s] as Span;
    let place = 0;
    for (let i = start; i < end; i += STRIDE) {
      const root = moves[i] as number;
      while (place < count && (ROOTS[place] as number) < root) place += 1;
      if (place < count && ROOTS[place] === root) continue;
      for (let k = count; k > place; k -= 1) ROOTS[k] = ROOTS[k - 1] as number;
      ROOTS[place] = root;
      count += 1;
    }
  }
  return count;
}

/**
 * Computes the sum again with each root at either end and puts the differences from its value at the end of the list;
 * they stand from the length that the list had before.
 */
export function carryMoves(
  moves: Moves,
  spec: Summed,
  spans: readonly Span[],
  values: readonly number[],
  raw: number,
): void {
  const n = spans.length;
  const count = gatherRoots(moves, spans);
  if (count === 0) return;
  // Reckoned thousands of times while somebody types: the same three lists serve every sum.
  const low = listOf(LOW, n);
  const high = listOf(HIGH, n);
  const at = listOf(FINGERS, n);
  for (let i = 0; i < n; i += 1) {
    low[i] = values[i] as number;
    high[i] = values[i] as number;
    at[i] = (spans[i] as Span).start;
  }
  for (let k = 0; k < count; k += 1) {
    const root = ROOTS[k] as number;
    // Each input lists its roots upwards, so one finger in each span keeps step with the merged one.
    for (let i = 0; i < n; i += 1) {
      const value = values[i] as number;
      const finger = at[i] as number;
      if (finger < (spans[i] as Span).end && moves[finger] === root) {
        low[i] = value + (moves[finger + 1] as number);
        high[i] = value + (moves[finger + 2] as number);
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
    moves.push(root, below, above);
  }
}

/** The moves of a plain addition: those of its terms, added root by root, put at the end of the list. */
export function addMoves(moves: Moves, spans: readonly Span[]): void {
  const count = gatherRoots(moves, spans);
  const first = moves.length;
  for (let k = 0; k < count; k += 1) moves.push(ROOTS[k] as number, 0, 0);
  for (let s = 0; s < spans.length; s += 1) {
    const { start, end } = spans[s] as Span;
    let k = first;
    for (let i = start; i < end; i += STRIDE) {
      while (moves[k] !== moves[i]) k += STRIDE;
      moves[k + 1] = (moves[k + 1] as number) + (moves[i + 1] as number);
      moves[k + 2] = (moves[k + 2] as number) + (moves[i + 2] as number);
    }
  }
}

/** How far below its value a figure's range goes: whichever end of a root moves it down counts there. */
export function spanBelow(moves: Moves, { start, end }: Span): number {
  let below = 0;
  for (let i = start; i < end; i += STRIDE) {
    const least = Math.min(moves[i + 1] as number, moves[i + 2] as number, 0);
    below += least * least;
  }
  return Math.sqrt(below);
}

/** How far above its value a figure's range goes. */
export function spanAbove(moves: Moves, { start, end }: Span): number {
  let above = 0;
  for (let i = start; i < end; i += STRIDE) {
    const most = Math.max(moves[i + 1] as number, moves[i + 2] as number, 0);
    above += most * most;
  }
  return Math.sqrt(above);
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
