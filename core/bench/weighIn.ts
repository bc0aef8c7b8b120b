import type { RunDoc } from '../model/documents';
import type { BatchIngredient, RunPlan } from '../plan';
import { bowlsOf, tickKey, ticksOf } from '../plan/bowls';
import type { Amounts } from './amounts';
import type { Weighed } from './log';

/** Something that goes into a bowl, and whether it is in. */
export interface ToWeigh {
  readonly key: string;
  readonly item: BatchIngredient;
  /** Of all that is weighed of it, how much of it goes into this bowl. */
  readonly share: number;
  /** What is wanted of it, g. */
  readonly massG: number;
  /** What the scale showed of it; null where nobody weighed it here. */
  readonly weighedG: number | null;
  /** Weighed here, or ticked off where it was gathered. */
  readonly in: boolean;
}

/** What a step weighs into its bowls, in the order in which it is written; what was weighed last of each counts. */
export function weighInOf(
  run: RunDoc,
  whole: RunPlan,
  batches: Amounts['batches'],
  weighed: readonly Weighed[],
): ToWeigh[] {
  const ticks = ticksOf(run);
  const bowls = bowlsOf(run, whole);
  const shown = new Map(weighed.map(({ of, massG }) => [of, massG]));
  return batches.flatMap(({ batch, share }) => {
    // The bowl as the run has it: one of a line's own is ticked off apart from those that lines share.
    const own =
      bowls.find(
        ({ batch: one }) => one.formula.id === batch.formula.id && overlaps(one.lineIds, batch.lineIds),
      )?.batch ?? batch;
    return batch.ingredients.map((item): ToWeigh => {
      const key = tickKey(own, item);
      const weighedG = shown.get(key) ?? null;
      return {
        key,
        item,
        share,
        massG: item.mass.value * share,
        weighedG,
        in: weighedG !== null || (share > 0.999 && ticks.has(key)),
      };
    });
  });
}

const overlaps = (a: readonly string[], b: readonly string[]): boolean => a.some((one) => b.includes(one));

/** So far off matters to nobody: the scale's step, or so much of it. Basis: judgement. */
const OFF_SHARE = 0.03;

/** By how much too much or too little of it is in, g; 0 where it is as good as right or was not weighed. */
export function wrongBy({ massG, weighedG }: ToWeigh, scaleStepG: number): number {
  if (weighedG === null) return 0;
  const off = weighedG - massG;
  return Math.abs(off) <= Math.max(scaleStepG, massG * OFF_SHARE) ? 0 : off;
}
