import type { Sampling } from '../../figure';
import type { CakesicleLine } from '../../model/documents';
import { toPressed, toRounds } from '../compose/cakesicleMade';
import { cakesicleTold } from '../compose/cakesicleTold';
import { addDoughFrom } from '../compose/dough';
import type { RunContext } from '../context';
import { LinePlan, type Planning } from '../linePlan';
import { checkLots } from '../stations/lots';

/** Moulded pieces: shell in two coats, dough pressed in, back plate, rounds of the mould, patching. */
export function* planCakesicle(run: RunContext, line: CakesicleLine, sampling: Sampling | null): Planning {
  checkLots(line.lots, line.count);
  const start = toPressed(run, line, sampling);
  const dough = yield* addDoughFrom(start.f, run, line, start.wanted, start.kind, start.portion);
  return new LinePlan(start.f, run, line, cakesicleTold(toRounds(start, dough)));
}
