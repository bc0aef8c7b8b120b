import type { ClockDoc, LookSaw } from '../model/documents';

/** What is seen in a look, and what it comes to. */
export const LOOK_RESULT = {
  wet: 'not yet',
  crumbs: 'nearly',
  pale: 'nearly',
  clean: 'done',
  brown: 'over',
} as const satisfies Record<LookSaw, ClockDoc['looks'][number]['result']>;

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

/** Chance that a normal value is below x. Source: Abramowitz and Stegun 7.1.26, within 1e-7. */
function normalBelow(x: number): number {
  const t = 1 / (1 + (0.3275911 * Math.abs(x)) / Math.SQRT2);
  const poly =
    t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const half = 0.5 * poly * Math.exp((-x * x) / 2);
  return x < 0 ? half : 1 - half;
}

/**
 * When to look next, s from when it went in: so late that hardly one in twenty is past its time by then, given what the
 * looks so far have shown. A wet middle says that most of a tenth is still to come; crumbs, that it is not done yet.
 */
export function nextLookS({ looks, startedAt, firstLookS, expectedS, latestS }: ClockDoc): number {
  const last = looks.at(-1);
  if (!last) return firstLookS;
  const lastS = (last.at - startedAt) / 1000;
  if (last.saw === 'pale') return lastS + Math.max(LEAST_S, PALE_SHARE * expectedS);
  const leastS = Math.max(
    ...looks.map(({ at, saw }) => ((at - startedAt) / 1000) * (saw === 'wet' ? 1 / WET_UNTIL : 1)),
  );
  const spread = Math.max(0.02, Math.log(latestS / expectedS) / TENTH);
  const below = (seconds: number) => normalBelow(Math.log(seconds / expectedS) / spread);
  const gone = below(leastS);
  // The time that hardly any is done before, of those that are not done yet.
  let [low, high] = [leastS, leastS * 2];
  for (let i = 0; i < 30; i += 1) {
    const middle = (low + high) / 2;
    if (below(middle) - gone < TOO_LATE * (1 - gone)) low = middle;
    else high = middle;
  }
  return Math.max(lastS + LEAST_S, (gone > 1 - 1e-9 ? leastS : low) * (1 + SPARE * SPARE_USED));
}
