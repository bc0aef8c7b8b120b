import fc from 'fast-check';
import type { Line } from '../../model/documents';
import { dayOf, warningsOf } from '../../schedule';
import { CUBE, CUPCAKE, MUG, POP, SICLE, has, plan, v } from '../test-utils/lines';

const READY = Date.UTC(2026, 10, 28, 16);
/** So many minutes before the run must be ready. */
const before = (minutes: number) => new Date(READY - minutes * 60_000).toISOString().slice(0, 16);
const many = (line: Line): Line => ({ ...line, count: 60, lots: [], sticksOnHand: null, maxRounds: null });
const KITCHEN = { mugs: [{ id: 'mug-hall', name: 'Hall mug', owned: 50, volumeMl: 320 }] };

const FAMILIES: readonly (readonly [string, Line])[] = [
  ['cupcakes', many(CUPCAKE)],
  ['pops', many({ ...POP, coat: POP.coat && { ...POP.coat, onHandG: null } })],
  ['moulded pieces', many({ ...SICLE, coatOnHandG: null })],
  ['mugs', many({ ...MUG, count: 40, frosting: null })],
  ['cubes', many({ ...CUBE, coat: CUBE.coat && { ...CUBE.coat, onHandG: null } })],
];
/** Minutes that the whole line takes when the clock is no limit. */
const takes = (line: Line) =>
  (READY - Date.parse(`${dayOf(plan(line, { kitchen: KITCHEN })).startBy ?? ''}:00Z`)) / 60_000;

describe.each(FAMILIES)('the clock as a limit of %s', (_, line) => {
  it('allows fewer the later it is, never more, and names itself when it is what limits', () => {
    const whole = takes(line);
    const plans = [0.97, 0.94, 0.9].map((share) =>
      plan(line, { kitchen: KITCHEN, asOf: before(Math.round(whole * share)) }),
    );
    const made = plans.map((one) => v(one, 'count.made'));
    expect([...made].sort((x, y) => y - x)).toEqual(made);
    for (const one of plans) {
      const limit = one.limits.find(({ supply }) => supply === 'minutes');
      expect(limit?.pieces).toBe(v(one, 'count.minutes'));
      expect(v(one, 'count.made')).toBeLessThanOrEqual(v(one, 'count.minutes'));
    }
  });

  it('is no question far off, or where no time is given', () => {
    expect(has(plan(line, { kitchen: KITCHEN }), 'count.minutes')).toBe(false);
    expect(has(plan(line, { kitchen: KITCHEN, asOf: before(3 * 24 * 60) }), 'count.minutes')).toBe(false);
  });

  it('is told as a late start where not even one round fits', () => {
    const late = plan({ ...line, count: 12 }, { kitchen: KITCHEN, asOf: before(4) });
    expect(has(late, 'count.minutes')).toBe(false);
    expect(
      warningsOf(late)
        .map(({ fault }) => fault)
        .join(),
    ).toMatch(/latest safe start was \d+ min ago/);
  });
});

describe('minutes by hand', () => {
  it('lets pops have what is left after what takes as long for few, at 80 s a piece', () => {
    const line = FAMILIES[1]?.[1] as Line;
    const left = Math.round(takes(line) * 0.9);
    const pops = plan(line, { asOf: before(left) });
    expect(v(pops, 'minutes.round')).toBe(40 + 8 + 20 + 12);
    expect(v(pops, 'count.minutes')).toBe(Math.floor((left * 60 - v(pops, 'minutes.fixed')) / 80));
  });

  it('goes by whole rounds of a mould and by whole groups of mugs', () => {
    fc.assert(
      fc.property(fc.integer({ min: 200, max: 700 }), (left) => {
        const one = plan(FAMILIES[2]?.[1] as Line, { asOf: before(left) });
        return !has(one, 'count.minutes') || v(one, 'count.minutes') % 8 === 0;
      }),
      { numRuns: 20 },
    );
    const line = FAMILIES[3]?.[1] as Line;
    const mugs = plan(line, { kitchen: KITCHEN, asOf: before(Math.round(takes(line) * 0.7)) });
    expect(v(mugs, 'count.minutes') % 3).toBe(0);
  });
});
