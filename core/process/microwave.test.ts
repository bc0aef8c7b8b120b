import fc from 'fast-check';
import { couplingShare, meltingBursts, ratingFromTestW, waterTestW } from './microwave';
import { microwaveTime, type MicrowaveInput } from './test-utils/microwave';

const MUG: MicrowaveInput = { massG: 130, count: 1, ratedW: 800, absorbedW: null, setting: 1, startC: 21 };

describe('a mug cake', () => {
  it('takes 124 s at 800 W, by hand', () => {
    // Heat 130 × 2.8 × 75 = 27 300 J, steam 130 × 0.09 × 2257 = 26 407 J; coupling 0.78 × (1 − e^(−130/110)) = 0.541.
    const { timeS, lowS, highS, firstLookS } = microwaveTime(MUG);
    expect(timeS).toBeCloseTo((27_300 + 26_406.9) / (800 * couplingShare(130)), 6);
    expect(timeS).toBeGreaterThan(123);
    expect(timeS).toBeLessThan(125);
    expect([lowS / timeS, highS / timeS, firstLookS / timeS].map((n) => Number(n.toFixed(6)))).toEqual([
      0.8, 1.2, 0.75,
    ]);
  });

  it('two take longer than one and less than twice as long; one big bowl is not four mugs', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 300, noNaN: true }),
        fc.integer({ min: 1, max: 5 }),
        (massG, count) => {
          const some = microwaveTime({ ...MUG, massG, count }).timeS;
          const more = microwaveTime({ ...MUG, massG, count: count + 1 }).timeS;
          return more > some && more < (some * (count + 1)) / count;
        },
      ),
    );
    const four = microwaveTime({ ...MUG, count: 4 }).timeS;
    expect(microwaveTime({ ...MUG, massG: 520 }).timeS).toBeCloseTo(four, 9);
    expect(four).toBeLessThan(4 * microwaveTime(MUG).timeS);
  });

  it('takes longer at half power, with more batter and from the fridge', () => {
    const usual = microwaveTime(MUG).timeS;
    expect(microwaveTime({ ...MUG, setting: 0.5 }).timeS).toBeCloseTo(2 * usual, 9);
    expect(microwaveTime({ ...MUG, massG: 150 }).timeS).toBeGreaterThan(usual);
    expect(microwaveTime({ ...MUG, startC: 5 }).timeS).toBeGreaterThan(usual);
  });

  it('throws where nothing turns', () => {
    expect(() => microwaveTime({ ...MUG, massG: 0 })).toThrow(/turns/);
    expect(() => microwaveTime({ ...MUG, setting: 0 })).toThrow(/on/);
  });
});

describe('the water test', () => {
  it('finds 628 W where 500 g warm by 18 K in a minute, by hand: 4.186 × 500 × 18 ÷ 60', () => {
    expect(waterTestW(18)).toBeCloseTo(627.9, 6);
  });
  it('takes the place of the rating, and agrees with it where the oven is as rated', () => {
    const asRated = 800 * couplingShare(500);
    expect(ratingFromTestW(asRated)).toBeCloseTo(800, 9);
    expect(microwaveTime({ ...MUG, absorbedW: asRated }).timeS).toBeCloseTo(microwaveTime(MUG).timeS, 9);
    expect(microwaveTime({ ...MUG, absorbedW: asRated * 0.8 }).timeS).toBeCloseTo(
      microwaveTime(MUG).timeS / 0.8,
      9,
    );
  });
});

describe('chocolate in bursts', () => {
  it('never bursts longer than half a minute nor at more than 700 W, and takes more bursts for more', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 1500, noNaN: true }),
        fc.constantFrom(600, 700, 800, 1000, 1600),
        (massG, ratedW) => {
          const bursts = meltingBursts(massG, 'dark', ratedW);
          const more = meltingBursts(massG * 2, 'dark', ratedW);
          return (
            bursts.burstS <= 30 &&
            bursts.setting * ratedW <= 700 + 1e-9 &&
            bursts.setting <= 0.5 &&
            more.count * more.burstS >= bursts.count * bursts.burstS &&
            bursts.lowCount <= bursts.count &&
            bursts.count <= bursts.highCount
          );
        },
      ),
    );
  });
  it('keeps white and milk cooler than dark', () => {
    expect(meltingBursts(200, 'white', 800).ceilingC[1]).toBeLessThan(
      meltingBursts(200, 'dark', 800).ceilingC[1],
    );
  });
});
