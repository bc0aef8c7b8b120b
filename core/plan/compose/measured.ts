import type { Line } from '../../model/documents';
import type { Sampling } from '../../figure';
import type { RunContext } from '../context';
import { PlanFigures } from '../figures';

/**
 * The ledger of a line. What was measured in this run comes before what was measured of its thing (a water test of its
 * tin or mould), and that before what the kitchen believes.
 */
export function lineFigures(
  run: RunContext,
  line: Line,
  ofThing: Readonly<Record<string, number | undefined>>,
  sampling: Sampling | null,
): PlanFigures {
  const tested = Object.entries(ofThing).filter((one): one is [string, number] => one[1] !== undefined);
  return new PlanFigures(line.id, { ...Object.fromEntries(tested), ...line.measured }, run.beliefs, sampling);
}
