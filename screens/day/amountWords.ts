import { amountsOf } from '../../core/bench/amounts';
import type { KitchenDoc } from '../../core/model/documents';
import type { BatchIngredient } from '../../core/plan';
import { weighOut } from '../../core/plan/weighOut';
import { join, show, type NumberStyle } from '../../core/quantity';
import type { Chore } from '../../core/schedule/chores';
import { holderOf, type RunPlan } from '../../state/plans';

/** Something that a chore is done with, and how much of it. */
export interface AmountWords {
  readonly key: string;
  readonly what: string;
  readonly amount: string;
  /** The figure behind it, where it has reasons of its own. */
  readonly figure: { readonly lineId: string; readonly id: string } | null;
}

/** A part of what is weighed for several bowls: no whole things any more. */
const partOf = (item: BatchIngredient, share: number): BatchIngredient => ({
  ...item,
  mass: { ...item.mass, value: item.mass.value * share },
  whole: null,
});

/** This batch's amounts of a chore, as they are weighed, set and measured. */
export function amountWords(
  chore: Chore,
  chores: readonly Chore[],
  whole: RunPlan,
  kitchen: KitchenDoc,
  style: NumberStyle,
): AmountWords[] {
  const { batches, figures } = amountsOf(chore, chores, whole);
  return [
    ...batches.flatMap(({ batch, share }) =>
      batch.ingredients.map((whole_) => {
        const item = share > 0.999 ? whole_ : partOf(whole_, share);
        const { main, beside } = weighOut(item, kitchen.scaleStepG, style);
        return {
          key: `${batch.id}-${item.place}`,
          what: item.name,
          amount: beside ? `${main} (${beside})` : main,
          figure: null,
        };
      }),
    ),
    ...figures.flatMap(({ lineId, id }) => {
      const figure = holderOf(whole, lineId)?.figure(id);
      if (!figure) return [];
      return [
        {
          key: `${lineId}-${id}`,
          what: figure.label,
          amount: join(show(figure.value, figure.unit, style)),
          figure: { lineId, id },
        },
      ];
    }),
  ];
}
