import type { EggMode } from '../model/documents';

/** How a scale and its whole eggs come together. */
export interface EggsSettled {
  /** Eggs that go in: whole, or to the gram where they are weighed. */
  readonly used: number;
  /** Whether everything else follows the eggs or keeps to the exact scale. */
  readonly rest: 'follows' | 'exact';
  readonly how: 'even' | 'down' | 'up' | 'nearest' | 'weighed';
}

/** Each portion may lose so much of itself, as a share, before an egg is broken for it. Basis: nobody sees it. */
export const LEAST_LOSS = 0.03;
/** So much of a batch may be over, as a share, before an egg is weighed instead. Basis: typical. */
export const MOST_SURPLUS = 0.08;
/** Nearer to a whole one than this, as a share, and it is one. */
const EVEN = 1e-9;

/**
 * The whole number of eggs that costs least: down where each portion loses little, up where little is over, otherwise
 * beaten and weighed. A mode that a person chose is kept to.
 * @param exact eggs at the exact scale, more than 0
 */
export function settleEggs(exact: number, mode: EggMode): EggsSettled {
  const down = Math.floor(exact * (1 + EVEN));
  const up = Math.ceil(exact * (1 - EVEN));
  const follow = (used: number, how: 'down' | 'up'): EggsSettled => ({
    used,
    rest: 'follows',
    how: Math.abs(used / exact - 1) <= EVEN ? 'even' : how,
  });
  switch (mode) {
    case 'weigh':
      return { used: exact, rest: 'exact', how: 'weighed' };
    case 'nearest':
      return { used: Math.max(1, Math.round(exact)), rest: 'exact', how: 'nearest' };
    case 'up':
      return follow(Math.max(1, up), 'up');
    case 'down':
      return follow(Math.max(1, down), down < 1 ? 'up' : 'down');
    case 'follow':
      if (down >= 1 && 1 - down / exact <= LEAST_LOSS) return follow(down, 'down');
      return up / exact - 1 <= MOST_SURPLUS
        ? follow(up, 'up')
        : { used: exact, rest: 'exact', how: 'weighed' };
  }
}
