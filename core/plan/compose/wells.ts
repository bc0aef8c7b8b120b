import type { Sampling } from '../../figure';
import type { CupcakeLine, MiniWellsLine } from '../../model/documents';
import type { RunContext } from '../context';
import { LinePlan, type Planning } from '../linePlan';
import { batterNeeds } from '../stations/lineBatch';
import { checkLots } from '../stations/lots';
import { type InWells, toBatter, toFinish } from './wellsMade';
import { wellsTold } from './wellsTold';

/** Plans pieces that bake in wells: well, batter, loads, core, filling, frosting, coat, lots. */
export function* planInWells(
  run: RunContext,
  line: CupcakeLine | MiniWellsLine,
  how: InWells,
  sampling: Sampling | null,
): Planning {
  checkLots(line.lots ?? [], line.count);
  const start = toBatter(run, line, how, sampling);
  const { others } = yield batterNeeds(run, start.formula, start.needed);
  return new LinePlan(start.f, run, line, wellsTold(toFinish(start, others)));
}
