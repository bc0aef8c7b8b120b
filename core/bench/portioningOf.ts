import type { LinePlan } from '../plan';
import type { Chore } from '../schedule/chores/chore';
import { isOfLine } from '../process/stages';
import type { BenchState } from './log';
import type { Portioning } from './portions';

/** A piece on the scale, among what else is weighed at a step; and all that is still in the bowl, without the bowl. */
export const PORTION = 'portion';
export const BOWL = 'bowl';

/** The bowl that a step portions, with all that was weighed of it at this step and its like; null where it portions none. */
export function portioningOf(
  chore: Chore,
  { parts, line }: LinePlan,
  { weighed }: Pick<BenchState, 'weighed'>,
): Portioning | null {
  const { does } = chore;
  if (does !== 'roll' && does !== 'fill') return null;
  const bowl = bowlOf(parts, does);
  if (!bowl || bowl.count < 1 || bowl.portionG <= 0) return null;
  const mine = [...weighed.values()].flat().filter((one) => isOfLine(one, line.id) && one.does === does);
  const pieces = mine.flatMap(({ of, massG }) => (of === PORTION ? [massG] : []));
  // A bowl on the scale knows better than the sums: it holds that, and what had been taken of it by then.
  const at = mine.findLastIndex(({ of }) => of === BOWL);
  const found = mine[at];
  if (!found) return { ...bowl, weighed: pieces };
  const taken = mine.slice(0, at).reduce((sum, { of, massG }) => sum + (of === PORTION ? massG : 0), 0);
  return { ...bowl, totalG: taken + found.massG, weighed: pieces };
}

function bowlOf(
  { dough, portion, wells, batterLeft, count }: LinePlan['parts'],
  does: 'roll' | 'fill',
): Omit<Portioning, 'weighed'> | null {
  if (dough)
    return { totalG: dough.ready.value, portionG: dough.portion.value, count: Math.round(count.made.value) };
  if (does !== 'fill' || !portion) return null;
  const n = Math.round((wells ?? count.made).value);
  return { totalG: portion.value * n + (batterLeft?.value ?? 0), portionG: portion.value, count: n };
}
