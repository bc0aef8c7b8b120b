import type { FormulaDoc } from '../model/documents';
import { bringIn } from './bringIn';
import { readFormula } from '../formula';
import { ingredientsInProse, readPage, sentencesOf } from './page';
import {
  STORY,
  CARD,
  TABLE_HTML,
  COMMAS,
  NUMBERED,
  BULLETS,
  FRACTIONS,
  NO_COLONS,
  BETWEEN,
  RECIPE,
  DATA,
  OLD,
  CHAT,
  PAGES,
} from './test-utils/pages';

type Draft = Pick<FormulaDoc, 'name' | 'text' | 'steps' | 'measures' | 'takenFor'> & Partial<FormulaDoc>;

function formulas(text: string): readonly Draft[] {
  const read = bringIn(text);
  if (!read.ok || read.what !== 'formulas') throw new Error('it holds formulas');
  return read.formulas as readonly Draft[];
}
const linesOf = (draft: Draft | undefined) => draft?.text.split('\n') ?? [];
/** Grams of a formula, with what could not be read. */
const weighed = (draft: Draft | undefined) => {
  if (!draft) throw new Error('no such formula');
  const { massG, unread } = readFormula(draft, null);
  return { massG: Math.round(massG), unread };
};

describe('pages as people keep them', () => {
  it('a page with a story: the cake, its frosting apart, what it makes, and nothing lost', () => {
    const [cake, frosting, ...more] = formulas(STORY);
    expect(more).toEqual([]);
    expect(cake?.name).toBe("Grandmother's Pear Squares");
    expect(linesOf(cake)).toEqual([
      '1 1/2 cups (190 g) all-purpose flour',
      '1.5 tsp baking powder',
      '8 oz. butter, softened',
      '3 large eggs',
      '2 pears, diced',
    ]);
    expect(cake).toMatchObject({
      measures: 'us',
      statedPieces: 16,
      statedMin: 27.5,
      ovenC: 175,
      method: 'creamed',
    });
    expect(frosting).toMatchObject({ makes: 'frosting', text: '4 oz. cream cheese\n1 cup powdered sugar' });
    for (const kept of ['last Sunday of October', 'one at a time', 'three days in a tin'])
      expect(cake?.steps).toContain(kept);
  });

  it('a card with its headings', () => {
    const [bars] = formulas(CARD);
    expect(bars?.name).toBe('OAT BARS');
    expect(weighed(bars)).toEqual({ massG: 380, unread: 0 });
    expect(bars?.steps.split('\n')).toHaveLength(3);
    expect(bars).toMatchObject({ statedMin: 20, ovenC: 170 });
  });

  it('a page with a table and no data of its own', () => {
    const [muffins] = formulas(TABLE_HTML);
    expect(muffins?.text).toContain('250 g plain flour');
    expect(muffins?.text).not.toMatch(/alert/);
    expect(weighed(muffins).unread).toBe(0);
    expect(muffins?.statedMin).toBe(22);
  });

  it('a list with commas on one line', () => {
    // 200 × 3 + 4 × 50 (57 where eggs are large) + 9.3 g.
    expect(weighed(formulas(COMMAS)[0]).massG).toBeGreaterThan(800);
    expect(formulas(COMMAS)[0]?.steps).toBe('Mix everything and bake.');
  });

  it('numbered lines, and numbered steps below', () => {
    const [cups] = formulas(NUMBERED);
    expect(linesOf(cups)).toHaveLength(5);
    expect(weighed(cups).unread).toBe(0);
    expect(cups?.steps.split('\n')).toHaveLength(2);
  });

  it('bullets of several kinds', () => {
    const [cups] = formulas(BULLETS);
    expect(linesOf(cups)).toHaveLength(6);
    expect(weighed(cups).unread).toBe(0);
  });

  it('fractions and spoons of two languages', () => {
    expect(weighed(formulas(FRACTIONS)[0])).toMatchObject({ unread: 0 });
    expect(linesOf(formulas(FRACTIONS)[0])).toHaveLength(5);
  });

  it('parts without colons', () => {
    const [bun, cream] = formulas(NO_COLONS);
    expect(bun?.text).toBe('200 g flour\n150 g sugar\n3 eggs');
    expect(cream).toMatchObject({
      makes: 'frosting',
      name: 'Plum buns: Buttercream',
      text: '200 g butter\n350 g icing sugar',
    });
  });

  it('steps between ingredients', () => {
    const [cake] = formulas(BETWEEN);
    expect(linesOf(cake)).toEqual(['200 g sugar', '4 eggs', '200 g ground hazelnuts', '1 tsp baking powder']);
    expect(cake?.steps.split('\n')).toHaveLength(3);
  });

  it.each([
    [{ ...RECIPE, recipeYield: '24 pieces' }, 24],
    [RECIPE, undefined],
  ])('structured data, with its yield and without', (recipe, pieces) => {
    const [loaf] = formulas(DATA(recipe));
    expect(loaf).toMatchObject({ name: 'Seed loaf', text: '200 g flour\n2 eggs' });
    expect(loaf?.statedPieces).toBe(pieces);
  });

  it('an old book’s paragraph', () => {
    const [cake] = formulas(OLD);
    const { lines } = readFormula(cake as Draft, null);
    expect(lines.map(({ ingredient }) => ingredient?.key)).toEqual(
      expect.arrayContaining(['plain flour', 'butter', 'granulated sugar', 'egg', 'baking powder']),
    );
    // 227 + 113 + 113 + 2 eggs + 4.6 g, weighed from what is written out.
    expect(weighed(cake).massG).toBeGreaterThan(540);
    expect(cake?.steps).toContain('moderate oven');
  });

  it('a message in a chat', () => {
    const [mug] = formulas(CHAT);
    expect(linesOf(mug)).toHaveLength(5);
    expect(weighed(mug).unread).toBe(0);
    expect(mug?.steps).toMatch(/microwave for 60 seconds/);
  });
});

it.each(PAGES.map((page) => [page.layout, page] as const))('%s comes in whole', (_, page) => {
  const made = formulas(page.text);
  expect(made.map(({ name }) => name)).toEqual(page.names);
  expect(made.map((one) => readFormula(one, null).weighed.items.length)).toEqual(page.lines);
});

describe('the parts of a page', () => {
  it('parts sentences, and not measures with a full stop', () => {
    expect(sentencesOf('Add 8 oz. butter. Beat well. Then rest.')).toEqual([
      'Add 8 oz. butter.',
      'Beat well.',
      'Then rest.',
    ]);
  });
  it('takes ingredients out of prose only where they have an amount', () => {
    expect(ingredientsInProse('Take 100 g of butter and some flour.', 'metric')).toEqual(['100 g butter']);
  });
  it('keeps every row somewhere', () => {
    const { name, parts, steps } = readPage(STORY, 'us');
    const kept = [name, ...parts.flatMap(({ title, lines }) => [title, ...lines]), ...steps].join('\n');
    for (const row of STORY.split('\n').filter(Boolean))
      expect(kept).toContain(row.replace(/^For the |:$/g, '').trim());
  });
});
