import fc from 'fast-check';
import { bakeModel } from '../process/bakeModel';
import { bakeInsideS } from '../process/bakeSurrogate';
import { WELL_SHAPES, shapeVolumeMl } from './shape/wells';
import { wellVolumeMl } from './well';

const bowlVolumeMl = (top: number, depth: number) =>
  shapeVolumeMl(WELL_SHAPES.bowl, { top, base: 0, depth, length: 0, hole: 0 });
const barVolumeMl = (length: number, top: number, base: number, depth: number) =>
  shapeVolumeMl(WELL_SHAPES.bar, { top, base, depth, length, hole: 0 });

const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** A volume by slices, ml: the area at each height, summed. */
function sliced(depthMm: number, areaMm2: (share: number) => number): number {
  const slices = 2000;
  let sum = 0;
  for (let i = 0; i < slices; i += 1) sum += areaMm2((i + 0.5) / slices);
  return ((sum / slices) * depthMm) / 1000;
}

describe('wells that are no cones', () => {
  it('holds half a ball: 70 mm is 89.8 ml, by hand π·7³ ÷ 12', () => {
    expect(bowlVolumeMl(70, 35)).toBeCloseTo((Math.PI * 343) / 12, 9);
  });

  it('holds a bowl of any depth as its slices say', () => {
    fc.assert(
      fc.property(mm(20, 120), mm(8, 90), (top, depth) => {
        const slices = sliced(depth, (z) => (Math.PI / 4) * top * top * (1 - (1 - z) ** 2));
        return Math.abs(bowlVolumeMl(top, depth) / slices - 1) < 1e-4;
      }),
    );
  });

  it('holds a bar with sloping sides as its slices say', () => {
    fc.assert(
      fc.property(mm(40, 200), mm(15, 40), mm(0, 10), mm(8, 60), (length, base, slope, depth) => {
        const top = base + slope;
        const slices = sliced(depth, (z) => (length - slope + slope * z) * (base + slope * z));
        return Math.abs(barVolumeMl(length, top, base, depth) / slices - 1) < 1e-4;
      }),
    );
  });

  it('holds a straight bar as a box does', () => expect(barVolumeMl(100, 40, 40, 30)).toBeCloseTo(120, 9));

  it('grows with every measure', () => {
    fc.assert(
      fc.property(mm(40, 150), mm(20, 39), mm(10, 60), (length, width, depth) => {
        const bar = barVolumeMl(length, width, width * 0.8, depth);
        return (
          barVolumeMl(length * 1.1, width, width * 0.8, depth) > bar &&
          barVolumeMl(length, width, width * 0.8, depth * 1.1) > bar &&
          bowlVolumeMl(width * 1.1, depth) > bowlVolumeMl(width, depth) &&
          wellVolumeMl(width, width * 0.8, depth) > bowlVolumeMl(width, depth) * 0.8
        );
      }),
    );
  });
});

describe('baking in a bowl', () => {
  const bowl = (massG: number, airC = 175) => ({
    pan: { shape: 'bowl' as const, baseRadiusM: 0, topRadiusM: 0.035, depthM: 0.035 },
    massG,
    batterDensity: 0.9,
    cakeDensity: 0.43,
    lossShare: 0.1,
    airC,
    batterC: 21,
    doneC: 97,
  });
  it('takes longer with more in it and less in a hotter oven, by the model and by its quick form', () => {
    for (const time of [
      (m: number, c?: number) => bakeModel(bowl(m, c)).insideS,
      (m: number, c?: number) => bakeInsideS(bowl(m, c)),
    ]) {
      expect(time(50)).toBeGreaterThan(time(40));
      expect(time(45, 190)).toBeLessThan(time(45));
    }
  });
  it('stands on over its rim when it is overfull, and keeps its energy', () => {
    const { energyError, insideS } = bakeModel(bowl(60));
    expect(Math.abs(energyError)).toBeLessThan(1e-3);
    expect(insideS).toBeGreaterThan(bakeModel(bowl(45)).insideS);
  });
});
