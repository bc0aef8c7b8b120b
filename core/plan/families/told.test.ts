import fc from 'fast-check';
import type { Line } from '../../model/documents';
import { inStyle } from '../../quantity';
import { dayOf, warningsOf } from '../../schedule';
import { whyText } from '../whyText';
import { BALLS, CUBE, CUPCAKE, EVENING, MINI, MUG, POP, SICLE, plan, v, whole } from '../test-utils/lines';

const ONE_OF_EACH: readonly (readonly [string, Line])[] = [
  ['cupcakes', CUPCAKE],
  ['pops', POP],
  ['balls', BALLS],
  ['moulded pieces', SICLE],
  ['mugs', MUG],
  ['paired minis', MINI],
  ['cubes', CUBE],
];
const minutes = (local: string) => Date.parse(`${local}:00Z`) / 60_000;

describe.each(ONE_OF_EACH)('the day of %s', (_, line) => {
  const { steps: day, startBy } = dayOf(plan(line));

  it('ends when it must be ready, starts at the latest safe start, and never goes backwards in a step', () => {
    expect(day.at(-1)?.endAt ?? day[0]?.endAt).toBe('2026-11-28T16:00');
    expect(startBy).toBe(day[0]?.startAt);
    for (const step of day) expect(minutes(step.endAt)).toBeGreaterThanOrEqual(minutes(step.startAt));
  });

  it('says of every step how long it takes and why, with no brace left open', () => {
    const one = plan(line);
    for (const { figureId, label, detail } of day) {
      expect(one.figure(figureId).unit).toBe('s');
      expect(label.length * detail.length).toBeGreaterThan(0);
      expect(inStyle(detail)).not.toMatch(/[{}]/);
    }
  });

  it('begins earlier for more pieces', () => {
    const more = dayOf(plan({ ...line, count: line.count + 30, lots: [] })).startBy;
    const fewer = dayOf(plan({ ...line, count: Math.max(1, line.count - 5), lots: [] })).startBy;
    expect(minutes(more ?? '')).toBeLessThanOrEqual(minutes(fewer ?? ''));
  });
});

describe('days in their order', () => {
  const order = (line: Line) => dayOf(plan(line)).steps.map(({ id }) => id);
  it('goes from the bowl to the set coat for pops', () => {
    expect(order(POP)).toEqual(['mix', 'bake', 'cool', 'roll', 'firm', 'stick', 'anchor', 'dip', 'set']);
    expect(order(BALLS)).toEqual(['roll', 'firm']);
  });
  it('goes round the mould as often as it must', () => {
    const rounds = order(SICLE).filter((id) => id.startsWith('turn-out'));
    expect(rounds).toEqual(['turn-out-1', 'turn-out-2', 'turn-out-3']);
  });
  it('turns mugs group by group and lets them stand', () => {
    expect(order(MUG)).toEqual(['mix', 'group-1', 'group-2', 'group-3', 'stand', 'cool']);
  });
  it('says when the latest safe start has gone by', () => {
    const late = warningsOf(plan(POP, { asOf: '2026-11-28T14:00' }))
      .map(({ fault }) => fault)
      .join();
    expect(late).toMatch(/latest safe start was \d+ min ago/);
    expect(warningsOf(plan(POP, { asOf: '2026-11-27T14:00' }))).toEqual([]);
  });
});

describe('what is over or short', () => {
  it('offers more pops only as far as the sticks go, and near weights that leave little', () => {
    const above = {
      ...POP,
      crumb: POP.crumb.map((part) => (part.from === 'bake' ? { ...part, eggs: 'up' as const } : part)),
    };
    const { offers, leftG } = plan(above).remainder;
    expect(leftG).toBeCloseTo(v(plan(above), 'dough.left'), 6);
    expect(offers.find(({ id }) => id === 'more')?.change).toEqual({ count: 50 });
    for (const { change } of offers) expect(change?.count ?? 40).toBeLessThanOrEqual(50);
    expect(offers.map(({ id }) => id)).toContain('keep');
  });

  it('offers lighter pieces, more crumb, or fewer, where dough is short', () => {
    const short = plan({ ...POP, measured: { 'dough.total': 700 } }).remainder;
    expect(short.shortPieces).toBe(40 - Math.floor((700 * 0.985) / 25));
    expect(short.offers.map(({ id }) => id)).toEqual(['lighter', 'more-crumb', 'fewer']);
    const lighter = short.offers[0]?.change?.portionG ?? 0;
    expect(40 * lighter).toBeLessThanOrEqual(700 * 0.985);
    expect(40 * (lighter + 1)).toBeGreaterThan(700 * 0.985);
  });

  it('does what it says: taking an offer of a count makes that count', () => {
    fc.assert(
      fc.property(fc.integer({ min: 400, max: 2500 }), (dough) => {
        const line = { ...POP, lots: [], sticksOnHand: null, measured: { 'dough.total': dough } };
        return plan(line).remainder.offers.every(({ change }) => {
          if (!change?.count) return true;
          const size = change.portionG ? { by: 'mass' as const, massG: change.portionG } : line.size;
          return v(plan({ ...line, count: change.count, size }), 'count.made') === change.count;
        });
      }),
      { numRuns: 25 },
    );
  });

  it('offers trimmings of cubes for pops, and a last mug for what is over', () => {
    expect(plan(CUBE).remainder.offers.map(({ id }) => id)).toEqual(['more', 'pops']);
    expect(plan(MUG).remainder.offers.map(({ id }) => id)).toEqual(['one-more']);
    expect(plan({ ...MUG, count: 40, frosting: null }).remainder.offers[0]).toMatchObject({
      id: 'fewer',
      change: { count: 12 },
    });
  });

  it('shares a bowl over halves two by two', () => {
    const short = plan({ ...MINI, measured: { 'batter.mixed': 600 } });
    expect(v(short, 'count.made')).toBe(Math.floor((600 * 0.97) / 51 / 2));
    expect(short.remainder.offers[0]?.id).toBe('lighter');
  });
});

describe('chains in bands', () => {
  it.each(ONE_OF_EACH)('of %s: name figures of the plan and hold something', (_, line) => {
    const one = plan(line);
    expect(one.strata.length).toBeGreaterThan(2);
    for (const band of one.strata) {
      expect(band.massG).toBeGreaterThan(0.05);
      expect(one.figure(band.figureId).value).toBe(band.massG);
    }
  });
  it('mark what was weighed', () => {
    const weighed = plan({ ...POP, measured: { 'dough.total': 1100 } });
    expect(weighed.strata.filter(({ pinned }) => pinned).map(({ id }) => id)).toEqual(['dough']);
  });
});

describe('explanations', () => {
  it.each(ONE_OF_EACH)('of %s read as sums in words and in numbers', (_, line) => {
    const one = plan(line);
    for (const figure of one.figures) {
      const why = whyText(one, figure);
      expect(`${why.sum}${why.filled}`).not.toMatch(/[{}]|undefined|NaN/);
      for (const { percent } of why.causes) expect(percent).toBeGreaterThan(0);
    }
  });
  it('put this run’s numbers into the sum, by hand for a mug’s power', () => {
    const one = plan(MUG);
    expect(whyText(one, one.figure('micro.load')).filled).toBe('3 × 141 g = 423 g');
    expect(whyText(one, one.figure('portion.mass')).filled).toBe(
      '42 % × 320 ml × 1.05 g/ml, rounded = 141 g',
    );
  });
});

describe('keeping', () => {
  it('halves the hours that cream may stand out in a hot room', () => {
    expect(plan(MUG).keeping.outHours).toBe(2);
    expect(plan({ ...MUG, measured: { 'room.temperature': 34 } }).keeping.outHours).toBe(1);
  });
});

describe('what lines share', () => {
  it('is nothing for a run that is made of one formula', () => {
    expect(whole([CUPCAKE]).components).toBeNull();
    expect(whole([CUPCAKE, { ...CUPCAKE, id: 'again' }]).components).toBeNull();
  });

  it('keeps eggs whole for two lines as for one of both counts', () => {
    const [a] = whole([
      { ...CUPCAKE, count: 10 },
      { ...CUPCAKE, id: 'b', count: 14 },
    ]).lines;
    const one = plan({ ...CUPCAKE, count: 24 });
    expect(a?.planned ? v(a, 'eggs.used') : NaN).toBe(v(one, 'eggs.used'));
    expect(a?.planned ? v(a, 'batter.mixed') : NaN).toBeCloseTo(v(one, 'batter.mixed'), 6);
  });

  it('says which part of which formula is gone, instead of breaking', () => {
    const gone = { ...EVENING, formulas: EVENING.formulas.filter(({ id }) => id !== 'formula-barley-syrup') };
    const lines = whole(gone.run.lines).lines;
    expect(lines.every(({ planned }) => planned)).toBe(true);
    const [line] = whole([POP], {
      formulas: [
        {
          ...EVENING.formulas.find(({ id }) => id === 'formula-malt-buttercream')!,
          parts: [{ formulaId: 'nowhere', massG: 5 }],
        },
      ],
    }).lines;
    expect(line).toMatchObject({ planned: false, fault: { field: 'formula' } });
  });
});
