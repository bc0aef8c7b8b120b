import type { Task } from './emitted';

/** What a task takes, s: hands by their usual time, waits by the longer end of their range. */
export const lengthS = ({ kind, takes, times }: Pick<Task, 'kind' | 'takes' | 'times'>): number =>
  (kind === 'hands' || kind === 'ahead' ? takes.value : takes.high) * times;

/** What tasks one after another take together, s. */
export const togetherS = (tasks: readonly Task[]): number =>
  tasks.reduce((sum, one) => sum + lengthS(one), 0);
