import { DEMO_FORMULAS, DEMO_KITCHEN, demoRuns } from '../../../demo';
import { newCupcakeLine, type FormulaDoc, type RunDoc } from '../../model/documents';
import { planWhole, type LinePlan } from '..';
import { needsOf, shoppingOf } from '../../schedule/shopping';
import { weighOut } from '../weighOut';

const RUN = demoRuns('2026-11-25T09:30')[0] as RunDoc;
const HONEY = DEMO_FORMULAS.find(({ id }) => id === 'formula-honey-thyme') as FormulaDoc;

function made(
  text: string,
  times: number,
): { plan: LinePlan; run: RunDoc; all: ReturnType<typeof planWhole> } {
  const formula: FormulaDoc = { ...HONEY, id: 'f', text, measures: 'metric' };
  const line = newCupcakeLine({
    id: 'a',
    formulaId: 'f',
    count: 12,
    tinId: 'tin-standard',
    ovenId: 'oven-main',
    batches: times,
  });
  const run = { ...RUN, lines: [line] };
  const all = planWhole({ run, formulas: [...DEMO_FORMULAS, formula], kitchen: DEMO_KITCHEN });
  const [plan] = all.lines;
  if (!plan?.planned) throw new Error('it can be planned');
  return { plan, run, all };
}

const EGGLESS = '250 g plain flour\n2 tins (400 g) coconut milk\n1 vanilla pod\n10 g baking powder';
const WITH_EGGS = '200 g plain flour\n4 eggs\n1 sachet baking powder\n3 leaves gelatine';

function item(plan: LinePlan, name: string) {
  const found = plan.batches[0]?.ingredients.find((one) => one.name.includes(name));
  if (!found) throw new Error(`no ${name}`);
  return found;
}

describe('what comes whole beside eggs', () => {
  it('lets the tin of a formula without eggs decide, as an egg would', () => {
    // 1.97 tins: two, and everything else 1.5 % up with them.
    const { plan } = made(EGGLESS, 0.985);
    expect(plan.batches[0]?.eggs).toMatchObject({ one: 'tin', used: 2, how: 'up' });
    expect(plan.figure('scale.used').value).toBeCloseTo(1, 9);
    expect(weighOut(item(plan, 'coconut milk'), 1).main).toBe('2 tins');
    // 2.04 tins: each portion gives up 2 %.
    expect(made(EGGLESS, 1.02).plan.batches[0]?.eggs).toMatchObject({ used: 2, how: 'down' });
  });

  it('opens another tin only for what is weighed of it, where whole ones would cost too much', () => {
    const { plan } = made(EGGLESS, 1.2);
    expect(plan.batches[0]?.eggs).toMatchObject({ how: 'weighed' });
    // 2.4 tins of 400 g: 960 g, of which 800 are two whole ones.
    expect(weighOut(item(plan, 'coconut milk'), 1)).toEqual({
      main: '960 g',
      beside: '2 tins and 160 g of another',
    });
  });

  it('takes pods by halves, for they only flavour', () => {
    expect(weighOut(item(made(EGGLESS, 1.2).plan, 'vanilla'), 1).main).toBe('1');
    expect(weighOut(item(made(EGGLESS, 1.3).plan, 'vanilla'), 1).main).toBe('1.5');
  });

  it('keeps sachets and leaves whole where that moves them by 5 % at most, and weighs them otherwise', () => {
    const twice = made(WITH_EGGS, 2).plan;
    expect(weighOut(item(twice, 'baking powder'), 1).main).toBe('2 sachets');
    expect(weighOut(item(twice, 'gelatine'), 1).main).toBe('6 leaves');
    const more = made(WITH_EGGS, 1.25).plan;
    expect(item(more, 'baking powder').whole).toBeNull();
    expect(item(more, 'baking powder').mass.value).toBeCloseTo(15 * 1.25, 6);
  });

  it('buys them in the packs that the formula names', () => {
    const { run, all } = made(EGGLESS, 1.2);
    const row = shoppingOf(run, all, { ...DEMO_KITCHEN, store: [] }).rows.find(({ name }) =>
      /coconut/.test(name),
    );
    expect(row).toMatchObject({ packet: 400, packets: 3 });
    expect(needsOf(run, all).find(({ name }) => /vanilla/.test(name))).toMatchObject({
      by: 'pieces',
      amount: 1,
    });
  });
});
