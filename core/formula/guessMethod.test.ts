import { DEMO_KITCHEN } from '../../demo/kitchen';
import { DEMO_FORMULAS } from '../../demo/formulas';
import { FAMILY_FORMULAS } from '../../demo/familyFormulas';
import { isBatter } from '../model/documents';
import { guessMethod, mayMix } from './guessMethod';
import { readFormula } from './read';

const guess = (text: string, steps = '') =>
  guessMethod(readFormula({ text, measures: 'metric', takenFor: {} }, DEMO_KITCHEN).lines, steps);

describe('how a batter is mixed', () => {
  it.each([
    ['oil', '200 g plain flour\n150 g sugar\n2 eggs\n120 ml sunflower oil\n2 tsp baking powder', 'melted'],
    [
      'melted butter',
      '200 g plain flour\n150 g sugar\n2 eggs\n120 g butter, melted\n2 tsp baking powder',
      'melted',
    ],
    [
      'soft butter',
      '200 g plain flour\n150 g sugar\n2 eggs\n120 g butter, soft\n2 tsp baking powder',
      'creamed',
    ],
    [
      'mostly butter, a spoon of oil',
      '200 g flour\n150 g sugar\n2 eggs\n120 g butter\n1 tbsp rapeseed oil',
      'creamed',
    ],
    ['eggs, sugar, flour', '120 g plain flour\n120 g caster sugar\n4 eggs', 'whisked'],
    ['no fat and few eggs', '200 g flour\n100 g sugar\n1 egg\n200 g yoghurt\n2 tsp baking powder', 'melted'],
    ['a pound of each', '200 g plain flour\n200 g butter\n200 g sugar\n4 eggs', 'rich'],
    ['a pound of each, raised', '200 g self-raising flour\n200 g butter\n200 g sugar\n4 eggs', 'creamed'],
  ])('is told by what it is made of: %s', (_, text, method) => {
    expect(guess(text).method).toBe(method);
  });

  const BUTTER =
    '200 g self-raising flour\n150 g sugar\n2 eggs\n120 g butter\n100 g sour cream\n1 tsp cream of tartar';
  it.each([
    ['Cream the butter and sugar until pale, then the eggs.', 'creamed'],
    ['Melt the butter with the sugar. Stir in the rest.', 'melted'],
    // Cream as a thing is no creaming, and melted chocolate no melted butter.
    ['Stir in the sour cream. Melt the chocolate.', 'creamed'],
    ['Beat the butter and sugar together. Fold in the whisked egg whites.', 'folded'],
    ['Stir it all in a large mug. Microwave for a minute.', 'mug'],
    ['Melt the butter in the microwave. Divide between tins.', 'melted'],
  ])('is told by its steps first: %s', (steps, method) => {
    expect(guess(BUTTER, steps).method).toBe(method);
  });

  it('whisks eggs to a foam only where no heavy fat follows', () => {
    const steps = 'Whisk the eggs and sugar until thick and pale. Fold in the flour.';
    expect(guess('100 g flour\n100 g sugar\n3 eggs\n20 g butter, melted', steps).method).toBe('whisked');
    expect(guess('200 g flour\n200 g sugar\n3 eggs\n180 ml oil', steps).method).toBe('melted');
  });

  it('says by what it was told, and nothing where it only takes the usual', () => {
    expect(guess('200 g flour\n120 ml oil\n2 eggs').because).toBe('its fat is oil');
    expect(guess('200 g flour\n120 g butter\n2 eggs\n2 tsp baking powder').because).toBeNull();
    expect(guess('').because).toBeNull();
  });

  it('leaves a mug its own, and oil nothing that is creamed', () => {
    expect(mayMix('mug', 'melted')).toBe(true);
    expect(mayMix('creamed', 'melted')).toBe(false);
    expect(mayMix('whisked', 'whisked')).toBe(true);
  });

  it('agrees with what the demo kitchen says of its own', () => {
    const unlike = [...DEMO_FORMULAS, ...FAMILY_FORMULAS]
      .filter(isBatter)
      .map((doc) => ({ doc, told: guessMethod(readFormula(doc, DEMO_KITCHEN).lines, doc.steps) }))
      .filter(({ doc, told }) => told.because !== null && !mayMix(doc.method, told.method));
    expect(unlike.map(({ doc, told }) => `${doc.name}: ${doc.method}, ${told.because}`)).toEqual([]);
  });
});
