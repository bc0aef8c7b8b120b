import { minutesOf } from '../model/localTime';
import type { SnapshotReason } from './snapshot';

/** A snapshot as far as it matters for how long it stays. */
export interface Ageing {
  readonly key: string;
  /** Local time, to the second. */
  readonly at: string;
  readonly why: SnapshotReason;
  /** How many documents it holds. */
  readonly documents: number;
  /** Letters that would be free if this one alone went: what only it holds. */
  readonly letters: number;
}

/** Up to so many days old, one snapshot stays for each of these; beyond the last of them, one a month. Basis: judgement. */
const STEPS = [
  { days: 2, per: 'each' },
  { days: 15, per: 'day' },
  { days: 70, per: 'week' },
] as const;
const DAY_MIN = 1440;

/**
 * Snapshots of one bucket are alike enough that one of them stays. What was kept for different reasons is never alike: a
 * kitchen as it stood before it was emptied is not made up for by the same day's beginning.
 */
function bucketOf({ at, why, key }: Ageing, nowMin: number): string {
  const min = minutesOf(at.slice(0, 16));
  const days = (nowMin - min) / DAY_MIN;
  const step = STEPS.find((one) => days < one.days);
  if (step?.per === 'each') return key;
  if (step?.per === 'day') return `${why} day ${at.slice(0, 10)}`;
  if (step?.per === 'week') return `${why} week ${Math.floor(min / (7 * DAY_MIN))}`;
  return `${why} month ${at.slice(0, 7)}`;
}

/** Which of a bucket stays: of days the newest, of what stood before something was replaced the fullest. */
const firstToStay = (a: Ageing, b: Ageing): number =>
  (a.why === 'the day' ? 0 : b.documents - a.documents) || (a.key < b.key ? 1 : -1);

/**
 * Which snapshots go: older ones thin out to one a day, a week, a month, and then the oldest go until the rest fits.
 * @param all with the letters that each alone holds; they are counted anew by whoever calls after each that goes
 * @param now local time
 * @param letters that all of them may take, and that they take
 * @param spared is never let go: the one that is being gone back to
 */
export function thinnedOut<A extends Ageing>(
  all: readonly A[],
  now: string,
  letters: { readonly most: number; readonly used: number },
  spared: string | null = null,
): A[] {
  const newestFirst = [...all].sort((a, b) => (a.key < b.key ? 1 : -1));
  const [newest] = newestFirst;
  const nowMin = minutesOf(now.slice(0, 16));
  const taken = new Set<string>();
  const gone = new Set<A>();
  const stays = (one: A) => one === newest || one.key === spared;
  for (const one of [newest, ...[...all].sort(firstToStay)]) {
    if (!one) continue;
    const bucket = bucketOf(one, nowMin);
    if (taken.has(bucket) && !stays(one)) gone.add(one);
    taken.add(bucket);
  }
  let used = letters.used - [...gone].reduce((sum, one) => sum + one.letters, 0);
  for (const one of [...newestFirst].reverse()) {
    if (used <= letters.most) break;
    if (gone.has(one) || stays(one)) continue;
    gone.add(one);
    used -= one.letters;
  }
  return newestFirst.filter((one) => gone.has(one));
}
