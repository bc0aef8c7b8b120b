import type { Problem, Starts } from './problem';

/** What a day is worth, the less the better. In the order of the aims: each weighs more than all that stand after it. */
export interface Worth {
  /** From the first begin to the last end, s. */
  readonly spanS: number;
  /** From the first to the last time that somebody stands at it, s. */
  readonly feetS: number;
  /** Gaps with a limit of which less than a tenth is left: places where nothing may go wrong. */
  readonly squeezes: number;
  /** How long what is best fresh lies about before the end, s, weighted. */
  readonly staleS: number;
  /** How often a thing is changed from one setting to another. */
  readonly changes: number;
}

const TIGHT = 0.9;

/** What a day in the solver's own time is worth; `backwards` where that time runs from the end of the day. */
export function worthOf(problem: Problem, starts: Starts, backwards: boolean): Worth {
  let first = Infinity;
  let last = 0;
  let feetFrom = Infinity;
  let feetUntil = -Infinity;
  let squeezes = 0;
  let staleS = 0;
  const { jobs } = problem;
  for (let i = 0; i < jobs.length; i += 1) {
    const job = jobs[i] as (typeof jobs)[number];
    const from = starts[i] ?? 0;
    const until = from + job.lengthS;
    first = Math.min(first, from);
    last = Math.max(last, until);
    if (job.onFeet) {
      feetFrom = Math.min(feetFrom, from);
      feetUntil = Math.max(feetUntil, until);
    }
    for (const { job: before, leastS, mostS } of job.after) {
      if (mostS === null || mostS <= leastS) continue;
      const gap = from - ((starts[before] ?? 0) + (jobs[before]?.lengthS ?? 0));
      if (gap > leastS + (mostS - leastS) * TIGHT) squeezes += 1;
    }
    staleS += job.fresh * (backwards ? from : -until);
  }
  // Planned backwards, the end of the day stands fast: an empty hour before it counts as well.
  const spanS = jobs.length === 0 ? 0 : last - (backwards ? Math.min(0, first) : first);
  const feetS = feetUntil > feetFrom ? feetUntil - feetFrom : 0;
  return { spanS, feetS, squeezes, staleS, changes: changesOf(problem, starts) };
}

function changesOf({ jobs, resources }: Problem, starts: Starts): number {
  let changes = 0;
  resources.forEach((_, r) => {
    const uses: { readonly from: number; readonly mode: number }[] = [];
    jobs.forEach(({ holds }, i) => {
      for (const { resource, mode } of holds)
        if (resource === r && mode !== undefined) uses.push({ from: starts[i] ?? 0, mode });
    });
    uses.sort((a, b) => a.from - b.from);
    for (let k = 1; k < uses.length; k += 1) if (uses[k]?.mode !== uses[k - 1]?.mode) changes += 1;
  });
  return changes;
}

/** One number to compare days by, s: a squeeze is worth ten minutes of the day, a change of heat two. */
const SQUEEZE_S = 600;
const CHANGE_S = 120;
const FEET = 0.3;
const STALE = 0.01;

export const scoreOf = ({ spanS, feetS, squeezes, staleS, changes }: Worth): number =>
  spanS + FEET * feetS + SQUEEZE_S * squeezes + CHANGE_S * changes + STALE * staleS;
