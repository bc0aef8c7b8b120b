import { localOf, type ClockChange } from '../model/localTime';
import type { LinePlan, Task, TaskDoes, Warning } from '../plan';
// By file: the first screen tells a run's day without the weight of the whole planner.
import { lengthS } from '../plan/task';
import { taskWords } from '../plan/tasks.words';
import { warning } from '../plan/warnings.words';

/** A task with its place in the day. Times are minutes before the run must be ready (positive = earlier). */
export interface TimedStep {
  readonly id: string;
  readonly does: TaskDoes['does'];
  readonly kind: Task['kind'];
  readonly label: string;
  /** May hold measures in braces, `{175 °C}`, for `inStyle` to put in the reader's units. */
  readonly detail: string;
  /** The figure that the step's length comes from. */
  readonly figureId: string;
  readonly startMin: number;
  readonly endMin: number;
  /** Local times. */
  readonly startAt: string;
  readonly endAt: string;
}

/** The day of a line, and when it must begin at the latest. */
export interface Day {
  readonly steps: readonly TimedStep[];
  /** Local time of the latest safe start; null where nothing has to be done. */
  readonly startBy: string | null;
}

/**
 * Reckons tasks backwards from when the run must be ready: each as late as those that come after it allow, with the
 * longer end of what is waited for. Each line by itself, as if it had the kitchen to itself.
 */
export function dayOf({
  tasks,
  readyMin,
  changes,
}: Pick<LinePlan, 'tasks' | 'readyMin'> & Partial<Pick<LinePlan, 'changes'>>): Day {
  const endsBefore = new Map<string, number>();
  const steps: TimedStep[] = [];
  // A task stands after all that it comes after: from the last one backwards every follower is known.
  for (const task of [...tasks].reverse()) {
    const end = endsBefore.get(task.id) ?? 0;
    const start = end + lengthS(task) / 60;
    for (const { task: before, leastS } of task.after)
      endsBefore.set(before, Math.max(endsBefore.get(before) ?? 0, start + leastS / 60));
    if (start > end) steps.push(timed(task, start, end, readyMin, changes));
  }
  steps.reverse();
  const inOrder = steps.sort((a, b) => b.startMin - a.startMin);
  return { steps: inOrder, startBy: inOrder[0]?.startAt ?? null };
}

const timed = (
  task: Task,
  startMin: number,
  endMin: number,
  readyMin: number,
  changes: readonly ClockChange[] | undefined,
): TimedStep => ({
  id: task.id,
  does: task.what.does,
  kind: task.kind,
  ...taskWords(task),
  figureId: task.takes.id,
  startMin,
  endMin,
  startAt: localOf(readyMin - startMin, changes),
  endAt: localOf(readyMin - endMin, changes),
});

/** A latest safe start that has gone by. */
export function lateWarnings(plan: LinePlan, day: Day = dayOf(plan)): Warning[] {
  const { asOfMin } = plan;
  const first = day.steps[0];
  if (asOfMin === null || !first) return [];
  const byMin = Math.floor(asOfMin - (plan.readyMin - first.startMin) + 1e-6);
  return byMin > 0 ? [warning({ code: 'late', byMin })] : [];
}

/** All that is likely to go wrong with a line, a start that has gone by last. */
export const warningsOf = (plan: LinePlan): readonly Warning[] => [...plan.warnings, ...lateWarnings(plan)];
