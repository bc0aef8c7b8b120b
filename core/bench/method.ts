import { readSteps } from '../formula';
import type { RunPlan } from '../plan';
import type { Chore } from '../schedule/chores/chore';
import { amountsOf } from './amounts';

/** A step of a formula's own text with this batch's amounts. */
export interface MethodStep {
  readonly text: string;
  /** What goes in with it, g, and in how many equal parts. */
  readonly uses: readonly { readonly name: string; readonly massG: number; readonly parts: number }[];
  readonly until: string | null;
}

/** Steps that are chores of their own: the heat, cooling, finishing. */
const ELSEWHERE =
  /\b(bake|oven|cool(?:s|ed|ing)?|turn out|microwave|frost(?:ed)?|pipe|dip(?:ped)?|fill the|cases|tins?)\b/i;

/** What the formula says of mixing, with the amounts of this bowl; empty where it says nothing. */
export function methodOf(chore: Chore, chores: readonly Chore[], whole: RunPlan): MethodStep[] {
  const { does } = chore;
  if (does !== 'mix' && does !== 'make') return [];
  // As if nothing were weighed apart: the bowl that is mixed here.
  const alone = chores.filter((one) => one.does !== 'weigh-out');
  return amountsOf(chore, alone, whole).batches.flatMap(({ batch, share }) => {
    const lines = batch.ingredients.map(({ line }) => line);
    const steps = readSteps(batch.formula.steps ?? '', lines);
    return steps
      .filter(({ text }) => does === 'make' || !ELSEWHERE.test(text))
      .map(({ text, uses, until }): MethodStep => ({
        text,
        until,
        uses: uses.flatMap((use) => {
          const item = batch.ingredients.find(({ line }) => line === use.line);
          return item
            ? [{ name: item.name, massG: item.mass.value * share * use.share, parts: use.parts }]
            : [];
        }),
      }));
  });
}
