import type { FormulaDoc, Line } from '../model/documents';
import type { ComponentsPlan } from './components';
import type { PlanFault } from './context';
import type { LinePlan } from './linePlan';

/** A line that cannot be planned, and what would mend it. */
export interface Unplanned {
  readonly planned: false;
  readonly line: Line;
  readonly formula: FormulaDoc | null;
  readonly fault: PlanFault;
}

export type PlannedLine = LinePlan | Unplanned;

/** A run planned whole: its lines, and what is made once for all of them. */
export interface RunPlan {
  readonly lines: readonly PlannedLine[];
  /** Fillings, frostings, binders and parts of formulas; null where a line cannot be planned, or nothing is needed. */
  readonly components: ComponentsPlan | null;
  /** What keeps the components from being planned: a part of a formula that is gone or empty. */
  readonly fault: PlanFault | null;
}
