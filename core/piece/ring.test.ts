import fc from 'fast-check';
import { measure, reckon } from '../figure';
import { bakeModel } from '../process/bakeModel';
import { bakeInsideS } from '../process/bakeSurrogate';
import { cutBody } from '../process/heat/body';
import { WELL_SHAPES, shapeVolumeMl, type SideMm, type Sides } from '.';

const { ring } = WELL_SHAPES;
const of = (top: number, hole: number, depth: number): SideMm => ({ top, hole, depth, base: 0, length: 0 });
const asExpr = (mm: SideMm): Sides => ({
  top: measure(mm.top, 'mm'),
  hole: measure(mm.hole, 'mm'),
  depth: measure(mm.depth, 'mm'),
  base: measure(0, 'mm'),
  length: measure(0, 'mm'),
});
const rings = fc
  .tuple(
    fc.double({ min: 45, max: 140, noNaN: true }),
    fc.double({ min: 0.15, max: 0.55, noNaN: true }),
    fc.double({ min: 12, max: 40, noNaN: true }),
  )
  .map(([top, hole, depth]) => of(top, hole * top, depth));
const bodyOf = (mm: SideMm, share: number) => {
  const ml = share * shapeVolumeMl(ring, mm);
  return { ml, body: cutBody(ring.profile(ring.pan(mm, mm.depth).pan, ml * 1e-6), 16, 12) };
};

describe('a ring', () => {
  it('holds half a torus: 2π·R × half a circle of 12 mm round 30 mm, by hand 42.6 ml', () => {
    // D = 84, h = 36: R = 30 mm, r = 12 mm, ½·π·r² = 226.2 mm², × 188.5 mm.
    expect(shapeVolumeMl(ring, of(84, 36, 12))).toBeCloseTo((2 * Math.PI * 30 * Math.PI * 144) / 2 / 1000, 9);
    expect(shapeVolumeMl(ring, of(84, 36, 12))).toBeCloseTo(42.64, 2);
  });

  it('is cut into rings of just the volume that was poured, below its rim and above', () => {
    fc.assert(
      fc.property(rings, fc.double({ min: 0.2, max: 1.4, noNaN: true }), (mm, share) => {
        const { ml, body } = bodyOf(mm, share);
        return Math.abs((body.totalM3 * 1e6) / ml - 1) < 0.005;
      }),
      { numRuns: 40 },
    );
  });

  it('has the surface that the body has which is cut of it: its round side and its flat one', () => {
    fc.assert(
      fc.property(rings, (mm) => {
        const { ml, body } = bodyOf(mm, 1);
        const surface = ring.surface(asExpr(mm), measure(ml, 'ml'));
        expect(reckon(surface.height)).toBeCloseTo(mm.depth, 6);
        const area = body.patchM2.reduce((sum, one) => sum + one, 0) * 1e4;
        expect(Math.abs(reckon(surface.area(surface.height)) / area - 1)).toBeLessThan(0.02);
        const flat = body.patchM2
          .filter((_, i) => body.patchFace[i] === 'top')
          .reduce((sum, one) => sum + one, 0);
        expect(Math.abs(reckon(surface.foot) / (flat * 1e4) - 1)).toBeLessThan(1e-6);
      }),
      { numRuns: 30 },
    );
  });

  it('grows under a coat as its curvature says, by hand for half a torus', () => {
    // A layer of t round it takes A·t + curve·t² + …; the curvature of half a torus and its two edges is 2π²·R.
    expect(
      reckon(ring.surface(asExpr(of(84, 36, 12)), measure(42.64, 'ml')).curve(measure(12, 'mm'))),
    ).toBeCloseTo(2 * Math.PI ** 2 * 30, 6);
  });

  const ask = (mm: SideMm, share: number, airC = 175) => ({
    pan: ring.pan(mm, mm.depth).pan,
    massG: share * shapeVolumeMl(ring, mm) * 0.9,
    batterDensity: 0.9,
    cakeDensity: 0.43,
    lossShare: 0.1,
    airC,
    batterC: 21,
    doneC: 97,
  });

  it('is baked through its hole as well: sooner than a bowl of the same width, and its energy is kept', () => {
    const { insideS, energyError } = bakeModel(ask(of(80, 30, 25), 0.55));
    const bowl = WELL_SHAPES.bowl.pan(of(80, 0, 25), 25).pan;
    expect(insideS).toBeLessThan(0.8 * bakeModel({ ...ask(of(80, 30, 25), 0.55), pan: bowl }).insideS);
    expect(Math.abs(energyError)).toBeLessThan(1e-3);
    expect(bakeModel(ask(of(80, 30, 25), 0.55, 200)).insideS).toBeLessThan(insideS);
  });

  it('goes by the quick form within a twelfth of the model', () => {
    for (const mm of [of(80, 30, 22), of(60, 20, 15), of(95, 30, 30), of(120, 50, 35), of(80, 30, 35)])
      for (const share of [0.4, 0.55, 0.7]) {
        const input = ask(mm, share);
        expect(Math.abs(bakeInsideS(input) / bakeModel(input).insideS - 1)).toBeLessThan(1 / 12);
      }
  });
});
