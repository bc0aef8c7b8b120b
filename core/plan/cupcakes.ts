/**
 * What a page of cupcakes needs of the plan, without the other families: they are many, and load when a run has them.
 */
import type { CupcakePlan } from './families/wells';
import { planWells } from './families/wells';
import { Unplannable } from './lookup';
import { planRunWith, type Attempted, type PlanFile } from './runPlanner';

export { readOnce } from './lookup';
export { plainFormulaId } from './runPlanner';

/** Plans the cupcakes of a run; a line of another family is told as one that these pages do not show. */
export function planCupcakes(file: PlanFile): Attempted<CupcakePlan>[] {
  return planRunWith<CupcakePlan>(
    (context, line, sampling) => {
      if (line.family === 'cupcake') return planWells<CupcakePlan>(context, line, sampling);
      throw new Unplannable({
        field: 'line',
        fault: 'This line of the run is no cupcake, and these screens show cupcakes only.',
        mend: 'Read its sums with the headless command; the file keeps all that it holds.',
      });
    },
    file,
    null,
  );
}
