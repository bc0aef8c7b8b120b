import { BINDER_ALLERGENS, CHOCOLATE_ALLERGENS, FROSTING_ALLERGENS } from '../caution/allergens.table';
import type { BinderChoice, CrumbPart, FillingChoice, FrostingChoice } from '../model/documents';
import type { ChocolateKind } from '../model/kinds';
import { allergensTold, ingredientsNamedIn, type Allergen } from '../quantity';
import type { RunContext } from './context';
import type { FinishedLot } from './stations/lots';

/** Allergens of a formula and of all that it is made of. */
export function formulaAllergens(run: RunContext, id: string): readonly Allergen[] {
  return [...new Set([...run.madeOf(id)].flatMap((one) => [...run.formula(one).read.allergens]))];
}

const ofWords = (what: string): Allergen[] => {
  const { of, told } = allergensTold(what);
  return told
    ? [...of]
    : ingredientsNamedIn(what).flatMap(({ ingredient }) => [...(ingredient.allergens ?? [])]);
};

/** What a piece holds before its toppings: formulas, bought things by their kind, and what is only named. */
export interface Contents {
  readonly formulaIds: readonly string[];
  readonly filling?: FillingChoice | null | undefined;
  readonly frosting?: FrostingChoice | null | undefined;
  readonly binder?: BinderChoice;
  readonly words?: readonly string[];
  /** Cake or biscuit from elsewhere. */
  readonly bought?: boolean;
}

/** What cake or biscuit from elsewhere is taken to hold. */
const BOUGHT_CAKE = ['cake crumbs'] as const;

export function contentAllergens(run: RunContext, contents: Contents): Allergen[] {
  const { filling, frosting, binder } = contents;
  const out = new Set<Allergen>();
  const add = (list: readonly Allergen[]) => list.forEach((one) => out.add(one));
  for (const id of contents.formulaIds) add(formulaAllergens(run, id));
  if (filling) add(filling.formulaId ? formulaAllergens(run, filling.formulaId) : ofWords(filling.what));
  if (frosting)
    add(frosting.formulaId ? formulaAllergens(run, frosting.formulaId) : FROSTING_ALLERGENS[frosting.kind]);
  if (binder) add(binder.formulaId ? formulaAllergens(run, binder.formulaId) : BINDER_ALLERGENS[binder.kind]);
  for (const words of [...(contents.words ?? []), ...(contents.bought ? BOUGHT_CAKE : [])])
    add(ofWords(words));
  return [...out];
}

/** What a dough is made of. */
export function doughContents(
  crumb: readonly CrumbPart[],
  binder: BinderChoice,
  addIns: readonly { readonly what: string }[],
): Contents {
  const formulaIds = crumb.flatMap((part) =>
    part.from === 'bake' || part.from === 'microwave' ? [part.formulaId] : [],
  );
  return {
    formulaIds,
    binder,
    words: addIns.map(({ what }) => what),
    bought: formulaIds.length < crumb.length,
  };
}

/** The coat that pieces of a line take where their lot has none of its own. */
export interface OwnCoat {
  readonly kind: ChocolateKind;
  readonly formulaId: string | null | undefined;
}

/** Allergens of one lot: of the piece, of its coat, of its toppings. */
export function lotAllergens(
  run: RunContext,
  contents: Contents,
  own: OwnCoat | null,
  { lot }: FinishedLot,
): readonly Allergen[] {
  const kind = lot?.coat ?? own?.kind ?? null;
  const toppings = lot?.toppings ?? [];
  const coat =
    kind === null
      ? []
      : kind === own?.kind && own.formulaId
        ? formulaAllergens(run, own.formulaId)
        : CHOCOLATE_ALLERGENS[kind];
  return [
    ...new Set<Allergen>([
      ...contentAllergens(run, contents),
      ...coat,
      ...toppings.flatMap(({ what, formulaId }) =>
        formulaId ? formulaAllergens(run, formulaId) : ofWords(what),
      ),
      ...toppings.flatMap((topping): Allergen[] =>
        topping.by === 'cover' && topping.cover === 'chopped nuts' ? ['nuts'] : [],
      ),
    ]),
  ];
}

const NUTTY: readonly Allergen[] = ['nuts', 'peanut'];
export const isNutty = (allergens: readonly Allergen[]): boolean =>
  allergens.some((one) => NUTTY.includes(one));
export const nutsIn = (allergens: readonly Allergen[]): Allergen[] =>
  allergens.filter((one) => NUTTY.includes(one));
