import fc from 'fast-check';
import { DEMO_FORMULAS } from '../../demo';
import type { FormulaDoc } from '../model/documents';
import { compareShares, densitiesOf, fillsBy } from './compare';
import { readFormula } from './read';
import { factorOf, scaledLines, scaledText } from './scale';

const doc: FormulaDoc = {
  kind: 'formula',
  version: 1,
  id: 'f',
  name: 'Cake',
  text: '200 g plain flour\n150 g dark chocolate\n2 eggs\na pinch of salt\nFor the top\nsome sugar',
  measures: 'metric',
  method: 'melted',
  ovenC: 175,
  takenFor: {},
  steps: '',
  statedPieces: 12,
};
const read = readFormula(doc, null);

describe('scaling in place', () => {
  it('by hand: 300 g of chocolate on hand is twice the formula, 18 pieces one and a half times', () => {
    expect(factorOf(read, doc, { by: 'ingredient', lineIndex: 1, massG: 300 })).toBe(2);
    expect(factorOf(read, doc, { by: 'pieces', pieces: 18 })).toBe(1.5);
    expect(factorOf(read, doc, { by: 'mass', massG: read.massG / 4 })).toBeCloseTo(0.25, 12);
  });

  it('says nothing where nothing can be said', () => {
    expect(factorOf(read, { ...doc, statedPieces: null }, { by: 'pieces', pieces: 18 })).toBeNull();
    expect(factorOf(read, doc, { by: 'ingredient', lineIndex: 5, massG: 300 })).toBeNull();
    expect(factorOf(read, doc, { by: 'ingredient', lineIndex: 99, massG: 300 })).toBeNull();
    expect(factorOf({ lines: [], massG: 0 }, doc, { by: 'mass', massG: 100 })).toBeNull();
    expect(factorOf(read, doc, { by: 'mass', massG: 0 })).toBeNull();
  });

  it('keeps what is counted counted, and lines without an amount as they are', () => {
    const text = scaledText(doc, read, 2);
    expect(text.split('\n')).toEqual([
      '400 g plain flour',
      '300 g dark chocolate',
      '4 eggs',
      expect.stringMatching(/^0.6 g salt$/) as string,
      'For the top',
      'some sugar',
    ]);
    const eggs = scaledLines(read.lines, 0.5).find(({ name }) => name === 'eggs');
    expect(eggs).toMatchObject({ count: 1 });
  });

  it('weighs what it should once it is read again, for every formula of the demo', () => {
    fc.assert(
      fc.property(fc.constantFrom(...DEMO_FORMULAS), fc.integer({ min: 1, max: 12 }), (one, factor) => {
        const was = readFormula(one, null);
        const anew = readFormula({ ...one, takenFor: {}, text: scaledText(one, was, factor) }, null);
        // Eggs are read at the size that the measures say; a word such as "large" is gone.
        return Math.abs(anew.massG / (was.massG * factor) - 1) < 0.06;
      }),
    );
  });
});

describe('two formulas side by side', () => {
  const side = (one: FormulaDoc) => ({ doc: one, read: readFormula(one, null) });
  it('add up to the whole, less what has no part of its own', () => {
    const rows = compareShares(side(doc), side({ ...doc, text: '100 g plain flour\n100 g milk' }));
    expect(rows.find(({ name }) => name === 'flour')).toMatchObject({ other: 0.5 });
    for (const key of ['one', 'other'] as const) {
      const sum = rows.reduce((all, row) => all + row[key], 0);
      expect(sum).toBeGreaterThan(0.99);
      expect(sum).toBeLessThanOrEqual(1 + 1e-9);
    }
    expect(rows.some(({ name }) => name === 'fruit and nuts')).toBe(false);
  });

  it('say how dense batter and cake are, by their methods', () => {
    expect(densitiesOf(doc).batter).toBeGreaterThan(densitiesOf({ ...doc, method: 'creamed' }).batter);
    expect(densitiesOf(doc).cake).toBeLessThan(densitiesOf(doc).batter);
  });

  it('fill by how they are mixed: 1000 g creamed are 1111 ml in the bowl and 2098 ml of cake', () => {
    // 1000 ÷ 0.9; 1000 × (1 − 0.0855 − 1.3 ÷ 105) ÷ 0.43.
    expect(fillsBy('creamed', 1000).batterMl).toBeCloseTo(1111.1, 1);
    expect(fillsBy('creamed', 1000).cakeMl).toBeCloseTo(2097.95, 1);
    expect(fillsBy('rich', 1000).cakeMl).toBeLessThan(fillsBy('creamed', 1000).cakeMl);
    expect(fillsBy('creamed', 0)).toEqual({ batterMl: 0, cakeMl: 0 });
  });
});
