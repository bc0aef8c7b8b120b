import { turnedDoor, type Door } from './door';

/**
 * A day as the solver sees it: jobs of known length on things that are finite. Times are seconds; the solver reckons
 * forwards from 0. A day that is planned backwards from its end is the same problem turned round (`reversed`).
 */

/** What a job holds while it lasts. */
export interface JobHold {
  /** Place in the problem's resources. */
  readonly resource: number;
  readonly units: number;
  /** A setting that all who share the resource at once must agree on: an oven's heat. Left out where there is none. */
  readonly mode?: number;
  /** When its door is opened and is not to be; only with a setting. */
  readonly door?: Door;
}

/** A job begins so long after another has ended: at least, and at most where there is a limit. */
export interface JobGap {
  /** Place in the problem's jobs. */
  readonly job: number;
  /** 0 or more. */
  readonly leastS: number;
  readonly mostS: number | null;
}

export interface Job {
  readonly id: string;
  /** 0 or more. */
  readonly lengthS: number;
  readonly holds: readonly JobHold[];
  readonly after: readonly JobGap[];
  /** Somebody stands at it: the day on one's feet is counted from the first such job to the last. */
  readonly onFeet: boolean;
  /** It is done as late as can be for the sake of freshness: how much that counts against others, 0 or more. */
  readonly fresh: number;
  /** No earlier than this, s; left out where it may begin at any time. */
  readonly notBeforeS?: number;
  /** Has ended by then, s; left out where it may end at any time. */
  readonly endsByS?: number;
  /** Begins at this very time: it has begun already, or somebody holds it there. */
  readonly fixedS?: number;
}

export interface JobResource {
  readonly id: string;
  /** Units there are. */
  readonly units: number;
  /** Seconds between two jobs of different modes. */
  readonly changeS: number;
  /** When none of it can be had: from, until. */
  readonly closed: readonly (readonly [number, number])[];
}

/** Something that is held from the beginning of one job to the end of another: a tin from filling to washing. */
export interface Span {
  readonly hold: JobHold;
  /** Jobs in their order, each after the one before it. */
  readonly jobs: readonly number[];
}

export interface Problem {
  readonly jobs: readonly Job[];
  readonly resources: readonly JobResource[];
  readonly spans: readonly Span[];
}

/** When each job begins, s, in the problem's order of jobs. */
export type Starts = readonly number[];

/** The same day with its time turned round: what comes first comes last. */
export function reversed(problem: Problem): Problem {
  const after: JobGap[][] = problem.jobs.map(() => []);
  problem.jobs.forEach((job, i) => {
    for (const { job: before, leastS, mostS } of job.after) after[before]?.push({ job: i, leastS, mostS });
  });
  return {
    jobs: problem.jobs.map((job, i) => {
      const { fixedS, notBeforeS, endsByS, ...rest } = job;
      return {
        ...rest,
        holds: job.holds.map((hold) =>
          hold.door ? { ...hold, door: turnedDoor(hold.door, job.lengthS) } : hold,
        ),
        after: after[i] ?? [],
        ...(fixedS === undefined ? {} : { fixedS: -(fixedS + job.lengthS) }),
        ...(endsByS === undefined ? {} : { notBeforeS: -endsByS }),
        ...(notBeforeS === undefined ? {} : { endsByS: -notBeforeS }),
      };
    }),
    resources: problem.resources.map((one) => ({
      ...one,
      closed: one.closed.map(([from, until]) => [-until, -from] as const),
    })),
    spans: problem.spans.map(({ hold, jobs }) => ({ hold, jobs: [...jobs].reverse() })),
  };
}

/** Begins of jobs that were reckoned in the reversed problem, in the time of the problem itself. */
export const turnedBack = ({ jobs }: Problem, starts: Starts): number[] =>
  starts.map((start, i) => {
    const real = -(start + (jobs[i]?.lengthS ?? 0));
    return real === 0 ? 0 : real;
  });

/** From the first begin to the last end, s; 0 without jobs. */
export function makespanS({ jobs }: Problem, starts: Starts): number {
  let from = Infinity;
  let until = -Infinity;
  jobs.forEach(({ lengthS }, i) => {
    from = Math.min(from, starts[i] ?? 0);
    until = Math.max(until, (starts[i] ?? 0) + lengthS);
  });
  return jobs.length === 0 ? 0 : until - from;
}
