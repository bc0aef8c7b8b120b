import type { FormulaDoc, Line } from '../model/documents';
import { referencesOf } from '../model/references';
import { CUBE, CUPCAKE, POP, SICLE, v, whole } from './test-utils/lines';

const formula = (id: string, name: string, text: string, over: Partial<FormulaDoc> = {}): FormulaDoc => ({
  kind: 'formula',
  version: 1,
  id,
  name,
  text,
  measures: 'metric',
  method: 'melted',
  ovenC: 175,
  takenFor: {},
  steps: '',
  ...over,
});
const GLAZE = formula('dark-glaze', 'Dark glaze', '300 g dark chocolate\n30 g oil', { makes: 'coat' });
const BRITTLE = formula(
  'oat-brittle',
  'Oat brittle',
  '80 g rolled oats\n60 g caster sugar\n40 g chopped hazelnuts',
  {
    makes: 'topping',
  },
);
const having = { formulas: [GLAZE, BRITTLE] };
const brittle = { by: 'each' as const, what: 'Brittle', eachG: 2, formulaId: BRITTLE.id };
const lot = { id: 'l', name: 'Brittle', count: 10, colour: null, coat: null, toppings: [brittle] };

describe('coats and toppings that are made by a formula', () => {
  const coated: Line = { ...POP, lots: [lot], coat: POP.coat && { ...POP.coat, formulaId: GLAZE.id } };
  const { lines, components } = whole([coated], having);
  const [pops] = lines;
  if (!pops?.planned) throw new Error('it can be planned');

  it('are scaled on what is melted and on what the lots take', () => {
    expect(components?.figure('dark-glaze/asked').value).toBeCloseTo(v(pops, 'pot.1.melt'), 6);
    expect(components?.figure('oat-brittle/asked').value).toBeCloseTo(10 * 2, 6);
    const makes = components?.batches.map((batch) => [batch.id, batch.makes]);
    expect(makes).toEqual(
      expect.arrayContaining([
        ['dark-glaze', 'coat'],
        ['oat-brittle', 'topping'],
      ]),
    );
  });

  it('bring the allergens of their formula to the lots that have them', () => {
    expect(pops.lots[0]?.holds.allergens).toContain('nuts');
    expect(pops.lots[1]?.holds.allergens).not.toContain('nuts');
  });

  it('are named among what a line rests on, each at its field', () => {
    const fields = referencesOf(coated).map(({ field }) => field);
    expect(fields).toEqual(expect.arrayContaining(['coat.formulaId', 'lots[0].toppings[0].formulaId']));
    expect(referencesOf({ ...SICLE, coatFormulaId: GLAZE.id }).map(({ field }) => field)).toContain(
      'coatFormulaId',
    );
  });

  it('count one kind of coat only: a lot in another is melted as bought', () => {
    const white: Line = { ...coated, lots: [{ ...lot, coat: 'white' }] };
    const plan = whole([white], having);
    const [line] = plan.lines;
    if (!line?.planned) throw new Error('it can be planned');
    // The lot stands first, so its pot does as well; the line's own coat is in the second.
    expect(plan.components?.figure('dark-glaze/asked').value).toBeCloseTo(v(line, 'pot.2.melt'), 6);
  });

  it('serve every family, and add up over lines', () => {
    const all: Line[] = [
      coated,
      { ...SICLE, lots: [lot], coatFormulaId: GLAZE.id },
      { ...CUBE, lots: [lot], coat: CUBE.coat && { ...CUBE.coat, formulaId: GLAZE.id } },
      { ...CUPCAKE, lots: [lot] },
    ];
    const plan = whole(all, having);
    const melted = plan.lines.reduce(
      (sum, line) => sum + (line.planned && line.family !== 'cupcake' ? v(line, 'pot.1.melt') : 0),
      0,
    );
    expect(plan.components?.figure('dark-glaze/asked').value).toBeCloseTo(melted, 6);
    expect(plan.components?.figure('oat-brittle/asked').value).toBeCloseTo(4 * 20, 6);
  });

  it('cannot be missing without saying so', () => {
    const [line] = whole([coated], { formulas: [GLAZE] }).lines;
    expect(line).toMatchObject({ planned: false, fault: { field: 'formula' } });
  });
});
