import fc from 'fast-check';
import { binderNeedG, crumbForExcessG, nextBinderG, planBind, type BindInput } from './bind';
import {
  BINDER_FACTOR,
  BIND_SCHOOLS,
  CRUMB_FACTOR,
  FIRST_ADDITION,
  type BindSchool,
  type BinderKind,
  type CrumbKind,
} from './bind.table';

const BOWL: BindInput = {
  crumb: [{ kind: 'average', massG: 500 }],
  alreadyG: 0,
  binder: 'buttercream',
  school: 'classic',
  learned: 1,
};

const bowls = fc.record({
  crumb: fc.array(
    fc.record({
      kind: fc.constantFrom(...(Object.keys(CRUMB_FACTOR) as CrumbKind[])),
      massG: fc.double({ min: 20, max: 2000, noNaN: true }),
    }),
    { minLength: 1, maxLength: 3 },
  ),
  alreadyG: fc.double({ min: 0, max: 200, noNaN: true }),
  binder: fc.constantFrom(...(Object.keys(BINDER_FACTOR) as BinderKind[])),
  school: fc.constantFrom(...(Object.keys(BIND_SCHOOLS) as BindSchool[])),
  learned: fc.double({ min: 0.6, max: 1.6, noNaN: true }),
});

describe('binding crumb', () => {
  it('needs 90 g of buttercream for 500 g of cake, by hand: 500 × 0.18', () => {
    const plan = planBind(BOWL);
    expect(plan.needG).toBeCloseTo(90, 9);
    expect([plan.lowG, plan.highG].map((g) => Number(g.toFixed(6)))).toEqual([63, 117]);
    expect(plan.firstG).toBeCloseTo(54, 9);
    // 54, a tablespoon to 69, then teaspoons: another tablespoon would go past nine tenths of 90.
    expect(plan.stepsG[0]).toBe(15);
    expect(plan.stepsG.slice(1).every((g) => g <= 5)).toBe(true);
    expect(plan.doughG).toBeCloseTo(590, 9);
  });

  it('takes half biscuit, half moist cake as the sum of both: 250 × (1.7 + 0.8) × 0.18', () => {
    const crumb = [
      { kind: 'biscuit' as const, massG: 250 },
      { kind: 'moist' as const, massG: 250 },
    ];
    expect(binderNeedG({ ...BOWL, crumb })).toBeCloseTo(112.5, 9);
  });

  it('counts the frosting that leftover cake brings', () => {
    expect(planBind({ ...BOWL, alreadyG: 60 }).needG).toBeCloseTo(30, 9);
    expect(planBind({ ...BOWL, alreadyG: 200 })).toMatchObject({ needG: 0, firstG: 0, stepsG: [] });
  });

  it('never asks for more at first than is needed, and its steps end at the upper end of the range', () => {
    fc.assert(
      fc.property(bowls, (bowl) => {
        const { needG, lowG, highG, firstG, stepsG } = planBind(bowl);
        const total = firstG + stepsG.reduce((sum, g) => sum + g, 0);
        return (
          firstG <= needG &&
          lowG <= needG &&
          needG <= highG &&
          (needG === 0 || Math.abs(total - highG) < 1e-6)
        );
      }),
    );
  });

  it('takes more binder the drier the crumb and the richer the school', () => {
    const need = (over: Partial<BindInput>) => planBind({ ...BOWL, ...over }).needG;
    expect(need({ school: 'lean' })).toBeLessThan(need({}));
    expect(need({ school: 'fudge' })).toBeGreaterThan(need({}));
    expect(need({ crumb: [{ kind: 'dry', massG: 500 }] })).toBeGreaterThan(need({}));
  });
});

describe('when it goes wrong, and what it teaches', () => {
  it('mends 20 g too much with 111 g of average crumb, by hand: 20 ÷ 0.18', () => {
    expect(crumbForExcessG(BOWL, 110, 'average')).toBeCloseTo(111.11, 1);
    expect(crumbForExcessG(BOWL, 80, 'average')).toBe(0);
  });

  it('takes condensed milk of nine tenths and more of the biscuit for a no-bake dough, butter of two fifths, by hand', () => {
    const need = (binder: 'condensed milk' | 'butter and sugar' | 'spread') =>
      planBind({
        crumb: [{ kind: 'biscuit', massG: 200 }],
        alreadyG: 0,
        binder,
        school: 'classic',
        learned: 1,
      }).needG;
    expect(need('condensed milk')).toBeCloseTo(190, 6);
    expect(need('butter and sugar')).toBeCloseTo(84, 6);
    expect(need('spread')).toBeCloseTo(84, 6);
  });

  it('leaves a mended bowl just bound', () => {
    fc.assert(
      fc.property(bowls, fc.double({ min: 1, max: 200, noNaN: true }), (bowl, over) => {
        // Biscuit by itself drinks as a no-bake dough does, beside cake no longer: it is mended with its own.
        fc.pre(bowl.crumb.some(({ kind }) => kind !== 'biscuit'));
        const added = planBind(bowl).needG + over;
        const more = crumbForExcessG(bowl, added, 'dry');
        const mended = { ...bowl, crumb: [...bowl.crumb, { kind: 'dry' as const, massG: more }] };
        const need = planBind(mended).needG;
        // A bowl that had too much before anything was added has a deficit to make up first.
        return need <= added + 1e-6 && (planBind(bowl).needG === 0 || Math.abs(need - added) < 1e-6 * added);
      }),
    );
  });
});

describe('the next addition of binder', () => {
  it('by hand: of 100 g spoons to 90 g, then teaspoons; of 20 g never a spoon, which would be a third too much', () => {
    expect([60, 75, 76, 90].map((added) => nextBinderG(added, 100))).toEqual([15, 15, 5, 5]);
    expect(nextBinderG(12, 20)).toBe(5);
  });

  it('never passes the need by more than a teaspoon, and gets there', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 2000, noNaN: true }), (need) => {
        let added = need * FIRST_ADDITION;
        for (let n = 0; added < need && n < 200; n += 1) added += nextBinderG(added, need);
        expect(added).toBeGreaterThanOrEqual(need);
        expect(added).toBeLessThan(need + 5);
      }),
    );
  });
});
