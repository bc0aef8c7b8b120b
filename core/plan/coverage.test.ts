import type { TypicalTime } from '../process/typicalTimes.table';
import { WELLS, plannedWell } from './test-utils/wells';

/** How far ovens are off their dials, K: eight in ten within 12, in steps of equal likelihood. */
const OFFSETS = [-15.4, -9.7, -6.3, -3.6, -1.2, 1.2, 3.6, 6.3, 9.7, 15.4];

const bake = (row: TypicalTime, airC: number) => plannedWell(row, airC).figure('bake.time');

describe('ranges of baking times in kitchens that nobody has measured', () => {
  it('hold about as often as they promise, and are no wider than that takes', () => {
    const inside = WELLS.flatMap((row) => {
      const said = bake(row, row.ovenC);
      // The true time: the typical one, moved as an oven's own error moves it.
      return OFFSETS.map((off) => {
        const true_ = row.minutes * 60 * (bake(row, row.ovenC + off).value / said.value);
        return true_ >= said.low && true_ <= said.high;
      });
    });
    const share = inside.filter(Boolean).length / inside.length;
    expect(WELLS.length).toBeGreaterThanOrEqual(7);
    expect(share).toBeGreaterThanOrEqual(0.78);
    expect(share).toBeLessThanOrEqual(0.97);
  });
});
