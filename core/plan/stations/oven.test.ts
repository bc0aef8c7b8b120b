import fc from 'fast-check';
import { roundAs } from '../../piece';
import { sheetInsideS } from '../../process/bakeSurrogate';
import { waterTestW } from '../../process/microwave';
import { microwaveTime } from '../../process/test-utils/microwave';
import { CUBE, CUPCAKE, MINI, MUG, POP, has, plan, v } from '../test-utils/lines';

describe('the oven', () => {
  const time = (over: Partial<typeof CUPCAKE> = {}, kitchen = {}) =>
    v(plan({ ...CUPCAKE, ...over }, { kitchen }), 'bake.time');

  it('sets the fan 20 °C lower and uses the thermometer’s offset', () => {
    const fan = plan({ ...CUPCAKE, ovenId: 'oven-fan' });
    expect(v(fan, 'oven.setting')).toBe(155);
    expect(v(plan(CUPCAKE), 'oven.offset')).toBe(-5);
    const wide = (one: ReturnType<typeof plan>) =>
      one.figure('oven.offset').high - one.figure('oven.offset').low;
    expect(wide(fan)).toBeGreaterThan(wide(plan(CUPCAKE)));
  });

  it('bakes slower in two liners, faster without, and never by more than a tenth', () => {
    const paper = time({ liner: 'paper' });
    expect(time({ liner: 'double paper' })).toBeGreaterThan(paper);
    expect(time({ liner: 'none' })).toBeLessThan(paper);
    expect(time({ liner: 'double paper' }) / time({ liner: 'none' })).toBeLessThan(1.1);
  });

  it('shifts all that water does up high: done cooler, and the oven hotter against it', () => {
    const high = plan(CUPCAKE, { kitchen: { altitudeM: 1500 } });
    expect(v(high, 'altitude.boiling')).toBe(5);
    expect(v(high, 'cake.done')).toBe(92);
    expect(high.figure('cake.done').sentence).toMatch(/less what water boils lower/);
    const sea = plan(CUPCAKE);
    expect(v(high, 'bake.time')).not.toBe(v(sea, 'bake.time'));
    expect(Math.abs(v(high, 'bake.time') / v(sea, 'bake.time') - 1)).toBeLessThan(0.15);
  });

  it('looks first at 85 % of the time, or at the start of the range, to the half minute', () => {
    for (const line of [CUPCAKE, MINI, CUBE]) {
      const one = plan(line);
      const { value, low } = one.figure('bake.time');
      const look = v(one, 'bake.firstLook');
      expect(look % 30).toBe(0);
      expect(look).toBeLessThanOrEqual(Math.min(0.85 * value, low) + 1e-6);
      expect(look).toBeGreaterThan(Math.min(0.85 * value, low) - 30);
    }
  });

  it('takes longer for a heavier well, a colder batter, a cooler oven, and a factor of this oven', () => {
    const usual = time();
    expect(time({ fill: { by: 'mass', massG: 65 } })).toBeGreaterThan(usual);
    expect(time({ measured: { 'batter.temperature': 8 } })).toBeGreaterThan(usual);
    expect(time({ ovenC: 160 })).toBeGreaterThan(usual);
    expect(time({ measured: { 'bake.factor': 1.1 } }) / usual).toBeCloseTo(1.1, 6);
  });

  it('asks the model what the figures say', () => {
    const one = plan(CUPCAKE);
    const asked = one.parts.ovenQuestion?.();
    expect(asked?.input).toMatchObject({
      massG: v(one, 'portion.mass'),
      airC: 175,
      batterC: 21,
      doneC: 97,
    });
    expect(asked?.factor).toBeCloseTo(1.06, 9);
  });
});

describe('a sheet', () => {
  it('is reckoned as the round tin of its area', () => {
    const cubes = plan(CUBE);
    const direct = sheetInsideS({
      pan: roundAs(0.33, 0.23, 0.05),
      massG: v(cubes, 'sheet.mass'),
      batterDensity: 1,
      cakeDensity: 0.43,
      lossShare: 0.09,
      airC: 175,
      batterC: 21,
      doneC: 97,
      coefficientFactor: 1,
    });
    expect(v(cubes, 'bake.inside')).toBeCloseTo(direct, 6);
  });

  it('takes as many as hold the batter, the same in each, in as few loads as fit', () => {
    const many = plan({ ...POP, count: 200, lots: [], sticksOnHand: null });
    expect(v(many, 'sheet.count')).toBe(Math.ceil(v(many, 'batter.ready') / v(many, 'sheet.most')));
    expect(v(many, 'sheet.mass') * v(many, 'sheet.count')).toBeCloseTo(v(many, 'batter.ready'), 6);
    expect(v(many, 'loads.count')).toBe(Math.ceil(v(many, 'sheet.count') / 2));
  });

  it('cuts as many sheets as the count asks for, and says what a cut leaves', () => {
    const two = plan({ ...CUBE, count: 60, coat: null });
    expect(v(two, 'sheet.count')).toBe(2);
    expect(v(two, 'count.made')).toBe(60);
    expect(two.remainder.offers.map(({ id }) => id)).toEqual(['more', 'pops']);
    const tall = plan({ ...CUBE, heightMm: 90, coat: null });
    expect(tall.warnings.map(({ fault }) => fault).join()).toMatch(/runs over/);
  });
});

describe('the microwave', () => {
  it('agrees with the plain sum for any load and setting', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 150 }),
        fc.integer({ min: 1, max: 3 }),
        fc.double({ min: 0.5, max: 1, noNaN: true }),
        (massG, atOnce, setting) => {
          const one = plan({
            ...MUG,
            count: 6,
            atOnce,
            setting,
            fill: { by: 'mass', massG },
            frosting: null,
          });
          const direct = microwaveTime({
            massG: has(one, 'portion.given') ? v(one, 'portion.given') : massG,
            count: atOnce,
            ratedW: 800,
            absorbedW: 560,
            setting,
            startC: 21,
          });
          return Math.abs(v(one, 'micro.time') / direct.timeS - 1) < 1e-9;
        },
      ),
      { numRuns: 25 },
    );
  });

  it('goes by the plate where nobody has tested it, and by the water test where somebody has', () => {
    const untested = [{ id: 'microwave-hall', name: 'Hall', ratedW: 800, absorbedW: null, mugsAtOnce: 3 }];
    expect(v(plan(MUG, { kitchen: { microwaves: untested } }), 'micro.rated')).toBe(800);
    // 16 K in 60 s: 4.186 × 500 × 16 ÷ 60 = 558 W.
    expect(waterTestW(16)).toBeCloseTo(558, 0);
    expect(plan(MUG).figure('micro.rated').bases).toEqual(['measured here']);
  });

  it('looks at three quarters and has a range of a fifth and more', () => {
    const one = plan(MUG);
    const { value, low, high } = one.figure('micro.time');
    expect(v(one, 'micro.firstLook')).toBe(Math.floor((0.75 * value) / 5) * 5);
    expect((high - low) / 2 / value).toBeGreaterThan(0.2);
    expect(v(one, 'micro.stand')).toBe(60);
  });

  it('says of a low setting, a long time and unequal groups what comes of them', () => {
    const faults = plan({ ...MUG, setting: 0.3 })
      .warnings.map(({ fault }) => fault)
      .join(' ');
    expect(faults).toMatch(/low setting/);
    expect(faults).toMatch(/long for a microwave/);
    expect(faults).toMatch(/3, 3, 2/);
  });
});
