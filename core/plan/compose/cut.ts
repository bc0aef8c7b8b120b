import type { Sampling } from '../../figure';
import type { CubeLine } from '../../model/documents';
import type { RunContext } from '../context';
import { LinePlan, type Planning } from '../linePlan';
import { batterNeeds } from '../stations/lineBatch';
import { checkLots } from '../stations/lots';
import { toBatter, toCakes, toPieces } from './cutMade';
import { cutTold } from './cutTold';

/** Plans pieces cut from a sheet, filled, frosted, covered or dipped. */
export function* planCut(run: RunContext, line: CubeLine, many: string, sampling: Sampling | null): Planning {
  checkLots(line.lots, line.count);
  const start = toBatter(run, line, many, sampling);
  const { others } = yield batterNeeds(run, start.formula, start.batter.needed);
  return new LinePlan(start.f, run, line, cutTold(toPieces(toCakes(start, others))));
}
