import type { BinderChoice, CrumbPart, FillingChoice, FrostingChoice } from '../model/documents';
import type { ChocolateKind } from '../model/kinds';
import type { Holds } from '../quantity';
import {
  HOLDS_NOTHING,
  holdsOf,
  holdsOfColour,
  holdsOfKey,
  holdsOfLine,
  togetherHold,
} from '../quantity/allergens';
import type { RunContext } from './context';
import type { Material } from './emitted';
import {
  BINDER_IS,
  CHOCOLATE_IS,
  CRUMB_IS,
  FONDANT_IS,
  FROSTING_IS,
  THINNER_IS,
} from './kindIngredients.table';
import type { Source } from './promise';
import type { FinishedLot } from './stations/lots';

/** What a formula holds, with all that it is made of. */
export const formulaHolds = (run: RunContext, id: string): Holds =>
  togetherHold([...run.madeOf(id)].map((one) => run.formula(one).read.holds));

/** Every line of a formula and of all that it is made of, by what it is called there. */
const formulaSources = (run: RunContext, id: string): Source[] =>
  [...run.madeOf(id)].flatMap((one) => {
    const { doc, read } = run.formula(one);
    return read.lines.flatMap((line) => {
      const holds = holdsOfLine(line);
      const name = line.called || line.name;
      return holds.allergens.length > 0 ? [{ name: `${name} in "${doc.name}"`, holds }] : [];
    });
  });

/** What a piece holds before its toppings: formulas, bought things by their kind, and what is only named. */
export interface Contents {
  readonly formulaIds: readonly string[];
  readonly filling?: FillingChoice | null | undefined;
  readonly frosting?: FrostingChoice | null | undefined;
  readonly binder?: BinderChoice;
  readonly words?: readonly string[];
  /** Cake or biscuit from elsewhere. */
  readonly bought?: readonly (keyof typeof CRUMB_IS)[];
  readonly fondant?: boolean | undefined;
}

const ofKeys = (keys: readonly string[]): Holds => togetherHold(keys.map(holdsOfKey));

/** What a bought thing is called on a list of packets to read, and what it holds. */
const boughtCrumb = (from: keyof typeof CRUMB_IS): Holds => {
  const { allergens } = holdsOfKey(CRUMB_IS[from]);
  const name = { leftovers: 'leftover cake', trimmings: 'cake trimmings', biscuit: 'biscuit' }[from];
  return { allergens, packets: [{ name, known: true }] };
};

/** A part of a piece: made by a formula, or bought under a name. */
type Component =
  { readonly formulaId: string } | { readonly formulaId: null; readonly name: string; readonly holds: Holds };

const bought = (name: string, holds: Holds): Component => ({ formulaId: null, name, holds });
const component = (formulaId: string | null | undefined, other: () => Component): Component =>
  formulaId ? { formulaId } : other();

function componentsOf(contents: Contents): Component[] {
  const { filling, frosting, binder } = contents;
  return [
    ...contents.formulaIds.map((formulaId) => ({ formulaId })),
    ...(filling ? [component(filling.formulaId, () => bought(filling.what, holdsOf(filling.what)))] : []),
    ...(frosting
      ? [component(frosting.formulaId, () => bought(frosting.kind, ofKeys(FROSTING_IS[frosting.kind])))]
      : []),
    ...(binder
      ? [component(binder.formulaId, () => bought(binder.kind, ofKeys(BINDER_IS[binder.kind])))]
      : []),
    ...(contents.words ?? []).map((what) => bought(what, holdsOf(what))),
    ...(contents.bought ?? []).map((from) => bought(from, boughtCrumb(from))),
    ...(contents.fondant === true ? [bought('fondant', holdsOfKey(FONDANT_IS))] : []),
  ];
}

const holdsOfAll = (run: RunContext, components: readonly Component[]): Holds =>
  togetherHold(
    components.map((one) => (one.formulaId === null ? one.holds : formulaHolds(run, one.formulaId))),
  );

export const contentHolds = (run: RunContext, contents: Contents): Holds =>
  holdsOfAll(run, componentsOf(contents));

/** The same one by one, for whoever has to say which of them brings something. */
export const sourcesOf = (
  run: RunContext,
  contents: Contents,
  own: OwnCoat | null,
  lots: readonly FinishedLot[],
): Source[] =>
  [...componentsOf(contents), ...lots.flatMap((lot) => finishingOf(contents, own, lot))].flatMap((one) =>
    one.formulaId === null ? [one] : formulaSources(run, one.formulaId),
  );

/** What a dough is made of. */
export function doughContents(
  crumb: readonly CrumbPart[],
  binder: BinderChoice,
  addIns: readonly { readonly what: string }[],
): Contents {
  return {
    formulaIds: crumb.flatMap((part) =>
      part.from === 'bake' || part.from === 'microwave' ? [part.formulaId] : [],
    ),
    binder,
    words: addIns.map(({ what }) => what),
    bought: crumb.flatMap(({ from }) => (from === 'bake' || from === 'microwave' ? [] : [from])),
  };
}

/** The coat that pieces of a line take where their lot has none of its own. */
export interface OwnCoat {
  readonly kind: ChocolateKind;
  readonly formulaId: string | null | undefined;
}

/** What goes on to the pieces of a lot: its coat, its colours, its toppings. */
function finishingOf(contents: Contents, own: OwnCoat | null, { lot }: FinishedLot): Component[] {
  const kind = lot?.coat ?? own?.kind ?? null;
  const colours = [lot?.colour, ...(lot?.stripes ?? [])].flatMap((one) => (one ? [one.name] : []));
  return [
    ...(kind === null
      ? []
      : [
          component(kind === own?.kind ? own.formulaId : null, () =>
            bought(`${kind} coat`, holdsOfKey(CHOCOLATE_IS[kind])),
          ),
        ]),
    ...(contents.frosting ? colours.map((name) => bought(name, holdsOfColour(name))) : []),
    ...(lot?.toppings ?? []).flatMap((topping): Component[] => [
      component(topping.formulaId, () => bought(topping.what, holdsOf(topping.what))),
      // Whatever it is called, it goes on as chopped nuts do.
      ...(topping.by === 'cover' && topping.cover === 'chopped nuts'
        ? [bought(topping.what, holdsOfKey('chopped nuts'))]
        : []),
    ]),
  ];
}

/** What one lot holds. */
export const lotHolds = (run: RunContext, contents: Contents, own: OwnCoat | null, lot: FinishedLot): Holds =>
  holdsOfAll(run, [...componentsOf(contents), ...finishingOf(contents, own, lot)]);

/** What a thing to set out holds: the same as the piece that it goes into says of it. */
export function materialHolds(material: Material['what']): Holds {
  switch (material.is) {
    case 'sticks':
    case 'cases':
    case 'boards':
      return HOLDS_NOTHING;
    case 'biscuit':
    case 'trimmings':
    case 'leftovers':
      return boughtCrumb(material.is);
    case 'binder':
      return ofKeys(BINDER_IS[material.kind]);
    case 'frosting':
      return ofKeys(FROSTING_IS[material.kind]);
    case 'fondant':
      return holdsOfKey(FONDANT_IS);
    case 'chocolate':
      return holdsOfKey(CHOCOLATE_IS[material.kind]);
    case 'thinner':
      return holdsOfKey(THINNER_IS);
    case 'gel':
      return holdsOfColour(material.colour);
    case 'add-in':
    case 'base layer':
    case 'filling':
    case 'topping':
      return holdsOf(material.what);
  }
}
