import type { BenchEvent, Inside, Line, RunDoc } from '../model/documents';
import type { FinishKind } from '../model/kinds';
import type { LinePlan } from '../plan';
import { FROSTING_EACH } from './leftOver';

/** What somebody remembers of a line that was baked without the app. Left out or null where nobody knows. */
export interface Remembered {
  readonly lineId: string;
  /** s in the oven or the microwave. */
  readonly bakedS: number | null;
  readonly inside: Inside | null;
  /** g of binder that went in, in all; and of coat on one piece. */
  readonly binderG: number | null;
  readonly coatG: number | null;
  /** g of frosting on one piece; and how the pieces ended in their wells. */
  readonly frostingG?: number | null;
  readonly finish?: FinishKind | null;
  /** Good ones of it, as they were counted or as they were planned. */
  readonly made?: number;
}

/**
 * A run as it would stand had it been baked at the bench: loads with their times, what was weighed of it. Nothing is made up:
 * what nobody remembers stays open.
 * @param at ms since the epoch: when it was baked
 * @param newId for its events
 */
export function bakedAfterwards(
  run: RunDoc,
  plans: readonly LinePlan[],
  all: readonly Remembered[],
  at: number,
  newId: () => string,
): RunDoc {
  const of = (lineId: string) => all.find((one) => one.lineId === lineId);
  const loads = plans.flatMap((plan): BenchEvent[] => {
    const { clocked } = plan.parts;
    const told = of(plan.line.id);
    if (!clocked || !told?.bakedS) return [];
    const times = {
      firstLookS: clocked.firstLook.value,
      expectedS: clocked.time.value,
      latestS: clocked.time.high,
    };
    const loadId = newId();
    const load = { lineId: plan.line.id, load: 1, pieces: clocked.sizes[0] ?? 1 };
    const inside = told.inside ? { inside: told.inside } : {};
    return [
      { id: loadId, at: at - told.bakedS * 1000, what: 'load in', ...load, ...times },
      { id: newId(), at, what: 'load out', loadId },
      // Written down by somebody who remembers it: no slip of a finger.
      { id: newId(), at, what: 'load told', loadId, confirmed: true, ...inside },
    ];
  });
  const lines = run.lines.map((line): Line => {
    const told = of(line.id);
    const plan = plans.find((one) => one.line.id === line.id);
    if (!told || !plan) return line;
    const { coat, dough } = plan.parts;
    const measured = {
      ...line.measured,
      ...(told.binderG !== null && dough ? { [dough.added.id]: told.binderG } : {}),
      ...(told.coatG !== null && coat
        ? { [coat.each.id]: Math.max(0.05, told.coatG - (coat.taken.value - coat.each.value)) }
        : {}),
      ...(typeof told.frostingG === 'number' && told.frostingG > 0 && plan.has(FROSTING_EACH)
        ? { [FROSTING_EACH]: told.frostingG }
        : {}),
    };
    return { ...line, measured };
  });
  // How a line ended is told of that line: its closing carries it.
  const closings = all.flatMap(({ lineId, finish, made = 0 }): BenchEvent[] =>
    finish ? [{ id: newId(), at, what: 'line closed', lineId, made, finish }] : [],
  );
  return { ...run, lines, log: [...(run.log ?? []), ...loads, ...closings] };
}
