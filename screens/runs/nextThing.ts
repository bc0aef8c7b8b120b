import { clocksIn } from '../../core/bench/clocksIn';
import type { RunDoc } from '../../core/model/documents';
import type { LinePlan, RunPlan } from '../../core/plan';
import { firstToLookAt, nextLookAt } from '../../core/bench';
import { bowlsOf, tickKey, ticksOf } from '../../core/plan/bowls';
import { dayOf } from '../../core/schedule/day';
// By file: the first screen goes without the weight of all that plans a day.
import type { Chore, RunDay } from '../../core/schedule/chores';
import { firstOf } from '../../core/schedule/chores/timed';
import type { Stage } from './stages';

export interface NextThing {
  readonly words: string;
  /** Local time at which to do it; null for "now". */
  readonly at: string | null;
  /** A moment in ms, where a clock is running. */
  readonly atMs: number | null;
  readonly stage: Stage;
  /** The line that it belongs to. */
  readonly lineId: string | null;
  /** Another run that it is done for, where they share a day; left out for the run itself. */
  readonly ofRun?: string;
}

const clocksOf = (run: RunDoc, { line }: LinePlan) =>
  clocksIn(run).filter(({ lineId }) => lineId === line.id);

/** What is done now and after it, once something has happened: as the bench has it. */
export interface AtTheBench {
  readonly inHand: Chore | null;
  readonly next: readonly { readonly chore: Chore; readonly at: string }[];
}

/** The very next thing to do in a run: a look at a load, then what is open at the bench, then the day's next step. */
export function nextThing(
  run: RunDoc,
  whole: RunPlan,
  now: string,
  day: RunDay | null = null,
  bench: AtTheBench | null = null,
): NextThing {
  const soonest = firstToLookAt(clocksIn(run));
  if (soonest) {
    const words = `Look at load ${soonest.load}`;
    return { words, at: null, atMs: nextLookAt(soonest), stage: 'bake', lineId: soonest.lineId };
  }
  if (bench) {
    const found = bench.inHand ? { chore: bench.inHand, at: null } : (bench.next[0] ?? null);
    if (!found) return { words: 'Close the run', at: null, atMs: null, stage: 'bake', lineId: null };
    const { chore, at } = found;
    return { words: chore.label, at, atMs: null, stage: 'bake', lineId: chore.lineIds[0] ?? null };
  }
  const plans = whole.lines.flatMap((line) => (line.planned ? [line] : []));
  const baking = plans.filter((plan) => plan.loads.sizes.length > 0);
  const open = baking.find((plan) => {
    const ended = clocksOf(run, plan).length;
    return ended > 0 && ended < plan.loads.sizes.length;
  });
  const now_ = { at: null, atMs: null, lineId: open?.line.id ?? null };
  if (open) return { ...now_, words: `Put load ${clocksOf(run, open).length + 1} in`, stage: 'bake' };
  if (baking.length > 0 && baking.every((plan) => clocksOf(run, plan).length >= plan.loads.sizes.length))
    return { ...now_, words: 'Close the run', stage: 'bake' };
  const keys = bowlsOf(run, whole).flatMap(({ batch }) =>
    batch.ingredients.map((item) => tickKey(batch, item)),
  );
  const ticks = ticksOf(run);
  const weighed = keys.filter((key) => ticks.has(key)).length;
  if (weighed > 0 && weighed < keys.length)
    return { ...now_, words: `Weigh out: ${keys.length - weighed} to go`, stage: 'gather' };
  const first = baking.find((plan) => clocksOf(run, plan).length === 0);
  if (weighed > 0 && first) return { ...now_, words: 'Put load 1 in', stage: 'bake', lineId: first.line.id };
  return (
    (day ? nextChore(day, now) : nextStep(plans, now)) ?? { ...now_, words: 'See the sums', stage: 'sums' }
  );
}

/** The step of the day, of any line, that comes next; the first one where all are past. */
function nextStep(plans: readonly LinePlan[], now: string): NextThing | null {
  const steps = plans
    .flatMap((plan) => dayOf(plan).steps.map((step) => ({ step, lineId: plan.line.id })))
    .sort((a, b) => a.step.startAt.localeCompare(b.step.startAt));
  const found = steps.find(({ step }) => step.startAt >= now) ?? steps[0];
  if (!found) return null;
  const { step, lineId } = found;
  const stage = step.kind === 'oven' ? 'bake' : 'gather';
  return { words: step.label, at: step.startAt, atMs: null, stage, lineId };
}

/** The chore of the day that comes next, of this run or of one that shares its day; the first one where all are past. */
function nextChore(day: RunDay, now: string): NextThing | null {
  const ahead = {
    chores: day.chores.filter(({ startAt }) => startAt >= now),
    beside: day.beside.filter(({ startAt }) => startAt >= now),
  };
  const found = firstOf(ahead) ?? firstOf(day);
  if (!found) return null;
  const { chore, startAt } = found;
  const stage = chore.kind === 'oven' ? 'bake' : 'gather';
  const lineId = chore.ofRun === undefined ? (chore.lineIds[0] ?? null) : null;
  return {
    words: chore.label,
    at: startAt,
    atMs: null,
    stage,
    lineId,
    ...(chore.ofRun === undefined ? {} : { ofRun: chore.ofRun }),
  };
}
