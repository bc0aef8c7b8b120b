import fc from 'fast-check';
import { KEEPING, keepingOf, keepingWords, type Part } from '../caution/keeping';
import { mendFrosting } from './frost';
import { FROSTING_DENSITY, TOP_STYLES, type Frosting, type TopStyle } from './frost.table';
import { wetLot } from './set';
import { coreMasses, fondantMasses, splitColours, topMassG } from './test-utils/frost';

const positive = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('frosting on a top', () => {
  it.each<[TopStyle, number, Frosting, number]>([
    ['swirl', 65, 'buttercream', 45],
    ['spread', 65, 'buttercream', 25],
    // 45 × 0.48 ÷ 0.85
    ['swirl', 65, 'whipped cream', 25.4],
    // A mini of 42 mm: (42 ÷ 65)² = 0.4175
    ['swirl', 42, 'buttercream', 18.8],
  ])('%s on %d mm of %s is %d g', (style, mm, frosting, g) => {
    expect(topMassG(style, mm, frosting)).toBeCloseTo(g, 1);
  });

  it('grows with the top and with the frosting’s density', () => {
    const styles = Object.keys(TOP_STYLES) as TopStyle[];
    const frostings = Object.keys(FROSTING_DENSITY) as Frosting[];
    fc.assert(
      fc.property(
        fc.constantFrom(...styles),
        fc.constantFrom(...frostings),
        positive(20, 100),
        (style, frosting, mm) => {
          const here = topMassG(style, mm, frosting);
          return here > 0 && topMassG(style, mm * 1.1, frosting) > here;
        },
      ),
    );
  });
});

describe('one bowl in colours', () => {
  const lots = [
    { name: 'white', pieces: 12, depth: 'none' as const },
    { name: 'rose', pieces: 8, depth: 'pastel' as const },
    { name: 'ember', pieces: 4, depth: 'deep' as const },
    { name: 'spare', pieces: 0, depth: 'mid' as const },
  ];

  it('gives each colour its pieces, its bag and its gel, by hand: (4 × 45 + 15) × 1 % = 1.95 g, 39 drops', () => {
    const shares = splitColours(lots, 45);
    expect(shares.map(({ name, massG }) => [name, massG])).toEqual([
      ['white', 555],
      ['rose', 375],
      ['ember', 195],
    ]);
    expect(shares[2]?.gelG).toBeCloseTo(1.95, 9);
    expect(shares[2]?.drops).toBe(39);
    expect(shares[0]?.drops).toBe(0);
  });
});

describe('buttercream', () => {
  it('chills a runny one in a warm kitchen, sugars it in a cool one, loosens a stiff one by the spoon', () => {
    expect(mendFrosting('runny', 600, 27)).toEqual({ kind: 'chill', minutes: 10 });
    expect(mendFrosting('runny', 600, 20)).toEqual({ kind: 'sugar', stepG: 30 });
    expect(mendFrosting('stiff', 600, 20)).toEqual({ kind: 'liquid', stepG: 6 });
  });
});

describe('cores and fondant', () => {
  it('takes out about 4 g of crumb and fits about 9 g of jam', () => {
    const { crumbG, fillingG, plugG } = coreMasses();
    expect(crumbG).toBeCloseTo(4.1, 1);
    expect(fillingG).toBeGreaterThan(8);
    expect(fillingG).toBeLessThan(10);
    expect(plugG).toBeLessThan(crumbG);
  });

  it('covers 33 cm² with 13.9 g of fondant, and loses a tenth of that', () => {
    const { onPieceG, rolledG, lostG } = fondantMasses(33);
    expect(onPieceG).toBeCloseTo(13.86, 2);
    expect(rolledG).toBeCloseTo(20.79, 2);
    expect(lostG / onPieceG).toBeCloseTo(0.1, 9);
  });
});

describe('setting', () => {
  it('garnishes in lots that stay wet, by hand: 8 min at the short end, half of it, 20 s a piece is 12', () => {
    const usual = { value: 12, low: 8, high: 15 };
    expect(wetLot(usual, 20)).toBe(12);
    expect(wetLot({ value: 2, low: 1, high: 3 }, 60)).toBe(1);
  });
});

describe('keeping', () => {
  it('goes by the most delicate part', () => {
    expect(keepingOf(['plain cake', 'cream'], 20)).toEqual({
      roomDays: null,
      fridgeDays: 2,
      frozenDays: null,
      outHours: 2,
    });
    expect(keepingOf(['plain cake', 'buttercream'], 20)).toEqual({
      roomDays: 1,
      fridgeDays: 4,
      frozenDays: 60,
      outHours: null,
    });
  });

  it('halves the hours out on a hot day', () => {
    expect(keepingOf(['soft cheese'], 33).outHours).toBe(1);
    // Two days old already: a coated pop keeps 7 − 2 days cold, and nothing goes into the freezer again.
    expect(keepingOf(['coated pop'], 20, 2)).toMatchObject({ roomDays: 0, fridgeDays: 5, frozenDays: null });
    expect(keepingWords(keepingOf(['coated pop'], 20, 2))).toMatch(/cool room today only, fridge 5 days/);
  });

  it('never keeps longer for having one part more', () => {
    const parts = fc.constantFrom(...(Object.keys(KEEPING) as Part[]));
    fc.assert(
      fc.property(fc.array(parts, { minLength: 1, maxLength: 4 }), parts, (some, more) => {
        const [before, after] = [keepingOf(some, 20), keepingOf([...some, more], 20)];
        const places = ['roomDays', 'fridgeDays', 'frozenDays'] as const;
        return places.every((place) => after[place] === null || (before[place] ?? 0) >= (after[place] ?? 0));
      }),
    );
  });

  it('says it for a label, and whose rules come first', () => {
    expect(keepingWords(keepingOf(['plain cake', 'buttercream'], 20))).toBe(
      'Keeps: cool room 1 day, fridge 4 days, frozen 2 months. Check local rules.',
    );
    expect(keepingWords(keepingOf(['cream'], 20))).toMatch(/at most 2 h\. Check local rules\.$/);
  });
});
