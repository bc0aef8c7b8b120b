import { doorFloor, type Starts } from '../solver';
import type { Chore } from './chore';
import type { Posed } from './problemOf';

/** What waits begins as soon as what it waits for is done, not as late as it might. */
export function waitsAtOnce(posed: Posed, chores: readonly Chore[], found: Starts): Starts {
  const starts = [...found];
  const order = chores.map((_, i) => i).sort((a, b) => (found[a] ?? 0) - (found[b] ?? 0));
  for (const i of order) {
    if (chores[i]?.kind !== 'wait') continue;
    const slackS = slackOf(posed, starts, [i])[0]?.slackS ?? 0;
    starts[i] = (starts[i] ?? 0) - slackS;
  }
  return starts;
}

/** How much earlier each chore could begin while all others stay, and what is in its way. */
export function slackOf(
  { problem }: Posed,
  starts: Starts,
  of: readonly number[] = problem.jobs.map((_, i) => i),
): { readonly slackS: number; readonly by: number }[] {
  const { jobs, resources, spans } = problem;
  const start = (i: number) => starts[i] ?? 0;
  const end = (i: number) => start(i) + (jobs[i]?.lengthS ?? 0);
  const first = Math.min(...jobs.map((_, i) => start(i)));
  const uses = resources.map((_, r) => [
    ...jobs.flatMap(({ holds }, i) =>
      holds
        .filter(({ resource }) => resource === r)
        .map(({ units, mode, door }) => ({ job: i, from: start(i), until: end(i), units, mode, door })),
    ),
    ...spans
      .filter(({ hold }) => hold.resource === r)
      .map(({ hold: { units, mode }, jobs: members }) => ({
        job: members[0] ?? -1,
        from: start(members[0] ?? 0),
        until: end(members.at(-1) ?? 0),
        units,
        mode,
        door: undefined,
      })),
  ]);
  /** How much of a thing others hold just before that time. */
  const heldAt = (resource: number, at: number, but: number): number => {
    let sum = 0;
    for (const one of uses[resource] ?? [])
      if (one.job !== but && one.from < at - 1e-6 && one.until >= at - 1e-6) sum += one.units;
    return sum;
  };
  return of.map((i) => {
    const job = jobs[i] as (typeof jobs)[number];
    let earliest = first;
    let by = -1;
    const limit = (at: number, other: number) => {
      if (at > earliest + 1e-6) [earliest, by] = [Math.min(at, start(i)), other];
    };
    for (const gap of job.after) limit(end(gap.job) + gap.leastS, gap.job);
    jobs.forEach((next, j) => {
      for (const gap of next.after)
        if (gap.job === i && gap.mostS !== null) limit(start(j) - gap.mostS - job.lengthS, j);
    });
    const held = [
      ...job.holds,
      ...spans.filter(({ jobs: members }) => members[0] === i).map(({ hold }) => hold),
    ];
    for (const { resource, units, mode, door } of held) {
      const all = resources[resource];
      // Where it would meet others that leave too little, or another heat.
      for (const use of uses[resource] ?? []) {
        if (use.job === i) continue;
        if (door && use.door && use.mode === mode)
          limit(doorFloor(door, start(i), use.door, use.from), use.job);
        if (use.until > start(i) + 1e-6) continue;
        const other = mode !== undefined && use.mode !== undefined && use.mode !== mode;
        if (other) limit(use.until + (all?.changeS ?? 0), use.job);
        else if (use.until > earliest && heldAt(resource, use.until, i) + units > (all?.units ?? 0) + 1e-6)
          limit(use.until, use.job);
      }
    }
    return { slackS: Math.max(0, start(i) - earliest), by };
  });
}
