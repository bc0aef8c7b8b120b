import type { LookResult, LookSaw } from '../model/documents';
import type { BakeClock } from './clocksIn';
import { bisect } from '../numeric/bisect';
import { normalCdf } from '../numeric/normal';

/** What is seen in a look, and what it comes to. */
export const LOOK_RESULT = {
  wet: 'not yet',
  crumbs: 'nearly',
  pale: 'nearly',
  clean: 'done',
  brown: 'over',
} as const satisfies Record<LookSaw, LookResult>;

/**
 * Until this share of its time at the latest the middle is wet: crumb sets near 92 °C, and the middle passes that after
 * some four fifths. Basis: the baking model's curve, with room for a hand that tells them apart roughly.
 */
export const WET_UNTIL = 0.88;
/** Out of the oven so much after it was done a cake is not dry yet, as a share of its time. Basis: judgement. */
const SPARE = 0.1;
/** How much of that a look uses. */
const SPARE_USED = 0.8;
/** A look may come too late once in so many times. */
const TOO_LATE = 0.05;
/** Nobody opens the door again sooner, s. */
const LEAST_S = 60;
/** The middle eight in ten of a normal distribution reach so many of its spreads from its middle. */
const TENTH = 1.2816;
/** Pale and clean inside: the colour comes with a little more of its time. */
const PALE_SHARE = 0.05;

/** What is known of a load's time once it has been looked at. */
interface StillToBake {
  /** It takes so long at the least, s from when it went in. */
  readonly leastS: number;
  /** The time by which such a share of the loads that are not done yet would be, s from when it went in. */
  readonly doneBy: (share: number) => number;
}

/** The time of a load given that each look found it not done: the expected time, cut off below what the looks have shown. */
function stillToBake({ looks, startedAt, expectedS, latestS }: BakeClock): StillToBake {
  const leastS = Math.max(
    0,
    ...looks.map(({ at, saw }) => ((at - startedAt) / 1000) * (saw === 'wet' ? 1 / WET_UNTIL : 1)),
  );
  const spread = Math.max(0.02, Math.log(latestS / expectedS) / TENTH);
  const below = (seconds: number) => (seconds <= 0 ? 0 : normalCdf(Math.log(seconds / expectedS) / spread));
  const gone = below(leastS);
  const doneBy = (share: number) =>
    gone > 1 - 1e-9
      ? leastS
      : bisect(below, gone + share * (1 - gone), leastS, Math.max(2 * leastS, 3 * expectedS), 0.1);
  return { leastS, doneBy };
}

/**
 * When a load is expected to be done, s from when it went in: as its clock was started, and after a look the middle of what
 * is still possible.
 */
export function expectedEndS(clock: BakeClock): number {
  const { looks, startedAt, expectedS } = clock;
  const last = looks.at(-1);
  if (!last) return expectedS;
  const lastS = (last.at - startedAt) / 1000;
  if (!last.saw || last.saw === 'pale') return Math.max(expectedS, nextLookS(clock));
  return Math.max(lastS + LEAST_S, stillToBake(clock).doneBy(0.5));
}

/**
 * When to look next, s from when it went in: so late that hardly one in twenty is past its time by then, given what the
 * looks so far have shown. A wet middle says that most of a tenth is still to come; crumbs, that it is not done yet.
 */
export function nextLookS(clock: BakeClock): number {
  const { looks, startedAt, firstLookS, expectedS } = clock;
  const last = looks.at(-1);
  if (!last) return firstLookS;
  const lastS = (last.at - startedAt) / 1000;
  if (last.saw === 'pale') return lastS + Math.max(LEAST_S, PALE_SHARE * expectedS);
  return Math.max(lastS + LEAST_S, stillToBake(clock).doneBy(TOO_LATE) * (1 + SPARE * SPARE_USED));
}
