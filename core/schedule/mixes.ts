import type { LinePlan, RunPlan } from '../plan';
import { madeLines, type Bowl } from '../plan/bowls';
import type { Chore } from './chores/chore';

/** What is mixed of a formula in one step of the day. */
export interface Mix {
  /** Local time. */
  readonly startAt: string;
  readonly lineIds: readonly string[];
  /** g of the formula's batter, over all bowls of the step. */
  readonly massG: number;
  /** Bowls one after another, of the same weight. */
  readonly bowls: number;
}

/**
 * What one line takes of a formula's batter, g, and the bake of crumb that it is for, as chores name it; null for none.
 * @param again how many bowls of that formula the line bakes before it
 */
function takenOf(
  { parts, formula }: LinePlan,
  formulaId: string,
  again: number,
): { readonly bake: string | null; readonly ownG: number } | null {
  const baked = parts.crumbBakes.filter((one) => one.formula.doc.id === formulaId)[again];
  if (baked) return { bake: baked.prefix === '' ? null : baked.prefix, ownG: baked.bowl.own.value };
  const { bowl } = parts;
  // Of a base that is parted before something goes in, the base is what is mixed.
  const mixed = bowl?.split ? bowl.split.formula.doc.id : formula?.id;
  return bowl && mixed === formulaId ? { bake: null, ownG: (bowl.split?.base ?? bowl).own.value } : null;
}

const bowlOf = ({ holds }: Chore) => holds.find(({ of }) => of.kind === 'bowl');
/** Batter that a step mixes, over all its bowls, ml. */
export const mlOf = (chore: Chore): number => (bowlOf(chore)?.ml ?? 1) * (bowlOf(chore)?.times ?? 1);

/**
 * How a day mixes what is weighed out of one list: step by step, first to last. What each step takes of a line's batter goes
 * by what its bowls hold.
 */
export function mixesOf(
  { batch, lineId }: Bowl,
  whole: RunPlan,
  chores: readonly { readonly chore: Chore; readonly startAt: string }[],
): Mix[] {
  const { formula, lineIds } = batch;
  const plans = madeLines(whole).filter(({ line }) => lineIds.includes(line.id));
  // A line that bakes one formula twice has a list for each.
  const holder = plans.find(({ line }) => line.id === lineId);
  const same = (holder?.batches ?? []).filter((one) => one.formula.id === formula.id);
  const again = Math.max(
    0,
    same.findIndex(({ id }) => id === batch.id),
  );
  const mixing = chores.filter(
    ({ chore }) =>
      chore.does === 'mix' && chore.ofRun === undefined && chore.lineIds.some((id) => lineIds.includes(id)),
  );
  const takenIn = (chore: Chore): number =>
    plans.reduce((sum, plan) => {
      const taken = takenOf(plan, formula.id, again);
      const isOf = (one: Chore) => one.bake === taken?.bake && one.lineIds.includes(plan.line.id);
      if (!taken || !isOf(chore)) return sum;
      const all = mixing.reduce((ml, one) => (isOf(one.chore) ? ml + mlOf(one.chore) : ml), 0);
      return sum + (taken.ownG * mlOf(chore)) / all;
    }, 0);
  const takenG = mixing.reduce((sum, { chore }) => sum + takenIn(chore), 0);
  return mixing
    .map(({ chore, startAt }): Mix => {
      // What is on the list goes into the bowls, also where nobody takes all of it.
      const massG = takenG > 0 ? (batch.mixed.value * takenIn(chore)) / takenG : 0;
      return { startAt, lineIds: chore.lineIds, massG, bowls: bowlOf(chore)?.times ?? 1 };
    })
    .filter(({ massG }) => massG > 0)
    .sort((a, b) => (a.startAt < b.startAt ? -1 : Number(a.startAt > b.startAt)));
}
