import type { Sampling } from '../../figure';
import type { PopLine } from '../../model/documents';
import { addDoughFrom } from '../compose/dough';
import { toPortion, toPots } from '../compose/popMade';
import { popTold } from '../compose/popTold';
import type { RunContext } from '../context';
import { LinePlan, type Planning } from '../linePlan';
import { checkLots } from '../stations/lots';

/** Cake pops and balls: crumb, binder, dough, portions, sticks, coat by pots, toppings by lots. */
export function* planPop(run: RunContext, line: PopLine, sampling: Sampling | null): Planning {
  checkLots(line.lots, line.count);
  const start = toPortion(run, line, sampling);
  const dough = yield* addDoughFrom(start.f, run, line, start.wanted, start.kind, start.portion);
  return new LinePlan(start.f, run, line, popTold(toPots(start, dough)));
}
