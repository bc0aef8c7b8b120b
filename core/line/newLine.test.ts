import { FAMILY_FORMULAS } from '../../demo/familyFormulas';
import { DEMO_KITCHEN, EMPTY_KITCHEN } from '../../demo/kitchen';
import { planRun } from '../plan';
import type { FormulaDoc, KitchenDoc, RunDoc } from '../model/documents';
import { newLine, type LineAsk } from './newLine';
import { lineSchema } from '../model/lines';

const formula = FAMILY_FORMULAS[0] as FormulaDoc;
const mug = FAMILY_FORMULAS.find((doc) => doc.method === 'mug') as FormulaDoc;
const ask = (over: Partial<LineAsk>): LineAsk => ({
  id: 'line-1',
  family: 'pop',
  count: 24,
  crumb: { from: 'formula', formula },
  kitchen: DEMO_KITCHEN,
  ...over,
});

const asks: readonly (readonly [string, Partial<LineAsk>])[] = [
  ['cupcakes', { family: 'cupcake' }],
  ['pops', { family: 'pop' }],
  ['pops of leftovers', { family: 'pop', crumb: { from: 'leftovers', massG: 900 } }],
  ['moulded pieces', { family: 'cakesicle' }],
  ['moulded pieces without baking', { family: 'cakesicle', crumb: { from: 'biscuit', massG: 900 } }],
  ['mugs', { family: 'mug', count: 4, crumb: { from: 'formula', formula: mug } }],
  ['cubes', { family: 'mini' }],
  ...(['paired', 'fingers', 'moulded', 'base-layer'] as const).map(
    (style) => [style, { family: 'mini' as const, style }] as const,
  ),
];

describe('a new line', () => {
  it.each(asks)('of %s fits its schema and can be planned in the kitchen of a first start', (_, over) => {
    for (const kitchen of [DEMO_KITCHEN, EMPTY_KITCHEN]) {
      const made = newLine(ask({ ...over, kitchen }));
      if (!made.ok) throw new Error(made.missing);
      expect(lineSchema.safeParse(made.line).success).toBe(true);
      const run: RunDoc = {
        kind: 'run',
        version: 4,
        id: 'run-1',
        name: 'A run',
        createdAt: 0,
        readyAt: '2026-11-28T16:00',
        lines: [made.line],
        closed: null,
      };
      const [plan] = planRun({ run, formulas: [formula, mug], kitchen });
      expect(plan?.planned ? plan.figure('count.made').value : plan?.fault).toBe(made.line.count);
    }
  });

  it.each<[LineAsk['family'], keyof KitchenDoc, string]>([
    ['pop', 'vessels', 'vessel'],
    ['pop', 'sheets', 'sheet'],
    ['cakesicle', 'moulds', 'mould'],
    ['mug', 'mugs', 'mug'],
    ['mug', 'microwaves', 'microwave'],
  ])('of a %s says so where the kitchen has no %s', (family, things, missing) => {
    const kitchen = { ...DEMO_KITCHEN, [things]: [] };
    expect(newLine(ask({ family, kitchen }))).toEqual({ ok: false, missing });
  });
});
