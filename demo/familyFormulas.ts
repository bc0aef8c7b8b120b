import type { FormulaDoc } from '../core/model/documents';

const formula = (
  doc: Pick<FormulaDoc, 'id' | 'name' | 'method'> & {
    readonly lines: readonly string[];
  } & Partial<FormulaDoc>,
): FormulaDoc => {
  const { lines, ...rest } = doc;
  return {
    kind: 'formula',
    version: 1,
    measures: 'metric',
    ovenC: 175,
    takenFor: {},
    steps: '',
    text: lines.join('\n'),
    ...rest,
  };
};

/** Formulas of the other families, and the components that they take. */
export const FAMILY_FORMULAS: readonly FormulaDoc[] = [
  formula({
    id: 'formula-pumpkin-oat',
    name: 'Pumpkin and oat',
    method: 'melted',
    lines: [
      '260 g plain flour',
      '2½ tsp baking powder',
      '1½ tsp mixed spice',
      '¼ tsp fine salt',
      '200 g light brown sugar',
      '140 g sunflower oil',
      '3 medium eggs',
      '250 g roast pumpkin, puréed',
      '60 g rolled oats',
    ],
    steps:
      'Whisk sugar, oil and eggs until smooth.\nStir in the pumpkin.\nFold in the dry things and the oats.',
  }),
  formula({
    id: 'formula-plum-rye',
    name: 'Plum and rye',
    method: 'creamed',
    lines: [
      '170 g butter, soft',
      '170 g caster sugar',
      '3 eggs',
      '120 g plain flour',
      '60 g rye flour',
      '8 g baking powder',
      'a pinch of salt',
      '60 ml milk',
    ],
    steps:
      'Beat butter and sugar until pale.\nBeat in the eggs one at a time.\nFold in the dry things, then the milk.',
    statedPieces: 14,
    statedMin: 19,
  }),
  formula({
    id: 'formula-elderflower-pound',
    name: 'Elderflower pound',
    method: 'rich',
    lines: [
      '225 g butter, soft',
      '200 g caster sugar',
      '4 large eggs',
      '225 g plain flour',
      '8 g baking powder',
      '3 tbsp (55 g) elderflower cordial',
    ],
  }),
  formula({
    id: 'formula-apple-mug',
    name: 'Apple and cinnamon mug',
    method: 'mug',
    lines: [
      '160 g plain flour',
      '1½ tsp baking powder',
      '1 tsp cinnamon',
      '100 g light brown sugar',
      '1 egg',
      '120 ml milk',
      '60 g butter, melted',
      '120 g grated apple',
    ],
  }),
  formula({
    id: 'formula-barley-syrup',
    name: 'Barley syrup',
    method: 'melted',
    makes: 'topping',
    lines: ['150 g barley malt extract', '60 g water'],
    takenFor: { '150 g barley malt extract': 'light syrup' },
  }),
  formula({
    id: 'formula-malt-buttercream',
    name: 'Malt buttercream',
    method: 'creamed',
    makes: 'frosting',
    lines: ['200 g butter, soft', '300 g icing sugar', '1 tbsp milk'],
    parts: [{ formulaId: 'formula-barley-syrup', massG: 60 }],
  }),
  formula({
    id: 'formula-quince-butter',
    name: 'Quince butter',
    method: 'melted',
    makes: 'filling',
    lines: ['400 g quince purée', '180 g caster sugar', '2 eggs', '60 g butter'],
    takenFor: { '400 g quince purée': 'apple sauce' },
    steps: [
      'Stir all of it over barely simmering water until it coats the spoon, about 12 minutes.',
      'Sieve it, lay paper on it, and cool it within the hour; then into the fridge.',
    ].join('\n'),
  }),
];
