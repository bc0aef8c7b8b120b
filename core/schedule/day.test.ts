import fc from 'fast-check';
import { CUPCAKE, plan } from '../plan/test-utils/lines';
import { localOf, minutesOf } from '../model/localTime';
import { dayOf, warningsOf } from './day';

/** Cupcakes of 24 a load, of which bake and cooling are known to the minute. */
const cupcakes = (count: number, formulaId = CUPCAKE.formulaId) =>
  plan({
    ...CUPCAKE,
    count,
    formulaId,
    measured: { 'bake.factor': 1, 'oven.offset': 0 },
  });
const minutesOfFigure = (one: ReturnType<typeof cupcakes>, id: string, end: 'value' | 'high' = 'high') =>
  one.figure(id)[end] / 60;

describe('a day reckoned backwards', () => {
  it('takes the longer ends, by hand: cool, then the second load, the turn-round, the first', () => {
    const one = cupcakes(48);
    const { steps } = dayOf(one);
    const at = (id: string) => steps.find((step) => step.id === id);
    const [bake, cool] = [minutesOfFigure(one, 'bake.time'), minutesOfFigure(one, 'cool.time')];
    const turn = minutesOfFigure(one, 'turnaround', 'value');
    expect(one.loads.sizes).toEqual([24, 24]);
    expect(at('load-2')?.startMin).toBeCloseTo(cool + bake, 6);
    expect(at('load-1')?.startMin).toBeCloseTo(cool + bake + turn + bake, 6);
    expect(at('load-1')?.endMin).toBeCloseTo(cool + bake + turn, 6);
    const mix = at('mix')?.startMin ?? NaN;
    expect(mix).toBeGreaterThan(at('load-1')?.startMin ?? NaN);
    expect(at('butter-out')?.startMin).toBeCloseTo(mix + 60, 6);
    expect(at('oven-on')?.startMin).toBeCloseTo((at('load-1')?.startMin ?? NaN) + 20, 6);
  });

  it('leaves butter in the cold where it is melted, and says one load plainly', () => {
    const { steps } = dayOf(cupcakes(9, 'formula-beetroot-ginger'));
    expect(steps.some((step) => step.id === 'butter-out')).toBe(false);
    expect(steps.find((step) => step.id === 'load-1')?.label).toBe('Bake');
    expect(dayOf({ tasks: [], readyMin: 0 })).toEqual({ steps: [], startBy: null });
  });

  it('never has two loads in the oven, and starts earlier the more there are', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), (count) => {
        const day = dayOf(cupcakes(count)).steps;
        const oven = day.filter((step) => step.kind === 'oven');
        const apart = oven.slice(1).every((step, i) => step.startMin < (oven[i]?.endMin ?? 0));
        return apart && (dayOf(cupcakes(count + 24)).steps[0]?.startMin ?? 0) > (day[0]?.startMin ?? 0);
      }),
      { numRuns: 20 },
    );
  });

  it('warns of batter that waits only where several loads follow one another', () => {
    const waits = (count: number) => warningsOf(cupcakes(count)).some(({ fault }) => /waits/.test(fault));
    expect(waits(12)).toBe(false);
    expect(waits(96)).toBe(true);
  });
});

describe('local times', () => {
  it('counts minutes and comes back', () => {
    expect(localOf(minutesOf('2026-11-28T16:00') - 61)).toBe('2026-11-28T14:59');
    expect(localOf(minutesOf('2026-03-01T00:10') - 20)).toBe('2026-02-28T23:50');
    expect(() => minutesOf('soon')).toThrow(/local time/);
  });
});
