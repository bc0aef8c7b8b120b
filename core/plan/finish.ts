import type { FinishKind } from '../model/kinds';
import { OVERFLOW_SHARE, SUNK_SHARE } from '../process/batter.table';

export type { FinishKind };

export interface FinishWords {
  readonly kind: FinishKind;
  readonly name: string;
  /** What to watch for; null where nothing is. */
  readonly warning: string | null;
}

/** Between flat and gentle, and gentle and high: half-way between the finishes people ask for. */
const FLAT_UNTIL = 1.015;
const GENTLE_UNTIL = 1.14;

/** Between which volumes against the well a cake ends like that; null where it tells of something else than its rise. */
export function finishBounds(kind: FinishKind): readonly [low: number | null, high: number | null] | null {
  switch (kind) {
    case 'sunk':
      return null;
    case 'flat':
      return [SUNK_SHARE, FLAT_UNTIL];
    case 'gentle':
      return [FLAT_UNTIL, GENTLE_UNTIL];
    case 'high':
      return [GENTLE_UNTIL, OVERFLOW_SHARE];
    case 'over':
      return [OVERFLOW_SHARE, null];
  }
}

/** What a cake of that volume against its well looks like. */
export function finishOf(share: number): FinishWords {
  if (share < SUNK_SHARE) {
    return {
      kind: 'sunk',
      name: 'low in the cup',
      warning: 'The cake will sit well below the rim. Fill more, or use a smaller tin.',
    };
  }
  if (share > OVERFLOW_SHARE) {
    return {
      kind: 'over',
      name: 'over the rim',
      warning: 'It will run over and grow on to the tin. Fill less, or stand a tray under the tin.',
    };
  }
  if (share < FLAT_UNTIL) return { kind: 'flat', name: 'flat', warning: null };
  if (share < GENTLE_UNTIL) return { kind: 'gentle', name: 'gently domed', warning: null };
  return { kind: 'high', name: 'high-domed', warning: null };
}
