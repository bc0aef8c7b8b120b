import { OutOfBounds, type Sampling } from '../figure';
import type { Line } from '../model/documents';
import type { ChainPlan } from './chain';
import { planComponents, type ComponentsPlan } from './components';
import { planCakesicle, type CakesiclePlan } from './families/cakesicle';
import { planCubes, type CubePlan } from './families/cubes';
import { planMug, type MugPlan } from './families/mug';
import type { Planning } from './families/planning';
import { planPop, type PopPlan } from './families/pop';
import { planWells, type CupcakePlan, type MiniWellsPlan } from './families/wells';
import { runContext, Unplannable, type PlanFault, type RunContext } from './lookup';
import type { PlanMemory } from './memory';
import { faultOf, planRunWith, type Attempted, type PlanFile } from './runPlanner';

export type LinePlan = CupcakePlan | MiniWellsPlan | CubePlan | PopPlan | CakesiclePlan | MugPlan;
export type PlannedLine = Attempted<LinePlan>;

/** A run planned whole: its lines, and what is made once for all of them. */
export interface RunPlan {
  readonly lines: readonly PlannedLine[];
  /** Fillings, frostings, binders and parts of formulas; null where a line cannot be planned, or nothing is needed. */
  readonly components: ComponentsPlan | null;
  /** What keeps the components from being planned: a part of a formula that is gone or empty. */
  readonly fault: PlanFault | null;
}

/** Plans every line of a run, of whatever family. `sampling` draws the roots anew, for checking ranges. */
export function planRun(
  file: PlanFile,
  sampling: Sampling | null = null,
  memory: PlanMemory<PlannedLine> | null = null,
): PlannedLine[] {
  return planRunWith(planningOf, file, sampling, memory);
}

/** Plans a run with what its lines have in common. A memory spares the lines that have not changed. */
export function planWhole(
  file: PlanFile,
  sampling: Sampling | null = null,
  memory: PlanMemory<PlannedLine> | null = null,
): RunPlan {
  const lines = planRun(file, sampling, memory);
  const planned = lines.flatMap((line): ChainPlan[] => (line.planned ? [line] : []));
  if (planned.length < lines.length) return { lines, components: null, fault: null };
  try {
    return { lines, components: planComponents(runContext(file), planned), fault: null };
  } catch (error) {
    if (error instanceof Unplannable) return { lines, components: null, fault: error.fault };
    if (error instanceof OutOfBounds) return { lines, components: null, fault: faultOf(error.at) };
    throw error;
  }
}

function planningOf(context: RunContext, line: Line, sampling: Sampling | null): Planning<LinePlan> {
  switch (line.family) {
    case 'cupcake':
      return planWells(context, line, sampling);
    case 'mini':
      return line.style === 'cubes' ? planCubes(context, line, sampling) : planWells(context, line, sampling);
    case 'pop':
      return planPop(context, line, sampling);
    case 'cakesicle':
      return planCakesicle(context, line, sampling);
    case 'mug':
      return planMug(context, line, sampling);
  }
}
