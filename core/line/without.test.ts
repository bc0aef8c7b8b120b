import { CUPCAKE, EVENING, whole } from '../plan/test-utils/lines';
import type { FormulaDoc } from '../model/documents';
import { without } from './without';

const NUTTY: FormulaDoc = {
  kind: 'formula',
  version: 1,
  id: 'formula-nutty',
  name: 'Walnut and pear',
  measures: 'metric',
  method: 'creamed',
  ovenC: 175,
  takenFor: {},
  text: '200 g plain flour\n8 g baking powder\n160 g caster sugar\n160 g butter\n3 eggs\n80 ml milk\n90 g walnuts, chopped',
  steps: 'Beat butter and sugar.\nFold in the walnuts.',
};
const line = { ...CUPCAKE, formulaId: NUTTY.id, count: 30, lots: [], frosting: null };
const ask = { at: 6, what: 'walnuts', count: 12, nuts: true, formulaId: 'formula-free', lineId: 'free' };

describe('some pieces without an ingredient', () => {
  const split = without(line, NUTTY, ask);
  if (!split) throw new Error('12 of 30 can be made without');
  const formulas = [...EVENING.formulas, NUTTY, split.formula];
  const [free, rest] = whole([split.first, split.rest], { formulas }).lines;
  if (!free?.planned || !rest?.planned) throw new Error('both are planned');

  it('makes 12 and 18, each from a bowl of its own', () => {
    expect([free.parts.count.made.value, rest.parts.count.made.value]).toEqual([12, 18]);
    expect(free.batches[0]?.formula.id).toBe('formula-free');
    expect(free.batches[0]?.ingredients.map(({ name }) => name).join()).not.toMatch(/walnut/);
    expect(rest.batches[0]?.ingredients.map(({ name }) => name).join()).toMatch(/walnut/);
  });

  it('keeps the promise: no nuts in the first, nuts in the others, and the order in its steps', () => {
    expect(free.allergens).not.toContain('nuts');
    expect(rest.allergens).toContain('nuts');
    expect(free.warnings.map(({ why }) => why.code)).not.toContain('nut promise broken');
    expect(split.formula.steps).toMatch(/first.+before walnuts/);
  });

  it('is nothing where all or none would be without, or the line is of another formula', () => {
    expect(without(line, NUTTY, { ...ask, count: 30 })).toBeNull();
    expect(without(line, NUTTY, { ...ask, count: 0 })).toBeNull();
    expect(without({ ...line, formulaId: 'other' }, NUTTY, ask)).toBeNull();
  });
});
