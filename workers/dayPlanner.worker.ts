import { expose } from 'comlink';
import { toEnd } from '../core/schedule/solver';
import {
  dayLeft,
  dayOfFile,
  waysOut,
  type DayFile,
  type DayLeft,
  type LeftQuestion,
  type RunDay,
  type Since,
  type WayOut,
} from '../core/schedule/chores';

/** Told how far it is, 0 to 1. */
export type Told = (share: number) => void;

/** A day is waited for so long before one that is not the best yet is shown, ms; and how that one is found. */
const PATIENCE_MS = 1200;
const QUICK = { tries: 2, days: 60 } as const;
/** So long at a stretch, ms: between stretches a newer question is heard. */
const STRETCH_MS = 40;

/** Runs something by steps, and leaves it where a newer question has come. */
async function inStretches<T>(
  steps: Generator<number, T, void>,
  wanted: () => boolean,
  told: Told,
): Promise<T | null> {
  for (;;) {
    const until = performance.now() + STRETCH_MS;
    let step = steps.next();
    while (!step.done && performance.now() < until) step = steps.next();
    if (step.done) return step.value;
    told(step.value);
    await new Promise((done) => setTimeout(done, 0));
    if (!wanted()) return null;
  }
}

const newest: Record<string, number> = {};
const asked = (what: string) => {
  const number = (newest[what] ?? 0) + 1;
  newest[what] = number;
  return () => newest[what] === number;
};

/** Days are found here, beside the page. A question takes the place of the one before it about the same thing of the same run. */
export const dayPlanner = {
  dayOf: (file: DayFile, about: string, told: Told, soFar: (day: RunDay) => void): Promise<RunDay | null> => {
    const began = performance.now();
    let shown = false;
    return inStretches(dayOfFile(file), asked(`${about}:${file.run.id}`), (share) => {
      told(share);
      if (shown || performance.now() - began < PATIENCE_MS) return;
      shown = true;
      // Whoever waits longer than that is shown a day by the first orders that come to mind.
      const quick = toEnd(dayOfFile(file, QUICK.tries, QUICK.days));
      if (quick && quick.chores.length > 0) soFar(quick);
    });
  },
  /** Leaves the search for a run's day where it is. */
  stop: (runId: string): void => void asked(`as it stands:${runId}`),
  dayLeft: (question: LeftQuestion): DayLeft | null => dayLeft(question),
  waysOut: (file: DayFile, day: RunDay, since: Since | null, told: Told): Promise<WayOut[] | null> =>
    inStretches(waysOut(file, day, since), asked(`ways:${file.run.id}`), told),
};
export type DayPlanner = typeof dayPlanner;

expose(dayPlanner);
