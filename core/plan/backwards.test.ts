import fc from 'fast-check';
import { DEMO_KITCHEN } from '../../demo/kitchen';
import { lineSchema } from '../model/lines';
import { offersFrom, type OnTheTable } from './backwards';

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

describe('starting from what is there', () => {
  it('offers every way to use it up, nothing missing first, and then what makes most', () => {
    const all = offers();
    expect(all.map(({ id }) => id).sort()).toEqual(['balls', 'bare-balls', 'moulded', 'pops', 'small-pops']);
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
    expect(of('small-pops')?.missing).toEqual(
      expect.arrayContaining([expect.objectContaining({ what: 'sticks', by: 'pieces' })]),
    );
    const short = of('pops', { chocolate: null })?.missing.find(({ what }) => what === 'dark chocolate');
    expect(short?.amount).toBeGreaterThan(100);
    expect(of('bare-balls', { chocolate: null })?.missing).toEqual([]);
    expect(of('pops', { chocolate: { kind: 'white', massG: 5000 } })?.missing).toEqual([]);
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
