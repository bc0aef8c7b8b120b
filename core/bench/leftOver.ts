import type { LinePlan } from '../plan';
import { goingOn, type BenchState } from './log';

/** The figure that says what one piece took of its frosting: measured, it is learned from. */
export const FROSTING_EACH = 'frosting.each';

/** Frosting that a line was to have made, without what the bags keep, g; null where it is frosted with none. */
export function frostingMade(plan: LinePlan): number | null {
  const needed = plan.parts.frostingNeeded?.value ?? 0;
  const lost = plan.has('frosting.bagLoss') ? plan.figure('frosting.bagLoss').value : 0;
  return plan.has(FROSTING_EACH) && needed - lost > 0 ? needed - lost : null;
}

/**
 * What one piece took of its frosting, g, where so much of it was left in bowl and bags: all that is gone is on the pieces
 * that were not lost. Null where nothing was frosted, or more is left than was made.
 */
export function frostingFromLeft(plan: LinePlan, leftG: number, state: BenchState): number | null {
  const made = frostingMade(plan);
  if (made === null || leftG < 0 || leftG >= made) return null;
  const planned = made / plan.figure(FROSTING_EACH).value;
  const count = Math.round(plan.parts.count.made.value);
  const lost = count - goingOn(state, plan.line.id, count);
  const frosted = planned - lost;
  return frosted > 0 ? (made - leftG) / frosted : null;
}
