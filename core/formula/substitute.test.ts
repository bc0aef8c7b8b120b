import { INGREDIENTS, inStyle, readLine } from '../quantity';
import type { FormulaDoc } from '../model/documents';
import { checkStated, checkSteps } from './checks';
import { readFormula } from './read';
import { substitute, substitutionsFor } from './substitute';
import { CHOCOLATE_SUGAR, SUBSTITUTES } from './substitute.table';

const offers = (line: string) => substitutionsFor(readLine(line, 'metric'));
const offer = (line: string, id: string) => {
  const found = offers(line).find((one) => one.id === id);
  if (!found) throw new Error(`no ${id} for ${line}`);
  return found;
};
const doc = (text: string): FormulaDoc => ({
  kind: 'formula',
  version: 1,
  id: 'f',
  name: 'Cake',
  text,
  measures: 'metric',
  method: 'creamed',
  ovenC: 175,
  takenFor: {},
  steps: '',
});

describe('substitutions', () => {
  it('sours milk, by hand: 200 g is 188 g of milk and 12 g of juice, 5 minutes', () => {
    const sour = offer('200 g buttermilk', 'sour-milk');
    expect(sour.parts.map(({ massG }) => massG)).toEqual([188, 12]);
    expect(sour.sum.map((text) => inStyle(text))[0]).toBe('200 g × 0.94 = 188 g of milk');
    expect(sour.result).toMatch(/5 minutes/);
  });

  it.each([
    ['100 g cake flour', 'plain-for-cake', [85, 15], [], []],
    ['200 g self-raising flour', 'plain-for-raising', [191, 9], [], []],
    ['100 g salted butter', 'unsalted', [98.3, 1.7], [], []],
    ['2 eggs', 'yoghurt-for-egg', [120], ['milk'], ['egg']],
    ['100 g butter', 'plant-butter', [100], [], ['milk']],
    ['100 g milk', 'oat-milk', [100], ['gluten'], ['milk']],
    ['50 g brandy', 'juice-for-spirit', [50], [], []],
  ] as const)('%s: %s', (line, id, masses, gains, loses) => {
    const found = offer(line, id);
    found.parts.forEach(({ massG }, i) => expect(massG).toBeCloseTo(masses[i] ?? NaN, 6));
    expect([found.gains, found.loses]).toEqual([gains, loses]);
  });

  it('moves sugar with one chocolate for another, by hand: 200 × (0.58 − 0.45) = 26 g', () => {
    expect(offer('200 g dark chocolate', 'chocolate-white chocolate').sugarOffG).toBeCloseTo(26, 6);
    expect(offer('200 g white chocolate', 'chocolate-chocolate').sugarOffG).toBeCloseTo(-26, 6);
  });

  it('names only things that the table knows, so that what is put in can be read again', () => {
    const keys = new Set(INGREDIENTS.map(({ key }) => key));
    for (const { from, parts } of SUBSTITUTES)
      for (const key of [from, ...parts.map((part) => part.key)])
        expect([key, keys.has(key)]).toEqual([key, true]);
    for (const key of Object.keys(CHOCOLATE_SUGAR)) expect(keys.has(key)).toBe(true);
  });

  it('puts the parts into the formula as lines that read back to the same grams', () => {
    const before = doc('100 g plain flour\n200 g buttermilk\n150 g caster sugar\n100 g dark chocolate');
    const soured = readFormula(substitute(before, null, 1, offer('200 g buttermilk', 'sour-milk')), null);
    expect(soured.massG).toBeCloseTo(readFormula(before, null).massG, 6);
    expect(soured.lines.map(({ ingredient }) => ingredient?.key)).toEqual(
      expect.arrayContaining(['milk', 'citrus juice', 'plain flour']),
    );
    const white = substitute(before, null, 3, offer('100 g dark chocolate', 'chocolate-white chocolate'));
    expect(white.text).toMatch(/^137 g caster sugar$/m);
  });

  it('offers nothing for what it does not know', () => {
    expect(offers('100 g water')).toEqual([]);
    expect(offers('a thing')).toEqual([]);
  });
});

describe('checks against what the writer says', () => {
  const stated = { statedPieces: 12, batterG: 660, portionG: 55, statedMin: 20, lowMin: 17, highMin: 22 };
  it('is content where yield and time agree', () => expect(checkStated(stated)).toEqual([]));
  it('says what a yield comes to, by hand: 660 ÷ 24 = 28 g each', () => {
    const [fault] = checkStated({ ...stated, statedPieces: 24 });
    expect(inStyle(fault?.fault ?? '')).toBe('It says it makes 24; at 55 g a well it makes about 12.');
    expect(inStyle(fault?.mend ?? '')).toMatch(/28 g each/);
  });
  it('says when a time is far from the likely one', () => {
    expect(checkStated({ ...stated, statedMin: 35 })[0]?.fault).toMatch(/17 to 22/);
    expect(checkStated({ ...stated, statedMin: null, statedPieces: null })).toEqual([]);
  });
  it('finds an ingredient in the steps that the list does not have', () => {
    const { lines } = readFormula(doc('100 g plain flour\n100 g caster sugar\n2 eggs'), null);
    expect(checkSteps(lines, 'Rub the butter into the flour. Add the sugar and the eggs.')[0]?.fault).toMatch(
      /butter/,
    );
    expect(checkSteps(lines, 'Beat eggs and sugar. Fold in the flour with a pinch of salt.')).toEqual([]);
    expect(checkSteps(lines, '')).toEqual([]);
  });
  it('reads a handful as this kitchen weighs it', () => {
    expect(readLine('2 handfuls raisins', 'metric').massG).toBe(70);
    const own = readLine('2 handfuls raisins', 'metric', undefined, { ownMeasures: { handful: 31 } });
    expect([own.massG, own.reading]).toEqual([62, '2 handfuls at {31 g}, as weighed here']);
  });
});
