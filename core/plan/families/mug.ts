import type { Sampling } from '../../figure';
import type { MugLine } from '../../model/documents';
import { toBatter, toCakes, toGroups } from '../compose/mugMade';
import { mugTold } from '../compose/mugTold';
import type { RunContext } from '../context';
import { LinePlan, type Planning } from '../linePlan';
import { batterNeeds } from '../stations/lineBatch';
import { checkLots } from '../stations/lots';

/** Mug cakes: how full, how many turn at once, how long, standing, what goes in and on. */
export function* planMug(run: RunContext, line: MugLine, sampling: Sampling | null): Planning {
  checkLots(line.lots, line.count);
  const start = toBatter(run, line, sampling);
  const { others } = yield batterNeeds(run, start.formula, start.needed);
  return new LinePlan(start.f, run, line, mugTold(toGroups(toCakes(start, others))));
}
