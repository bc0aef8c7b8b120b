import { levelOf, ovenOf } from '../bench/places';
import { isOfLoad, type BakeClock } from '../bench/clocksIn';
import { counted, type BenchState } from '../bench/log';
import { BOWL, PORTION } from '../bench/portioningOf';
import type { BenchEvent, KitchenDoc, Line, RunDoc } from '../model/documents';
import { KITCHEN, PARAMS, scopeOf } from '../param';
import type { LinePlan } from '../plan';
import { finishBounds } from '../plan/finish';
import { PACE_START } from '../process/hands.table';
import { SCATTER } from '../process/portion';
import { RACKS } from '../process/oven.table';
import { STAGES, isOfLine, stageOf, type Stage } from '../process/stages';
import type { Chore } from '../schedule/chores';
import { TENTH } from './learner';
import { startOf, type Bounds, type Seen } from './seen';

/** A clock that rings is tapped away: it was set by then, or a little after, and maybe for long. As a share. Basis: judgement. */
const RANG = { from: 0.95, until: 1.15 } as const;

/**
 * Waits for something to set or to firm: after the look that said "not yet", and by the tap that said it was. Of the loads of
 * one batch the one that says most.
 */
export function settled(
  seen: Seen,
  plan: LinePlan,
  chores: readonly Chore[],
  { chores: told }: BenchState,
): void {
  const best = new Map<string, { readonly low: number | null; readonly high: number }>();
  const width = ({ low, high }: { readonly low: number | null; readonly high: number }) =>
    low === null ? Infinity : high / low;
  for (const { id, kind, takes } of chores) {
    const { figureId } = takes;
    const one = told.get(id);
    if (kind !== 'wait' || figureId === null || !plan.has(`${figureId}.usual`)) continue;
    if (!one || one.begunAt === null || one.endedAt === null || one.skipped) continue;
    const tookS = (one.endedAt - one.begunAt) / 1000;
    const lookedS = one.lookedAt === null ? null : (one.lookedAt - one.begunAt) / 1000;
    const rang = lookedS === null && one.clock !== null && tookS >= one.clock.expectedS * RANG.from;
    const now = { low: lookedS, high: rang ? tookS * RANG.until : tookS };
    if (now.high <= 0 || (now.low !== null && now.low >= now.high)) continue;
    const before = best.get(figureId);
    if (!before || width(now) < width(before) || (now.low === null && now.high < before.high))
      best.set(figureId, now);
  }
  for (const [figureId, { low, high }] of best)
    seen.through(figureId, PARAMS.setting.key, [low, high], low === null ? high : (low + high) / 2, {
      rootId: `${figureId}.usual`,
    });
}

/** Taps that lie so close together are of work that was told afterwards, ms. */
const TOGETHER_MS = 20_000;
/** Longer or shorter than this, as a share of the usual, and it was not this work that went on. Basis: judgement. */
const AT_WORK = { least: 0.4, most: 2.5 } as const;
/** Less work than this says nothing of a stage, s. */
const ENOUGH_S = 180;

/**
 * How long hands took from one tap to the next, against what their steps usually take, by stage. Taps close together are
 * one piece of work; where it is of several stages, or where somebody was away, it says nothing.
 */
export function handsPaced(seen: Seen, run: Pick<RunDoc, 'log'>, chores: readonly Chore[]): void {
  const usual = new Map(chores.filter(({ kind }) => kind === 'hands').map((one) => [one.id, one]));
  const stood = new Map<Stage, { took: number; usual: number }>();
  let before: number | null = null;
  // Looks into the oven come between whatever is at hand.
  const events = counted(run.log ?? []).filter((event) => !isOfLoad(event));
  for (let i = 0; i < events.length;) {
    const first = events[i] as BenchEvent;
    let next = i + 1;
    while (next < events.length && (events[next]?.at ?? 0) - (events[next - 1]?.at ?? 0) <= TOGETHER_MS)
      next += 1;
    const burst = events.slice(i, next);
    const done = burst.flatMap((event) => {
      const chore = event.what === 'done' ? usual.get(event.chore) : undefined;
      return chore ? [chore] : [];
    });
    const tookS = before === null ? 0 : (first.at - before) / 1000;
    const usualS = done.reduce((sum, { takes }) => sum + takes.lengthS, 0);
    const of = new Set(done.map(stageOf));
    const [stage] = of;
    if (of.size === 1 && stage && tookS >= usualS * AT_WORK.least && tookS <= usualS * AT_WORK.most) {
      const sums = stood.get(stage) ?? { took: 0, usual: 0 };
      stood.set(stage, { took: sums.took + tookS, usual: sums.usual + usualS });
    }
    before = events[next - 1]?.at ?? first.at;
    i = next;
  }
  for (const stage of STAGES) {
    const sums = stood.get(stage);
    if (!sums || sums.usual < ENOUGH_S) continue;
    const pace = sums.took / sums.usual;
    seen.of(PARAMS.workPace.key, [scopeOf('step', stage), KITCHEN], [pace, pace], PACE_START);
  }
}

/** So many pieces say what a scoop gives, and so many how even they are. */
const FEW = 3;
const ENOUGH = 6;

/** Pieces on the scale: what a scoop gives, how they scatter, and what stays on hands and bowl once all are weighed. */
export function portioned(seen: Seen, plan: LinePlan, log: RunDoc['log'], scaleStepG: number): void {
  const { line, parts } = plan;
  const mine = counted(log ?? []).flatMap((event) =>
    event.what === 'weighed' &&
    event.practice !== true &&
    isOfLine(event, line.id) &&
    (event.does === 'roll' || event.does === 'fill')
      ? [event]
      : [],
  );
  const pieces = mine.flatMap(({ of, massG }) => (of === PORTION && massG > 0 ? [massG] : []));
  const total = pieces.reduce((sum, one) => sum + one, 0);
  const mean = total / pieces.length;
  const scoop = line.family === 'pop' && line.size.by === 'scoop' ? line.size.number : null;
  if (scoop !== null && pieces.length >= FEW) scooped(seen, plan, mean);
  if (pieces.length >= ENOUGH) {
    const sd = Math.sqrt(pieces.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (pieces.length - 1));
    // What the scale does not show is no evenness.
    const share = (TENTH * Math.max(sd, scaleStepG / Math.sqrt(12))) / mean;
    const how = scoop === null ? 'weighed' : 'scoop';
    const of = scopeOf('portioning', scoop === null ? how : `scoop ${scoop}`);
    seen.of(PARAMS.portionScatter.key, [of, KITCHEN], [share, share], SCATTER[how]);
  }
  const bowl = mine.find(({ of }) => of === BOWL);
  const each = parts.dough?.portion.value ?? parts.portion?.value;
  const wanted = Math.round(parts.count.made.value);
  if (!bowl || mine[0] !== bowl || each === undefined || pieces.length < Math.min(wanted, ENOUGH)) return;
  const left = bowl.massG - total;
  // A rest of a piece or more was left for something else.
  if (left < 0 || left >= each) return;
  const { key } = parts.dough ? PARAMS.handLoss : PARAMS.bowlLoss;
  const root = plan.figures.find(({ known }) => known?.param === key);
  if (root?.known)
    seen.of(
      key,
      root.known.of,
      [Math.max(0, left - each / 2) / bowl.massG, left / bowl.massG],
      startOf(root),
      { figureId: root.id, expected: root.value, came: left / bowl.massG },
    );
}

/** What a scoop gave against what its number says: the portion itself is decided, and moves with nothing. */
function scooped(seen: Seen, plan: LinePlan, meanG: number): void {
  const root = plan.figures.find(({ known }) => known?.param === PARAMS.scoopFill.key);
  if (!root?.known) return;
  const level = plan.figure('size.scoop').value * plan.figure('dough.density').value;
  const fill = meanG / level;
  seen.of(PARAMS.scoopFill.key, root.known.of, [fill, fill], startOf(root), {
    figureId: 'portion.mass',
    expected: level * root.value,
    came: meanG,
  });
}

/** So far apart, two tins went in together, ms. */
const IN_TOGETHER_MS = 180_000;

/** Two tins of one load, one above the other: how much sooner the upper one was done, or the lower. */
export function racked(
  seen: Seen,
  line: Line,
  clocks: readonly BakeClock[],
  kitchen: KitchenDoc,
  doneBetween: (clock: BakeClock) => Bounds,
): void {
  const oven = ovenOf(line, kitchen);
  if (!oven || oven.racks < 2) return;
  const at = (level: 'above' | 'below') =>
    clocks.filter(
      ({ lineId, places, looks }) =>
        lineId === line.id &&
        looks.length > 0 &&
        places.length > 0 &&
        places.every((one) => levelOf(one) === level),
    );
  for (const above of at('above')) {
    const below = at('below').find(
      ({ startedAt }) => Math.abs(startedAt - above.startedAt) <= IN_TOGETHER_MS,
    );
    if (!below) continue;
    const [[lowA, highA], [lowB, highB]] = [doneBetween(above), doneBetween(below)];
    const over = (a: number | null, b: number | null) => (a === null || b === null || b <= 0 ? null : a / b);
    seen.of(
      PARAMS.rackRatio.key,
      [scopeOf('oven', oven.id), KITCHEN],
      [over(lowA, highB), over(highA, lowB)],
      RACKS,
    );
    return;
  }
}

/**
 * How the pieces ended in their wells, told at closing: how much the batter rises.
 * @param given what went into a well, g, by the plan as the kitchen had it
 */
export function risen(
  seen: Seen,
  plan: LinePlan,
  kind: Parameters<typeof finishBounds>[0],
  given: number,
): void {
  const bounds = finishBounds(kind);
  const planned = plan.parts.portion?.value ?? 0;
  if (!bounds || planned <= 0 || given <= 0) return;
  // Of another fill than the plan has, the height goes with the fill.
  const back = (value: number | null) => (value === null ? null : (value * planned) / given);
  const [low, high] = bounds.map(back) as [number | null, number | null];
  const shown = low === null ? (high ?? 0) : high === null ? low : (low + high) / 2;
  seen.through('finish.share', PARAMS.cakeDensity.key, [low, high], shown);
}
