import fc from 'fast-check';
import { KEEPING, keepingOf, keepingWords, type Part } from '../caution/keeping';
import {
  buttercream,
  coreMasses,
  fondantMasses,
  mendFrosting,
  splitColours,
  stiffnessOf,
  syrupC,
  topMassG,
} from './frost';
import { FROSTING_DENSITY, TOP_STYLES, type Frosting, type Stiffness, type TopStyle } from './frost.table';
import { settingMinutes, wetLot } from './set';
import { SETTING, type SettingStage } from './set.table';

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
  it('splits 500 g of a medium one, by hand: 485 ÷ 2.6 = 186.5 g of butter', () => {
    const { butterG, sugarG, liquidG } = buttercream(500, 'medium');
    expect(butterG).toBeCloseTo(186.54, 2);
    expect(butterG + sugarG + liquidG).toBeCloseTo(500, 9);
  });

  it('knows a school again by its ratio', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Stiffness>('soft', 'medium', 'stiff'),
        positive(50, 3000),
        (school, mass) => {
          const { butterG, sugarG } = buttercream(mass, school);
          return stiffnessOf(butterG, sugarG) === school;
        },
      ),
    );
  });

  it('chills a runny one in a warm kitchen, sugars it in a cool one, loosens a stiff one by the spoon', () => {
    expect(mendFrosting('runny', 600, 27)).toEqual({ kind: 'chill', minutes: 10 });
    expect(mendFrosting('runny', 600, 20)).toEqual({ kind: 'sugar', stepG: 30 });
    expect(mendFrosting('stiff', 600, 20)).toEqual({ kind: 'liquid', stepG: 6 });
  });

  it('boils syrup 3 °C lower at 900 m', () => {
    expect(syrupC(0)).toEqual({ lowC: 118, highC: 121 });
    expect(syrupC(900)).toEqual({ lowC: 115, highC: 118 });
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
  it('knows the usual times, and scales them by mass^(2/3)', () => {
    expect(settingMinutes('dough ball firm, fridge')).toEqual({ value: 25, low: 20, high: 30 });
    expect(settingMinutes('dough ball firm, fridge', 200).value).toBeCloseTo(100, 9);
    expect(() => settingMinutes('coat, room', 0)).toThrow(/mass/);
  });

  it('keeps the order of cold: a frozen piece sets its coat first, then the fridge, then the room', () => {
    const [frozen, fridge, room] = (['coat on a frozen piece', 'coat, fridge', 'coat, room'] as const).map(
      (stage) => settingMinutes(stage).value,
    );
    expect(frozen).toBeLessThan(fridge ?? 0);
    expect(fridge).toBeLessThan(room ?? 0);
  });

  it('never takes less time for more, for any stage', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(SETTING) as SettingStage[])),
        positive(5, 200),
        (stage, mass) => {
          const { low, value, high } = settingMinutes(stage, mass);
          return low <= value && value <= high && settingMinutes(stage, mass * 1.2).value > value;
        },
      ),
    );
  });

  it('garnishes in lots that stay wet, by hand: 8 min at the short end, half of it, 20 s a piece is 12', () => {
    expect(wetLot(settingMinutes('coat, room'), 20)).toBe(12);
    expect(wetLot(settingMinutes('coat on a frozen piece'), 60)).toBe(1);
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
