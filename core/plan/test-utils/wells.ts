import type { OvenDoc, TinDoc } from '../../model/documents';
import { TYPICAL_TIMES, type TypicalTime } from '../../process/typicalTimes.table';
import { CUPCAKE, EVENING, plan } from './lines';

/** An oven that nobody has put a thermometer into. */
const OVEN = { ...(EVENING.kitchen.ovens[0] as OvenDoc), offsetC: null, racks: 1 };
const TIN = EVENING.kitchen.tins.find(({ id }) => id === 'tin-standard') as TinDoc;

/** Wells of the table of typical times. */
export const WELLS = TYPICAL_TIMES.filter(
  ({ pan, share, massG }) => massG < 150 && share === undefined && !('shape' in pan),
);

/** What the app plans for such a well in that air, as a tin of a kitchen that nobody has measured. */
export function plannedWell({ pan, massG }: TypicalTime, airC: number): ReturnType<typeof plan> {
  const mm = (m: number) => Math.round(m * 1000);
  const tin = {
    ...TIN,
    topMm: 2 * mm(pan.topRadiusM),
    baseMm: 2 * mm(pan.baseRadiusM),
    depthMm: mm(pan.depthM),
  };
  const fill = { by: 'mass' as const, massG };
  const line = { ...CUPCAKE, count: 6, ovenC: airC, fill, frosting: null, lots: [] };
  return plan(line, { kitchen: { ovens: [OVEN], tins: [tin], beliefs: [] } });
}
