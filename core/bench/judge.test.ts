import fc from 'fast-check';
import { CUPCAKE, POP, plan } from '../plan/test-utils/lines';
import { gramsText as grams } from '../plan';
import { DEMO_KITCHEN } from '../../demo/kitchen';
import type { KitchenDoc } from '../model/documents';
import type { LinePlan } from '../plan';
import type { Chore } from '../schedule/chores/chore';
import { coolNow, judgementFor, type Judgement } from './judge';
import type { Answered } from './log';

const chore = (does: Chore['does'], lineId: string) =>
  ({ id: 'any name', does, makes: null, lineIds: [lineId] }) as unknown as Chore;
const said = (to: string, ...answers: readonly (string | readonly [string, number])[]): Answered[] =>
  answers.map((one, at) =>
    typeof one === 'string'
      ? { to, answer: one, value: null, at }
      : { to, answer: one[0], value: one[1], at },
  );
const judged = (
  of: LinePlan,
  does: Chore['does'],
  answers: readonly Answered[] = [],
  kitchen: Partial<KitchenDoc> = {},
): Judgement => {
  const found = judgementFor({
    chore: chore(does, of.line.id),
    plan: of,
    kitchen: { ...DEMO_KITCHEN, ...kitchen },
    answers,
  });
  if (!found) throw new Error(`"${does}" asks for a judgement`);
  return found;
};

describe('the squeeze', () => {
  const pops = plan(POP);
  const { dough } = pops.parts;
  if (!dough) throw new Error('pops are of dough');
  const [first, need] = [dough.first.value, dough.need.value];

  it('begins with the first addition', () => {
    expect(judged(pops, 'bind').says[0]).toContain(grams(first));
    expect(judged(pops, 'bind').settled).toBe(false);
  });

  it('goes on by spoons and, near the end, by teaspoons', () => {
    // 60 % of the need is in; spoons of 15 g as long as none passes nine tenths of it, then 5 g.
    let added = first;
    for (let n = 1; n <= 8; n += 1) {
      const step = added + 15 > need * 0.9 ? 5 : 15;
      added += step;
      const told = judged(pops, 'bind', said('squeeze', ...Array.from({ length: n }, () => 'crumbles')));
      if (added <= need * 1.6) {
        expect(told.says[0]).toContain(`${grams(step)} more`);
        expect(told.says[0]).toContain(`${grams(added)} then`);
      }
    }
  });

  it('keeps what it took, to plan on from', () => {
    const told = judged(pops, 'bind', said('squeeze', 'crumbles', 'crumbles', 'holds'));
    expect(told.settled).toBe(true);
    expect(told.found).toEqual({ lineId: POP.id, figureId: 'binder.added', value: first + 30 });
  });

  it('chills a wet dough first and then gives crumb by the spoon, never a second batch', () => {
    const [words = ''] = judged(pops, 'bind', said('squeeze', 'wet')).says;
    expect(words).toMatch(/^Half an hour in the fridge/);
    const crumbG = (15 * dough.crumbTotal.value) / need;
    expect(words).toContain(`${grams(crumbG)} of crumb`);
  });

  it('does not spoon on for ever', () => {
    const many = Array.from({ length: 60 }, () => 'crumbles');
    expect(judged(pops, 'bind', said('squeeze', ...many)).says[0]).toMatch(/far more than/);
  });
});

describe('a coat on its first piece', () => {
  const pops = plan(POP);

  it('says for how many what is melted is enough', () => {
    const made = pops.parts.count.made.value;
    const each = pops.parts.coat?.taken.value ?? 0;
    const [heavy = ''] = judged(pops, 'dip', said('coat', ['weighed', each * 1.5])).says;
    expect(heavy).toMatch(new RegExp(`enough for \\d+ of ${made}`));
    expect(Number(/for (\d+) of/.exec(heavy)?.[1])).toBeLessThan(made);
    expect(judged(pops, 'dip', said('coat', ['weighed', each])).says[0]).toMatch(/is enough/);
  });

  it('warms a tempered coat to the top of its band and no further, and says when the temper is gone', () => {
    const coat = { ...POP.coat, kind: 'dark' } as typeof POP.coat;
    const dark = plan({ ...POP, coat });
    expect(judged(dark, 'dip', said('coat', 'thick')).says[0]).toContain('{32 °C} and no further');
    expect(judged(dark, 'dip', said('coat', ['measured', 35])).says[0]).toMatch(/temper goes/);
    expect(judged(dark, 'dip', said('coat', ['measured', 31.5])).says[0]).toMatch(/in its band/);
  });
});

describe('frosting and syrup', () => {
  const frosted = (kind: string) =>
    plan({
      ...CUPCAKE,
      frosting: { kind, style: 'swirl', formulaId: null, onHandG: null } as typeof CUPCAKE.frosting,
    });

  it('mends by a twentieth of sugar or a hundredth of liquid', () => {
    const of = frosted('buttercream');
    const all = of.parts.frostingNeeded?.value ?? 0;
    expect(judged(of, 'frost', said('stiffness', 'runny')).says[0]).toContain(grams(all * 0.05));
    expect(judged(of, 'frost', said('stiffness', 'stiff')).says[0]).toContain(grams(Math.max(1, all * 0.01)));
    expect(judged(of, 'frost', said('stiffness', 'right')).settled).toBe(true);
  });

  it('never beats sugar into cream', () => {
    expect(judged(frosted('whipped cream'), 'frost', said('stiffness', 'runny')).says[0]).not.toMatch(
      /sugar/,
    );
  });

  it('boils to fewer degrees the higher the kitchen lies', () => {
    const of = frosted('cooked meringue');
    expect(judged(of, 'frosting', [], { altitudeM: 0 }).says[0]).toContain('{118 °C} to {121 °C}');
    // 1500 m: five degrees less.
    expect(judged(of, 'frosting', [], { altitudeM: 1500 }).says[0]).toContain('{113 °C} to {116 °C}');
    expect(judged(of, 'frosting', said('syrup', ['measured', 110]), { altitudeM: 1500 }).says[1]).toMatch(
      /3 °C to go/,
    );
  });

  it('asks for the syrup where the meringue is made, and nowhere else that something is made for it', () => {
    const of = plan({
      ...CUPCAKE,
      frosting: {
        kind: 'meringue buttercream',
        style: 'swirl',
        formulaId: 'formula-malt-buttercream',
        onHandG: null,
      } as typeof CUPCAKE.frosting,
    });
    const asked = (over: Partial<Chore>) =>
      judgementFor({
        chore: { lineIds: [of.line.id], ...over } as unknown as Chore,
        plan: of,
        kitchen: DEMO_KITCHEN,
        answers: [],
      })?.asks;
    expect(asked({ does: 'make', makes: 'formula-malt-buttercream' })).toBe('syrup');
    expect(asked({ does: 'make', makes: 'formula-quince-butter' })).toBeUndefined();
    expect(asked({ does: 'frost' })).toBe('stiffness');
  });
});

describe('how cool it is by now', () => {
  const cooling = {
    room: { value: 20 },
    constant: { value: 960, low: 770, high: 1150 },
    time: { value: 2600 },
  };

  it('is about where the exponential has it: a third of the way down after one constant', () => {
    // 20 + 75 ÷ e = 47.6.
    expect(coolNow(cooling, 960, null).nowC).toBeCloseTo(47.6, 1);
    expect(coolNow(cooling, 2600, null).leftS).toBeCloseTo(0, 6);
  });

  it('waits for less the longer it stood, and believes a probe', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4000 }), fc.integer({ min: 1, max: 1000 }), (stood, more) => {
        expect(coolNow(cooling, stood + more, null).leftS ?? 0).toBeLessThanOrEqual(
          coolNow(cooling, stood, null).leftS ?? 0,
        );
      }),
    );
    expect(coolNow(cooling, 0, 22).leftS).toBe(0);
    expect(coolNow(cooling, 5000, 60).leftS).toBeGreaterThan(0);
  });
});
