import { breachesOf } from './check';
import { chanceOf, type Chance } from './chance';
import { laidOut, placed, type Laid } from './place';
import { reversed, turnedBack, type Problem, type Starts } from './problem';
import { scoreOf, worthOf, type Worth } from './score';

export interface SearchOptions {
  readonly seed: number;
  /** Orders that are tried. */
  readonly tries: number;
  /** Orders that are tried at most as long as none has come to a day; as many as `tries` where nothing is said. */
  readonly patience?: number;
  /** A day to begin from, in the problem's own time: the one that stood before something moved. */
  readonly from?: Starts;
  /** What days are compared by, the less the better; by all aims in their order where nothing is said. */
  readonly by?: (worth: Worth) => number;
}

/** A day that was found. */
export interface Found {
  /** In the problem's own time: its last end is at 0 where it was planned backwards. */
  readonly starts: Starts;
  readonly worth: Worth;
  /** Orders that were tried until it was found. */
  readonly tries: number;
}

/** Orders of which what must follow closely is placed at once, of all. */
const CLOSE_SHARE = 0.3;
/** Every so many tries the search says how far it is. */
const ASK_EVERY = 16;

/** A search that says how far it is, 0 to 1, and may be left at any of these. */
export type Searching = Generator<number, Found | null, void>;

/** Runs a search to its end. */
export function toEnd<T>(steps: Generator<unknown, T, void>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/** A day planned backwards: as late as can be, its last end at 0; null where no order of its jobs comes to a day. */
export const backwards = (problem: Problem, options: SearchOptions): Found | null =>
  toEnd(backwardsInSteps(problem, options));

/** The same, by steps. */
export function* backwardsInSteps(problem: Problem, options: SearchOptions): Searching {
  const turned = reversed(problem);
  const from = options.from && turnedBack(problem, options.from);
  const found = yield* search(turned, from ? { ...options, from } : options, true);
  return found && { ...found, starts: turnedBack(problem, found.starts) };
}

/** A day planned backwards that is known already, with what it is worth. */
export const asFound = (problem: Problem, starts: Starts): Found => ({
  starts,
  worth: worthOf(reversed(problem), turnedBack(problem, starts), true),
  tries: 0,
});

/** What is left of a day planned forwards from 0, around what has begun. */
export const forwards = (problem: Problem, options: SearchOptions): Found | null =>
  toEnd(search(problem, options, false));

/** Orders to try for a day of so many jobs: enough for a small one, and no more than somebody waits for. */
export const triesFor = (jobs: number): number =>
  Math.round(Math.min(3000, Math.max(300, 90_000 / Math.max(1, jobs))));

/** The one day that the simplest order gives, longest way to the end first; null where it comes to none. */
export function firstBackwards(problem: Problem): Found | null {
  return backwards(problem, { seed: 1, tries: 1 });
}

function* search(
  problem: Problem,
  { seed, tries, patience = tries, from: begin, by = scoreOf }: SearchOptions,
  back: boolean,
): Searching {
  const laid = laidOut(problem);
  const chance = chanceOf(seed);
  const other = laidOut(reversed(problem));
  let best: {
    readonly starts: Float64Array;
    readonly worth: Worth;
    readonly score: number;
    readonly tries: number;
  } | null = null;
  let current: { readonly rank: Float64Array; readonly score: number } | null = null;
  const rules = rulesOf(problem, laid);
  let done = 0;

  /** Tries an order; the ranks that its times come to are those of a plainer order that gives the same. */
  const attempt = (
    rank: ArrayLike<number>,
    closeFirst = false,
  ): { readonly rank: Float64Array; readonly score: number } | null => {
    done += 1;
    const starts = placed(laid, rank, closeFirst);
    if (!starts) return null;
    const worth = worthOf(problem, starts as unknown as Starts, back);
    const score = by(worth);
    if (!best || score < best.score - 1e-6) best = { starts, worth, score, tries: done };
    return { rank: Float64Array.from(starts), score };
  };
  const keep = (found: { readonly rank: Float64Array; readonly score: number } | null, worseBy: number) => {
    if (found && (!current || found.score <= current.score + worseBy)) current = found;
    return found;
  };

  if (begin) {
    // As it stands, where it still can be worked: more time or another pair of hands never makes a day later.
    const stands = breachesOf(problem, begin).length === 0 && begin.every((at) => at >= -1e-6);
    if (stands) {
      const worth = worthOf(problem, begin, back);
      best = { starts: Float64Array.from(begin), worth, score: by(worth), tries: 0 };
    }
    keep(attempt(begin), 0);
  }
  for (const closeFirst of [true, false])
    for (const rule of rules) {
      if (done >= tries) break;
      if (done > 0) yield done / tries;
      const found = keep(attempt(rule, closeFirst), 0);
      // The same day pushed against its other end and back again: gaps close.
      if (found && done + 2 <= tries) keep(justified(problem, laid, other, found.rank, attempt), 0);
    }
  let since = 0;
  let lastBest = Infinity;
  while (done < tries || (best === null && done < patience)) {
    if (done % ASK_EVERY === 0) yield Math.min(1, done / tries);
    const from: ArrayLike<number> =
      current === null
        ? (rules[chance.below(rules.length)] as Float64Array)
        : (current as { rank: Float64Array }).rank;
    const found = attempt(shaken(from, laid, chance), chance.next() < CLOSE_SHARE);
    const bestScore = (best as { score: number } | null)?.score ?? Infinity;
    keep(found, bestScore * 0.004 * chance.next());
    if (found && since % 7 === 3) keep(justified(problem, laid, other, found.rank, attempt), 0);
    since = bestScore < lastBest - 1e-6 ? 0 : since + 1;
    lastBest = bestScore;
    // Nothing better for long: from the best once more, or from elsewhere.
    if (since > 0 && since % 60 === 0 && best) {
      const { starts, score } = best as { starts: Float64Array; score: number };
      current =
        chance.next() < 0.7
          ? { rank: Float64Array.from(starts), score }
          : (attempt(mixed(rules, chance)) ?? current);
    }
  }
  return told(best);
}

const told = (
  best: { readonly starts: Float64Array; readonly worth: Worth; readonly tries: number } | null,
): Found | null => best && { starts: [...best.starts], worth: best.worth, tries: best.tries };

/** Pushes a day against its far end and back. Source: forward-backward improvement, Li and Willis (1992). */
function justified(
  problem: Problem,
  laid: Laid,
  other: Laid,
  starts: Float64Array,
  attempt: (rank: ArrayLike<number>) => { readonly rank: Float64Array; readonly score: number } | null,
): { readonly rank: Float64Array; readonly score: number } | null {
  const ends = Float64Array.from(starts, (at, i) => -(at + (laid.length[i] ?? 0)));
  const pushed = problem.jobs.some(({ fixedS }) => fixedS !== undefined) ? null : placed(other, ends, false);
  if (!pushed) return null;
  return attempt(Float64Array.from(pushed, (at, i) => -(at + (laid.length[i] ?? 0))));
}

/** Orders to begin with, as ranks: lower is placed first. */
function rulesOf(problem: Problem, laid: Laid): Float64Array[] {
  const { n } = laid;
  const tail = new Float64Array(n);
  const head = new Float64Array(n);
  const order = topological(laid);
  for (const i of [...order].reverse())
    for (const j of laid.next[i] ?? []) {
      const least = laid.before[j]?.find(({ job }) => job === i)?.least ?? 0;
      tail[i] = Math.max(tail[i] ?? 0, (tail[j] ?? 0) + (laid.length[j] ?? 0) + least);
    }
  for (const j of order)
    for (const { job, least } of laid.before[j] ?? [])
      head[j] = Math.max(head[j] ?? 0, (head[job] ?? 0) + (laid.length[job] ?? 0) + least);
  const by = (rank: (i: number) => number) => Float64Array.from({ length: n }, (_, i) => rank(i));
  // What much else waits for weighs by what it holds of what is scarce.
  const scarce = by((i) =>
    [...(laid.holds[i] ?? []), ...(laid.spans[i] ?? []).map(({ held }) => held)].reduce(
      (sum, { resource, units }) =>
        sum + ((laid.length[i] ?? 0) * units) / Math.max(1, laid.units[resource] ?? 1),
      0,
    ),
  );
  return [
    by((i) => -(tail[i] ?? 0) - (laid.length[i] ?? 0)),
    by((i) => (head[i] ?? 0) - 1e-3 * (tail[i] ?? 0)),
    by((i) => -(tail[i] ?? 0) - (scarce[i] ?? 0)),
    by((i) => -(laid.next[i] ?? []).length * 600 - (tail[i] ?? 0) * 0.5),
    by((i) => i),
  ];
}

function topological(laid: Laid): number[] {
  const open = Int32Array.from({ length: laid.n }, (_, i) => (laid.before[i] ?? []).length);
  const order: number[] = [];
  for (let i = 0; i < laid.n; i += 1) if (open[i] === 0) order.push(i);
  for (let k = 0; k < order.length; k += 1)
    for (const j of laid.next[order[k] ?? 0] ?? []) {
      open[j] = (open[j] ?? 0) - 1;
      if (open[j] === 0) order.push(j);
    }
  if (order.length < laid.n) throw new Error('invariant: jobs come after one another in a ring');
  return order;
}

/** An order a little changed: a few jobs drawn forwards or put off, or two exchanged. */
function shaken(rank: ArrayLike<number>, { n }: Laid, chance: Chance): Float64Array {
  const out = Float64Array.from(rank);
  let low = Infinity;
  let high = -Infinity;
  for (let i = 0; i < n; i += 1) {
    low = Math.min(low, out[i] ?? 0);
    high = Math.max(high, out[i] ?? 0);
  }
  const span = Math.max(1, high - low);
  // Mostly a few, now and then many: a small day is stuck where only several at once help.
  const times = 1 + chance.below(chance.next() < 0.2 ? 8 : 3);
  for (let k = 0; k < times; k += 1) {
    const i = chance.below(n);
    if (chance.next() < 0.5) {
      const j = chance.below(n);
      [out[i], out[j]] = [out[j] ?? 0, out[i] ?? 0];
    } else out[i] = (out[i] ?? 0) + (chance.next() - 0.5) * span * (chance.next() < 0.3 ? 1 : 0.25);
  }
  return out;
}

/** Two orders laid over each other, with some noise. */
function mixed(rules: readonly Float64Array[], chance: Chance): Float64Array {
  const a = rules[chance.below(rules.length)] as Float64Array;
  const noise = 1 + chance.next() * 0.6;
  return Float64Array.from(a, (value) => value * (1 + (chance.next() - 0.5) * noise));
}
