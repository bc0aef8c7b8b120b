import type { BinderChoice, CupcakeLine, Lot } from '../model/documents';
import type { Liner } from '../model/lines';
import type { Ref } from '../figure';
import type { Material, Need, Pot, Preparation, Batch } from './emitted';
import type { DoughPart, Table } from './stations/bind';
import type { CrumbBake } from './stations/crumb';
import type { FinishAll, FinishEach } from './stations/finish';
import type { FinishedLot } from './stations/lots';

/** What is said to be there of something; null or left out where nobody said. */
type OnHand = number | null | undefined;

/** What there is some of is set out; what comes to nothing is left out. */
const there = (materials: readonly Material[]): Material[] =>
  materials.filter(({ amount }) => amount.value > 0);

/** Sticks: round ones for what is dipped and cut, flat ones for what is moulded round them. */
export const stickMaterials = (made: Ref<'pieces'>, flat: boolean, onHand: OnHand): Material[] =>
  there([{ what: { is: 'sticks', flat }, use: 'set out', amount: made, onHand }]);

/** A board for each piece, where they stand on boards. */
export const boardMaterials = (made: Ref<'pieces'>, boards: boolean | undefined): Material[] =>
  boards ? there([{ what: { is: 'boards' }, use: 'set out', amount: made }]) : [];

export const caseMaterials = (
  liner: Liner | undefined,
  made: Ref<'pieces'>,
  tin: string,
  onHand: OnHand,
): Material[] =>
  liner === undefined || liner === 'none'
    ? []
    : there([{ what: { is: 'cases', liner, tin }, use: 'set out', amount: made, onHand }]);

/** Crumb from elsewhere, what is mixed in, and a binder that no formula makes. */
export function doughMaterials(
  binder: BinderChoice,
  addIns: readonly { readonly what: string }[],
  table: Table,
  dough: DoughPart,
): Material[] {
  const crumb = table.sources.flatMap(({ part, mass, cake }): Material[] => {
    if (part.from === 'biscuit' && mass) return [{ what: { is: 'biscuit' }, use: 'crumb', amount: mass }];
    if (part.from === 'trimmings' && mass) return [{ what: { is: 'trimmings' }, use: 'crumb', amount: mass }];
    return cake ? [{ what: { is: 'leftovers' }, use: 'crumb', amount: cake }] : [];
  });
  const added = table.addIns.map((amount, i): Material => ({
    what: { is: 'add-in', what: addIns[i]?.what ?? '' },
    use: 'crumb',
    amount,
  }));
  const bound: Material[] =
    binder.formulaId === null
      ? [
          {
            what: { is: 'binder', kind: binder.kind },
            use: 'crumb',
            amount: dough.added,
            onHand: binder.onHandG,
          },
        ]
      : [];
  return there([...crumb, ...added, ...bound]);
}

/** What goes into and on to a piece beyond what formulas make. */
export function finishMaterials(each: FinishEach, all: FinishAll): Material[] {
  const { filling, frosting } = each;
  const out: Material[] = [];
  if (filling?.choice.formulaId === null && all.fillingNeeded)
    out.push({
      what: { is: 'filling', what: filling.choice.what },
      use: 'fill',
      amount: all.fillingNeeded,
      onHand: filling.choice.onHandG,
    });
  if (frosting?.choice.formulaId === null && all.frostingTotal?.needed)
    out.push({
      what: { is: 'frosting', kind: frosting.choice.kind },
      use: 'fill',
      amount: all.frostingTotal.needed,
      onHand: frosting.choice.onHandG,
    });
  if (all.fondantNeeded) out.push({ what: { is: 'fondant' }, use: 'finish', amount: all.fondantNeeded });
  for (const { lot, gels } of all.frostingTotal?.coloured ?? [])
    for (const { colour, mass } of gels)
      out.push({ what: { is: 'gel', colour, lot: lot.name }, use: 'finish', amount: mass });
  const coatOnHand = each.coat?.choice.onHandG;
  return there([...out, ...potMaterials(all.pots, coatOnHand), ...toppingMaterials(all.lots)]);
}

/** What is melted as bought, and the fat that thins it. What is there is the line's own coat: its first pot. */
export const potMaterials = (pots: readonly Pot[], onHand: OnHand): Material[] =>
  there(
    pots.flatMap(({ kind, formulaId, chocolate, thinner }, i): Material[] => [
      ...(formulaId
        ? []
        : [
            {
              what: { is: 'chocolate', kind },
              use: 'melt',
              amount: chocolate,
              onHand: i === 0 ? onHand : null,
            } as const,
          ]),
      ...(thinner ? [{ what: { is: 'thinner', kind }, use: 'melt', amount: thinner } as const] : []),
    ]),
  );

export const toppingMaterials = (lots: readonly FinishedLot[]): Material[] =>
  there(
    lots.flatMap(({ name, toppings }) =>
      toppings.flatMap(({ topping, total }): Material[] =>
        topping.formulaId
          ? []
          : [{ what: { is: 'topping', what: topping.what, lot: name }, use: 'finish', amount: total }],
      ),
    ),
  );

const need = (formulaId: string | null | undefined, makes: Need['makes'], mass: Ref<'g'> | null): Need[] =>
  formulaId && mass ? [{ formulaId, makes, mass }] : [];

/** What the run makes once for all its lines: fillings, frostings, the line's own coat, toppings. */
export function finishNeeds(each: FinishEach, all: FinishAll): Need[] {
  return [
    ...need(each.filling?.choice.formulaId, 'filling', all.fillingNeeded),
    ...need(each.frosting?.choice.formulaId, 'frosting', all.frostingTotal?.needed ?? null),
    ...potNeeds(all.pots),
    ...toppingNeeds(all.lots),
  ];
}

export const potNeeds = (pots: readonly Pot[]): Need[] =>
  pots.flatMap(({ formulaId, melt }) => need(formulaId, 'coat', melt));

export const toppingNeeds = (lots: readonly FinishedLot[]): Need[] =>
  lots.flatMap(({ toppings }) =>
    toppings.flatMap(({ topping, total }) => need(topping.formulaId, 'topping', total)),
  );

export const binderNeeds = ({ formulaId }: BinderChoice, { added }: DoughPart): Need[] =>
  need(formulaId, 'binder', added);

/** What lies in the freezer and goes into a bowl. */
export const thawPreparations = (batches: readonly Batch[]): Preparation[] =>
  batches.flatMap(({ ingredients }) =>
    ingredients.flatMap(({ name, line }): Preparation[] => (line.frozen ? [{ do: 'thaw', what: name }] : [])),
  );

export const crumbPreparations = (bakes: readonly CrumbBake[]): Preparation[] =>
  bakes.flatMap(({ sheet, prefix }): Preparation[] =>
    // One sheet or several, said of the first bake: the paper is the same.
    sheet && prefix === '' ? [{ do: 'line sheets', sheets: sheet.count.value }] : [],
  );

/** Names of toppings: what cautions and keeping go by. */
export const toppingWords = (lots: readonly Lot[]): string[] =>
  lots.flatMap((lot) => lot.toppings.map(({ what }) => what));

/** The same of those that no formula makes. */
export const boughtToppings = (lots: readonly Lot[]): string[] =>
  lots.flatMap((lot) => lot.toppings.flatMap(({ what, formulaId }) => (formulaId ? [] : [what])));

/** The name of a filling that no formula makes. */
export const boughtFilling = (filling: CupcakeLine['filling']): string[] =>
  filling && filling.formulaId === null ? [filling.what] : [];

/** Cream whips in what is cold. */
export const coldBowl = (frosting: CupcakeLine['frosting']): Preparation[] =>
  frosting?.kind === 'whipped cream' ? [{ do: 'cold bowl for cream' }] : [];
