import { bakeCurve, passesAtS } from './bakeCurve';
import { bakeModel, type BakeModelInput } from './bakeModel';

const PIECE: BakeModelInput = {
  pan: { baseRadiusM: 0.026, topRadiusM: 0.035, depthM: 0.036 },
  massG: 48,
  batterDensity: 0.9,
  cakeDensity: 0.43,
  lossShare: 0.1,
  airC: 175,
  batterC: 21,
  doneC: 97,
};

describe('the curve of the coldest place', () => {
  const curve = bakeCurve(PIECE, 1.1);
  it('starts at the batter, ends done at the model’s time by the factor, in few points', () => {
    expect(curve.points[0]).toEqual({ timeS: 0, coldestC: 21 });
    expect(curve.timeS).toBeCloseTo(bakeModel(PIECE).insideS * 1.1, 6);
    expect(curve.points.length).toBeLessThan(45);
    expect(passesAtS(curve, 97) ?? 0).toBeCloseTo(curve.timeS, -1);
  });
  it('passes temperatures in their order, and says where it does not get to', () => {
    const times = [30, 60, 90].map((c) => passesAtS(curve, c) ?? NaN);
    expect([...times].sort((a, b) => a - b)).toEqual(times);
    expect(passesAtS(curve, 21)).toBe(0);
    expect(passesAtS(curve, 140)).toBeNull();
  });
});
