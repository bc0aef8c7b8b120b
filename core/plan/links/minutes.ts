import type { Figures } from '../figures';
import type { RunContext } from '../lookup';
import type { Supplied } from './count';

/** Further off than this, the clock is no supply that anybody reckons with. */
export const CLOCK_LIMITS_WITHIN_MIN = 24 * 60;

export interface Takes {
  /** Steps that take as long for few as for many, s: the longer end of what is waited for. */
  readonly fixedS: number;
  /** One piece, one group or one round, s; and how many pieces that is. */
  readonly roundS: number;
  readonly pieces: number;
  /** What such a round is called: "One piece in the hand". */
  readonly what: string;
}

/**
 * Pieces that can still be made before the run must be ready. Nothing where the clock is no question: far off, without a
 * time to count from, or so late that not even one round fits, which a warning says.
 */
export function addMinutes(ledger: Figures, run: RunContext, takes: Takes): Supplied[] {
  if (run.asOfMin === null) return [];
  const freeMin = run.readyMin - run.asOfMin;
  const { fixedS, roundS, pieces, what } = takes;
  if (freeMin > CLOCK_LIMITS_WITHIN_MIN || freeMin * 60 < fixedS + roundS) return [];
  ledger.given(
    'minutes.free',
    'Until it must be ready',
    's',
    freeMin * 60,
    'counted',
    'From now until it must be ready.',
  );
  ledger.given(
    'minutes.fixed',
    'Takes as long for few as for many',
    's',
    fixedS,
    'typical',
    'Mixing, baking, cooling and setting, by the longer end of each.',
  );
  ledger.given(
    'minutes.round',
    what,
    's',
    Math.max(roundS, 1),
    'typical',
    'Hands, and what has to set before the next can begin.',
  );
  ledger.given('minutes.pieces', 'Pieces of it', 'pieces', pieces, 'counted', 'Made in that time.');
  ledger.calc(
    'count.minutes',
    'The clock allows',
    'pieces',
    'whole loads of (({minutes.free} − {minutes.fixed}) ÷ {minutes.round}) × {minutes.pieces}, whole ones',
    (free = 0, fixed = 0, round = 1, each = 1) => Math.floor((free - fixed) / round + 1e-9) * each,
    'Whole rounds that still fit before it must be ready.',
    { whole: 'floor' },
  );
  return [{ supply: 'minutes', figureId: 'count.minutes', words: 'the time left' }];
}

/** What steps take together, s, by the longer end of what is waited for. */
export function longestS(
  steps: readonly {
    readonly length: { readonly value: number; readonly high: number };
    readonly kind: string;
    readonly times?: number;
  }[],
): number {
  return steps.reduce(
    (sum, { length, kind, times }) => sum + (kind === 'hands' ? length.value : length.high) * (times ?? 1),
    0,
  );
}
