import type { CupcakePlan } from '../../core/plan';
import type { RunDoc } from '../../core/exchange/documents';
import { nextLookAt } from '../../core/bench';
import type { Stage } from './stages';

export interface NextThing {
  readonly words: string;
  /** Local time at which to do it; null for "now". */
  readonly at: string | null;
  /** A moment in ms, where a clock is running. */
  readonly atMs: number | null;
  readonly stage: Stage;
}

/** The very next thing to do in a run: a look at a load, then what is open, then the day's first step. */
export function nextThing(run: RunDoc, plan: CupcakePlan, now: string): NextThing {
  const running = run.clocks.filter((clock) => clock.endedAt === null);
  const [soonest] = [...running].sort((a, b) => nextLookAt(a) - nextLookAt(b));
  if (soonest)
    return { words: `Look at load ${soonest.load}`, at: null, atMs: nextLookAt(soonest), stage: 'bake' };
  const ended = run.clocks.filter((clock) => clock.endedAt !== null).length;
  if (ended > 0 && ended >= plan.loads.sizes.length)
    return { words: 'Close the run', at: null, atMs: null, stage: 'bake' };
  if (ended > 0) return { words: `Put load ${ended + 1} in`, at: null, atMs: null, stage: 'bake' };
  const weighed = plan.line.ticks.length;
  const all = plan.batter.ingredients.length;
  if (weighed > 0 && weighed < all)
    return { words: `Weigh out: ${all - weighed} to go`, at: null, atMs: null, stage: 'gather' };
  if (weighed >= all) return { words: 'Put load 1 in', at: null, atMs: null, stage: 'bake' };
  const step = plan.day.find((item) => item.startAt >= now) ?? plan.day[0];
  return step
    ? { words: step.label, at: step.startAt, atMs: null, stage: step.kind === 'oven' ? 'bake' : 'gather' }
    : { words: 'See the sums', at: null, atMs: null, stage: 'sums' };
}
