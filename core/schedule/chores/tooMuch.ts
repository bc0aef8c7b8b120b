import type { RunPlan } from '../../plan';

/** More chores than these, a thousand pieces and more, are no one day's work, and their order would take minutes to find. */
export const MOST_CHORES = 300;

/** Loads and rounds of all lines: each of them is a chore at the least. */
export const loadsIn = ({ lines }: RunPlan): number =>
  lines.reduce((sum, line) => {
    if (!line.planned) return sum;
    const sheets = line.tasks.reduce((n, { what, times }) => n + (what.does === 'bake' ? times : 0), 0);
    return sum + Math.max(line.loads.sizes.length, sheets);
  }, 0);
