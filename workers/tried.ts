/** What is only thought of, and takes many plans to tell: reckoned in a worker, so that the page answers meanwhile. */
import { edit, type LineAction } from '../core/line';
import { planWhole, PlanMemory, type LinePlan, type PlanFile } from '../core/plan';
import { differencesOf } from '../core/plan/whatIf';
import { lineCosts, type LineCost } from '../core/schedule';
import type { Unit } from '../core/figure';

export { offersFrom } from '../core/plan/backwards';

/** A figure that would come out otherwise. */
export interface Change {
  readonly label: string;
  readonly unit: Unit;
  readonly before: number;
  readonly after: number;
}

/** What becomes of a line that is made otherwise. */
export interface Tried {
  /** What would keep it from being planned; null where nothing does. */
  readonly fault: string | null;
  readonly changes: readonly Change[];
  /** Warnings that it does not have now. */
  readonly warnings: readonly string[];
}

/** What each of several changes would make of a line. */
export function triedOn(file: PlanFile, lineId: string, actions: readonly LineAction[]): Tried[] {
  const memory = new PlanMemory();
  const planned = (tried: PlanFile) =>
    planWhole(tried, null, memory).lines.find((one) => one.line.id === lineId) ?? null;
  const now = planned(file);
  if (!now?.planned) return actions.map(() => ({ fault: null, changes: [], warnings: [] }));
  return actions.map((action) => {
    const lines = file.run.lines.map((one) => (one.id === lineId ? edit(one, action) : one));
    const then = planned({ ...file, run: { ...file.run, lines } });
    if (!then) return { fault: null, changes: [], warnings: [] };
    return then.planned
      ? { fault: null, changes: changesOf(now, then), warnings: freshIn(now, then) }
      : { fault: then.fault.fault, changes: [], warnings: [] };
  });
}

const changesOf = (now: LinePlan, then: LinePlan): Change[] =>
  differencesOf(now, then).map(({ before, after }) => ({
    label: before.label,
    unit: before.unit,
    before: before.value,
    after: after.value,
  }));

function freshIn(now: LinePlan, then: LinePlan): string[] {
  const known = new Set(now.warnings.map(({ fault }) => fault));
  return then.warnings.flatMap(({ fault }) => (known.has(fault) ? [] : [fault]));
}

/** What the pieces of each line of a run cost. */
export function costsOf(file: PlanFile): LineCost[] {
  const memory = new PlanMemory();
  return lineCosts(file.run, planWhole(file, null, memory), file.kitchen, (run) =>
    planWhole({ ...file, run }, null, null, memory.readings),
  );
}
