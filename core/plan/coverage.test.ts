import type { OvenDoc, TinDoc } from '../model/documents';
import { TYPICAL_TIMES, type TypicalTime } from '../process/typicalTimes.table';
import { CUPCAKE, EVENING, plan } from './test-utils/lines';

/** An oven that nobody has put a thermometer into. */
const OVEN = { ...(EVENING.kitchen.ovens[0] as OvenDoc), offsetC: null, racks: 1 };
const TIN = EVENING.kitchen.tins.find(({ id }) => id === 'tin-standard') as TinDoc;

/** Wells of the table of typical times, as a tin of this kitchen. */
const rows = TYPICAL_TIMES.filter(
  ({ pan, share, massG }) => massG < 150 && share === undefined && !('shape' in pan),
);

/** How far ovens are off their dials, K: eight in ten within 12, in steps of equal likelihood. */
const OFFSETS = [-15.4, -9.7, -6.3, -3.6, -1.2, 1.2, 3.6, 6.3, 9.7, 15.4];

function bake({ pan, massG }: TypicalTime, airC: number) {
  const mm = (m: number) => Math.round(m * 1000);
  const tin = {
    ...TIN,
    topMm: 2 * mm(pan.topRadiusM),
    baseMm: 2 * mm(pan.baseRadiusM),
    depthMm: mm(pan.depthM),
  };
  const line = {
    ...CUPCAKE,
    count: 6,
    ovenC: airC,
    fill: { by: 'mass' as const, massG },
    frosting: null,
    lots: [],
  };
  return plan(line, { kitchen: { ovens: [OVEN], tins: [tin], beliefs: [] } }).figure('bake.time');
}

describe('ranges of baking times in kitchens that nobody has measured', () => {
  it('hold about as often as they promise, and are no wider than that takes', () => {
    const inside = rows.flatMap((row) => {
      const said = bake(row, row.ovenC);
      // The true time: the typical one, moved as an oven's own error moves it.
      return OFFSETS.map((off) => {
        const true_ = row.minutes * 60 * (bake(row, row.ovenC + off).value / said.value);
        return true_ >= said.low && true_ <= said.high;
      });
    });
    const share = inside.filter(Boolean).length / inside.length;
    expect(rows.length).toBeGreaterThanOrEqual(7);
    expect(share).toBeGreaterThanOrEqual(0.78);
    expect(share).toBeLessThanOrEqual(0.97);
  });
});
