import { BINDER_ALLERGENS, FROSTING_ALLERGENS } from '../../caution/allergens.table';
import type { BinderChoice, FillingChoice, FrostingChoice, Lot, Makes } from '../../model/documents';
import { ingredientsNamedIn, type Allergen } from '../../quantity';
import type { Need } from '../chain';
import type { RunContext } from '../lookup';
import { type Figures } from '../figures';

/** What the whole run makes once for all its lines. */
export function needOf(
  ledger: Figures,
  formulaId: string | null | undefined,
  makes: Makes,
  figureId: string,
): Need[] {
  if (!formulaId || !ledger.has(figureId)) return [];
  return [{ formulaId, makes, figureId, massG: ledger.value(figureId) }];
}

/** Allergens of a formula and of all that it is made of. */
export function formulaAllergens(run: RunContext, id: string): readonly Allergen[] {
  const { doc, read } = run.formula(id);
  return [...read.allergens, ...(doc.parts ?? []).flatMap((part) => formulaAllergens(run, part.formulaId))];
}

const ofWords = (what: string): Allergen[] =>
  ingredientsNamedIn(what).flatMap(({ ingredient }) => [...(ingredient.allergens ?? [])]);

/** Allergens of what goes into and on to a cake, by its formula where there is one, by its kind where it is bought. */
export function partAllergens(
  run: RunContext,
  parts: {
    readonly formulaIds: readonly string[];
    readonly filling?: FillingChoice | null | undefined;
    readonly frosting?: FrostingChoice | null | undefined;
    readonly binder?: BinderChoice;
    readonly words?: readonly string[];
  },
): Allergen[] {
  const { filling, frosting, binder } = parts;
  const out = new Set<Allergen>();
  const add = (list: readonly Allergen[]) => list.forEach((one) => out.add(one));
  for (const id of parts.formulaIds) add(formulaAllergens(run, id));
  if (filling) add(filling.formulaId ? formulaAllergens(run, filling.formulaId) : ofWords(filling.what));
  if (frosting)
    add(frosting.formulaId ? formulaAllergens(run, frosting.formulaId) : FROSTING_ALLERGENS[frosting.kind]);
  if (binder) add(binder.formulaId ? formulaAllergens(run, binder.formulaId) : BINDER_ALLERGENS[binder.kind]);
  for (const words of parts.words ?? []) add(ofWords(words));
  return [...out];
}

/** All that a line needs of formulas for its inside and its outside. `coatId`: figure of what is melted of its own coat. */
export function finishNeeds(
  ledger: Figures,
  line: {
    readonly filling?: FillingChoice | null | undefined;
    readonly frosting?: FrostingChoice | null | undefined;
    readonly lots?: readonly Lot[] | undefined;
  },
  coatFormulaId?: string | null,
  coatId?: string,
): Need[] {
  return [
    ...needOf(ledger, line.filling?.formulaId, 'filling', 'filling.needed'),
    ...needOf(ledger, line.frosting?.formulaId, 'frosting', 'frosting.needed'),
    ...(coatId ? needOf(ledger, coatFormulaId, 'coat', coatId) : []),
    ...(line.lots ?? []).flatMap((lot, i) =>
      lot.toppings.flatMap(({ formulaId }, k) =>
        needOf(ledger, formulaId, 'topping', `lot.${i + 1}.topping.${k + 1}.total`),
      ),
    ),
  ];
}
