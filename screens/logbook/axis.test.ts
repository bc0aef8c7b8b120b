import fc from 'fast-check';
import { axisOf, stepOf } from './Charts';

describe('the axis of a chart', () => {
  const value = fc.double({ min: 0.01, max: 100_000, noNaN: true });

  it('holds all its values, in few steps that can be read', () => {
    fc.assert(
      fc.property(fc.array(value, { minLength: 1, maxLength: 20 }), fc.boolean(), (values, fromZero) => {
        const { from, step, sections } = axisOf(values, fromZero);
        expect(from).toBeLessThanOrEqual(Math.min(...values) + 1e-6);
        expect(from + step * sections).toBeGreaterThanOrEqual(Math.max(...values) * (1 - 1e-9));
        expect(sections).toBeLessThanOrEqual(6);
        if (fromZero) expect(from).toBe(0);
        const leading = step / 10 ** Math.floor(Math.log10(step) + 1e-9);
        expect([1, 2, 2.5, 5, 10].some((one) => Math.abs(one - leading) < 1e-6)).toBe(true);
      }),
    );
  });

  it('of shares about a hundred goes in tens, by hand', () => {
    expect(axisOf([96, 100, 113, 104], false)).toEqual({ from: 95, step: 5, sections: 4 });
    expect(axisOf([90, 100], true)).toEqual({ from: 0, step: 25, sections: 4 });
    expect(stepOf(40, 4)).toBe(10);
  });
});
