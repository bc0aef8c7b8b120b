import fc from 'fast-check';
import { FAMILY_FILES } from '../../../demo/families';
import type { KitchenDoc, Line, RunFile } from '../../model/documents';
import { scoopMl } from '../../process/portion';
import { edit } from '../../line';
import { planRun, type LinePlan } from '..';
import { questionsOf } from '../whatIf';
import { scoopings, scoopsOf } from './scoop';

const EVENING = FAMILY_FILES.evening as RunFile;
const withScoops = (...numbers: number[]): KitchenDoc => ({
  ...EVENING.kitchen,
  scoops: numbers.map((number) => ({ id: `scoop-${number}`, name: `Scoop ${number}`, number })),
});

function planned(family: Line['family'], kitchen: KitchenDoc, over: object = {}): LinePlan {
  const line = EVENING.run.lines.find((one) => one.family === family);
  if (!line) throw new Error(`the evening has a ${family}`);
  const lines = [{ ...line, ...over }];
  const [plan] = planRun({ ...EVENING, kitchen, run: { ...EVENING.run, lines } });
  if (!plan?.planned) throw new Error('the demo can be planned');
  return plan;
}

describe('batter by the scoop', () => {
  it('takes the fewest that come near: 60 ml are one scoop 16 and not two of 30', () => {
    // 946 ÷ 16 = 59.1 ml, 946 ÷ 30 = 31.5 ml.
    const ways = scoopings(60, withScoops(16, 30, 60));
    expect(ways.map(({ number, count }) => [number, count])).toEqual([
      [16, 1],
      [30, 2],
      [60, 4],
    ]);
  });

  it('offers no scoop that is far off, however often it is filled', () => {
    // Four of 60 are 63 ml: a mug of 140 ml is not to be had by it.
    expect(scoopings(140, withScoops(60))).toEqual([]);
    expect(scoopings(10, withScoops(16))).toEqual([]);
  });

  it('comes within a third of what is wanted, with whole scoops', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 500, noNaN: true }),
        fc.uniqueArray(fc.integer({ min: 8, max: 120 }), { minLength: 1, maxLength: 6 }),
        (wantedMl, numbers) => {
          for (const { number, count } of scoopings(wantedMl, withScoops(...numbers))) {
            expect(Number.isInteger(count)).toBe(true);
            expect(count).toBeGreaterThanOrEqual(1);
            expect(Math.abs((count * scoopMl(number)) / wantedMl - 1)).toBeLessThanOrEqual(0.35);
          }
        },
      ),
    );
  });

  it('says beside the weight what a well would get of it', () => {
    const plan = planned('cupcake', withScoops(16));
    const density = plan.figure('batter.density').value;
    expect(plan.figure('scoop.count').value).toBe(1);
    expect(plan.figure('scoop.volume').value).toBeCloseTo(59.125, 3);
    expect(plan.figure('scoop.mass').value).toBeCloseTo(59.125 * density, 6);
    expect(plan.figure('scoop.mass').label).toBe('By one level scoop 16');
    // How dense the batter is, is not known to the gram: nor is what a scoop holds of it.
    expect(plan.figure('scoop.mass').high).toBeGreaterThan(plan.figure('scoop.mass').value);
    expect(planned('cupcake', withScoops(120)).has('scoop.mass')).toBe(false);
  });

  it('can be tried in place of the scale, and changes the portion to what the scoop holds', () => {
    const kitchen = withScoops(16, 24);
    const plan = planned('cupcake', kitchen);
    const asked = questionsOf(plan.line, kitchen, plan).find(({ id }) => id === 'scoops');
    expect(asked?.alternatives.map(({ title, now }) => [title, now])).toEqual([
      ['Weighed', true],
      ['Scoop 16, level (number 16)', false],
      ['2 × Scoop 24, level (number 24)', false],
    ]);
    const by16 = asked?.alternatives[1]?.action;
    if (!by16) throw new Error('it was offered');
    const line16 = edit(plan.line, by16);
    const after = planned('cupcake', kitchen, line16);
    expect(after.figure('portion.mass').value).toBe(Math.round(59.125 * plan.figure('batter.density').value));
    // Once taken, it is what holds now, and the scale is no longer named beside it.
    const again = questionsOf(line16, kitchen, after).find(({ id }) => id === 'scoops');
    expect(again?.alternatives.filter(({ now }) => now).map(({ id }) => id)).toEqual(['scoop 16']);
  });

  it('is nothing that dough, cavities and cut sheets ask for', () => {
    for (const family of ['pop', 'cakesicle'] as const) {
      const plan = planned(family, withScoops(16));
      expect(plan.has('scoop.mass')).toBe(false);
      expect(questionsOf(plan.line, withScoops(16), plan).some(({ id }) => id === 'scoops')).toBe(false);
    }
  });
});

describe('what is soaked in', () => {
  const soaked = (family: Line['family'], share = 0.2) =>
    planned(family, EVENING.kitchen, {
      lots: [
        {
          id: 'soaked',
          name: 'Soaked',
          count: 4,
          colour: null,
          coat: null,
          toppings: [{ by: 'soak', what: 'Ginger syrup', share }],
        },
      ],
    });

  it('is a share of the cake alone: a fifth of it, and four fifths for four', () => {
    const plan = soaked('cupcake');
    const cake = plan.figure('cake.mass').value;
    expect(cake).toBeCloseTo(49.4, 0);
    expect(plan.figure('lot.1.topping.1.each').value).toBeCloseTo(cake / 5, 6);
    expect(plan.figure('lot.1.topping.1.total').value).toBeCloseTo((cake * 4) / 5, 6);
    // Mass is kept: the finished piece is heavier by just that.
    expect(plan.figure('lot.1.finished').value - plan.figure('piece.mass').value).toBeCloseTo(cake / 5, 6);
  });

  it('grows with its share, and with the cake', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 0.29, noNaN: true }), (share) => {
        const each = (of: number) => soaked('mug', of).figure('lot.1.topping.1.each').value;
        expect(each(2 * share)).toBeCloseTo(2 * each(share), 6);
      }),
      { numRuns: 10 },
    );
    expect(soaked('mug').figure('lot.1.topping.1.each').value).toBeGreaterThan(
      soaked('cupcake').figure('lot.1.topping.1.each').value,
    );
  });

  it('counts both halves of a pair', () => {
    const plan = soaked('mini');
    if (!plan.has('pair.mass')) throw new Error('the first mini line is of halves');
    expect(plan.figure('lot.1.topping.1.each').value).toBeCloseTo(0.2 * plan.figure('pair.mass').value, 6);
  });
});

const bare = { ...EVENING.kitchen, scoops: undefined };
const own = {
  ...bare,
  scoops: [
    { id: 's1', name: 'Blue scoop', number: 40 },
    { id: 's2', name: 'Small scoop', number: 70 },
    { id: 's3', name: 'Blue scoop, the other', number: 40 },
  ],
};

describe('scoops to portion with', () => {
  it('are the usual ones where a kitchen names none, the smallest first', () => {
    expect(scoopsOf(bare).map(({ number }) => number)).toEqual([60, 50, 40, 30]);
    expect(scoopsOf({ ...bare, scoops: [] })).toEqual(scoopsOf(bare));
  });

  it('are the kitchen’s own where it has some, each number once', () => {
    expect(scoopsOf(own)).toEqual([
      { number: 70, name: 'Small scoop, level (number 70)' },
      { number: 40, name: 'Blue scoop, the other, level (number 40)' },
    ]);
  });

  it('are what is asked about when a size is tried', () => {
    const line = EVENING.run.lines.find(({ family }) => family === 'pop');
    if (!line) throw new Error('the evening has pops');
    const titles = questionsOf(line, own)
      .find(({ id }) => id === 'size')
      ?.alternatives.map(({ title }) => title);
    expect(titles).toContain('Small scoop, level (number 70)');
    expect(titles).not.toContain('A level scoop 60');
    // Weights stand in braces: the screen puts them into the person's unit.
    expect(titles).toContain('Usual: {25 g}');
  });
});
