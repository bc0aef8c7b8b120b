import { BENT, courseOf, evaluate, type Term } from './term';

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

/** A figure as an input of a sum: a leaf whose value can be moved. */
export type Moved = Term & Span & { readonly value: number };

/** Lists to reckon in, kept by the ledger that owns them: sums are reckoned thousands of times while somebody types. */
export interface Scratch {
  readonly roots: number[];
  readonly fingers: number[];
  readonly slopes: number[];
}

/**
 * Puts all roots of several spans into the scratch list, each once, upwards, and returns how many there are. Spans hold
 * few roots and mostly the same ones: each is put where it belongs.
 */
function gatherRoots(moves: Moves, spans: readonly Span[], roots: number[]): number {
  let count = 0;
  for (let s = 0; s < spans.length; s += 1) {
    const { start, end } = spans[s] as Span;
    let place = 0;
    for (let i = start; i < end; i += STRIDE) {
      const root = moves[i] as number;
      while (place < count && (roots[place] as number) < root) place += 1;
      if (place < count && roots[place] === root) continue;
      for (let k = count; k > place; k -= 1) roots[k] = roots[k - 1] as number;
      roots[place] = root;
      count += 1;
    }
  }
  return count;
}

/** Not reckoned yet. */
const UNKNOWN = Infinity;

/** What a sum goes up by with one more of an input; NaN where it is no straight line in it. */
function slopeOf(sum: Term, input: Moved, by: number, raw: number): number {
  if (by === 0 || courseOf(sum, input) === BENT) return NaN;
  input.at = input.value + by;
  const slope = (evaluate(sum) - raw) / by;
  input.at = input.value;
  return slope;
}

/**
 * Computes the sum again with each root at either end and puts the differences from its value at the end of the list;
 * they stand from the length that the list had before. Returns false where an end of the range is no number.
 */
export function carryMoves(
  moves: Moves,
  sum: Term,
  inputs: readonly Moved[],
  raw: number,
  { roots, fingers, slopes }: Scratch,
): boolean {
  const n = inputs.length;
  const count = gatherRoots(moves, inputs, roots);
  for (let i = 0; i < n; i += 1) {
    fingers[i] = (inputs[i] as Moved).start;
    slopes[i] = UNKNOWN;
  }
  let whole = true;
  for (let k = 0; k < count; k += 1) {
    const root = roots[k] as number;
    // Each input lists its roots upwards, so one finger in each span keeps step with the merged one.
    let moved = 0;
    let last = 0;
    for (let i = 0; i < n; i += 1) {
      const finger = fingers[i] as number;
      if (finger >= (inputs[i] as Moved).end || moves[finger] !== root) continue;
      moved += 1;
      last = i;
    }
    let below: number;
    let above: number;
    const down = (fingers[last] as number) + 1;
    const up = down + 1;
    // What moves by one input alone and in a straight line goes in proportion: most sums are products.
    if (moved === 1 && slopes[last] === UNKNOWN) {
      const least = moves[down] as number;
      const most = moves[up] as number;
      slopes[last] = slopeOf(
        sum,
        inputs[last] as Moved,
        Math.abs(least) > Math.abs(most) ? least : most,
        raw,
      );
    }
    if (moved === 1 && !Number.isNaN(slopes[last])) {
      const slope = slopes[last] as number;
      below = slope * (moves[down] as number);
      above = slope * (moves[up] as number);
    } else {
      below = movedBy(1, moves, sum, inputs, root, fingers) - raw;
      above = movedBy(2, moves, sum, inputs, root, fingers) - raw;
    }
    for (let i = 0; i < n; i += 1) {
      const finger = fingers[i] as number;
      if (finger < (inputs[i] as Moved).end && moves[finger] === root) fingers[i] = finger + STRIDE;
    }
    if (!Number.isFinite(below) || !Number.isFinite(above)) whole = false;
    moves.push(root, below, above);
  }
  return whole;
}

/** The sum with one root at one of its ends, in every input that it moves. */
function movedBy(
  side: 1 | 2,
  moves: Moves,
  sum: Term,
  inputs: readonly Moved[],
  root: number,
  fingers: readonly number[],
): number {
  for (let i = 0; i < inputs.length; i += 1) {
    const input = inputs[i] as Moved;
    const finger = fingers[i] as number;
    if (finger < input.end && moves[finger] === root)
      input.at = input.value + (moves[finger + side] as number);
  }
  const value = evaluate(sum);
  for (let i = 0; i < inputs.length; i += 1) (inputs[i] as Moved).at = (inputs[i] as Moved).value;
  return value;
}

/** The moves of a plain addition: those of its terms, added root by root, put at the end of the list. */
export function addMoves(moves: Moves, spans: readonly Span[], { roots }: Scratch): void {
  const count = gatherRoots(moves, spans, roots);
  const first = moves.length;
  for (let k = 0; k < count; k += 1) moves.push(roots[k] as number, 0, 0);
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
