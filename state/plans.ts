import type { Attempted, CupcakePlan } from '../core/plan';
import { planCupcakes } from '../core/plan/cupcakes';
import type { FormulaDoc, KitchenDoc, RunDoc } from '../core/exchange/documents';
import { formulasNamed } from '../core/exchange/references';
import { useNow } from './clock';
import { formulasIn, kitchenIn, runIn, type Docs } from './documents';
import { localNow } from './time';
import { useDocuments } from './store';

type Planned = Attempted<CupcakePlan>;

interface Kept {
  readonly kitchen: KitchenDoc;
  readonly formulas: readonly FormulaDoc[];
  readonly asOf: string | undefined;
  readonly plan: readonly Planned[];
}

const kept = new WeakMap<RunDoc, Kept>();

/** A run that has begun is no longer bounded by the minutes left before it could have begun. */
const begun = (run: RunDoc) =>
  run.clocks.length > 0 || run.closed !== null || run.lines.some((line) => line.ticks.length > 0);

/** The formulas of those ids, and those that they are made of. */
function used(ids: ReadonlySet<string>, all: readonly FormulaDoc[]): FormulaDoc[] {
  const reached = new Set(ids);
  for (const id of reached) {
    for (const part of all.find((doc) => doc.id === id)?.parts ?? []) reached.add(part.formulaId);
  }
  return all.filter((doc) => reached.has(doc.id));
}

/** Plans a run, or hands back the plan made before from the same documents at the same minute. */
export function planOf(run: RunDoc, docs: Docs, now: number): readonly Planned[] {
  const kitchen = kitchenIn(docs);
  const formulas = used(formulasNamed(run.lines), formulasIn(docs));
  const local = localNow(now);
  const asOf = begun(run) || run.readyAt <= local ? undefined : local;
  const last = kept.get(run);
  const same =
    last &&
    last.kitchen === kitchen &&
    last.asOf === asOf &&
    last.formulas.length === formulas.length &&
    last.formulas.every((doc, i) => doc === formulas[i]);
  if (same) return last.plan;
  const plan = planCupcakes({ run, formulas, kitchen, asOf });
  kept.set(run, { kitchen, formulas, asOf, plan });
  return plan;
}

export type RunView =
  | { readonly state: 'missing' }
  | {
      readonly state: 'unplanned';
      readonly run: RunDoc;
      readonly line: Extract<Planned, { planned: false }>;
    }
  | { readonly state: 'planned'; readonly run: RunDoc; readonly plan: CupcakePlan };

/** The first line of a run as planned now. */
export function useRun(id: string): RunView {
  const docs = useDocuments((state) => state.docs);
  const now = useNow(60_000);
  const run = runIn(docs, id);
  if (!run) return { state: 'missing' };
  const [line] = planOf(run, docs, now);
  if (!line) return { state: 'missing' };
  return line.planned ? { state: 'planned', run, plan: line } : { state: 'unplanned', run, line };
}
