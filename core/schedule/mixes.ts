import type { Batch, LinePlan, RunPlan } from '../plan';
import { madeLines } from '../plan/bowls';
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

/** What one line takes of a formula's batter, g, and the bake of crumb that it is for, as chores name it; null for none. */
function takenOf(
  { parts, formula }: LinePlan,
  formulaId: string,
): { readonly bake: string | null; readonly ownG: number } | null {
  const baked = parts.crumbBakes.find((one) => one.formula.doc.id === formulaId);
  if (baked) return { bake: baked.prefix === '' ? null : baked.prefix, ownG: baked.bowl.own.value };
  const { bowl } = parts;
  // Of a base that is parted before something goes in, the base is what is mixed.
  const mixed = bowl?.split ? bowl.split.formula.doc.id : formula?.id;
  return bowl && mixed === formulaId ? { bake: null, ownG: (bowl.split?.base ?? bowl).own.value } : null;
}

const bowlOf = ({ holds }: Chore) => holds.find(({ of }) => of.kind === 'bowl');
/** Batter that a step mixes, ml. */
const mlOf = (chore: Chore): number => (bowlOf(chore)?.ml ?? 1) * (bowlOf(chore)?.times ?? 1);

/**
 * How a day mixes what is weighed out of one list: step by step, first to last. What each step takes of a line's batter goes
 * by what its bowls hold.
 */
export function mixesOf(
  { formula, lineIds }: Pick<Batch, 'formula' | 'lineIds'>,
  whole: RunPlan,
  chores: readonly { readonly chore: Chore; readonly startAt: string }[],
): Mix[] {
  const plans = madeLines(whole).filter(({ line }) => lineIds.includes(line.id));
  const mixing = chores.filter(
    ({ chore }) =>
      chore.does === 'mix' && chore.ofRun === undefined && chore.lineIds.some((id) => lineIds.includes(id)),
  );
  const massOf = (chore: Chore): number =>
    plans.reduce((sum, plan) => {
      const taken = takenOf(plan, formula.id);
      const isOf = (one: Chore) => one.bake === taken?.bake && one.lineIds.includes(plan.line.id);
      if (!taken || !isOf(chore)) return sum;
      const all = mixing.reduce((ml, one) => (isOf(one.chore) ? ml + mlOf(one.chore) : ml), 0);
      return sum + (taken.ownG * mlOf(chore)) / all;
    }, 0);
  return mixing
    .map(({ chore, startAt }): Mix => {
      const massG = massOf(chore);
      return { startAt, lineIds: chore.lineIds, massG, bowls: bowlOf(chore)?.times ?? 1 };
    })
    .filter(({ massG }) => massG > 0)
    .sort((a, b) => (a.startAt < b.startAt ? -1 : Number(a.startAt > b.startAt)));
}
