import fc from 'fast-check';
import { likelyIngredients, readLine, toldOf, unitAsked, type OwnThing } from '../quantity';
import { doubtsOf, settledText, unsureCount, type Choice, type Doubt } from './doubts';
import { readFormula } from './read';

interface Doc {
  readonly text: string;
  readonly measures: 'us' | 'metric';
  readonly takenFor: Readonly<Record<string, string>>;
}
const doc = (text: string, over: Partial<Doc> = {}): Doc => ({ text, measures: 'us', takenFor: {}, ...over });
const doubtsIn = (one: Doc, ownThings?: readonly OwnThing[]): readonly Doubt[] => {
  const kitchen = ownThings ? { ownThings: [...ownThings] } : null;
  return doubtsOf(one, readFormula(one, kitchen), kitchen);
};
const choice = (doubt: Doubt | undefined, label: string): Choice => {
  const found = doubt?.choices.find((one) => one.label === label);
  if (!found) throw new Error(`"${label}" is not among ${doubt?.choices.map((one) => one.label).join(', ')}`);
  return found;
};

describe('a line that is not sure', () => {
  it.each([
    ['120 g butter', 0],
    ['3 eggs', 0],
    ['1 pinch salt', 0],
    ['salt', 0],
    ['Fold in gently and rest for a minute.', 0],
    ['200 g flower', 1],
    ['2 cups tigernut paste', 1],
    ['Flour: 200', 1],
    ['11/2 cups sugar', 1],
    ['1 cup (200 g) plain flour', 1],
    ['1 cup (125 g) plain flour', 0],
    ['250', 1],
  ])('%s: %i', (text, n) => {
    const one = doc(text);
    expect(doubtsIn(one)).toHaveLength(n);
    expect(unsureCount(one, readFormula(one, null))).toBe(n);
  });

  it('has its likely readings, and each of them settles it', () => {
    const text = 'Flour: 200\n11/2 cups sugar\n1 cup (200 g) plain flour\n100 g choclate chips';
    const doubts = doubtsIn(doc(text));
    expect(doubts.map(({ row }) => row)).toEqual([0, 1, 2, 3]);
    for (const { row, line, choices } of doubts) {
      expect(choices.length).toBeGreaterThanOrEqual(2);
      for (const { settling, massG } of choices) {
        if (settling.how === 'write') {
          const then = doc(settledText(text, row, settling));
          expect(doubtsIn(then).map((one) => one.row)).not.toContain(row);
          expect(readFormula(then, null).lines[row]?.massG).toBeCloseTo(massG ?? NaN, 6);
        } else if (settling.how === 'take')
          expect(doubtsIn(doc(text, { takenFor: { [line.raw]: settling.key } }))).toHaveLength(3);
        else if (settling.how === 'know')
          expect(doubtsIn(doc(text), [{ name: settling.name, like: null }])).toHaveLength(3);
      }
    }
    expect(choice(doubts[1], '1 1/2').massG).toBeCloseTo(300, -1);
    expect(choice(doubts[1], '5.5').massG).toBeCloseTo(1100, -1);
    expect(choice(doubts[2], '1 cup').massG).toBeCloseTo(125, 0);
  });

  it('that is no ingredient becomes a note, or a step that leaves the lines', () => {
    const text = '120 g butter\n2 rounds of 20';
    const [doubt] = doubtsIn(doc(text));
    const { settling } = choice(doubt, 'A note');
    if (settling.how !== 'take') throw new Error('a note is taken for one');
    const noted = doc(text, { takenFor: { '2 rounds of 20': settling.key } });
    expect(readFormula(noted, null).lines[1]?.status).toBe('note');
    expect(doubtsIn(noted)).toEqual([]);
    expect(settledText(text, 1, { how: 'step' })).toBe('120 g butter');
  });
});

describe('a thing that no table knows', () => {
  const asked = unitAsked('2 cups tigernut paste', 'us');
  it('is asked about by the measure it is written in, once for all formulas', () => {
    expect(asked).toMatchObject({ name: 'tigernut paste', of: 'volume', unit: 'cup' });
    const told = toldOf(asked!, 250, null);
    expect(readLine('2 cups tigernut paste', 'us', undefined, { ownThings: [told] })).toMatchObject({
      status: 'read',
      massG: 500,
      name: 'tigernut paste',
    });
    // By its density in every other measure too: a tablespoon is a sixteenth of a cup.
    const spoon = readLine('1 tbsp smooth tigernut paste', 'us', undefined, { ownThings: [told] });
    expect(spoon.massG).toBeCloseTo(250 / 16, 0);
    expect(doubtsIn(doc('2 cups tigernut paste\n3 tbsp tigernut paste'), [told])).toEqual([]);
  });

  it('by the piece and by the pack as well', () => {
    const leaf = toldOf(unitAsked('3 pandan leaves', 'us')!, 4, null);
    const tin = toldOf(unitAsked('2 tins dulce', 'us')!, 397, null, leaf.name === 'dulce' ? leaf : undefined);
    const own = { ownThings: [leaf, tin] };
    expect(readLine('5 pandan leaves', 'us', undefined, own).massG).toBe(20);
    expect(readLine('1 tin dulce', 'us', undefined, own).massG).toBe(397);
  });

  it('like something is measured like it and does the same; what it holds besides stays unknown', () => {
    const like: OwnThing = { name: 'einkorn meal', like: 'plain-flour' };
    const flour = readLine('1 cup plain flour', 'us');
    const key = flour.ingredient?.key ?? '';
    const read = readLine('1 cup einkorn meal', 'us', undefined, { ownThings: [{ ...like, like: key }] });
    expect(read.massG).toBeCloseTo(flour.massG, 6);
    expect(read.ingredient?.role).toBe('flour');
    expect(read.ingredient).toMatchObject({ allergens: ['gluten', 'wheat'], more: true });
  });

  it('takes no other thing along: butter stays butter where "tigernut butter" was told', () => {
    const own = { ownThings: [{ name: 'tigernut butter', like: null, cupG: 260 }] };
    expect(readLine('1 cup butter', 'us', undefined, own).massG).toBe(readLine('1 cup butter', 'us').massG);
    expect(readLine('1 cup tigernut butter', 'us', undefined, own).massG).toBeCloseTo(260, 6);
  });
});

describe('likely ingredients', () => {
  it.each([
    ['choclate chips', 'dark chocolate'],
    ['chesnut puree', 'chestnut purée'],
    ['vanilin suger', 'vanilla sugar'],
    ['flower', 'plain flour'],
    ['buttter', 'butter'],
    ['bicarbonate of sdoa', 'bicarbonate of soda'],
  ])('%s is likely %s', (name, likely) => {
    expect(likelyIngredients(name)[0]?.ingredient.name).toBe(likely);
    expect(likelyIngredients(name)[0]?.same).toBe(true);
  });

  it('are never more than three, and none of nothing', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 40 }), (name) => likelyIngredients(name).length <= 3),
      { numRuns: 60 },
    );
    expect(likelyIngredients('')).toEqual([]);
    expect(likelyIngredients('zzzzqx')).toEqual([]);
  });
});
