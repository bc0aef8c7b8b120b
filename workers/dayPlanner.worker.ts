import { expose } from 'comlink';
import {
  dayLeft,
  dayOfFile,
  waysOut,
  type DayFile,
  type DayLeft,
  type LeftQuestion,
  type RunDay,
  type WayOut,
} from '../core/schedule/chores';

/** Told how far it is, 0 to 1. */
export type Told = (share: number) => void;

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
  dayOf: (file: DayFile, about: string, told: Told): Promise<RunDay | null> =>
    inStretches(dayOfFile(file), asked(`${about}:${file.run.id}`), told),
  /** Leaves the search for a run's day where it is. */
  stop: (runId: string): void => void asked(`as it stands:${runId}`),
  dayLeft: (question: LeftQuestion): DayLeft | null => dayLeft(question),
  waysOut: (file: DayFile, day: RunDay, told: Told): Promise<WayOut[] | null> =>
    inStretches(waysOut(file, day), asked(`ways:${file.run.id}`), told),
};
export type DayPlanner = typeof dayPlanner;

expose(dayPlanner);
