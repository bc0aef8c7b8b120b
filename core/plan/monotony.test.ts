import fc from 'fast-check';
import type { Line, MiniWellsLine, PopLine } from '../model/documents';
import { CUBE, CUPCAKE, MINI, MUG, POP, SICLE, has, plan, v } from './test-utils/lines';

/** Values that never fall, but for what floating point leaves. */
const rises = (values: readonly number[]): boolean =>
  values.every((value, i) => i === 0 || value >= (values[i - 1] ?? 0) - 1e-9);
const steps = (from: number, to: number, n: number): number[] =>
  Array.from({ length: n }, (_, i) => from + ((to - from) * i) / (n - 1));

describe('more never makes less', () => {
  it('of a coat: no gram more on the table gives a piece fewer, dipped or spooned', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 60 }),
        fc.constantFrom('dip', 'spoon', undefined),
        (count, by) => {
          const made = steps(20, 900, 25).map((onHandG) => {
            const coat = POP.coat && { ...POP.coat, onHandG, by };
            return v(plan({ ...POP, count, lots: [], coat }), 'count.made');
          });
          return rises(made);
        },
      ),
      { numRuns: 8 },
    );
  });

  it('of a coat for moulded pieces, of binder and of loads', () => {
    const sicles = steps(50, 1200, 25).map((coatOnHandG) => v(plan({ ...SICLE, coatOnHandG }), 'count.made'));
    expect(rises(sicles)).toBe(true);
    const bound = steps(0, 400, 25).map((onHandG) =>
      v(plan({ ...POP, binder: { ...POP.binder, onHandG } }), 'count.made'),
    );
    expect(rises(bound)).toBe(true);
    const loads = [1, 2, 3, 4, 5].map((maxLoads) =>
      v(plan({ ...CUPCAKE, count: 60, maxLoads }), 'count.made'),
    );
    expect(rises(loads)).toBe(true);
  });
});

describe('a warmer oven never bakes longer', () => {
  const heats = steps(150, 205, 12);
  const time = (line: Line) => v(plan(line), 'bake.time');
  it.each([
    ['cupcakes', (ovenC: number): Line => ({ ...CUPCAKE, ovenC })],
    ['minis', (ovenC: number): Line => ({ ...MINI, ovenC })],
    ['cubes', (ovenC: number): Line => ({ ...CUBE, ovenC })],
  ] as const)('%s', (_, at) => {
    expect(rises(heats.map((ovenC) => -time(at(ovenC))))).toBe(true);
  });
});

describe('nothing jumps between sizes', () => {
  const wellOf = (scale: number) => ({
    tins: [
      {
        id: 'tin-any',
        name: 'Any tin',
        wells: 12,
        owned: 2,
        topMm: 70 * scale,
        baseMm: 52 * scale,
        depthMm: 36 * scale,
        material: 'light metal' as const,
      },
    ],
  });
  const at = (scale: number) => plan({ ...CUPCAKE, tinId: 'tin-any' }, { kitchen: wellOf(scale) });

  it('in loss or in time, from a mini’s well to a large one', () => {
    const plans = steps(0.65, 1.35, 29).map(at);
    const loss = plans.map((one) => v(one, 'bake.lossShare'));
    const time = plans.map((one) => v(one, 'bake.time'));
    expect(rises(loss.map((share) => -share))).toBe(true);
    expect(rises(time)).toBe(true);
    const jump = (values: readonly number[]) =>
      Math.max(...values.slice(1).map((value, i) => Math.abs(value / (values[i] ?? 1) - 1)));
    expect(jump(loss)).toBeLessThan(0.06);
    expect(jump(time)).toBeLessThan(0.06);
  });

  it('in what a microwave takes: more batter, more time', () => {
    const time = steps(60, 260, 21).map((massG) =>
      v(plan({ ...MUG, count: 1, atOnce: 1, frosting: null, fill: { by: 'mass', massG } }), 'micro.time'),
    );
    expect(rises(time)).toBe(true);
  });
});

describe('what is asked for moves something', () => {
  it('eggs, fat in the coat, the school, the fan, the offset', () => {
    const melt = (over: object) =>
      v(plan({ ...POP, coat: { ...POP.coat, ...over } } as PopLine), 'coat.each');
    expect(melt({ thinnedShare: 0.05 })).toBeLessThan(melt({ thinnedShare: 0 }));
    expect(melt({ school: 'frozen' })).toBeGreaterThan(melt({ school: 'fridge-firm' }));
    expect(v(plan({ ...CUPCAKE, eggs: 'up' }), 'scale.used')).toBeGreaterThanOrEqual(
      v(plan({ ...CUPCAKE, eggs: 'down' }), 'scale.used'),
    );
    const halves: MiniWellsLine = { ...MINI, spareHalves: 4 };
    expect(v(plan(halves), 'wells.made')).toBeGreaterThan(v(plan({ ...MINI, spareHalves: 0 }), 'wells.made'));
    expect(has(plan(CUPCAKE), 'bake.colour')).toBe(true);
  });
});
