import { FONDANT } from '../../process/frost.table';
import type { Allergen } from '../../quantity';
import type { LotPlan } from '../chain';
import { addBallOf, addBox, addDrum, addPots, coatNotes, meltIdOf, type CoatedSolid } from '../links/coat';
import { addDipEach, addFinishEach, type FinishedEach } from '../links/each';
import { formulaAllergens, partAllergens } from '../links/finish';
import { addFillingTotal, addFrostingTotal } from '../links/frosting';
import { addLots, addToppings, allAllergens } from '../links/lots';
import type { WellsContext } from './wellsContext';
import { type Figures } from '../figures';

/** What one piece takes beyond its cake, before it is known how many are made. */
export function finishEach(ledger: Figures, context: WellsContext): FinishedEach {
  const { line, wellsEach, run } = context;
  let cakeId = 'cake.mass';
  if (wellsEach === 2) {
    cakeId = 'pair.mass';
    ledger.calc(
      cakeId,
      'Two halves',
      'g',
      '2 × {cake.mass}',
      (half = 0) => 2 * half,
      'A pair, before it is put together.',
    );
  }
  if (line.baseLayer) {
    const under = cakeId;
    cakeId = 'layered.mass';
    ledger.total(
      cakeId,
      'Cake with its base layer',
      'g',
      [under, 'layer.mass'],
      'Turned out, layer and all.',
    );
  }
  const lots = line.lots ?? [];
  const each = addFinishEach(ledger, {
    filling: line.filling,
    frosting: line.frosting,
    topId: 'well.top',
    cakeId,
    lots,
    count: line.count,
  });
  // The surface that toppings, fondant and coats go on.
  ledger.calc(
    'cake.volume',
    'One cake, its volume',
    'ml',
    wellsEach === 2 ? '2 × {cake.mass} ÷ {cake.density}' : '{cake.mass} ÷ {cake.density}',
    (mass = 0, density = 1) => (wellsEach * mass) / density,
    'Mass over the density of the crumb.',
  );
  const solid = addSurface(ledger, context);
  if (line.family !== 'mini') return each;
  const pieceIds = [...each.pieceIds];
  const supplies = [...each.supplies];
  if (line.fondant) {
    ledger.calc(
      'fondant.each',
      'Fondant on a piece',
      'g',
      context.tin.shape === 'bar'
        ? `({piece.area} − {well.length} × {well.top} ÷ 100) × {${FONDANT.thicknessMm} mm} × {${FONDANT.density} g/ml} ÷ 10`
        : `({piece.area} − π × {well.top}² ÷ 400) × {${FONDANT.thicknessMm} mm} × {${FONDANT.density} g/ml} ÷ 10`,
      context.tin.shape === 'bar'
        ? (area = 0, l = 0, w = 0) => ((area - (l * w) / 100) * FONDANT.thicknessMm * FONDANT.density) / 10
        : (area = 0, d = 0) =>
            ((area - (Math.PI * d * d) / 400) * FONDANT.thicknessMm * FONDANT.density) / 10,
      'Top and side, not the base, {3 mm} thick at {1.4 g/ml}.',
    );
    pieceIds.push('fondant.each');
  }
  if (line.coat) {
    supplies.push(...addDipEach(ledger, run, line.coat, solid, false, lots));
    pieceIds.push('coat.taken');
  }
  return { pieceIds, supplies, bags: each.bags };
}

/** A bar as a box, a pair of bowls as a ball, anything else as a drum of its top's width. */
function addSurface(ledger: Figures, { tin, wellsEach }: WellsContext): CoatedSolid {
  if (tin.shape === 'bowl' && wellsEach === 2) return addBallOf(ledger, 'cake.volume');
  if (tin.shape !== 'bar') return addDrum(ledger, 'well.top', 'cake.volume');
  ledger.calc(
    'piece.height',
    'Piece, high',
    'mm',
    '1000 × {cake.volume} ÷ ({well.length} × ({well.top} + {well.base}) ÷ 2)',
    (ml = 0, length = 1, top = 1, base = 1) => (1000 * ml) / ((length * (top + base)) / 2),
    'The height of a bar of that volume, length and mean width.',
  );
  return addBox(ledger, 'well.length', 'well.top', 'piece.height', 'cake.volume');
}

/** What to roll out, and what to have, where fondant covers the pieces. */
export function addFondantTotal(ledger: Figures): void {
  ledger.calc(
    'fondant.rolled',
    'Fondant to roll out',
    'g',
    `{count.made} × {fondant.each} × ${1 + FONDANT.beyond}`,
    (count = 0, each = 0) => count * each * (1 + FONDANT.beyond),
    'Half as much again lies beyond the edge; most of that is rolled again.',
  );
  ledger.calc(
    'fondant.needed',
    'Fondant to have',
    'g',
    `{count.made} × {fondant.each} × ${1 + FONDANT.beyond * (1 - FONDANT.rerolled)}`,
    (count = 0, each = 0) => count * each * (1 + FONDANT.beyond * (1 - FONDANT.rerolled)),
    'On the pieces, and the trimmings that cannot be rolled again.',
  );
}

/** The pieces of a line, finished: their lots, what warns of them, and what of the coat is melted. */
export interface FinishedAll {
  readonly lots: LotPlan[];
  readonly allergens: () => readonly Allergen[];
  readonly notes: () => readonly string[];
  readonly coatFormulaId: string | null | undefined;
  readonly coatId: string | undefined;
}

/** Fillings, frostings, coats and toppings of all pieces. */
export function finishAll(
  ledger: Figures,
  { line, run }: WellsContext,
  { pieceIds, bags }: FinishedEach,
): FinishedAll {
  const lots = addLots(ledger, line.lots ?? []);
  const { filling, frosting } = line;
  if (filling) addFillingTotal(ledger, filling);
  if (frosting) addFrostingTotal(ledger, lots, bags);
  const coat = line.family === 'mini' ? (line.coat ?? null) : null;
  const pots = coat ? addPots(ledger, lots, coat) : [];
  if (ledger.has('fondant.each')) addFondantTotal(ledger);
  ledger.total(
    'piece.mass',
    'One piece, before toppings',
    'g',
    pieceIds,
    'Cake and all that goes in and on it.',
  );
  const cake = () =>
    partAllergens(run, {
      formulaIds: [line.formulaId],
      filling,
      frosting,
      words: line.baseLayer ? [line.baseLayer.what] : [],
    });
  const planned = addToppings(ledger, lots, {
    pieceId: 'piece.mass',
    areaId: 'piece.area',
    allergens: cake,
    coat: coat?.kind ?? null,
    coatFormulaId: coat?.formulaId,
    ofFormula: (id) => formulaAllergens(run, id),
  });
  return {
    lots: planned,
    coatFormulaId: coat?.formulaId,
    coatId: meltIdOf(pots, coat?.kind),
    allergens: () => allAllergens(cake(), planned),
    notes: () => [...(frosting ? [FROST_NOTE] : []), ...(coat ? coatNotes(ledger, run, pots, coat) : [])],
  };
}

const FROST_NOTE =
  'Frost when the cake is cool all through; a warm one melts what stands on it. Kitchens above {24 °C} run soft: chill the bowl for ten minutes.';

/** What the shape and the style ask for. */
export function wellNotes(ledger: Figures, { line, tin }: WellsContext): string[] {
  const notes: string[] = [];
  if (line.baseLayer)
    notes.push(
      'Turn them out while warm, after 5 to 10 minutes: a sticky layer that has cooled stays in the tin.',
    );
  if (tin.shape === 'bowl' || tin.shape === 'bar')
    notes.push('Grease every corner of the mould. Turn out once it is firm, after 5 to 10 minutes.');
  if (line.family === 'mini' && line.style === 'paired')
    notes.push('Trim the halves flat, pair those of a size, and keep the spares for the ones that break.');
  if (line.filling?.how === 'core' && ledger.has('core.kept'))
    notes.push('Keep the crumb of the cores: it is good for pops.');
  return notes;
}
