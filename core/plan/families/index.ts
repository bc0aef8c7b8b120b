import type { Line } from '../../model/documents';
import type { Sampling } from '../../figure';
import type { RunContext } from '../context';
import type { Planning } from '../linePlan';
import { planCakesicle } from './cakesicle';
import { planCupcake } from './cupcake';
import { planMini } from './mini';
import { planMug } from './mug';
import { planPop } from './pop';

/** Begins to plan a line, by its family. */
export function planningOf(run: RunContext, line: Line, sampling: Sampling | null): Planning {
  switch (line.family) {
    case 'cupcake':
      return planCupcake(run, line, sampling);
    case 'mini':
      return planMini(run, line, sampling);
    case 'pop':
      return planPop(run, line, sampling);
    case 'cakesicle':
      return planCakesicle(run, line, sampling);
    case 'mug':
      return planMug(run, line, sampling);
  }
}
