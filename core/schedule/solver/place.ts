import { doorClear, type Door } from './door';
import type { Problem } from './problem';

/**
 * One schedule from one order of jobs: each in turn as early as what it comes after and what it holds allow. Where that is
 * later than a longest gap allows, the job before it is taken out and put in again later. Flat arrays: a search makes
 * thousands of these.
 */

/** A problem laid out for placing. */
export interface Laid {
  readonly n: number;
  readonly length: Float64Array;
  readonly floor0: Float64Array;
  readonly fixed: Float64Array;
  /** By job: what it comes after, and what comes after it. */
  readonly before: readonly (readonly {
    readonly job: number;
    readonly least: number;
    readonly most: number;
  }[])[];
  readonly next: readonly (readonly number[])[];
  readonly holds: readonly (readonly Held[])[];
  /** Whether it has a predecessor that it must follow closely. */
  readonly close: Uint8Array;
  /** By job, its places in spans. */
  readonly spans: readonly (readonly InSpan[])[];
  readonly units: Float64Array;
  readonly change: Float64Array;
  readonly closed: Problem['resources'][number]['closed'][];
}

interface Held {
  readonly resource: number;
  readonly units: number;
  /** −1 without one. */
  readonly mode: number;
  readonly door: Door | null;
}

interface InSpan {
  readonly held: Held;
  /** The job of the span before it; −1 for the first. */
  readonly previous: number;
  /** From the begin of this job to the end of the span at the least, s. */
  readonly leastS: number;
}

const EPS = 1e-6;
/** Jobs taken out and put in again, for each job at most, before an order is given up. */
const PATIENCE = 12;

export function laidOut(problem: Problem): Laid {
  const n = problem.jobs.length;
  const next: number[][] = problem.jobs.map(() => []);
  const before = problem.jobs.map(({ after }, i) =>
    after.map(({ job, leastS, mostS }) => {
      next[job]?.push(i);
      return { job, least: leastS, most: mostS ?? Infinity };
    }),
  );
  const held = ({ resource, units, mode, door }: Problem['spans'][number]['hold']): Held => ({
    resource,
    units,
    mode: mode ?? -1,
    door: door ?? null,
  });
  const spans: InSpan[][] = problem.jobs.map(() => []);
  for (const span of problem.spans) {
    let leastS = 0;
    for (let k = span.jobs.length - 1; k >= 0; k -= 1) {
      const job = span.jobs[k] ?? 0;
      leastS += problem.jobs[job]?.lengthS ?? 0;
      const previous = k === 0 ? -1 : (span.jobs[k - 1] ?? -1);
      spans[job]?.push({ held: held(span.hold), previous, leastS });
      leastS += before[job]?.find((gap) => gap.job === previous)?.least ?? 0;
    }
  }
  return {
    n,
    length: Float64Array.from(problem.jobs, ({ lengthS }) => lengthS),
    floor0: Float64Array.from(problem.jobs, ({ notBeforeS }) => notBeforeS ?? 0),
    fixed: Float64Array.from(problem.jobs, ({ fixedS }) => fixedS ?? NaN),
    before,
    next,
    close: Uint8Array.from(problem.jobs, ({ after }, i) =>
      Number(
        after.some(({ mostS }) => mostS !== null) || (spans[i] ?? []).some(({ previous }) => previous >= 0),
      ),
    ),
    holds: problem.jobs.map(({ holds }) => holds.map(held)),
    spans,
    units: Float64Array.from(problem.resources, ({ units }) => units),
    change: Float64Array.from(problem.resources, ({ changeS }) => changeS),
    closed: problem.resources.map(({ closed }) => [...closed]),
  };
}

/** A stretch of one mode. */
interface Moded {
  readonly job: number;
  readonly from: number;
  readonly until: number;
  readonly mode: number;
  readonly door: Door | null;
}

/** How much of one resource is held along time: a step at each place where that changes. */
class Calendar {
  /** From `times[i]` until the next one `loads[i]` is held. */
  private readonly times: number[] = [-Infinity];
  private readonly loads: number[] = [0];
  private readonly moded: Moded[] = [];

  constructor(
    private readonly units: number,
    private readonly change: number,
    closed: readonly (readonly [number, number])[],
  ) {
    for (const [from, until] of closed) this.hold(from, until, units);
  }

  add(job: number, from: number, until: number, { units, mode, door }: Held): void {
    this.hold(from, until, units);
    if (mode >= 0) this.moded.push({ job, from, until, mode, door });
  }

  remove(job: number, from: number, until: number, { units, mode }: Held): void {
    this.hold(from, until, -units);
    if (mode < 0) return;
    const at = this.moded.findIndex((one) => one.job === job && one.from === from);
    if (at >= 0) this.moded.splice(at, 1);
  }

  private hold(from: number, until: number, units: number): void {
    if (until - from <= EPS || units === 0) return;
    const first = this.stepAt(from);
    const last = this.stepAt(until);
    for (let i = first; i < last; i += 1) this.loads[i] = (this.loads[i] ?? 0) + units;
  }

  /** The step that begins just then, put in where there is none. */
  private stepAt(at: number): number {
    const i = this.stepOf(at);
    if (this.times[i] === at) return i;
    this.times.splice(i + 1, 0, at);
    this.loads.splice(i + 1, 0, this.loads[i] ?? 0);
    return i + 1;
  }

  /** The step that a time falls into. */
  private stepOf(at: number): number {
    let low = 0;
    let high = this.times.length - 1;
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if ((this.times[middle] ?? 0) <= at) low = middle;
      else high = middle - 1;
    }
    return low;
  }

  /** The first time from which so much is free all through; NaN where there never is. */
  firstFree(from: number, length: number, held: Held): number {
    if (held.units > this.units) return NaN;
    let at = from;
    for (;;) {
      const blocked = this.blockedUntil(at, at + length, held);
      if (blocked <= at + EPS) return at;
      at = blocked;
    }
  }

  /** Where not so much is free between two times: when it is free again after what is in the way; −Infinity where it is. */
  blockedUntil(from: number, until: number, { units, mode, door }: Held): number {
    // Jobs without length are in nobody's way and find anything free.
    if (until - from <= EPS) return -Infinity;
    const { times, loads } = this;
    let blocked = -Infinity;
    if (units > 0) {
      const room = this.units - units + EPS;
      for (let i = this.stepOf(from + EPS); i < times.length && (times[i] ?? 0) < until - EPS; i += 1) {
        if ((loads[i] ?? 0) <= room) continue;
        let next = i + 1;
        while (next < times.length && (loads[next] ?? 0) > room) next += 1;
        blocked = times[next] ?? Infinity;
        break;
      }
    }
    if (mode < 0) return blocked;
    for (const one of this.moded)
      if (one.mode !== mode) {
        if (one.from < until + this.change - EPS && one.until + this.change > from + EPS)
          blocked = Math.max(blocked, one.until + this.change);
      } else if (door && one.door && one.from < until && one.until > from)
        blocked = Math.max(blocked, doorClear(door, from, one.door, one.from));
    return blocked;
  }
}

/** Before every rank. */
const AT_ONCE = 1e9;

/**
 * An order made into times; null where it comes to none. `rank[i]` is that of job i: lower is placed first. With
 * `closeFirst`, what must follow something closely is placed at once after it: mostly a good day, never all of them.
 */
export function placed(laid: Laid, rank: ArrayLike<number>, closeFirst: boolean): Float64Array | null {
  const { n, length, before, next } = laid;
  const start = new Float64Array(n).fill(NaN);
  const floor = Float64Array.from(laid.floor0);
  const open = new Int32Array(n);
  for (let i = 0; i < n; i += 1) open[i] = (before[i] ?? []).length;
  const calendars = Array.from(
    laid.units,
    (units, r) => new Calendar(units, laid.change[r] ?? 0, laid.closed[r] ?? []),
  );
  const endOf = (i: number) => (start[i] ?? 0) + (length[i] ?? 0);
  /** Since when each job's spans are held, as they were put in. */
  const spanFrom: number[][] = [];
  let left = n;
  let patience = PATIENCE * n + 40;

  const occupy = (i: number, at: number) => {
    const until = at + (length[i] ?? 0);
    for (const held of laid.holds[i] ?? []) calendars[held.resource]?.add(i, at, until, held);
    const members = laid.spans[i] ?? [];
    if (members.length === 0) return;
    const from = members.map(({ previous }) => (previous < 0 ? at : endOf(previous)));
    members.forEach(({ held }, k) => calendars[held.resource]?.add(i, from[k] ?? at, until, held));
    spanFrom[i] = from;
  };
  const put = (i: number, at: number) => {
    start[i] = at;
    occupy(i, at);
    left -= 1;
    for (const j of next[i] ?? []) open[j] = (open[j] ?? 0) - 1;
  };
  const takeOut = (i: number): boolean => {
    if (Number.isNaN(start[i] ?? NaN)) return true;
    if (!Number.isNaN(laid.fixed[i] ?? NaN)) return false;
    for (const j of next[i] ?? []) if (!takeOut(j)) return false;
    const at = start[i] ?? 0;
    const until = at + (length[i] ?? 0);
    for (const held of laid.holds[i] ?? []) calendars[held.resource]?.remove(i, at, until, held);
    (laid.spans[i] ?? []).forEach(({ held }, k) =>
      calendars[held.resource]?.remove(i, spanFrom[i]?.[k] ?? at, until, held),
    );
    start[i] = NaN;
    left += 1;
    for (const j of next[i] ?? []) open[j] = (open[j] ?? 0) + 1;
    return true;
  };
  /** Takes a job out to be put in again no earlier than that. */
  const later = (i: number, notBefore: number): boolean => {
    patience -= 1;
    floor[i] = Math.max(floor[i] ?? 0, notBefore);
    return patience > 0 && takeOut(i);
  };

  for (let i = 0; i < n; i += 1) {
    const at = laid.fixed[i] ?? NaN;
    if (!Number.isNaN(at)) put(i, at);
  }
  while (left > 0) {
    let job = -1;
    let best = Infinity;
    for (let i = 0; i < n; i += 1) {
      if ((open[i] ?? 0) > 0 || !Number.isNaN(start[i] ?? NaN)) continue;
      const value = (rank[i] ?? 0) - (closeFirst && laid.close[i] ? AT_ONCE : 0);
      if (value < best) {
        best = value;
        job = i;
      }
    }
    if (job < 0) return null;
    const own = length[job] ?? 0;
    let earliest = floor[job] ?? 0;
    let latest = Infinity;
    let binding = -1;
    for (const gap of before[job] ?? []) {
      const end = endOf(gap.job);
      earliest = Math.max(earliest, end + gap.least);
      if (end + gap.most < latest) {
        latest = end + gap.most;
        binding = gap.job;
      }
    }
    let at = earliest;
    for (let moved = true; moved;) {
      moved = false;
      for (const held of laid.holds[job] ?? []) {
        const free = calendars[held.resource]?.firstFree(at, own, held) ?? NaN;
        if (Number.isNaN(free)) return null;
        if (free > at + EPS) [at, moved] = [free, true];
      }
      for (const { held, previous, leastS } of laid.spans[job] ?? []) {
        if (previous >= 0) continue;
        const free = calendars[held.resource]?.firstFree(at, leastS, held) ?? NaN;
        if (Number.isNaN(free)) return null;
        if (free > at + EPS) [at, moved] = [free, true];
      }
    }
    // What stands fast after it leaves it so much time, and is to follow closely enough.
    let last = Infinity;
    for (const j of next[job] ?? []) {
      const fast = laid.fixed[j] ?? NaN;
      if (Number.isNaN(fast)) continue;
      const gap = before[j]?.find((one) => one.job === job);
      last = Math.min(last, fast - own - (gap?.least ?? 0));
      const soonest = fast - own - (gap?.most ?? Infinity);
      if (at < soonest - EPS) {
        floor[job] = soonest;
        at = NaN;
        break;
      }
    }
    if (Number.isNaN(at)) {
      patience -= 1;
      if (patience <= 0) return null;
      continue;
    }
    if (at > last + EPS) return null;
    if (at > latest + EPS) {
      if (!later(binding, (start[binding] ?? 0) + (at - latest))) return null;
      continue;
    }
    // What a span goes on holding has to be free up to the end of this job.
    let inTheWay = -1;
    let until = 0;
    for (const { held, previous } of laid.spans[job] ?? []) {
      if (previous < 0) continue;
      const blocked = calendars[held.resource]?.blockedUntil(endOf(previous), at + own, held) ?? -Infinity;
      if (blocked > -Infinity) [inTheWay, until] = [previous, blocked];
    }
    if (inTheWay >= 0) {
      if (!later(inTheWay, Math.max(until, (start[inTheWay] ?? 0) + 1))) return null;
      continue;
    }
    put(job, at);
  }
  return start;
}
