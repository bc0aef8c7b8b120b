import fc from 'fast-check';
import { cupcakeCut } from './cupcakeCut';
import { capHeightMm, type CutPoint } from './outline';
import { heightForVolumeMm, wellVolumeMl, type Well } from './well';

const STANDARD: Well = { topMm: 70, baseMm: 52, depthMm: 36 };

/** Volume of the solid that an outline sweeps round the axis, ml: frustum slices between neighbouring points. */
function sweptMl(outline: readonly CutPoint[]): number {
  let volume = 0;
  outline.slice(1).forEach((point, i) => {
    const last = outline[i] ?? point;
    volume += (Math.PI / 3) * (last.y - point.y) * (last.x ** 2 + last.x * point.x + point.x ** 2) * 1e-3;
  });
  return volume;
}

const wells = fc
  .record({
    baseMm: fc.double({ min: 20, max: 80, noNaN: true }),
    flare: fc.double({ min: 0, max: 20, noNaN: true }),
    depthMm: fc.double({ min: 15, max: 80, noNaN: true }),
  })
  .map(({ baseMm, flare, depthMm }): Well => ({ baseMm, topMm: baseMm + flare, depthMm }));

describe('wells', () => {
  it('gives a standard well 106 ml, by hand: π·3.6/12·(49 + 36.4 + 27.04)', () => {
    expect(wellVolumeMl(70, 52, 36)).toBeCloseTo(105.97, 2);
  });

  it('gives a straight cylinder its own volume', () => {
    expect(wellVolumeMl(60, 60, 40)).toBeCloseTo((Math.PI * 36 * 4) / 4, 9);
  });

  it('fills to a height whose volume is what was poured', () => {
    fc.assert(
      fc.property(wells, fc.double({ min: 0.02, max: 1.4, noNaN: true }), (well, share) => {
        const volume = share * wellVolumeMl(well.topMm, well.baseMm, well.depthMm);
        const height = heightForVolumeMm(well, volume);
        const diameter = well.baseMm + ((well.topMm - well.baseMm) * height) / well.depthMm;
        return Math.abs(wellVolumeMl(diameter, well.baseMm, height) - volume) < 1e-4 * volume;
      }),
    );
  });
});

describe('the cut of a cupcake', () => {
  it('solves a cap: a hemisphere of radius 30 mm is 56.55 ml high 30 mm', () => {
    expect(capHeightMm((2 / 3) * Math.PI * 27, 30)).toBeCloseTo(30, 6);
  });

  it('draws a cake that sweeps out the volume it was given', () => {
    fc.assert(
      fc.property(wells, fc.double({ min: 0.4, max: 1.6, noNaN: true }), (well, finish) => {
        const cakeMl = finish * wellVolumeMl(well.topMm, well.baseMm, well.depthMm);
        const cut = cupcakeCut(well, cakeMl / 2, cakeMl);
        return Math.abs(sweptMl(cut.cake) - cakeMl) < 0.03 * cakeMl;
      }),
    );
  });

  it('stands higher the more cake there is, and shows an overflow as overhang', () => {
    const brim = wellVolumeMl(70, 52, 36);
    const tops = [0.8, 0.95, 1.08, 1.2].map((finish) => cupcakeCut(STANDARD, 50, finish * brim).aboveRimMm);
    expect([...tops].sort((a, b) => a - b)).toEqual(tops);
    expect(cupcakeCut(STANDARD, 50, 1.2 * brim).overhangMm).toBe(0);
    expect(cupcakeCut(STANDARD, 50, 1.6 * brim).overhangMm).toBeGreaterThan(3);
  });

  it('measures the batter from the rim: a half-full cylinder stands half-way', () => {
    const cut = cupcakeCut({ topMm: 60, baseMm: 60, depthMm: 40 }, wellVolumeMl(60, 60, 20), 100);
    expect(cut.belowRimMm).toBeCloseTo(20, 4);
  });
});
