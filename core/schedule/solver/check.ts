/**
 * Holds a day against its problem, second by second where it matters. Shares nothing with the solver but the problem: its
 * own sums, its own way round time.
 */
import type { JobHold, Problem, Starts } from './problem';

export type Breach =
  | { readonly breach: 'missing'; readonly job: string }
  | { readonly breach: 'too soon'; readonly job: string; readonly after: string; readonly byS: number }
  | { readonly breach: 'too late'; readonly job: string; readonly after: string; readonly byS: number }
  | { readonly breach: 'too many'; readonly resource: string; readonly atS: number; readonly units: number }
  | { readonly breach: 'two settings'; readonly resource: string; readonly jobs: readonly [string, string] }
  | { readonly breach: 'door'; readonly resource: string; readonly jobs: readonly [string, string] }
  | { readonly breach: 'closed'; readonly resource: string; readonly job: string }
  | { readonly breach: 'not ended'; readonly job: string; readonly byS: number }
  | { readonly breach: 'begun before'; readonly job: string; readonly byS: number }
  | { readonly breach: 'moved'; readonly job: string };

const SLACK_S = 0.5;

interface Stretch {
  readonly job: string;
  readonly from: number;
  readonly until: number;
  readonly units: number;
  readonly mode: number | undefined;
  readonly door?: JobHold['door'];
}

/** All that a day breaks; empty where it can be worked. */
export function breachesOf(problem: Problem, starts: Starts): Breach[] {
  const out: Breach[] = [];
  const { jobs } = problem;
  const missing = jobs.filter((_, i) => !Number.isFinite(starts[i] ?? NaN));
  if (missing.length > 0 || starts.length !== jobs.length)
    return missing.map(({ id }) => ({ breach: 'missing', job: id }));
  const from = (i: number) => starts[i] as number;
  const until = (i: number) => from(i) + (jobs[i]?.lengthS ?? 0);
  jobs.forEach((job, i) => {
    for (const gap of job.after) {
      const waited = from(i) - until(gap.job);
      const after = jobs[gap.job]?.id ?? '';
      if (waited < gap.leastS - SLACK_S)
        out.push({ breach: 'too soon', job: job.id, after, byS: gap.leastS - waited });
      if (gap.mostS !== null && waited > gap.mostS + SLACK_S)
        out.push({ breach: 'too late', job: job.id, after, byS: waited - gap.mostS });
    }
    if (job.endsByS !== undefined && until(i) > job.endsByS + SLACK_S)
      out.push({ breach: 'not ended', job: job.id, byS: until(i) - job.endsByS });
    if (job.notBeforeS !== undefined && from(i) < job.notBeforeS - SLACK_S)
      out.push({ breach: 'begun before', job: job.id, byS: job.notBeforeS - from(i) });
    if (job.fixedS !== undefined && Math.abs(from(i) - job.fixedS) > SLACK_S)
      out.push({ breach: 'moved', job: job.id });
  });
  problem.resources.forEach((resource, r) => {
    const stretches: Stretch[] = [];
    jobs.forEach((job, i) => {
      for (const { resource: of, units, mode, door } of job.holds)
        if (of === r) stretches.push({ job: job.id, from: from(i), until: until(i), units, mode, door });
    });
    for (const { hold, jobs: members } of problem.spans) {
      if (hold.resource !== r) continue;
      const first = members[0] as number;
      const last = members.at(-1) as number;
      stretches.push({
        job: jobs[first]?.id ?? '',
        from: from(first),
        until: until(last),
        units: hold.units,
        mode: hold.mode,
      });
    }
    out.push(...overfull(resource.id, resource.units, stretches));
    out.push(...unlike(resource.id, resource.changeS, stretches));
    out.push(...openedOn(resource.id, stretches));
    for (const one of stretches)
      if (
        one.until - one.from > SLACK_S &&
        resource.closed.some(([a, b]) => one.from < b - SLACK_S && one.until > a + SLACK_S)
      )
        out.push({ breach: 'closed', resource: resource.id, job: one.job });
  });
  return out;
}

/** Counts what is held up and down along the day. */
function overfull(resource: string, units: number, stretches: readonly Stretch[]): Breach[] {
  const turns = stretches
    .filter(({ from, until }) => until - from > SLACK_S)
    .flatMap((one) => [
      { at: one.from + SLACK_S / 4, by: one.units },
      { at: one.until - SLACK_S / 4, by: -one.units },
    ])
    .sort((a, b) => a.at - b.at || a.by - b.by);
  let held = 0;
  for (const { at, by } of turns) {
    held += by;
    if (held > units + 1e-6) return [{ breach: 'too many', resource, atS: at, units: held }];
  }
  return [];
}

function unlike(resource: string, changeS: number, stretches: readonly Stretch[]): Breach[] {
  const moded = stretches.filter(({ mode }) => mode !== undefined).sort((a, b) => a.from - b.from);
  for (let i = 0; i < moded.length; i += 1)
    for (let j = i + 1; j < moded.length; j += 1) {
      const [a, b] = [moded[i] as Stretch, moded[j] as Stretch];
      if (a.mode === b.mode) continue;
      if (b.from < a.until + changeS - SLACK_S && a.from < b.until + changeS - SLACK_S)
        return [{ breach: 'two settings', resource, jobs: [a.job, b.job] }];
    }
  return [];
}

/** Whom the door is opened on by another while it is to stay shut. */
function openedOn(resource: string, stretches: readonly Stretch[]): Breach[] {
  return stretches.flatMap((shut) =>
    (shut.door?.quiet ?? []).flatMap(([from, until]) =>
      stretches
        .filter(
          (other) =>
            other !== shut &&
            (other.door?.opens ?? []).some((opened) => {
              const since = other.from + opened - shut.from;
              return since > from + SLACK_S && since < until - SLACK_S;
            }),
        )
        .map((other): Breach => ({ breach: 'door', resource, jobs: [shut.job, other.job] })),
    ),
  );
}
