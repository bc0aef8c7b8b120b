import type { FrostingChoice, Line, RunDoc } from '../model/documents';
import { choose, edit } from '../line';
import { TOP_STYLES, type TopStyle } from '../process/frost.table';
import type { PlanFile } from './context';
import { planRun } from './plan';

/**
 * What of a frosting each style takes on one piece of a line, g: the same sum that the line will show once it is chosen,
 * with this top's width, this frosting's density and what the kitchen has learned. Without those that cannot be planned.
 */
export function topsOf(
  { run, kitchen, formulas }: PlanFile,
  line: Line,
  frosting: FrostingChoice,
): ReadonlyMap<TopStyle, number> {
  const tops = (Object.keys(TOP_STYLES) as TopStyle[]).flatMap((style): [TopStyle, number][] => {
    const chosen: RunDoc = {
      ...run,
      lines: [edit(line, choose({ frosting: { ...frosting, style, onHandG: null } }))],
    };
    const [plan] = planRun({ run: chosen, kitchen, formulas });
    return plan?.planned && plan.has('frosting.each') ? [[style, plan.figure('frosting.each').value]] : [];
  });
  return new Map(tops);
}
