import { clocksIn, isOfLoad } from '../bench/clocksIn';
import { isOfLine } from '../process/stages';
import { hurried } from '../bench/clock';
import { counted } from '../bench/log';
import { PORTION } from '../bench/portioningOf';
import { allEvidence } from '../learn/beliefs';
import { learn } from '../learn/learner';
import type { KitchenDoc, RunDoc } from '../model/documents';
import { PARAMS } from '../param';
import { stageOf, stageWords, type Stage } from '../process/stages';
import { CHART } from './charts.words';

/** What a row of outcomes looks like, with what to do about it: drawn, and as the table beside it. */
export interface Chart {
  readonly id: 'time' | 'even' | 'binder' | 'coat' | 'yield' | 'hours' | 'sure';
  readonly title: string;
  /** One sentence: what it shows, and what to do. */
  readonly says: string;
  readonly drawn: 'line' | 'bars';
  readonly unit: 'min' | '%' | 'g';
  /** What the values are, and what stands beside them. */
  readonly value: string;
  readonly beside: string | null;
  readonly points: readonly ChartPoint[];
  /** Lines right across, from below to above. */
  readonly marks: readonly { readonly name: string; readonly value: number }[];
}
export interface ChartPoint {
  readonly label: string;
  readonly value: number;
  readonly beside: number | null;
}

/** So many of the last outcomes are drawn: more cannot be told apart on a phone. */
const DRAWN = 16;
/** And so many of them say how it goes by now. */
const LATELY = 5;
const MIN_MS = 60_000;

const sum = (some: readonly number[]): number => some.reduce((all, one) => all + one, 0);
const mean = (some: readonly number[]): number => sum(some) / some.length;
export const median = (some: readonly number[]): number => {
  const sorted = [...some].sort((a, b) => a - b);
  const at = sorted.length >> 1;
  return sorted.length % 2 === 1 ? (sorted[at] ?? NaN) : ((sorted[at - 1] ?? NaN) + (sorted[at] ?? NaN)) / 2;
};
const lately = <T>(all: readonly T[]): readonly T[] => all.slice(-LATELY);

/** Closed runs, the first of them first. */
const inOrder = (runs: readonly RunDoc[]): readonly RunDoc[] =>
  runs.filter(({ closed }) => closed !== null).sort((a, b) => (a.closed?.at ?? 0) - (b.closed?.at ?? 0));

/**
 * All charts that there is enough for.
 * @param runs of the kitchen, in any order
 * @param nameOf a thing by its parameter and scope: `bake.factor` of `oven:oven-main` is "Hall oven, baking time"
 * @param now ms since the epoch
 */
export function chartsOf(
  runs: readonly RunDoc[],
  kitchen: Pick<KitchenDoc, 'anew' | 'ovens'>,
  nameOf: (param: string, of: string) => string,
  now: number,
): Chart[] {
  const closed = inOrder(runs);
  return [
    timeChart(closed),
    evenChart(closed),
    shareChart(closed, 'binder'),
    shareChart(closed, 'coat'),
    yieldChart(closed),
    hoursChart(closed),
    sureChart(closed, kitchen, nameOf, now),
  ].filter((one) => one !== null);
}

/** What a load took, per cent of what its clock said as it went in. */
function timeChart(runs: readonly RunDoc[]): Chart | null {
  const loads = runs.flatMap((run) =>
    clocksIn(run).flatMap((clock): ChartPoint[] => {
      if (clock.endedAt === null || hurried(clock)) return [];
      const took = (clock.endedAt - clock.startedAt) / MIN_MS;
      const label = CHART.time.load(
        run.name,
        clocksIn(run).length > 1 ? clock.load : null,
        took,
        clock.expectedS / 60,
      );
      return [{ label, value: (took * 6000) / clock.expectedS, beside: 100 }];
    }),
  );
  if (loads.length < 2) return null;
  const last = lately(loads);
  return {
    id: 'time',
    title: CHART.time.title,
    says: CHART.time.says(last.length, median(last.map(({ value }) => value)) / 100),
    drawn: 'line',
    unit: '%',
    value: CHART.took,
    beside: CHART.planned,
    points: loads.slice(-DRAWN),
    marks: [],
  };
}

/** Limits of a control chart of single values, as multiples of the mean moving range. Source: Shewhart's chart of individuals. */
const LIMITS = 2.66;
/** So many in a row to one side of the middle are no chance. */
const IN_A_ROW = 7;
const FEWEST_PIECES = 6;

/** The pieces of one line of a run that were weighed one by one, g: of the line of which most were. */
function weighedPieces({ log = [], lines }: RunDoc): {
  readonly place: number;
  readonly pieces: readonly number[];
} {
  const all = counted(log).flatMap((event) =>
    event.what === 'weighed' && event.of === PORTION && event.practice !== true ? [event] : [],
  );
  // A cupcake and a ball of dough are of two sizes: together they would say nothing of either.
  const [most] = lines
    .map(({ id }, i) => ({
      place: i + 1,
      pieces: all.flatMap((event) => (isOfLine(event, id) ? [event.massG] : [])),
    }))
    .sort((a, b) => b.pieces.length - a.pieces.length);
  return most ?? { place: 1, pieces: [] };
}

/** The pieces of the last batch of which they were weighed one by one, g. */
function evenChart(runs: readonly RunDoc[]): Chart | null {
  for (const run of [...runs].reverse()) {
    const { place, pieces } = weighedPieces(run);
    if (pieces.length < FEWEST_PIECES) continue;
    const middle = mean(pieces);
    const moves = pieces.slice(1).map((one, i) => Math.abs(one - (pieces[i] ?? one)));
    const reach = LIMITS * mean(moves);
    const outside = pieces.filter((one) => Math.abs(one - middle) > reach).length;
    return {
      id: 'even',
      title: CHART.even.title(run.lines.length > 1 ? `${run.name}, line ${place}` : run.name),
      says: CHART.even.says({
        n: pieces.length,
        outside,
        drifts: longestRun(pieces.map((one) => Math.sign(one - middle))) >= IN_A_ROW,
        driftG: mean(pieces.slice(-5)) - mean(pieces.slice(0, 5)),
      }),
      drawn: 'line',
      unit: 'g',
      value: CHART.even.piece,
      beside: null,
      points: pieces.map((value, i) => ({ label: String(i + 1), value, beside: null })),
      marks: [
        { name: CHART.even.least, value: middle - reach },
        { name: CHART.even.middle, value: middle },
        { name: CHART.even.most, value: middle + reach },
      ],
    };
  }
  return null;
}

/** How many in a row, at most, lie to one side. */
export function longestRun(sides: readonly number[]): number {
  let [longest, now, side] = [0, 0, 0];
  for (const one of sides) {
    now = one !== 0 && one === side ? now + 1 : one === 0 ? 0 : 1;
    side = one;
    longest = Math.max(longest, now);
  }
  return longest;
}

/** Binder or coat that was taken, per cent of what the plan of that day had. */
function shareChart(runs: readonly RunDoc[], id: 'binder' | 'coat'): Chart | null {
  const param = { binder: PARAMS.bindFactor.key, coat: PARAMS.coatThickness.key }[id];
  const points = runs.flatMap((run) =>
    (run.closed?.evidence ?? []).flatMap((one): ChartPoint[] =>
      one.param === param && one.seen && one.seen.expected > 1e-3 && one.taken !== 'no'
        ? [{ label: run.name, value: (one.seen.came / one.seen.expected) * 100, beside: 100 }]
        : [],
    ),
  );
  if (points.length < 2) return null;
  const last = lately(points);
  const words = CHART[id];
  return {
    id,
    title: words.title,
    says: words.says(last.length, median(last.map(({ value }) => value)) / 100),
    drawn: 'line',
    unit: '%',
    value: CHART.took,
    beside: CHART.first,
    points: points.slice(-DRAWN),
    marks: [],
  };
}

/** Good ones of a hundred that were wanted. */
function yieldChart(runs: readonly RunDoc[]): Chart | null {
  const points = runs.flatMap((run): ChartPoint[] => {
    const wanted = sum(run.lines.map(({ count }) => count));
    return run.closed && wanted > 0
      ? [{ label: run.name, value: (run.closed.made / wanted) * 100, beside: null }]
      : [];
  });
  if (points.length < 2) return null;
  return {
    id: 'yield',
    title: CHART.yield.title,
    says: CHART.yield.says(lately(points).length, mean(lately(points).map(({ value }) => value)) / 100),
    drawn: 'bars',
    unit: '%',
    value: CHART.yield.value,
    beside: null,
    points: points.slice(-DRAWN),
    marks: [{ name: CHART.yield.wanted, value: 100 }],
  };
}

/** Between two taps that lie further apart than this, somebody did something else, min. */
const AWAY_MIN = 45;
/** So many of the last batches say what eats the day. */
const BATCHES = 6;

/** How long passed up to each tap that a step was done, by stage, min: the work as it was, and not as it was planned. */
export function minutesByStage(run: Pick<RunDoc, 'log'>): Map<Stage, number> {
  const out = new Map<Stage, number>();
  let before: number | null = null;
  // Looks into the oven come between whatever is at hand.
  for (const event of counted(run.log ?? []).filter((one) => !isOfLoad(one))) {
    const gapMin = before === null ? null : (event.at - before) / MIN_MS;
    before = event.at;
    if (event.what !== 'done' || gapMin === null || gapMin > AWAY_MIN || gapMin <= 0) continue;
    const stage = stageOf(event);
    if (stage) out.set(stage, (out.get(stage) ?? 0) + gapMin);
  }
  return out;
}

function hoursChart(runs: readonly RunDoc[]): Chart | null {
  const told = runs.filter(({ log = [] }) => log.some(({ what }) => what === 'done')).slice(-BATCHES);
  const all = new Map<Stage, number>();
  for (const run of told)
    for (const [stage, min] of minutesByStage(run)) all.set(stage, (all.get(stage) ?? 0) + min);
  const total = sum([...all.values()]);
  const points = [...all]
    .sort((a, b) => b[1] - a[1])
    .map(([stage, min]): ChartPoint => ({
      label: stageWords(stage),
      value: min / told.length,
      beside: null,
    }));
  const [most] = points;
  if (!most || points.length < 2) return null;
  return {
    id: 'hours',
    title: CHART.hours.title,
    says: CHART.hours.says(told.length, most.label, (most.value * told.length) / total),
    drawn: 'bars',
    unit: 'min',
    value: CHART.hours.value,
    beside: null,
    points,
    marks: [],
  };
}

const WIDTH_OF: Readonly<Record<string, string>> = CHART.sure.narrow;

/** How wide what is believed still is, per cent to either side, beside how wide it began. */
function sureChart(
  runs: readonly RunDoc[],
  kitchen: Pick<KitchenDoc, 'anew' | 'ovens'>,
  nameOf: (param: string, of: string) => string,
  now: number,
): Chart | null {
  const evidence = allEvidence(runs, kitchen);
  const own = new Set(evidence.map(({ param, of }) => `${param}@${of[0] ?? ''}`));
  const things = learn(evidence, now)
    // A start for things never seen is no thing of the kitchen.
    .filter(({ param, of }) => own.has(`${param}@${of}`))
    // Of a dial that is right by 0 K there are no per cent.
    .filter(({ param }) => param !== PARAMS.ovenOffset.key)
    .map(({ param, of, mean: value, spread, start, seen }) => ({
      param,
      label: nameOf(param, of),
      value: (spread / value) * 100,
      beside: (start.spread / start.value) * 100,
      seen,
    }))
    .sort((a, b) => b.seen - a.seen)
    .slice(0, 6);
  if (things.length === 0) return null;
  const least = things.reduce((worst, one) => (one.value > worst.value ? one : worst));
  return {
    id: 'sure',
    title: CHART.sure.title,
    says: CHART.sure.says(least.label, least.value, WIDTH_OF[least.param] ?? CHART.sure.other),
    drawn: 'bars',
    unit: '%',
    value: CHART.sure.now,
    beside: CHART.sure.start,
    points: things,
    marks: [],
  };
}
