import type { RunDoc } from '../model/documents';
import { plainFormulaId } from '../model/references';
import type { Batch, BatchIngredient } from './emitted';
import type { LinePlan } from './linePlan';
import type { RunPlan } from './planned';
import { isApart } from './promise';

/** A bowl that is weighed out once, for one line or for several. */
export interface Bowl {
  readonly batch: Batch;
  /** The line whose plan holds its figures; null for what the lines share. */
  readonly lineId: string | null;
}

/** Under this key stands what is ticked off of a bowl. */
export const tickKey = ({ formula, tickPrefix }: Batch, { place }: BatchIngredient): string =>
  `${formula.id}:${tickPrefix}${place}`;

/** All that is ticked off in a run, also what earlier versions kept on its lines. */
export function ticksOf(run: RunDoc): ReadonlySet<string> {
  const before = run.lines.flatMap((line) => line.ticks.map((key) => `${plainFormulaId(line)}:${key}`));
  return new Set([...(run.ticks ?? []), ...before]);
}

/** The run with its ticks as given: they are kept on the run, for bowls that lines share. */
export function withTicks(run: RunDoc, ticks: Iterable<string>): RunDoc {
  const held = run.lines.some((line) => line.ticks.length > 0);
  const lines = held ? run.lines.map((line) => ({ ...line, ticks: [] })) : run.lines;
  return { ...run, lines, ticks: [...ticks] };
}

/** Lines of which something is made: what cannot be planned, or comes to no piece, takes nothing and has no work. */
export const madeLines = (whole: RunPlan): LinePlan[] =>
  whole.lines.flatMap((line) => (line.planned && line.parts.count.made.value > 0 ? [line] : []));

/** Frostings, fillings, binders and coats that the run makes for lines of which something is made. */
export function madeComponents(whole: RunPlan): readonly Batch[] {
  const lines = new Set(madeLines(whole).map(({ line }) => line.id));
  return (whole.components?.batches ?? []).filter(({ lineIds }) => lineIds.some((id) => lines.has(id)));
}

/** Every bowl of a run, batters first, then what the lines share; a bowl that lines share stands once. */
export function bowlsOf(run: Pick<RunDoc, 'lines'>, whole: RunPlan): Bowl[] {
  const out: Bowl[] = [];
  const seen = new Set<string>();
  const made = madeLines(whole);
  for (const plan of made) {
    const { id: lineId } = plan.line;
    const apart = isApart(plan.line);
    for (const [i, batch] of plan.batches.entries()) {
      if (apart) {
        // What is ticked off of it is not what was ticked off of the bowl that others share.
        out.push({
          batch: { ...batch, lineIds: [lineId], tickPrefix: `${lineId}/${batch.tickPrefix}` },
          lineId,
        });
        continue;
      }
      // Lines share a bowl; a line that bakes one formula twice mixes it twice.
      const again = plan.batches.slice(0, i).filter(({ formula }) => formula.id === batch.formula.id).length;
      const bowl = `${batch.formula.id}#${again}`;
      if (seen.has(bowl)) continue;
      seen.add(bowl);
      const sharing = made.flatMap((other) =>
        !isApart(other.line) && other.batches.some(({ formula }) => formula.id === batch.formula.id)
          ? [other.line.id]
          : [],
      );
      out.push({ batch: { ...batch, lineIds: sharing }, lineId });
    }
  }
  // What goes into other things is made before them.
  const shared = [...madeComponents(whole)].reverse();
  for (const batch of shared) out.push({ batch, lineId: null });
  const order = new Map(run.lines.map((line, i) => [line.id, i]));
  const at = ({ lineId }: Bowl) => (lineId === null ? run.lines.length : (order.get(lineId) ?? 0));
  return out.sort((a, b) => at(a) - at(b));
}
