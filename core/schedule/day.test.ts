import fc from 'fast-check';
import type { Figure } from '../figure';
import { METHODS } from '../process/batter.table';
import { lastLoadWaitsMin, planDay } from './day';
import { localOf, minutesOf } from '../model/localTime';

const minutes = (value: number, high = value): Figure => ({
  id: 'x',
  label: 'x',
  unit: 's',
  value: value * 60,
  low: value * 60,
  high: high * 60,
  bases: ['typical'],
  kind: 'derived',
  replace: null,
  expected: null,
  why: { sentence: '', sum: '', inputs: [] },
});

const day = (loads: readonly number[], method = METHODS.creamed) =>
  planDay({
    loads,
    bakeTime: minutes(20, 23),
    firstLook: minutes(17),
    coolTime: minutes(45, 60),
    turnaroundS: 240,
    method,
    ovenSettingC: 175,
  });

describe('a day reckoned backwards', () => {
  it('takes the longer ends, by hand: two loads of 12 go in 110 and 83 min before', () => {
    const steps = day([12, 12]);
    const at = (id: string) => steps.find((step) => step.id === id);
    expect(at('load-2')?.startMin).toBeCloseTo(60 + 23, 9);
    expect(at('load-1')?.startMin).toBeCloseTo(60 + 23 + 4 + 23, 9);
    expect(at('load-1')?.endMin).toBeCloseTo(87, 9);
    expect(at('mix')?.startMin).toBeCloseTo(110 + 2 + 15, 9);
    expect(at('butter-out')?.startMin).toBeCloseTo(127 + 60, 9);
    expect(at('oven-on')?.startMin).toBeCloseTo(130, 9);
  });

  it('leaves butter in the cold where it is melted, and says one load plainly', () => {
    const steps = day([9], METHODS.melted);
    expect(steps.some((step) => step.id === 'butter-out')).toBe(false);
    expect(steps.find((step) => step.id === 'load-1')?.label).toBe('Bake');
    expect(day([])).toEqual([]);
  });

  it('never has two loads in the oven, and starts earlier the more there are', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 24 }), { minLength: 1, maxLength: 12 }), (loads) => {
        const oven = day(loads).filter((step) => step.kind === 'oven');
        const apart = oven.slice(1).every((step, i) => step.startMin < (oven[i]?.endMin ?? 0));
        return apart && (day([...loads, 6])[0]?.startMin ?? 0) > (day(loads)[0]?.startMin ?? 0);
      }),
    );
  });

  it('lets only the last of several loads wait', () => {
    expect(lastLoadWaitsMin([12], 1200, 240)).toBe(0);
    expect(lastLoadWaitsMin([12, 12], 1200, 240)).toBeCloseTo(26, 9);
  });
});

describe('local times', () => {
  it('counts minutes and comes back', () => {
    expect(localOf(minutesOf('2026-11-28T16:00') - 61)).toBe('2026-11-28T14:59');
    expect(localOf(minutesOf('2026-03-01T00:10') - 20)).toBe('2026-02-28T23:50');
    expect(() => minutesOf('soon')).toThrow(/local time/);
  });
});
