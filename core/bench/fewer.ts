import type { ChoreDoes } from '../model/choreDoes';
import type { Chore } from '../schedule/chores/chore';
import { goingOn, type BenchState } from './log';

/** Steps that are worked at piece by piece: fewer pieces, less of them. */
const BY_PIECE: ReadonlySet<ChoreDoes> = new Set<ChoreDoes>([
  'roll',
  'stick',
  'dip',
  'frost',
  'top',
  'fill-in',
  'cover',
  'soak',
  'cut',
  'coat-a',
  'coat-b',
  'back',
  'fill',
  'out',
  'pack',
]);

/**
 * The day's chores for as many pieces as there are, s: what is lost is no work any more, and where a bowl came to more than
 * planned there is more of it. It holds for all that has not begun: which pieces they were, nobody has to say.
 */
export function forFewer<T extends { readonly chore: Chore }>(
  timed: readonly T[],
  state: Pick<BenchState, 'lost' | 'counted'>,
): readonly T[] {
  if (state.lost.size === 0 && state.counted.size === 0) return timed;
  const shares = new Map<string, number>();
  for (const { chore } of timed) {
    const [lineId] = chore.lineIds;
    if (chore.does !== 'pack' || !lineId || !chore.pieces) continue;
    shares.set(lineId, goingOn(state, lineId, chore.pieces) / chore.pieces);
  }
  return timed.map((one) => {
    const { chore } = one;
    const share = chore.lineIds.length === 1 ? (shares.get(chore.lineIds[0] ?? '') ?? 1) : 1;
    if (share === 1 || chore.kind !== 'hands' || !BY_PIECE.has(chore.does)) return one;
    return {
      ...one,
      chore: { ...chore, takes: { ...chore.takes, lengthS: chore.takes.lengthS * share } },
    };
  });
}
