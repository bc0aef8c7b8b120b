import { STRIDE, type Moves, type Span } from './moves';
import type { Root } from './root';

/** Roots whose doubts are tied, by their numbers: each pair stands with the root that was met later, as a correlation. */
export type Ties = Map<number, Map<number, number>>;

/**
 * Writes down how a root that is met for the first time is tied to those that were met before it.
 * @param tied numbers of the roots that say what they are tied to
 * @param numberOf a root's number by the name that ties have for it
 */
export function tie(
  ties: Ties,
  roots: readonly Root[],
  tied: readonly number[],
  numberOf: ReadonlyMap<string, number>,
  number: number,
): void {
  const root = roots[number];
  if (!root) return;
  const put = (other: number | undefined, by: number | undefined) => {
    if (other === undefined || by === undefined || other === number) return;
    const mine = ties.get(number) ?? new Map<number, number>();
    ties.set(number, mine.set(other, by));
  };
  for (const [name, by] of Object.entries(root.ties ?? {})) put(numberOf.get(name), by);
  // Each pair is written with one of the two.
  const name = root.tiedAs ?? root.key;
  for (const other of tied) put(other, roots[other]?.ties?.[name]);
}

/** Half the difference of a root's moves in a span; nought where it does not move it. */
function moveOf(moves: Moves, { start, end }: Span, root: number): number {
  for (let i = start; i < end; i += STRIDE)
    if (moves[i] === root) return ((moves[i + 2] as number) - (moves[i + 1] as number)) / 2;
  return 0;
}

/**
 * How much wider or narrower a range is for its roots' doubts being tied, as a factor on what it is with all of them apart:
 * what was learned of two together is surer of their sum than of either.
 */
export function tiedWidth(moves: Moves, span: Span, ties: Ties): number {
  let [apart, tied] = [0, 0];
  for (let i = span.start; i < span.end; i += STRIDE) {
    const by = ((moves[i + 2] as number) - (moves[i + 1] as number)) / 2;
    apart += by * by;
    const mine = ties.get(moves[i] as number);
    if (mine) for (const [other, how] of mine) tied += 2 * how * by * moveOf(moves, span, other);
  }
  return apart > 0 ? Math.sqrt(Math.max(LEAST, 1 + tied / apart)) : 1;
}
/** Ties are rounded: no range vanishes by them. */
const LEAST = 0.01;

/** Share of each root in the squared width of a span, with its part of what is tied; none below nought. */
export function tiedShares(moves: Moves, span: Span, ties: Ties): Map<number, number> {
  const out = new Map<number, number>();
  for (let i = span.start; i < span.end; i += STRIDE) {
    const root = moves[i] as number;
    const by = ((moves[i + 2] as number) - (moves[i + 1] as number)) / 2;
    out.set(root, (out.get(root) ?? 0) + by * by);
    for (const [other, how] of ties.get(root) ?? []) {
      const both = how * by * moveOf(moves, span, other);
      out.set(root, (out.get(root) ?? 0) + both);
      out.set(other, (out.get(other) ?? 0) + both);
    }
  }
  return new Map([...out].map(([root, share]) => [root, Math.max(0, share)]));
}
