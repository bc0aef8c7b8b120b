import fc from 'fast-check';
import { DEMO_KITCHEN } from '../../demo/kitchen';
import { lineSchema } from '../model/lines';
import { choose, edit } from '../line';
import type { Line } from '../model/documents';
import { offersFrom, type OnTheTable } from './backwards';
import { planRun } from './plan';

const table: OnTheTable = {
  cakeG: 430,
  frostingShare: 0.2,
  biscuitG: 0,
  chocolate: { kind: 'white', massG: 180 },
  binder: null,
  sticks: 20,
};
const offers = (over: Partial<OnTheTable> = {}) => offersFrom({ ...table, ...over }, DEMO_KITCHEN, []);
const of = (id: string, over: Partial<OnTheTable> = {}) => offers(over).find((offer) => offer.id === id);

function planOf(line: Line) {
  const [plan] = planRun({
    run: {
      kind: 'run',
      version: 4,
      id: 'run-tried',
      name: 'Tried',
      createdAt: 0,
      readyAt: '2026-12-05T12:00',
      lines: [line],
      closed: null,
    },
    kitchen: DEMO_KITCHEN,
    formulas: [],
  });
  if (!plan?.planned) throw new Error('not planned');
  return plan;
}

describe('starting from what is there', () => {
  it('offers every way to use it up, nothing missing first, and then what makes most', () => {
    const all = offers();
    expect([...new Set(all.map(({ id }) => id.replace(/-bought$/, '')))].sort()).toEqual([
      'balls',
      'bare-balls',
      'moulded',
      'pops',
      'small-pops',
    ]);
    const missing = all.map((offer) => offer.missing.length);
    expect([...missing].sort((a, b) => a - b)).toEqual(missing);
    for (const { line } of all) expect(lineSchema.safeParse(line).success).toBe(true);
  });

  it('by hand: 430 g, a fifth of it frosting that binds, is 16 pops of 25 g with no binder missing', () => {
    // 344 g of crumb wants 344 × 0.18 = 62 g; 86 g of frosting is there. 430 × 0.985 ÷ 25 = 16.9.
    const pops = of('pops');
    expect(pops?.count).toBe(16);
    expect(pops?.missing.map(({ what }) => what)).not.toContain('buttercream');
    expect(of('pops', { frostingShare: 0 })?.missing.map(({ what }) => what)).toContain('buttercream');
  });

  it('says how much chocolate and how many sticks are missing', () => {
    expect(of('small-pops-bought')?.missing).toEqual(
      expect.arrayContaining([expect.objectContaining({ what: 'sticks', by: 'pieces' })]),
    );
    const short = of('pops', { chocolate: null })?.missing.find(({ what }) => what === 'dark chocolate');
    expect(short?.amount).toBeGreaterThan(100);
    expect(of('bare-balls', { chocolate: null })?.missing).toEqual([]);
    expect(of('pops', { chocolate: { kind: 'white', massG: 5000 } })?.missing).toEqual([]);
  });

  it('promises nothing that the run then does not keep: it melts no more, takes no more sticks and makes no more', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 2000 }),
        fc.option(fc.integer({ min: 20, max: 900 }), { nil: null }),
        fc.option(fc.integer({ min: 1, max: 60 }), { nil: null }),
        fc.option(fc.integer({ min: 1, max: 200 }), { nil: null }),
        (cakeG, massG, sticks, binderG) => {
          const chocolate = massG === null ? null : ({ kind: 'white', massG } as const);
          const binder = binderG === null ? null : ({ kind: 'buttercream', massG: binderG } as const);
          for (const offer of offers({ cakeG, chocolate, sticks, binder, frostingShare: 0 })) {
            const asked = edit(offer.line, choose({ count: offer.missing.length > 0 ? offer.count : 500 }));
            const plan = planOf(asked);
            expect(plan.parts.count.made.value).toBe(offer.count);
            if (offer.missing.length > 0) continue;
            const melt = plan.pots.reduce((sum, pot) => sum + pot.melt.value, 0);
            if (plan.pots.length > 0) expect(melt).toBeLessThanOrEqual((massG ?? 0) + 2);
            const taken = plan.materials.find(({ what }) => what.is === 'sticks')?.amount.value ?? 0;
            if (sticks !== null) expect(taken).toBeLessThanOrEqual(sticks);
          }
        },
      ),
      { numRuns: 25 },
    );
  });

  it('by hand: 150 g of chocolate and 14 sticks are 14 pops; with more of both all 16, and never bought for as many', () => {
    const few = { chocolate: { kind: 'white', massG: 150 }, sticks: 14 } as const;
    expect([of('pops', few)?.count, of('pops', few)?.missing]).toEqual([14, []]);
    expect(of('pops-bought', few)?.count).toBe(16);
    const near = { chocolate: { kind: 'white', massG: 250 }, sticks: 40 } as const;
    expect(of('pops', near)?.count).toBe(16);
    expect(of('pops-bought', near)).toBeUndefined();
  });

  it('never makes fewer of more cake', () => {
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 3000 }), fc.integer({ min: 1, max: 500 }), (cakeG, more) => {
        const less = of('pops', { cakeG })?.count ?? 0;
        return (of('pops', { cakeG: cakeG + more })?.count ?? 0) >= less;
      }),
      { numRuns: 40 },
    );
  });

  it('offers nothing of nothing, and biscuit alone without baking', () => {
    expect(offers({ cakeG: 0 })).toEqual([]);
    expect(of('pops', { cakeG: 0, biscuitG: 300 })?.count).toBeGreaterThan(10);
    expect(offersFrom(table, { ...DEMO_KITCHEN, moulds: [] }, []).map(({ id }) => id)).not.toContain(
      'moulded',
    );
  });
});
