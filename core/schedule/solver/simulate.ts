import { chanceOf } from './chance';
import type { Problem, Starts } from './problem';

/** How far a job's length may be off, as spreads of its logarithm. */
export interface Doubt {
  /** What it shares its doubt with: one slow oven is slow for all that is in it. Null where it shares none. */
  readonly cause: string | null;
  readonly shared: number;
  readonly own: number;
}

/** What came of many days that went as days go. */
export interface Simulated {
  /** How much earlier the day has to begin for nine days in ten to be ready in time, s. */
  readonly marginS: number;
  /** Of all days, how many were ready in time with so much in hand, 0 to 1. */
  readonly inTime: (inHandS: number) => number;
  /** What eats the margin, the most first: causes and jobs that share none, with their part of all lateness. */
  readonly eaters: readonly { readonly of: string; readonly part: number }[];
}

export interface SimulateOptions {
  readonly seed: number;
  readonly days: number;
  /** Days that are to be ready in time, 0 to 1. */
  readonly sure: number;
  /** By job, when what it is for must be ready, s; the end of the plan where nothing is said. */
  readonly dues?: readonly number[];
}

/**
 * Works a planned day many times over: nothing is begun before its planned time, everything waits for what it comes after
 * and for what it holds, in the planned order.
 */
export function simulated(
  problem: Problem,
  starts: Starts,
  doubts: readonly Doubt[],
  { seed, days, sure, dues }: SimulateOptions,
): Simulated {
  const { jobs } = problem;
  const waits = waitsOf(problem, starts);
  const order = jobs.map((_, i) => i).sort((a, b) => (starts[a] ?? 0) - (starts[b] ?? 0) || a - b);
  const causes = [...new Set(doubts.flatMap(({ cause }) => (cause === null ? [] : [cause])))];
  const causeOf = doubts.map(({ cause }) => (cause === null ? -1 : causes.indexOf(cause)));
  const planned = Math.max(...jobs.map(({ lengthS }, i) => (starts[i] ?? 0) + lengthS), -Infinity);
  const chance = chanceOf(seed);
  const late = new Float64Array(days);
  const eaters = Array.from({ length: causes.length + jobs.length }, () => new Float64Array(days));
  const end = new Float64Array(jobs.length);
  for (let day = 0; day < days; day += 1) {
    const shared = causes.map(() => chance.normal());
    let lateBy = -Infinity;
    for (const i of order) {
      const { lengthS } = jobs[i] as (typeof jobs)[number];
      const { shared: byCause, own } = doubts[i] as Doubt;
      const cause = causeOf[i] ?? -1;
      const off = byCause * (shared[cause] ?? 0) + own * chance.normal();
      const length = lengthS * Math.exp(off);
      let at = starts[i] ?? 0;
      for (const { job, leastS } of waits[i] ?? []) at = Math.max(at, (end[job] ?? 0) + leastS);
      end[i] = at + length;
      lateBy = Math.max(lateBy, (end[i] ?? 0) - (dues?.[i] ?? planned));
      const of = eaters[cause < 0 ? causes.length + i : cause];
      if (of) of[day] = (of[day] ?? 0) + length - lengthS;
    }
    late[day] = jobs.length === 0 ? 0 : lateBy;
  }
  const sorted = Float64Array.from(late).sort();
  const at = Math.min(days - 1, Math.max(0, Math.ceil(sure * days) - 1));
  return {
    marginS: Math.max(0, sorted[at] ?? 0),
    inTime: (inHandS) => atMost(sorted, inHandS) / days,
    eaters: partsOf(late, eaters, [...causes, ...jobs.map(({ id }) => id)]),
  };
}

/** How many of sorted values are no more than that. */
function atMost(sorted: Float64Array, value: number): number {
  let low = 0;
  let high = sorted.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((sorted[middle] ?? 0) <= value + 1e-6) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** By how much what each took more goes with how late the day was: its covariance, of all that go with it. */
function partsOf(
  late: Float64Array,
  eaters: readonly Float64Array[],
  names: readonly string[],
): Simulated['eaters'] {
  const mean = (values: Float64Array) => values.reduce((sum, one) => sum + one, 0) / values.length;
  const lateMean = mean(late);
  const shares = eaters.map((values, i) => {
    const own = mean(values);
    let sum = 0;
    for (let day = 0; day < values.length; day += 1)
      sum += ((values[day] ?? 0) - own) * ((late[day] ?? 0) - lateMean);
    return { of: names[i] ?? '', part: Math.max(0, sum) };
  });
  const all = shares.reduce((sum, { part }) => sum + part, 0);
  return shares
    .filter(({ part }) => part > 0)
    .map(({ of, part }) => ({ of, part: part / all }))
    .sort((a, b) => b.part - a.part);
}

interface Wait {
  readonly job: number;
  readonly leastS: number;
}

/** What each job waits for: what it comes after, and those before it on what it holds. */
function waitsOf({ jobs, resources, spans }: Problem, starts: Starts): Wait[][] {
  const waits: Wait[][] = jobs.map(({ after }) => after.map(({ job, leastS }) => ({ job, leastS })));
  const until = (i: number) => (starts[i] ?? 0) + (jobs[i]?.lengthS ?? 0);
  resources.forEach((resource, r) => {
    for (const [first, second, leastS] of doorWaits(jobs, r, starts))
      waits[second]?.push({ job: first, leastS });
    /** A hold: begun by one job, ended by another (mostly the same). */
    const held = [
      ...jobs.flatMap(({ holds }, i) =>
        holds.filter((one) => one.resource === r).map((one) => ({ ...one, first: i, last: i })),
      ),
      ...spans
        .filter(({ hold }) => hold.resource === r)
        .map(({ hold, jobs: members }) => ({ ...hold, first: members[0] ?? 0, last: members.at(-1) ?? 0 })),
    ].sort((a, b) => (starts[a.first] ?? 0) - (starts[b.first] ?? 0));
    // Units, each with the job that held it last: a new one takes those that came free last.
    let free: { readonly by: number | null; readonly units: number; readonly mode: number | undefined }[] = [
      { by: null, units: resource.units, mode: undefined },
    ];
    const busy: typeof held = [];
    for (const one of held) {
      const begins = starts[one.first] ?? 0;
      for (let k = busy.length - 1; k >= 0; k -= 1) {
        const other = busy[k] as (typeof held)[number];
        if (until(other.last) > begins + 1e-6) continue;
        free.push({ by: other.last, units: other.units, mode: other.mode });
        busy.splice(k, 1);
        // The heat has to change for all that is in it, wherever in it it stands.
        if (one.mode !== undefined && other.mode !== undefined && one.mode !== other.mode)
          waits[one.first]?.push({ job: other.last, leastS: resource.changeS });
      }
      free = free.sort(
        (a, b) => (b.by === null ? -Infinity : until(b.by)) - (a.by === null ? -Infinity : until(a.by)),
      );
      let wanted = one.units;
      const rest: typeof free = [];
      for (const some of free) {
        const taken = Math.min(wanted, some.units);
        if (taken > 0 && some.by !== null && some.by !== one.first)
          waits[one.first]?.push({ job: some.by, leastS: 0 });
        wanted -= taken;
        if (some.units > taken) rest.push({ ...some, units: some.units - taken });
      }
      free = rest;
      busy.push(one);
    }
  });
  return waits;
}

/** Who waits for whom at a door that is not to be opened: jobs, the second after the first, and how long after its end, s. */
function doorWaits(
  jobs: Problem['jobs'],
  resource: number,
  starts: Starts,
): (readonly [number, number, number])[] {
  const doors = jobs.flatMap(({ holds, lengthS }, i) =>
    holds.flatMap((one) =>
      one.resource === resource && one.door ? [{ i, lengthS, at: starts[i] ?? 0, door: one.door }] : [],
    ),
  );
  return doors.flatMap((shut) =>
    doors.flatMap((other) =>
      other.i === shut.i || other.at + other.lengthS < shut.at || other.at > shut.at + shut.lengthS
        ? []
        : shut.door.quiet.flatMap(([from, until]): (readonly [number, number, number])[] => {
            // Put in once it has set, and taken out before it went in.
            const [putIn, takenOut] = [other.at - shut.at, other.at + other.lengthS - shut.at];
            if (putIn >= until - 1) return [[shut.i, other.i, until - shut.lengthS]];
            return takenOut <= from + 1 ? [[other.i, shut.i, -from]] : [];
          }),
    ),
  );
}
