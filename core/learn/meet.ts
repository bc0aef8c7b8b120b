import { normalCdf } from '../numeric/normal';

/** What is believed of one number. */
export interface Normal {
  readonly mean: number;
  readonly variance: number;
}

/** Outcomes that are a slip: one in so many, with so wide a noise. */
export interface Slip {
  readonly share: number;
  readonly noise: number;
}

const density = (x: number, variance: number): number =>
  Math.exp((-x * x) / (2 * variance)) / Math.sqrt(2 * Math.PI * variance);

/** Mean and variance of two beliefs, either of which may hold. */
function mixed(a: Normal, b: Normal, shareOfB: number): Normal {
  const mean = a.mean * (1 - shareOfB) + b.mean * shareOfB;
  const about = ({ mean: m, variance }: Normal) => variance + (m - mean) ** 2;
  return { mean, variance: about(a) * (1 - shareOfB) + about(b) * shareOfB };
}

/** A normal belief and a measure of it with its noise: Bayes' rule for a normal likelihood. */
function measured({ mean, variance }: Normal, at: number, noise: number): Normal {
  const gain = variance / (variance + noise * noise);
  return { mean: mean + gain * (at - mean), variance: variance * (1 - gain) };
}

/**
 * The belief after a measure that may have been a slip: the likelier a slip is, the less it moves. Moments of the exact
 * mixture of both cases.
 */
export function meetMeasure(before: Normal, at: number, noise: number, slip: Slip): Normal {
  const likely = (sd: number) => density(at - before.mean, before.variance + sd * sd);
  const [fair, slipped] = [(1 - slip.share) * likely(noise), slip.share * likely(slip.noise)];
  const all = fair + slipped;
  // So far off that neither can be told: nothing is learned of it.
  if (!(all > 0)) return before;
  return mixed(measured(before, at, noise), measured(before, at, slip.noise), slipped / all);
}

/** Points of the sum over a belief, and how far they reach to both sides, in standard deviations. */
const POINTS = 241;
const REACH = 6;

/**
 * The belief after it was seen to lie between two bounds, give or take the noise; null where a side is open. Mean and
 * variance of the product, by a sum over the belief.
 */
export function meetBounds(
  before: Normal,
  low: number | null,
  high: number | null,
  noise: number,
  slip: Slip,
): Normal {
  if (low === null && high === null) return before;
  const within = (x: number, sd: number) =>
    (high === null ? 1 : normalCdf((high - x) / sd)) - (low === null ? 0 : normalCdf((low - x) / sd));
  const sd = Math.sqrt(before.variance);
  let [all, first, second] = [0, 0, 0];
  for (let i = 0; i < POINTS; i += 1) {
    const z = ((2 * i) / (POINTS - 1) - 1) * REACH;
    const x = before.mean + z * sd;
    const likely = (1 - slip.share) * within(x, noise) + slip.share * within(x, slip.noise);
    const weight = Math.exp((-z * z) / 2) * Math.max(0, likely);
    all += weight;
    first += weight * z;
    second += weight * z * z;
  }
  if (!(all > 1e-300)) return before;
  const mean = first / all;
  return {
    mean: before.mean + mean * sd,
    // It can only be known better.
    variance: Math.min(before.variance, Math.max(1e-12, (second / all - mean * mean) * before.variance)),
  };
}
