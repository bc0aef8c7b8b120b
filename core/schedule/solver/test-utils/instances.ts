import { chanceOf, type Chance } from '../chance';
import type { Door } from '../door';
import type { Job, JobGap, JobHold, Problem, Span } from '../problem';

/** Seconds of one step of the small days that are proved optimal: their lengths and gaps are whole numbers of it. */
export const STEP_S = 300;

const HANDS = 0;
const OVEN = 1;
const TIN = 2;

/** Opened at its ends, and shut for some seven tenths of its time, in whole steps. */
const doorOf = (lengthS: number, stepS: number): Door => ({
  opens: [0, lengthS],
  quiet: [[0, Math.round((0.7 * lengthS) / stepS) * stepS]],
});

/** Jobs as they are added, each as fresh as that. */
function jobList(fresh: number): { readonly jobs: Job[]; readonly add: Add } {
  const jobs: Job[] = [];
  return {
    jobs,
    add: (id, lengthS, holds, after) => {
      const onFeet = holds.some(({ resource }) => resource === HANDS);
      jobs.push({ id: `${id}-${jobs.length}`, lengthS, holds, after, onFeet, fresh });
      return jobs.length - 1;
    },
  };
}

/**
 * Small days with rounds, longest gaps and several resources, drawn from a seed: lines of a bowl, loads that are filled,
 * baked, stood and turned out of tins that come round again, and a finish.
 */
export function smallDay(seed: number): Problem {
  const chance = chanceOf(seed);
  const spans: Span[] = [];
  const { jobs, add: adding } = jobList(0);
  const add = (id: string, steps: number, holds: readonly JobHold[], after: readonly JobGap[]) =>
    adding(id, steps * STEP_S, holds, after);
  const hands: readonly JobHold[] = [{ resource: HANDS, units: 1 }];
  const gap = (job: number, least = 0, most: number | null = null): JobGap => ({
    job,
    leastS: least * STEP_S,
    mostS: most === null ? null : most * STEP_S,
  });
  const some = (from: number, to: number) => from + chance.below(to - from + 1);
  const lines = some(2, 3);
  for (let line = 0; line < lines; line += 1) {
    const heat = chance.below(2);
    const mix = add('mix', some(1, 3), hands, []);
    const loads = lines === 3 ? 1 + chance.below(2) : some(1, 3);
    const done: number[] = [];
    for (let load = 0; load < loads && jobs.length < 22; load += 1) {
      const fill = add('fill', some(1, 2), hands, [gap(mix, 0, load === 0 ? some(2, 4) : null)]);
      const length = some(3, 5);
      const bake = add(
        'bake',
        length,
        [{ resource: OVEN, units: 1, mode: heat, door: doorOf(length * STEP_S, STEP_S) }],
        [gap(fill, 0, some(1, 3))],
      );
      const out = add('turn out', 1, hands, [gap(bake, 1, 3)]);
      spans.push({ hold: { resource: TIN, units: 1 }, jobs: [fill, bake, out] });
      done.push(out);
    }
    const cool = add(
      'cool',
      some(2, 4),
      [],
      done.map((one) => gap(one)),
    );
    if (jobs.length < 24) add('finish', some(1, 3), hands, [gap(cool, 0, chance.next() < 0.5 ? 4 : null)]);
  }
  return {
    jobs,
    spans,
    resources: [
      { id: 'hands', units: 1, changeS: 0, closed: [] },
      { id: 'oven', units: some(1, 2), changeS: 2 * STEP_S, closed: [] },
      { id: 'tin', units: some(1, 2), changeS: 0, closed: [] },
    ],
  };
}

/** An evening of so many lines, or several days of them: some twelve jobs a line. */
export function largeDay(seed: number, lines: number): Problem {
  const chance = chanceOf(seed);
  const spans: Span[] = [];
  const minutes = (from: number, to: number) => Math.round(from + chance.next() * (to - from)) * 60;
  const { jobs, add } = jobList(1);
  const hands: readonly JobHold[] = [{ resource: HANDS, units: 1 }];
  const gap = (job: number, leastS = 0, mostS: number | null = null): JobGap => ({ job, leastS, mostS });
  for (let line = 0; line < lines; line += 1) {
    if (line % 4 === 3) mouldLine(chance, add, gap, hands, spans, minutes);
    else tinLine(chance, add, gap, hands, spans, minutes, line);
  }
  return {
    jobs,
    spans,
    resources: [
      { id: 'hands', units: 2, changeS: 0, closed: [] },
      { id: 'oven', units: 2, changeS: 600, closed: [] },
      { id: 'tin', units: 4, changeS: 0, closed: [] },
      { id: 'mould', units: 1, changeS: 0, closed: [] },
      { id: 'freezer', units: 3, changeS: 0, closed: [] },
    ],
  };
}

type Add = (id: string, lengthS: number, holds: readonly JobHold[], after: readonly JobGap[]) => number;
type Gap = (job: number, leastS?: number, mostS?: number | null) => JobGap;

function tinLine(
  chance: Chance,
  add: Add,
  gap: Gap,
  hands: readonly JobHold[],
  spans: Span[],
  minutes: (from: number, to: number) => number,
  line: number,
): void {
  const weigh = add('weigh', minutes(4, 8), hands, []);
  const mix = add('mix', minutes(5, 10), hands, [gap(weigh)]);
  const loads = 1 + chance.below(3);
  const out: number[] = [];
  for (let load = 0; load < loads; load += 1) {
    const fill = add('fill', minutes(2, 4), hands, [gap(mix, 0, 5400)]);
    const lengthS = minutes(18, 26);
    const bake = add(
      'bake',
      lengthS,
      [{ resource: OVEN, units: 1, mode: line % 2, door: doorOf(lengthS, 60) }],
      [gap(fill, 0, 900)],
    );
    const stand = add('stand', 300, [], [gap(bake, 0, 0)]);
    const turned = add('turn out', minutes(2, 3), hands, [gap(stand, 0, 600)]);
    spans.push({ hold: { resource: TIN, units: 1 }, jobs: [fill, bake, stand, turned] });
    out.push(turned);
  }
  const cool = add(
    'cool',
    minutes(30, 50),
    [],
    out.map((one) => gap(one)),
  );
  const frosting = add('frosting', minutes(8, 15), hands, []);
  const frost = add('frost', minutes(8, 16), hands, [gap(cool), gap(frosting, 0, 7200)]);
  add('pack', minutes(3, 6), hands, [gap(frost, 600)]);
}

function mouldLine(
  chance: Chance,
  add: Add,
  gap: Gap,
  hands: readonly JobHold[],
  spans: Span[],
  minutes: (from: number, to: number) => number,
): void {
  const bind = add('bind', minutes(6, 10), hands, []);
  const freezer: readonly JobHold[] = [{ resource: 4, units: 1 }];
  const rounds = 2 + chance.below(2);
  for (let round = 0; round < rounds; round += 1) {
    const coat = add('coat', minutes(5, 8), hands, []);
    const set = add('set', 600, freezer, [gap(coat, 0, 300)]);
    const fill = add('fill', minutes(4, 6), hands, [gap(set), gap(bind)]);
    const freeze = add('freeze', 1500, freezer, [gap(fill, 0, 600)]);
    const out = add('turn out', minutes(3, 5), hands, [gap(freeze, 0, 300)]);
    spans.push({ hold: { resource: 3, units: 1 }, jobs: [coat, set, fill, freeze, out] });
  }
}
