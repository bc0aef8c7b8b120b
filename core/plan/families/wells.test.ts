import fc from 'fast-check';
import { tinSchema, type CupcakeLine, type MiniWellsLine } from '../../model/documents';
import { WELL_SHAPES, shapeVolumeMl, wellVolumeMl } from '../../piece';
import type { FINISHES } from '../../process/batter.table';
import { METHODS } from '../../process/batter.table';
import type { LinePlan } from '..';
import { EVENING, MINI, CUPCAKE, has, plan, v } from '../test-utils/lines';

const TINS = ['tin-standard', 'tin-mini', 'tin-large', 'tin-half-ball', 'tin-finger', 'tin-ring'] as const;
const FORMULAS = [
  'formula-honey-thyme',
  'formula-plum-rye',
  'formula-elderflower-pound',
  'formula-pumpkin-oat',
] as const;
const plainMini = (over: Partial<MiniWellsLine>): MiniWellsLine => ({
  ...MINI,
  style: 'moulded',
  filling: null,
  coat: null,
  spareHalves: 0,
  ...over,
});

const lines = fc.record({
  count: fc.integer({ min: 1, max: 300 }),
  tinId: fc.constantFrom(...TINS),
  formulaId: fc.constantFrom(...FORMULAS),
  style: fc.constantFrom<MiniWellsLine['style']>('paired', 'fingers', 'moulded', 'base-layer'),
  finish: fc.constantFrom<keyof typeof FINISHES>('flat', 'gentle', 'high'),
  spareHalves: fc.integer({ min: 0, max: 6 }),
  layerG: fc.option(fc.integer({ min: 1, max: 12 })),
  eggs: fc.constantFrom<MiniWellsLine['eggs']>('follow', 'nearest', 'weigh'),
});

describe('wells of any shape', () => {
  it('hold what their geometry says', () => {
    const volume = (tinId: string) => v(plan(plainMini({ tinId })), 'well.volume');
    expect(volume('tin-standard')).toBeCloseTo(wellVolumeMl(70, 52, 36), 9);
    expect(volume('tin-half-ball')).toBeCloseTo(
      shapeVolumeMl(WELL_SHAPES.bowl, { top: 70, base: 0, depth: 35, length: 0, hole: 0 }),
      9,
    );
    expect(volume('tin-finger')).toBeCloseTo(
      shapeVolumeMl(WELL_SHAPES.bar, { top: 40, base: 32, depth: 30, length: 100, hole: 0 }),
      9,
    );
  });

  it('are filled for the finish, by hand for a finger: 0.95 ÷ rise × 103.8 ml × 0.9 = 47 g', () => {
    const finger = plan(plainMini({ tinId: 'tin-finger', formulaId: 'formula-plum-rye' }));
    const rise =
      ((1 - 0.0855 - 1.3 / 103.84) * METHODS.creamed.batterDensity.value) / METHODS.creamed.cakeDensity.value;
    expect(v(finger, 'portion.aim')).toBeCloseTo((0.95 / rise) * 103.84 * 0.9, 1);
    expect(v(finger, 'portion.mass')).toBe(47);
  });

  it('lose more in the oven the smaller they are', () => {
    const lost = (tinId: string) => v(plan(plainMini({ tinId })), 'bake.lossShare');
    const [mini, standard, large] = ['tin-mini', 'tin-standard', 'tin-large'].map(lost);
    expect(mini).toBeCloseTo(0.13, 2);
    expect(standard).toBeCloseTo(0.1, 2);
    expect(large).toBeCloseTo(0.09, 2);
  });

  it('conserve mass from the bowl to the cakes, whatever they are', () => {
    fc.assert(
      fc.property(lines, ({ finish, layerG, ...r }) => {
        const one = plan(
          plainMini({
            ...r,
            fill: { by: 'finish', finish },
            baseLayer: layerG === null ? null : { what: 'plums', massG: layerG, density: 1 },
          }),
        );
        const bowl = v(one, 'batter.mixed');
        const parts = ['batter.bowlLoss', 'batter.left', 'bake.lost', 'cakes.total'].reduce(
          (g, id) => g + v(one, id),
          0,
        );
        return Math.abs(bowl - parts) < 1e-6 * bowl && v(one, 'batter.left') > -1e-6;
      }),
      { numRuns: 60 },
    );
  });

  it('make whole pieces, in loads that no tin is too small for, and enough of them with eggs rounded up', () => {
    fc.assert(
      fc.property(lines, ({ finish, layerG: _layer, ...r }) => {
        const one = plan(plainMini({ ...r, eggs: 'follow', fill: { by: 'finish', finish } }));
        const each = r.style === 'paired' ? 2 : 1;
        const baked = one.loads.sizes.reduce((sum, n) => sum + n, 0);
        return (
          v(one, 'count.made') === r.count &&
          baked >= each * r.count &&
          baked === (each === 2 ? v(one, 'wells.made') : r.count) &&
          Math.max(...one.loads.sizes) <= v(one, 'wells.perLoad')
        );
      }),
      { numRuns: 60 },
    );
  });

  it('bake longer with more in them and with a base layer, in every shape', () => {
    for (const tinId of TINS) {
      const time = (massG: number, layer = 0) =>
        v(
          plan(
            plainMini({
              tinId,
              fill: { by: 'mass', massG },
              baseLayer: layer > 0 ? { what: 'plums', massG: layer, density: 1 } : null,
            }),
          ),
          'bake.time',
        );
      const usual = v(plan(plainMini({ tinId })), 'portion.mass');
      expect(time(usual * 1.15)).toBeGreaterThan(time(usual));
      expect(time(usual, usual * 0.2)).toBeGreaterThan(time(usual));
    }
  });

  it('take a well that was filled with water in the place of its measures, in every shape', () => {
    for (const tinId of TINS) {
      const line = plainMini({ tinId });
      const volume = v(plan(line), 'well.volume');
      const larger = plan({ ...line, measured: { 'well.volume': volume * 1.2 } });
      expect(v(larger, 'portion.mass')).toBeGreaterThan(v(plan(line), 'portion.mass'));
      expect(larger.figure('well.volume').expected?.value).toBeCloseTo(volume, 9);
    }
  });
});

const cutOf = ({ drawing }: LinePlan) => (drawing.is === 'in its well' ? drawing.cut : null);

describe('a ring', () => {
  const ringed = (holeMm: number) => ({
    kitchen: {
      tins: EVENING.kitchen.tins.map((tin) => (tin.id === 'tin-ring' ? { ...tin, holeMm } : tin)),
    },
  });
  const cupcakes: CupcakeLine = { ...CUPCAKE, tinId: 'tin-ring' };

  it('is planned as cupcakes and as small cakes, by hand: π² × 2.2 × (8² − 3²) ÷ 16 = 74.6 ml', () => {
    for (const one of [plan(cupcakes), plan(plainMini({ tinId: 'tin-ring' }))]) {
      expect(v(one, 'well.volume')).toBeCloseTo(74.64, 2);
      expect(v(one, 'bake.time') / 60).toBeGreaterThan(9);
      expect(v(one, 'bake.time') / 60).toBeLessThan(18);
      expect(one.drawing.is).toBe('section');
    }
  });

  it('with a wider hole takes less, is done sooner and is covered with less', () => {
    const coated = plainMini({ tinId: 'tin-ring', coat: MINI.coat });
    const [narrow, wide] = [20, 40].map((hole) => plan(coated, ringed(hole)));
    if (!narrow || !wide) throw new Error('both are planned');
    for (const id of ['well.volume', 'portion.mass', 'bake.time', 'coat.each'])
      expect([id, v(wide, id) < v(narrow, id)]).toEqual([id, true]);
  });

  it('is drawn with its hole, and grease gets into its corners', () => {
    const one = plan(plainMini({ tinId: 'tin-ring' }));
    const patches = one.drawing.is === 'section' ? one.drawing.section.patches : [];
    const inner = Math.min(...patches.flatMap(({ points }) => points.map(({ x }) => Math.abs(x))));
    expect(patches.filter(({ material }) => material === 'crumb')).toHaveLength(2);
    expect(inner).toBeCloseTo(15, 6);
  });

  it('is refused a hole that leaves no well', () => {
    const tin = EVENING.kitchen.tins.find(({ id }) => id === 'tin-ring');
    const read = tinSchema.safeParse({ ...tin, holeMm: 70 });
    expect(read.success ? '' : read.error.issues[0]?.message).toMatch(/at least 8 mm/);
    expect(tinSchema.safeParse({ ...tin, holeMm: undefined }).success).toBe(true);
  });
});

describe('drawings and heights', () => {
  it('are those of a cake in its well for cones only', () => {
    const drawn = (tinId: string) => plan(plainMini({ tinId }));
    const cone = drawn('tin-standard');
    const bowl = drawn('tin-half-ball');
    expect(cutOf(cone)?.well.topMm).toBe(70);
    expect(cutOf(bowl)).toBeNull();
    expect([has(cone, 'fill.belowRim'), has(bowl, 'fill.belowRim')]).toEqual([true, false]);
  });

  it('agree with the drawing that stands beside them', () => {
    const one = plan(CUPCAKE);
    expect(v(one, 'fill.belowRim')).toBeCloseTo(cutOf(one)?.belowRimMm ?? NaN, 6);
    expect(v(one, 'finish.aboveRim')).toBeCloseTo(cutOf(one)?.aboveRimMm ?? NaN, 6);
  });
});

describe('a cupcake with everything', () => {
  const line: CupcakeLine = {
    ...CUPCAKE,
    filling: {
      how: 'core',
      what: 'plum jam',
      formulaId: null,
      eachG: null,
      channels: 1,
      coreDiameterMm: 22,
      coreDepthMm: 25,
      onHandG: 150,
    },
    frosting: { kind: 'soft cheese', style: 'swirl', formulaId: null, onHandG: 900 },
    baseLayer: { what: 'oat crumble', massG: 6, density: 0.6 },
    linersOnHand: 22,
    lots: [
      {
        id: 'l',
        name: 'Lanterns',
        count: 6,
        colour: null,
        coat: null,
        toppings: [{ by: 'each', what: 'sugar lantern', eachG: 2.5 }],
      },
    ],
  };
  const one = plan(line);
  it('names the one that limits among all of its supplies', () => {
    expect(one.limits.map(({ supply }) => supply)).toEqual([
      'batter',
      'tins',
      'liners',
      'filling',
      'frosting',
    ]);
    const fewest = Math.min(...one.limits.map(({ pieces }) => pieces));
    expect(v(one, 'count.made')).toBe(fewest);
    expect(one.limits.filter(({ limiting }) => limiting).map(({ pieces }) => pieces)).toEqual([fewest]);
  });
  it('adds up: cake, layer, jam, frosting, and a lantern on some', () => {
    const parts = v(one, 'cake.cored') + v(one, 'filling.each') + v(one, 'frosting.each');
    expect(v(one, 'piece.mass')).toBeCloseTo(parts, 9);
    expect(v(one, 'cake.cored')).toBeCloseTo(v(one, 'cake.mass') + 6 - v(one, 'core.kept'), 9);
    expect(v(one, 'lot.1.finished')).toBeCloseTo(parts + 2.5, 9);
  });
  it('keeps and warns by its most delicate part', () => {
    expect(one.keeping).toMatchObject({ roomDays: null, fridgeDays: 2, outHours: 2 });
    expect(one.cautions.map(({ id }) => id)).toContain('blade');
    expect(one.holds.allergens).toEqual(expect.arrayContaining(['gluten', 'egg', 'milk']));
  });
});
