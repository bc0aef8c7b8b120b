import { proxy } from 'comlink';
import type { DayFile, DayLeft, LeftQuestion, RunDay, Since, WayOut } from '../core/schedule/chores';
import type { DayPlanner, Told } from './dayPlanner.worker';
import { Hand } from './hand';

const planner = new Hand<DayPlanner>(() => new Worker(new URL('./dayPlanner.worker', import.meta.url)));

/**
 * The day of a run, found in a worker of its own; null where a newer question has come.
 * @param soFar hears of a day that can be worked while a better one is sought
 */
export const askDay = (
  file: DayFile,
  about: 'as it stands' | 'as it would be',
  told: Told,
  soFar: (day: RunDay) => void = () => undefined,
): Promise<RunDay | null> =>
  planner.ask((remote, alive) =>
    remote.dayOf(
      file,
      about,
      proxy((share: number) => {
        alive();
        told(share);
      }),
      proxy(soFar),
    ),
  );

/** What would give the day time, each tried. */
export const askWaysOut = (
  file: DayFile,
  day: RunDay,
  since: Since | null,
  told: Told,
): Promise<WayOut[] | null> =>
  planner.ask((remote, alive) =>
    remote.waysOut(
      file,
      day,
      since,
      proxy((share: number) => {
        alive();
        told(share);
      }),
    ),
  );

/** What is left of a day, laid anew around what has been done. */
export const askDayLeft = (question: LeftQuestion): Promise<DayLeft | null> =>
  planner.ask((remote) => remote.dayLeft(question));

/** Leaves the search for a run's day: what was asked for it comes to null. */
export const stopDay = (runId: string): Promise<void> => planner.ask((remote) => remote.stop(runId));
