import { proxy, wrap, type Remote } from 'comlink';
import type { DayFile, DayLeft, LeftQuestion, RunDay, WayOut } from '../core/schedule/chores';
import type { DayPlanner, Told } from './dayPlanner.worker';

let remote: Remote<DayPlanner> | null = null;

const planner = (): Remote<DayPlanner> =>
  (remote ??= wrap<DayPlanner>(new Worker(new URL('./dayPlanner.worker', import.meta.url))));

/** The day of a run, found in a worker of its own; null where there is none, or where a newer question has come. */
export const askDay = async (
  file: DayFile,
  about: 'as it stands' | 'as it would be',
  told: Told,
): Promise<RunDay | null> => planner().dayOf(file, about, proxy(told));

/** What would give the day time, each tried. */
export const askWaysOut = async (file: DayFile, day: RunDay, told: Told): Promise<WayOut[] | null> =>
  planner().waysOut(file, day, proxy(told));

/** What is left of a day, laid anew around what has been done. */
export const askDayLeft = async (question: LeftQuestion): Promise<DayLeft | null> =>
  planner().dayLeft(question);

/** Leaves the search for a run's day: what was asked for it comes to null. */
export const stopDay = async (runId: string): Promise<void> => planner().stop(runId);
