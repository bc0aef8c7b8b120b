import fc from 'fast-check';
import {
  newCupcakeLine,
  type CupcakeLine,
  type FormulaDoc,
  type KitchenDoc,
  type RunDoc,
} from '../model/documents';
import { hasRange } from '../figure';
import { warningsOf } from '../schedule';
import { planRun, type Batch, type LinePlan } from '.';
import { whyText } from './whyText';

const kitchen = (over: Partial<KitchenDoc> = {}): KitchenDoc => ({
  kind: 'kitchen',
  version: 2,
  id: 'kitchen',
  name: 'Test kitchen',
  tins: [
    {
      id: 'std',
      name: 'Standard',
      wells: 12,
      owned: 1,
      topMm: 70,
      baseMm: 52,
      depthMm: 36,
      material: 'light metal',
    },
    {
      id: 'mini',
      name: 'Mini',
      wells: 24,
      owned: 1,
      topMm: 46,
      baseMm: 32,
      depthMm: 23,
      material: 'light metal',
    },
  ],
  ovens: [{ id: 'oven', name: 'Oven', fan: false, offsetC: 0, racks: 1, tinsPerRack: 1 }],
  scaleStepG: 1,
  prefs: { mass: 'g', temperature: 'C', decimal: '.', theme: 'system' },
  beliefs: [],
  ...over,
});

const formula = (over: Partial<FormulaDoc> = {}): FormulaDoc => ({
  kind: 'formula',
  version: 1,
  id: 'f',
  name: 'Test cake',
  text: '200 g plain flour\n8 g baking powder\n150 g caster sugar\n150 g butter\n3 eggs\n100 g milk',
  measures: 'us',
  method: 'creamed',
  ovenC: 175,
  takenFor: {},
  steps: '',
  ...over,
});

const cupcakes = (over: Partial<CupcakeLine> = {}): CupcakeLine =>
  newCupcakeLine({ id: 'a', formulaId: 'f', count: 24, tinId: 'std', ovenId: 'oven', ...over });

const run = (line: CupcakeLine, readyAt = '2026-11-28T16:00'): RunDoc => ({
  kind: 'run',
  version: 4,
  id: 'r',
  name: 'Test run',
  createdAt: 0,
  readyAt,
  lines: [line],
  closed: null,
});

function planOne(
  line: Partial<CupcakeLine> = {},
  f: Partial<FormulaDoc> = {},
  k: Partial<KitchenDoc> = {},
  asOf?: string,
): LinePlan {
  const [planned] = planRun({
    run: run(cupcakes(line)),
    formulas: [formula(f)],
    kitchen: kitchen(k),
    asOf,
  });
  if (!planned?.planned) throw new Error(planned?.fault.fault);
  return planned;
}

const batterOf = ({ batches }: LinePlan): Batch => {
  const [batch] = batches;
  if (!batch) throw new Error('a bowl');
  return batch;
};
const v = (plan: LinePlan, id: string) => plan.figure(id).value;

/** Grams in, less grams out, from ingredients to pieces. */
function unaccountedG(plan: LinePlan): number {
  const ingredients = batterOf(plan).ingredients.reduce((sum, item) => sum + item.mass.value, 0);
  const mixed = plan.figure('batter.mixed');
  const weighedAway = mixed.kind === 'pinned' ? ingredients - mixed.value : 0;
  return (
    ingredients -
    weighedAway -
    v(plan, 'batter.bowlLoss') -
    v(plan, 'batter.left') -
    v(plan, 'bake.lost') -
    v(plan, 'cakes.total')
  );
}

describe('worked example 1: 24 creamed cupcakes, gently domed, the whole egg above', () => {
  // Batch as written: 200 + 8 + 150 + 150 + 3 × 50 + 100 = 758 g.
  // Rise = 0.9 × 0.90 ÷ 0.43 = 1.8837. Portion = 1.08 ÷ 1.8837 × 105.97 × 0.90 = 54.68 → 55 g.
  // Needed = 24 × 55 ÷ 0.97 = 1360.8 g → ×1.7953 → 5.386 eggs → 6 eggs → ×2.
  const plan = planOne({ eggs: 'up' });

  it('weighs 55 g into a well', () => expect(v(plan, 'portion.mass')).toBe(55));
  it('keeps six eggs whole and doubles everything', () => {
    expect(v(plan, 'eggs.exact')).toBeCloseTo(5.386, 2);
    expect(batterOf(plan).eggs?.used).toBe(6);
    expect(v(plan, 'ingredient.1')).toBe(400);
    expect(v(plan, 'batter.mixed')).toBe(1516);
  });
  it('fills 26 wells from 1470.5 g and has 150.5 g over after the 24', () => {
    expect(v(plan, 'count.batter')).toBe(26);
    expect(v(plan, 'batter.left')).toBeCloseTo(1516 * 0.97 - 24 * 55, 6);
    expect(plan.limits.find((limit) => limit.limiting)?.supply).toBe('tins');
  });
  it('bakes two loads of twelve', () => expect(plan.loads.sizes).toEqual([12, 12]));
  it('accounts for every gram', () => expect(Math.abs(unaccountedG(plan))).toBeLessThan(0.1));
  it('offers two more, or to spread 61 g', () => {
    expect(plan.remainder.offers.map((offer) => offer.id)).toEqual(['more', 'spread', 'smaller-tin', 'mug']);
    expect(plan.remainder.offers[1]?.change).toEqual({ fill: { by: 'mass', massG: 61 } });
  });
});

describe('worked example 2: 20 melted-fat cupcakes, flat, eggs weighed', () => {
  // Loss = 0.0855 + 1.3 ÷ 105.97 = 9.78 %. Rise = 0.9022 × 1.0 ÷ 0.43 = 2.0982.
  // Portion = 0.95 ÷ 2.0982 × 105.97 = 47.98 → 48 g. Needed = 20 × 48 ÷ 0.97 = 989.7 g; ×1.3057; 3.917 eggs = 195.9 g.
  const plan = planOne(
    { count: 20, fill: { by: 'finish', finish: 'flat' }, eggs: 'weigh' },
    { method: 'melted' },
  );

  it('weighs 48 g into a well, 45 % full, 17.1 mm below the rim', () => {
    expect(v(plan, 'portion.mass')).toBe(48);
    expect(v(plan, 'fill.share')).toBeCloseTo(48 / 105.97, 4);
    // By hand: a frustum from 52 mm across, widening 0.5 mm a mm, holds 48 ml at 18.95 mm.
    expect(v(plan, 'fill.belowRim')).toBeCloseTo(36 - 18.95, 0);
  });
  it('weighs beaten egg and rounds nothing', () => {
    expect(v(plan, 'batter.mixed')).toBeCloseTo(989.69, 1);
    expect(v(plan, 'ingredient.5')).toBeCloseTo(195.85, 1);
    expect(v(plan, 'count.batter')).toBe(20);
    expect(v(plan, 'batter.left')).toBeCloseTo(0, 6);
  });
  it('evens 20 over two loads of ten', () => {
    expect(plan.loads.sizes).toEqual([10, 10]);
    expect(plan.parts.loadPlan?.unevened).toEqual([12, 8]);
  });
  it('accounts for every gram', () => expect(Math.abs(unaccountedG(plan))).toBeLessThan(0.1));
});

describe('worked example 3: 12 minis, two thirds full, eggs to the nearest', () => {
  // Well = π·2.3/12·(4.6² + 4.6·3.2 + 3.2²) = 27.77 ml. Portion = 2/3 × 27.77 × 0.9 = 16.66 → 16.7 g on a fine scale.
  // Needed = 12 × 16.7 ÷ 0.97 = 206.6 g; ×0.2726; 0.818 eggs → 1 egg (50 g for 40.9 g), the rest exact.
  const plan = planOne(
    { count: 12, tinId: 'mini', fill: { by: 'share', share: 2 / 3 }, eggs: 'nearest' },
    {},
    { scaleStepG: 0.1 },
  );

  it('weighs 16.7 g into a well', () => expect(v(plan, 'portion.mass')).toBeCloseTo(16.7, 9));
  it('takes one egg and leaves the flour exact', () => {
    expect(batterOf(plan).eggs?.used).toBe(1);
    expect(v(plan, 'ingredient.1')).toBeCloseTo(54.5, 1);
    expect(v(plan, 'batter.mixed')).toBeCloseTo(206.6 + 9.1, 1);
  });
  it('loses 13 % until its middle is done, and in step with the time beyond; bakes faster than standard ones', () => {
    expect(v(plan, 'bake.lossShare')).toBeCloseTo(0.0855 + 1.3 / 27.77, 3);
    const beyond = v(plan, 'bake.time') / v(plan, 'bake.inside');
    expect(v(plan, 'cake.mass')).toBeCloseTo(16.7 * (1 - v(plan, 'bake.lossShare') * beyond), 6);
    expect(v(plan, 'bake.time')).toBeLessThan(v(planOne(), 'bake.time'));
  });
  it('accounts for every gram', () => expect(Math.abs(unaccountedG(plan))).toBeLessThan(0.1));
});

describe('the formula once as written', () => {
  const once = planOne({ batches: 1 });
  it('is not scaled, and gives as many as come of it, by hand: 758 × 0.97 ÷ 55 = 13', () => {
    expect(v(once, 'scale.used')).toBe(1);
    expect(batterOf(once).eggs).toMatchObject({ used: 3, how: 'even' });
    expect(v(once, 'count.made')).toBe(13);
    const { low, high } = once.figure('count.wanted');
    expect([low, high]).toEqual([12, 13]);
    expect(Math.abs(unaccountedG(once))).toBeLessThan(0.1);
  });
  it('gives twice as much batter twice, and half of it in half', () => {
    expect(v(planOne({ batches: 2 }), 'batter.mixed')).toBeCloseTo(2 * 758, 6);
    expect(v(planOne({ batches: 0.5 }), 'batter.mixed')).toBeCloseTo(379, 6);
  });
});

describe('a weigh-in', () => {
  it('re-plans what comes after it and says what it costs, by hand: 812 × 0.97 ÷ 55 = 14', () => {
    const plan = planOne({ eggs: 'up', measured: { 'batter.mixed': 812 } });
    expect(v(plan, 'count.made')).toBe(14);
    expect(plan.remainder.shortPieces).toBe(10);
    expect(plan.remainder.shortG).toBeCloseTo(24 * 55 - 812 * 0.97, 6);
    expect(plan.limits.find((limit) => limit.limiting)?.supply).toBe('batter');
    expect(plan.figure('batter.mixed').expected?.value).toBe(1516);
    expect(plan.remainder.offers.map((offer) => offer.id)).toEqual(['lighter', 'mix-more', 'fewer']);
    expect(Math.abs(unaccountedG(plan))).toBeLessThan(0.1);
  });

  it('leaves what came before it alone', () => {
    const pinned = planOne({ measured: { 'batter.mixed': 812 } });
    expect(v(pinned, 'ingredient.1')).toBe(v(planOne(), 'ingredient.1'));
  });

  it('of one cake moves only the cakes', () => {
    const plan = planOne({ measured: { 'cake.mass': 50 } });
    expect(v(plan, 'cakes.total')).toBe(24 * 50);
    expect(v(plan, 'batter.used')).toBe(24 * 55);
  });

  it('of a well with water changes volume, portion and the drawing', () => {
    const plan = planOne({ measured: { 'well.volume': 90 } });
    expect(v(plan, 'portion.mass')).toBeLessThan(50);
    expect(plan.drawing.is === 'in its well' ? plan.drawing.cut.well.depthMm : NaN).toBeLessThan(36);
  });
});

describe('limits', () => {
  it('names the loads where they are bounded', () => {
    const plan = planOne({ count: 36, maxLoads: 2 });
    expect(v(plan, 'count.made')).toBe(24);
    expect(plan.limits.find((limit) => limit.limiting)).toMatchObject({
      supply: 'loads',
      pieces: 24,
      short: true,
    });
    expect(plan.remainder.shortG).toBe(0);
  });

  it('names the minutes where the clock runs out', () => {
    const plan = planOne({ count: 60 }, {}, {}, '2026-11-28T14:30');
    expect(plan.limits.find((limit) => limit.limiting)?.supply).toBe('minutes');
    expect(v(plan, 'count.made')).toBeLessThan(60);
    expect(warningsOf(plan).some((warning) => /latest safe start/.test(warning.fault))).toBe(true);
  });

  it('warns of batter that waits too long, and of a finish that overflows', () => {
    expect(warningsOf(planOne({ count: 60 })).some(({ fault }) => /waits/.test(fault))).toBe(true);
    expect(planOne({ fill: { by: 'share', share: 0.95 } }).parts.finish?.kind).toBe('over');
    expect(planOne({ fill: { by: 'share', share: 0.3 } }).parts.finish?.kind).toBe('sunk');
  });
});

describe('what cannot be planned says so', () => {
  it('names a missing tin and an unreadable formula', () => {
    const gone = planRun({
      run: run(cupcakes({ tinId: 'x' })),
      formulas: [formula()],
      kitchen: kitchen(),
    });
    expect(gone[0]).toMatchObject({ planned: false, fault: { field: 'tin' } });
    const empty = planRun({
      run: run(cupcakes()),
      formulas: [formula({ text: '' })],
      kitchen: kitchen(),
    });
    expect(empty[0]).toMatchObject({ planned: false, fault: { field: 'formula' } });
  });
});

describe('laws', () => {
  const lines = fc.record({
    count: fc.integer({ min: 1, max: 5000 }),
    fill: fc.oneof(
      fc.constantFrom<CupcakeLine['fill']>(
        { by: 'finish', finish: 'flat' },
        { by: 'finish', finish: 'gentle' },
        { by: 'finish', finish: 'high' },
      ),
      fc
        .double({ min: 0.1, max: 1, noNaN: true })
        .map((share): CupcakeLine['fill'] => ({ by: 'share', share })),
    ),
    eggs: fc.constantFrom<CupcakeLine['eggs']>('follow', 'up', 'nearest', 'weigh'),
    tinId: fc.constantFrom('std', 'mini'),
  });
  const methods = fc.constantFrom<FormulaDoc['method']>('creamed', 'melted', 'whisked', 'folded');

  it('conserves mass for any line, pinned or not, and keeps pieces whole', () => {
    fc.assert(
      fc.property(lines, methods, fc.option(fc.integer({ min: 1, max: 100_000 })), (line, method, pin) => {
        const plan = planOne({ ...line, measured: pin === null ? {} : { 'batter.mixed': pin } }, { method });
        return (
          Math.abs(unaccountedG(plan)) < 0.1 &&
          Number.isInteger(v(plan, 'count.made')) &&
          v(plan, 'batter.left') > -1e-6
        );
      }),
      { numRuns: 150 },
    );
  });

  it('never makes more when a supply falls', () => {
    fc.assert(
      fc.property(
        lines,
        fc.integer({ min: 100, max: 50_000 }),
        fc.integer({ min: 1, max: 50 }),
        (line, mixed, loads) => {
          const made = (m: number, l: number) =>
            v(planOne({ ...line, maxLoads: l, measured: { 'batter.mixed': m } }), 'count.made');
          const full = made(mixed, loads);
          return made(mixed * 0.8, loads) <= full && made(mixed, Math.max(1, loads - 1)) <= full;
        },
      ),
      { numRuns: 60 },
    );
  });

  it('plans enough: with eggs rounded up, or weighed, every piece wanted can be made', () => {
    fc.assert(
      fc.property(lines, (line) => {
        const plan = planOne({ ...line, eggs: line.eggs === 'nearest' ? 'weigh' : line.eggs });
        return v(plan, 'count.batter') >= line.count;
      }),
      { numRuns: 60 },
    );
  });

  it('explains every figure with a sentence, its inputs and its numbers', () => {
    const plan = planOne();
    for (const figure of plan.figures) {
      const why = whyText(plan, figure);
      expect(why.sentence).toMatch(/^[A-Z“"0-9].*[.”"]$/);
      expect(`${why.sum}${why.filled}`).not.toMatch(/[{}]|undefined|NaN/);
      expect(figure.bases.length).toBeGreaterThan(0);
      expect(figure.low).toBeLessThanOrEqual(figure.value + 1e-9);
      expect(figure.high).toBeGreaterThanOrEqual(figure.value - 1e-9);
    }
    expect(hasRange(plan.figure('bake.time'))).toBe(true);
    expect(hasRange(plan.figure('portion.mass'))).toBe(false);
  });
});
