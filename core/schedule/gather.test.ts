import { DEMO_FORMULAS, DEMO_KITCHEN, demoDay, demoRuns } from '../../demo';
import { FAMILY_FILES } from '../../demo/families';
import type { KitchenDoc, Line, RunDoc, RunFile, StoredDoc } from '../model/documents';
import { bowlsOf, planWhole, tickKey, ticksOf, withTicks } from '../plan';
import { gatherOf, preparationsOf, sharedPromiseWarnings } from './gather';
import { keyOf, lineCosts, needsOf, shoppingOf } from './shopping';

const EVENING = FAMILY_FILES.evening as RunFile;
const whole = planWhole(EVENING);
const { run, kitchen } = EVENING;
const changed = (over: (line: Line) => Line): RunDoc => ({ ...run, lines: run.lines.map(over) });

describe('bowls of a run', () => {
  it('stand once each, also where several lines bake from one', () => {
    const ids = bowlsOf(run, whole).map(({ batch }) => batch.formula.id);
    expect(new Set(ids).size).toBe(ids.length);
    const rye = bowlsOf(run, whole).find(({ batch }) => batch.formula.id === 'formula-plum-rye');
    expect(rye?.batch.lineIds).toEqual(['cupcakes-plain', 'sicles-plum', 'fingers-quince', 'plums-below']);
    // A syrup that goes into the buttercream is made before it.
    expect(ids.indexOf('formula-barley-syrup')).toBeLessThan(ids.indexOf('formula-malt-buttercream'));
  });

  it('keep their ticks on the run, those that an earlier version kept on a line too', () => {
    const [bowl] = bowlsOf(run, whole);
    if (!bowl) throw new Error('a bowl');
    const [item] = bowl.batch.ingredients;
    if (!item) throw new Error('an ingredient');
    const before = changed((line) =>
      line.id === 'cupcakes-frosted'
        ? { ...line, ticks: [tickKey(bowl.batch, item).slice(bowl.batch.formula.id.length + 1)] }
        : line,
    );
    expect(ticksOf(before).has(tickKey(bowl.batch, item))).toBe(true);
    const after = withTicks(before, ticksOf(before));
    expect(after.lines.every(({ ticks }) => ticks.length === 0)).toBe(true);
    expect([...ticksOf(after)]).toEqual([...ticksOf(before)]);
  });
});

describe('gathering a run', () => {
  const groups = gatherOf(run, whole);

  it('goes from what is set out to what finishes, batters before what the lines share', () => {
    const order = ['set out', 'batter', 'shared', 'crumb', 'melt', 'fill', 'finish'];
    const stages = groups.map(({ stage }) => order.indexOf(stage));
    expect([...stages].sort((a, b) => a - b)).toEqual(stages);
    expect(new Set(groups.map(({ id }) => id)).size).toBe(groups.length);
  });

  it('names every thing with a figure of its line that is more than nothing', () => {
    for (const { things } of groups) {
      for (const { lineId, figureId } of things) {
        const plan = whole.lines.find(({ line }) => line.id === lineId);
        expect(plan?.planned && plan.figure(figureId).value).toBeGreaterThan(0);
      }
    }
    const melt = groups.find(({ stage }) => stage === 'melt')?.things.map(({ what }) => what);
    expect(melt).toEqual(expect.arrayContaining(['Dark chocolate', 'White chocolate', 'Compound coating']));
  });

  it('says what to bring out, wash, line and make cold, each once', () => {
    const all = preparationsOf(whole, kitchen);
    expect(new Set(all.map(({ words }) => words)).size).toBe(all.length);
    for (const kind of ['warm up', 'wash', 'line', 'cold'] as const)
      expect(all.some((one) => one.kind === kind)).toBe(true);
    const frozen = {
      ...EVENING,
      formulas: EVENING.formulas.map((doc) => ({
        ...doc,
        text: doc.text.replace('roast pumpkin', 'frozen pumpkin'),
      })),
    };
    expect(preparationsOf(planWhole(frozen), kitchen).map(({ kind }) => kind)).toContain('thaw');
  });

  it('warns where a nut-free lot dips where another line has nuts, and not before', () => {
    expect(
      sharedPromiseWarnings(run, whole)
        .map(({ fault }) => fault)
        .join(),
    ).toMatch(/White with pearl sugar/);
    const apart = changed((line) => (line.id === 'cubes-dipped' ? { ...line, lots: [] } : line));
    expect(sharedPromiseWarnings(apart, planWhole({ ...EVENING, run: apart }))).toEqual([]);
  });
});

const store = (over: Partial<StoredDoc>): StoredDoc => ({
  id: 's',
  name: 'Plain flour',
  left: 0,
  by: 'g',
  packet: null,
  price: null,
  ...over,
});
const flourIn = (stored: readonly StoredDoc[]) => {
  const list = shoppingOf(run, whole, { ...kitchen, store: [...stored] });
  const row = list.rows.find(({ key }) => key === keyOf('plain flour'));
  if (!row) throw new Error('flour is needed');
  return { list, row };
};

describe('the shopping list', () => {
  it('keeps apart what a shop keeps apart, and together what only is called otherwise', () => {
    expect(keyOf('chopped walnuts')).toBe(keyOf('walnuts'));
    expect(keyOf('walnuts')).not.toBe(keyOf('almonds'));
    expect(keyOf('all-purpose flour')).toBe(keyOf('plain flour'));
    expect(keyOf('fresh thyme leaves')).toBe(keyOf('thyme'));
    expect(keyOf('rosemary')).not.toBe(keyOf('thyme'));
    expect(keyOf('dark rum')).not.toBe(keyOf('brandy'));
    expect(keyOf('zest of 1 orange')).toBe(keyOf('orange zest'));
  });

  it('has a row for every colour, and for the cases of every tin', () => {
    const lots = (name: string, colour: string) => ({
      id: name,
      name,
      count: 6,
      colour: { name: colour, depth: 'deep' as const },
      coat: null,
      toppings: [],
    });
    const two = changed((line) =>
      line.id === 'cupcakes-frosted' ? { ...line, lots: [lots('a', 'green'), lots('b', 'gold')] } : line,
    );
    const names = needsOf(two, planWhole({ ...EVENING, run: two })).map(({ name }) => name);
    expect(names).toEqual(expect.arrayContaining(['Gel colour, green', 'Gel colour, gold']));
  });

  it('has a row for the boards that mini cakes stand on, one a piece', () => {
    const boards = (on: boolean) => {
      const one = changed((line) => (line.family === 'mini' ? { ...line, boards: on } : line));
      return needsOf(one, planWhole({ ...EVENING, run: one })).find(({ name }) => name === 'cake boards');
    };
    const minis = whole.lines.flatMap((plan) =>
      plan.planned && plan.family === 'mini' ? [plan.parts.count.made.value] : [],
    );
    expect(boards(true)).toMatchObject({ by: 'pieces', amount: minis.reduce((sum, n) => sum + n, 0) });
    expect(boards(false)).toBeUndefined();
  });

  it('takes what the wish said to be there for what is there, before the cupboard', () => {
    const [some] = shoppingOf(run, whole, { ...kitchen, store: [] }).rows.filter(({ by }) => by === 'g');
    if (!some) throw new Error('something is weighed');
    const wished = { ...run, onHand: [{ name: some.name, by: 'g' as const, amount: 1e5 }] };
    const row = shoppingOf(wished, whole, { ...kitchen, store: [] }).rows.find(({ key }) => key === some.key);
    expect(row).toMatchObject({ left: 1e5, buy: 0 });
  });

  it('buys whole eggs, however they are weighed in', () => {
    const weighed = changed((line) => ('eggs' in line ? { ...line, eggs: 'weigh' } : line));
    const eggs = needsOf(weighed, planWhole({ ...EVENING, run: weighed })).filter(
      ({ key }) => key === keyOf('eggs'),
    );
    expect(eggs.length).toBeGreaterThan(0);
    for (const { by, amount } of eggs) expect([by, Number.isInteger(amount)]).toEqual(['pieces', true]);
  });

  it('buys the fruit where its zest and its juice are used, once for both', () => {
    const all = (formulas: typeof EVENING.formulas) =>
      needsOf(run, planWhole({ ...EVENING, formulas })).filter(({ name }) => /orange|zest|juice/i.test(name));
    const zest = all(EVENING.formulas);
    expect(zest.map(({ name, by }) => [name, by])).toContainEqual(['orange', 'pieces']);
    expect(zest.some(({ name }) => /zest/i.test(name))).toBe(false);
    const both = EVENING.formulas.map((one) => ({
      ...one,
      text: one.text.replace('zest of 1 orange', 'zest and juice of 1 orange'),
    }));
    const amount = (rows: typeof zest) => rows.find(({ name }) => name === 'orange')?.amount;
    expect(amount(all(both))).toBe(amount(zest));
  });

  it('adds up a thing over all bowls, by hand from the figures', () => {
    let sum = 0;
    for (const { batch } of bowlsOf(run, whole)) {
      for (const item of batch.ingredients)
        if (item.line.ingredient?.key === keyOf('plain flour')) sum += item.mass.value;
    }
    expect(flourIn([]).row.amount).toBeCloseTo(sum, 6);
    expect(needsOf(run, whole).some(({ key }) => key === 'water')).toBe(false);
    expect(
      needsOf(run, whole).find(({ key, by }) => key === keyOf('eggs') && by === 'pieces')?.amount,
    ).toBeGreaterThan(9);
  });

  it('takes off what is in the cupboard and rounds up to whole packets', () => {
    const need = flourIn([]).row.amount;
    const { row } = flourIn([store({ left: 200, packet: 500, price: 1.2 })]);
    expect(row.missing).toBeCloseTo(need - 200, 6);
    expect(row.packets).toBe(Math.ceil((need - 200) / 500));
    expect(row.buy).toBe((row.packets ?? 0) * 500);
    expect(row.cost).toBeCloseTo((row.packets ?? 0) * 1.2, 9);
    expect(row.used).toBeCloseTo((need / 500) * 1.2, 9);
    expect(flourIn([store({ left: need })]).row.buy).toBe(0);
    expect(flourIn([store({ left: need - 500, packet: 500 })]).row.packets).toBe(1);
  });

  it('never buys more when more is in the cupboard', () => {
    const buys = [0, 100, 400, 900, 2000, 9000].map(
      (left) => flourIn([store({ left, packet: 250 })]).row.buy,
    );
    expect([...buys].sort((a, b) => b - a)).toEqual(buys);
  });

  it('tells the cost of what has a price, and how much has none', () => {
    expect(flourIn([]).list.cost).toBeNull();
    const { list, row } = flourIn([store({ packet: 1000, price: 2 })]);
    expect(list.usedCost).toBeCloseTo(row.used ?? NaN, 9);
    expect(list.unpriced).toBe(list.rows.length - 1);
    expect(list.pieces).toBeGreaterThan(200);
  });

  describe('by line', () => {
    const priced: KitchenDoc = {
      ...EVENING.kitchen,
      store: [
        { id: 's1', name: 'Plain flour', by: 'g', left: 0, packet: 1000, price: 2 },
        { id: 's2', name: 'Butter', by: 'g', left: 0, packet: 250, price: 3 },
        { id: 's3', name: 'Dark chocolate', by: 'g', left: 0, packet: 200, price: 4 },
      ],
    };
    const costs = (run: RunDoc, kitchen = priced) =>
      lineCosts(run, planWhole({ ...EVENING, kitchen, run }), kitchen, (one) =>
        planWhole({ ...EVENING, kitchen, run: one }),
      );

    it('comes to what the run uses, each line dearer the more it makes', () => {
      const { run } = EVENING;
      const all = costs(run);
      expect(all).toHaveLength(run.lines.length);
      const used = shoppingOf(run, planWhole({ ...EVENING, kitchen: priced }), priced).usedCost ?? NaN;
      expect(all.reduce((sum, one) => sum + one.used, 0)).toBeCloseTo(used, 6);
      for (const { used: cost, pieces, each } of all) expect(each * pieces).toBeCloseTo(cost, 9);
      const [first, ...others] = run.lines;
      if (!first) throw new Error('the evening has lines');
      const more = costs({ ...run, lines: [{ ...first, lots: [], count: first.count * 3 }, ...others] });
      expect(more[0]?.used).toBeGreaterThan(all[0]?.used ?? Infinity);
    });

    it('is all of it for a line alone, and nothing where nothing has a price', () => {
      const run = { ...EVENING.run, lines: EVENING.run.lines.slice(0, 1) };
      const used = shoppingOf(run, planWhole({ ...EVENING, kitchen: priced, run }), priced).usedCost;
      expect(costs(run)[0]?.used).toBeCloseTo(used ?? NaN, 9);
      expect(costs(run, { ...priced, store: [] })).toEqual([]);
    });
  });

  it('buys eggs once for all bowls, whites and yolks out of the same ones, and lemons for zest and juice alike', () => {
    const text = (more: string) => `200 g plain flour\n200 g sugar\n200 g butter\n4 eggs\n${more}`;
    const [plain] = DEMO_FORMULAS;
    const formulas = [
      { ...plain, id: 'a', name: 'A', text: text('zest of 1 lemon\n30 ml lemon juice') },
      { ...plain, id: 'b', name: 'B', text: text('2 egg whites\n1 egg yolk') },
    ] as typeof DEMO_FORMULAS;
    const [line] = demoRuns(demoDay('2026-11-25T08:00'))[0]?.lines ?? [];
    if (!line) throw new Error('the demo has a line');
    const lines = [
      { ...line, id: 'a', formulaId: 'a', count: 13 },
      { ...line, id: 'b', formulaId: 'b', count: 17 },
    ] as Line[];
    const run = { ...demoRuns(demoDay('2026-11-25T08:00'))[0], lines } as RunDoc;
    const whole = planWhole({ run, kitchen: DEMO_KITCHEN, formulas });
    const masses = new Map<string, number>();
    for (const plan of whole.lines)
      if (plan.planned)
        for (const { ingredients } of plan.batches)
          for (const { name, mass } of ingredients) masses.set(name, (masses.get(name) ?? 0) + mass.value);
    const g = (name: RegExp) =>
      [...masses].reduce((sum, [key, mass]) => sum + (name.test(key) ? mass : 0), 0);
    const of = (name: RegExp) => needsOf(run, whole).filter((need) => name.test(need.name));
    // By hand: 50 g an egg, 33 g a white, 17 g a yolk; 45 g of juice in a lemon.
    const eggs = g(/^eggs$/) / 50 + Math.max(g(/white/) / 33, g(/yolk/) / 17);
    expect(of(/egg/)).toEqual([expect.objectContaining({ amount: Math.ceil(eggs - 1e-6), by: 'pieces' })]);
    expect(of(/lemon/)).toEqual([expect.objectContaining({ name: 'lemon', by: 'pieces' })]);
    expect(of(/lemon/)[0]?.amount).toBeGreaterThanOrEqual(g(/juice/) / 45);
  });
});
