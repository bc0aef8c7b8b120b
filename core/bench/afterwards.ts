import type { ClockDoc, Inside, Line, RunDoc } from '../model/documents';
import type { LinePlan } from '../plan';
import { startClock } from './clock';

/** What somebody remembers of a line that was baked without the app. Left out or null where nobody knows. */
export interface Remembered {
  readonly lineId: string;
  /** s in the oven or the microwave. */
  readonly bakedS: number | null;
  readonly inside: Inside | null;
  /** g of binder that went in, in all; and of coat on one piece. */
  readonly binderG: number | null;
  readonly coatG: number | null;
}

/**
 * A run as it would stand had it been baked at the bench: loads with their times, what was weighed of it. Nothing is made up:
 * what nobody remembers stays open.
 * @param at ms since the epoch: when it was baked
 * @param newId for its clocks
 */
export function bakedAfterwards(
  run: RunDoc,
  plans: readonly LinePlan[],
  all: readonly Remembered[],
  at: number,
  newId: () => string,
): RunDoc {
  const of = (lineId: string) => all.find((one) => one.lineId === lineId);
  const clocks = plans.flatMap((plan): ClockDoc[] => {
    const { clocked } = plan.parts;
    const told = of(plan.line.id);
    if (!clocked || !told?.bakedS) return [];
    const times = {
      firstLookS: clocked.firstLook.value,
      expectedS: clocked.time.value,
      latestS: clocked.time.high,
    };
    const startedAt = at - told.bakedS * 1000;
    const clock = startClock(newId(), plan.line.id, 1, clocked.sizes[0] ?? 1, times, startedAt);
    return [
      {
        ...clock,
        endedAt: at,
        // Written down by somebody who remembers it: no slip of a finger.
        confirmed: true,
        ...(told.inside ? { inside: told.inside } : {}),
      },
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
    };
    return { ...line, measured };
  });
  return { ...run, lines, clocks: [...run.clocks, ...clocks] };
}
