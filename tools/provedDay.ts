/**
 * A small day's shortest span, proved by a solver of integer programs: one yes-or-no for each job and each step at which
 * it could begin. Written apart from the day's own solver; only the problem is shared.
 */
import highsOf from 'highs';
import type { Problem } from '../core/schedule/solver';

export interface Proof {
  /** Steps of the shortest day. */
  readonly steps: number;
  readonly proved: boolean;
}

type Term = string;

/** @param knownSteps a day of that many steps is known to be possible. */
export async function provedSpan(
  problem: Problem,
  stepS: number,
  knownSteps: number,
  limitS: number,
): Promise<Proof> {
  const { jobs, resources, spans } = problem;
  const steps = (seconds: number) => Math.round(seconds / stepS);
  const length = jobs.map(({ lengthS }) => steps(lengthS));
  const head = jobs.map(() => 0);
  const tail = jobs.map((_, i) => length[i] ?? 0);
  for (let round = 0; round < jobs.length; round += 1)
    jobs.forEach((job, j) =>
      job.after.forEach(({ job: i, leastS }) => {
        head[j] = Math.max(head[j] ?? 0, (head[i] ?? 0) + (length[i] ?? 0) + steps(leastS));
        tail[i] = Math.max(tail[i] ?? 0, (length[i] ?? 0) + steps(leastS) + (tail[j] ?? 0));
      }),
    );
  const times = (i: number) => {
    const out: number[] = [];
    for (let t = head[i] ?? 0; t <= knownSteps - (tail[i] ?? 0); t += 1) out.push(t);
    return out;
  };
  const x = (i: number, t: number): Term => `x${i}_${t}`;
  const rows: string[] = [];
  const binaries: Term[] = [];
  const begunBy = (i: number, t: number): Term[] =>
    times(i)
      .filter((at) => at <= t)
      .map((at) => x(i, at));
  const sumOf = (terms: readonly Term[], by = 1) =>
    terms.map((term) => `${by < 0 ? '-' : '+'} ${Math.abs(by)} ${term}`);
  jobs.forEach((job, i) => {
    rows.push(`${sumOf(times(i).map((t) => x(i, t))).join(' ')} = 1`);
    binaries.push(...times(i).map((t) => x(i, t)));
    rows.push(
      `m ${times(i)
        .map((t) => `- ${t} ${x(i, t)}`)
        .join(' ')} >= ${length[i]}`,
    );
    for (const { job: before, leastS, mostS } of job.after) {
      const own = length[before] ?? 0;
      for (const t of times(i)) {
        // Begun by t only where the one before it was begun early enough.
        rows.push(
          `${[...sumOf(begunBy(before, t - own - steps(leastS))), ...sumOf(begunBy(i, t), -1)].join(' ')} >= 0`,
        );
      }
      if (mostS !== null)
        for (const t of times(before))
          rows.push(
            `${[...sumOf(begunBy(i, t + own + steps(mostS))), ...sumOf(begunBy(before, t), -1)].join(' ')} >= 0`,
          );
    }
  });
  const during = (i: number, t: number): Term[] =>
    times(i)
      .filter((at) => at <= t && t < at + (length[i] ?? 0))
      .map((at) => x(i, at));
  resources.forEach((resource, r) => {
    const modes = [
      ...new Set(
        jobs.flatMap(({ holds }) =>
          holds.flatMap((one) => (one.resource === r && one.mode !== undefined ? [one.mode] : [])),
        ),
      ),
    ];
    rows.push(...doorRows(problem, r, steps, { times, x }));
    const z = (mode: number, t: number): Term => `z${r}_${mode}_${t}`;
    for (let t = 0; t < knownSteps; t += 1) {
      const held = (of: (mode: number | undefined) => boolean): string[] => [
        ...jobs.flatMap(({ holds }, i) =>
          holds
            .filter((one) => one.resource === r && of(one.mode))
            .flatMap(({ units }) => sumOf(during(i, t), units)),
        ),
        ...spans
          .filter(({ hold }) => hold.resource === r && of(hold.mode))
          .flatMap(({ hold, jobs: members }) => {
            const first = members[0] ?? 0;
            const last = members.at(-1) ?? 0;
            return [
              ...sumOf(begunBy(first, t), hold.units),
              ...sumOf(begunBy(last, t - (length[last] ?? 0)), -hold.units),
            ];
          }),
      ];
      const all = held(() => true);
      if (all.length > 0) rows.push(`${all.join(' ')} <= ${resource.units}`);
      if (modes.length < 2) continue;
      for (const mode of modes) {
        const own = held((one) => one === mode);
        if (own.length > 0) rows.push(`${own.join(' ')} - ${resource.units} ${z(mode, t)} <= 0`);
        binaries.push(z(mode, t));
        for (const other of modes)
          if (other !== mode)
            for (let u = t; u <= Math.min(knownSteps - 1, t + steps(resource.changeS)); u += 1)
              rows.push(`${z(mode, t)} + ${z(other, u)} <= 1`);
      }
    }
  });
  const text = [
    'Minimize\n obj: m',
    'Subject To',
    ...rows.filter((row) => row.trim() !== '>= 0').map((row, i) => ` c${i}: ${row}`),
    'Bounds',
    ` ${Math.max(...head.map((at, i) => at + (tail[i] ?? 0)))} <= m <= ${knownSteps}`,
    'General\n m',
    'Binary',
    ...binaries.map((one) => ` ${one}`),
    'End',
  ].join('\n');
  const highs = await highsOf();
  const solved = highs.solve(text, { time_limit: limitS, mip_rel_gap: 0 });
  return { steps: Math.round(solved.ObjectiveValue), proved: solved.Status === 'Optimal' };
}

/** A door that is to stay shut is opened by nobody: for each begin of the one, no begin of the other that opens it. */
function doorRows(
  { jobs }: Problem,
  resource: number,
  steps: (seconds: number) => number,
  { times, x }: { readonly times: (i: number) => number[]; readonly x: (i: number, t: number) => Term },
): string[] {
  const doors = jobs.flatMap(({ holds }, i) =>
    holds.flatMap(({ resource: of, door }) => (of === resource && door ? [{ i, door }] : [])),
  );
  return doors.flatMap((shut) =>
    doors.flatMap((other) =>
      other.i === shut.i
        ? []
        : times(shut.i).flatMap((t) => {
            const on = times(other.i).filter((at) =>
              other.door.opens.some((opened) =>
                shut.door.quiet.some(
                  ([from, until]) =>
                    at + steps(opened) > t + steps(from) && at + steps(opened) < t + steps(until),
                ),
              ),
            );
            if (on.length === 0) return [];
            const sum = on.map((at) => `+ 1 ${x(other.i, at)}`).join(' ');
            return [`${sum} + 1 ${x(shut.i, t)} <= 1`];
          }),
    ),
  );
}
