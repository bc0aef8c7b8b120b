import { DEMO_FORMULAS, DEMO_KITCHEN, demoRuns } from '../../demo';
import { newCupcakeLine, type CupcakeLine, type KitchenDoc, type RunDoc } from '../model/documents';
import { planRun, type LinePlan } from '.';
import { finishOf } from './finish';
import { weighOut } from './weighOut';

const RUN = demoRuns('2026-11-25T09:30')[0] as RunDoc;

function plan(over: Partial<CupcakeLine> = {}, kitchen: Partial<KitchenDoc> = {}): LinePlan {
  const line = newCupcakeLine({
    id: 'a',
    formulaId: 'formula-honey-thyme',
    count: 36,
    tinId: 'tin-standard',
    ovenId: 'oven-main',
    ...over,
  });
  const [planned] = planRun({
    run: { ...RUN, lines: [line] },
    formulas: [...DEMO_FORMULAS],
    kitchen: { ...DEMO_KITCHEN, ...kitchen },
  });
  if (!planned?.planned) throw new Error('the demo can be planned');
  return planned;
}

const amount = (planned: LinePlan, name: string, step = 1) => {
  const item = planned.batches[0]?.ingredients.find((one) => one.name.includes(name));
  if (!item) throw new Error(`no ${name}`);
  return weighOut(item, step);
};

describe('measuring out', () => {
  const planned = plan();

  it('weighs what the scale can tell, and says spoons beside what is often spooned', () => {
    expect(amount(planned, 'flour')).toEqual({ main: '570 g', beside: null });
    expect(amount(planned, 'baking powder')).toEqual({ main: '21 g', beside: '1 tbsp + 1½ tsp' });
  });

  it('spoons what the scale cannot tell, with its grams beside', () => {
    expect(amount(planned, 'salt')).toEqual({ main: '⅛ tsp', beside: '0.9 g' });
    expect(amount(planned, 'thyme')).toEqual({ main: '2 tbsp', beside: '5.4 g' });
    // A coarse scale of 5 g cannot tell 21 g from 19.
    expect(amount(planned, 'baking powder', 5).main).toBe('1 tbsp + 1½ tsp');
    expect(amount(planned, 'honey', 5).main).toBe('190 g');
  });

  it('counts eggs', () => {
    expect(amount(planned, 'eggs')).toEqual({ main: '6', beside: '300 g without shell' });
    expect(amount(plan({ eggs: 'weigh' }), 'eggs').main).toMatch(/^29[78] g$/);
  });

  it('weighs in ounces for who thinks in them', () => {
    const item = planned.batches[0]?.ingredients[0];
    if (!item) throw new Error('there is flour');
    expect(weighOut(item, 1, { mass: 'oz', temperature: 'C', decimal: '.' }).main).toBe('20.1 oz');
  });
});

const known = (param: string, of: string, mean: number) => ({
  param,
  of,
  mean,
  spread: 0,
  seen: 1,
  since: null,
});

describe('what a kitchen has measured', () => {
  it('holds in every run, and gives way to what this run measured', () => {
    const kitchen = { beliefs: [known('egg.mass', 'kitchen', 54)] };
    expect(plan({}, kitchen).figure('egg.mass').value).toBe(54);
    expect(plan({ measured: { 'egg.mass': 60 } }, kitchen).figure('egg.mass').value).toBe(60);
    expect(plan({}, kitchen).figure('batter.mixed').value - plan().figure('batter.mixed').value).toBeCloseTo(
      6 * 4,
      6,
    );
  });

  it('narrows the range of what rests on it', () => {
    const width = (planned: LinePlan, id: string) => planned.figure(id).high - planned.figure(id).low;
    const exact = plan(
      {},
      {
        beliefs: [
          known('cake.density', 'formula:formula-honey-thyme', 0.43),
          known('bake.lossShare', 'tin:tin-standard', 0.1),
        ],
      },
    );
    expect(width(exact, 'finish.share')).toBeLessThan(0.5 * width(plan(), 'finish.share'));
    const timed = plan({}, { beliefs: [known('bake.factor', 'oven:oven-main', 1.05)] });
    expect(width(timed, 'bake.time')).toBeLessThan(0.85 * width(plan(), 'bake.time'));
  });
});

describe('ovens and tins', () => {
  const time = (over: Partial<CupcakeLine>, kitchen: Partial<KitchenDoc> = {}) =>
    plan(over, kitchen).figure('bake.time').value;

  it('sets a fan oven 20 °C lower and comes out near the still one', () => {
    const fan = plan({ ovenId: 'oven-fan' });
    expect(fan.figure('oven.setting').value).toBe(155);
    expect(Math.abs(fan.figure('bake.time').value / time({}) - 1)).toBeLessThan(0.2);
  });

  it('bakes minis faster, large silicone cups slower, and everything faster in a hotter oven', () => {
    expect(time({ tinId: 'tin-mini' })).toBeLessThan(time({}));
    expect(time({ tinId: 'tin-large' })).toBeGreaterThan(time({}));
    expect(time({ ovenC: 190 })).toBeLessThan(time({}));
  });

  it('loads as many tins as are owned and as fit', () => {
    expect(plan().parts.loadPlan).toMatchObject({ tins: 2, wellsPerLoad: 24, sizes: [18, 18] });
    expect(plan({ ovenId: 'oven-fan' }).parts.loadPlan).toMatchObject({
      tins: 1,
      wellsPerLoad: 12,
      sizes: [12, 12, 12],
    });
  });
});

describe('the finish in words', () => {
  it.each([
    [0.7, 'sunk', true],
    [0.95, 'flat', false],
    [1.08, 'gentle', false],
    [1.2, 'high', false],
    [1.31, 'over', true],
  ] as const)('%d of the well is %s', (share, kind, warned) => {
    expect(finishOf(share).kind).toBe(kind);
    expect(finishOf(share).warning !== null).toBe(warned);
  });
});
