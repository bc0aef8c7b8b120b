import { ALLERGEN_NAMES, CHOCOLATE_ALLERGENS } from '../../caution/allergens.table';
import type { Lot, Topping } from '../../model/documents';
import { COVER_G_CM2, TOPPING_SPREAD } from '../../process/coat.table';
import type { ChocolateKind } from '../../process/microwave';
import { ingredientsNamedIn, type Allergen, type Fault } from '../../quantity';
import type { LotPlan } from '../chain';
import { Unplannable } from '../lookup';
import { type Figures } from '../figures';

/** A lot as it is counted: what of the pieces made falls to it. */
export interface CountedLot {
  /** Null for the pieces that no lot claims. */
  readonly lot: Lot | null;
  readonly p: string;
  readonly name: string;
  readonly countId: string;
  readonly count: number;
}

/** Lots that promise more pieces than the line has cannot be planned. */
export function checkLots(lots: readonly Lot[], count: number): void {
  const promised = lots.reduce((sum, lot) => sum + lot.count, 0);
  if (promised > count) {
    throw new Unplannable({
      field: 'lots',
      fault: `The lots come to ${promised} pieces, and the line has ${count}.`,
      mend: `Make ${promised}, or make a lot smaller by ${promised - count}.`,
    });
  }
}

/** Shares the pieces made over the lots, in their order; what no lot claims stays as it is. */
export function addLots(ledger: Figures, lots: readonly Lot[]): CountedLot[] {
  const made = ledger.value('count.made');
  let left = made;
  const out: CountedLot[] = lots.map((lot, i) => {
    const count = Math.min(lot.count, left);
    left -= count;
    const countId = `lot.${i + 1}.count`;
    ledger.given(
      countId,
      `${lot.name}, pieces`,
      'pieces',
      count,
      'stated',
      count < lot.count
        ? `${lot.count} were asked for; the lots before it took what there is.`
        : 'As many as this lot was asked for.',
    );
    return { lot, p: `lot.${i + 1}.`, name: lot.name, countId, count };
  });
  if (left > 0 || lots.length === 0) {
    ledger.given(
      'lot.rest.count',
      lots.length === 0 ? 'Pieces finished alike' : 'In no lot',
      'pieces',
      left,
      'counted',
      lots.length === 0 ? 'No lots were made, so all are finished alike.' : 'What the lots leave.',
    );
    out.push({
      lot: null,
      p: 'lot.rest.',
      name: lots.length === 0 ? 'All' : 'The rest',
      countId: 'lot.rest.count',
      count: left,
    });
  }
  return out;
}

export interface Finished {
  /** Grams on one piece before its toppings. */
  readonly pieceId: string;
  /** cm² that a topping may cover. */
  readonly areaId: string;
  /** Of the piece before its toppings. */
  readonly allergens: () => readonly Allergen[];
  readonly coat: ChocolateKind | null;
  /** The formula of that coat, where it is made by one. */
  readonly coatFormulaId: string | null | undefined;
  readonly ofFormula: (id: string) => readonly Allergen[];
}

/** Toppings of every lot, and what one finished piece of it weighs. */
export function addToppings(ledger: Figures, lots: readonly CountedLot[], finished: Finished): LotPlan[] {
  const { pieceId } = finished;
  return lots.map(({ lot, p, name, countId, count }) => {
    const eachIds = (lot?.toppings ?? []).map((topping, k) =>
      addTopping(ledger, `${p}topping.${k + 1}`, topping, finished, countId),
    );
    const finishedId = `${p}finished`;
    ledger.total(
      finishedId,
      `${name}, one piece finished`,
      'g',
      [pieceId, ...eachIds],
      'All that a person bites into; a stick is not counted.',
    );
    return new ToppedLot(lot, name, count, countId, finishedId, finished);
  });
}

/**
 * A lot with its allergens told when somebody asks. A class: a getter written in a literal gives every object a hidden
 * layout of its own, which the engine keeps, with all that hangs on it, far longer than the plan.
 */
class ToppedLot implements LotPlan {
  readonly id: string;
  readonly #lot: Lot | null;
  readonly #finished: Finished;

  constructor(
    lot: Lot | null,
    readonly name: string,
    readonly count: number,
    readonly countId: string,
    readonly finishedId: string,
    finished: Finished,
  ) {
    this.id = lot?.id ?? 'rest';
    this.#lot = lot;
    this.#finished = finished;
  }

  get allergens(): readonly Allergen[] {
    return lotAllergens(this.#lot, this.#finished);
  }
}

function lotAllergens(
  lot: Lot | null,
  { allergens, coat, coatFormulaId, ofFormula }: Finished,
): readonly Allergen[] {
  const kind = lot?.coat ?? coat;
  const toppings = lot?.toppings ?? [];
  return [
    ...new Set<Allergen>([
      ...allergens(),
      ...(kind && kind === coat && coatFormulaId
        ? ofFormula(coatFormulaId)
        : kind
          ? CHOCOLATE_ALLERGENS[kind]
          : []),
      ...toppings.flatMap(({ what, formulaId }) =>
        formulaId
          ? ofFormula(formulaId)
          : ingredientsNamedIn(what).flatMap(({ ingredient }) => ingredient.allergens ?? []),
      ),
      ...toppings.flatMap((topping): Allergen[] =>
        topping.by === 'cover' && topping.cover === 'chopped nuts' ? ['nuts'] : [],
      ),
    ]),
  ];
}

function addTopping(
  ledger: Figures,
  id: string,
  topping: Topping,
  { areaId, pieceId }: Pick<Finished, 'areaId' | 'pieceId'>,
  countId: string,
): string {
  const eachId = `${id}.each`;
  if (topping.by === 'each') {
    ledger.given(
      eachId,
      `${topping.what} on a piece`,
      'g',
      topping.eachG,
      'stated',
      'As chosen for this lot.',
      { min: 0, max: 200 },
    );
  } else if (topping.by === 'soak') {
    // What is soaked is the cake by itself, without what is in it or on it.
    const cakeId = ['pair.mass', 'cake.mass'].find((one) => ledger.has(one)) ?? pieceId;
    ledger.given(
      `${id}.share`,
      `${topping.what}, share of the cake`,
      'share',
      topping.share,
      'stated',
      'What the pricked cake is to take up, of its own mass, as chosen.',
      { min: 0.02, max: 0.6 },
    );
    ledger.calc(
      eachId,
      `${topping.what} soaked into a piece`,
      'g',
      `{${cakeId}} × {${id}.share}`,
      (cake = 0, share = 0) => cake * share,
      'Spooned over the pricked cake, a little at a time.',
    );
  } else {
    const usual = COVER_G_CM2[topping.cover];
    ledger.start(
      `${id}.cm2`,
      `${topping.what} on a cm²`,
      'g',
      { value: usual, spread: usual * TOPPING_SPREAD, basis: 'typical' },
      'Usual for this kind, rolled or pressed on.',
      { min: 0, max: 3 },
    );
    ledger.given(
      `${id}.share`,
      `${topping.what}, share covered`,
      'share',
      topping.share,
      'stated',
      'How much of the piece it covers, as chosen.',
    );
    ledger.calc(
      eachId,
      `${topping.what} on a piece`,
      'g',
      `{${id}.cm2} × {${areaId}} × {${id}.share}`,
      (perCm2 = 0, area = 0, share = 0) => perCm2 * area * share,
      'So much on every cm² that it covers.',
    );
  }
  ledger.calc(
    `${id}.total`,
    `${topping.what} in all`,
    'g',
    `{${countId}} × {${eachId}}`,
    (count = 0, each = 0) => count * each,
    'For all pieces of the lot.',
  );
  return eachId;
}

const NUTTY: readonly Allergen[] = ['nuts', 'peanut'];

/** A lot promised free of nuts that holds them, or shares a pot with one that does. */
export function nutFaults(lots: readonly Lot[], planned: readonly LotPlan[]): Fault[] {
  const nutty = planned.filter(({ allergens }) => allergens.some((one) => NUTTY.includes(one)));
  return lots
    .filter((lot) => lot.nutFree === true)
    .flatMap((lot): Fault[] => {
      const own = nutty.find(({ id }) => id === lot.id);
      if (own) {
        const what = own.allergens.filter((one) => NUTTY.includes(one)).map((one) => ALLERGEN_NAMES[one]);
        return [
          {
            fault: `"${lot.name}" is promised free of nuts and holds ${what.join(' and ')}.`,
            mend: 'Take the nuts out of cake, binder, coat and topping, or take the promise back.',
          },
        ];
      }
      return nutty.length === 0
        ? []
        : [
            {
              fault: `"${lot.name}" is promised free of nuts; other pieces of this line have them.`,
              mend: 'Finish it first, from its own bowls and pot, and keep it apart. Clean tools alone may not be enough: ask who eats.',
            },
          ];
    });
}

/** Grams of each lot, finished. */
function addLotTotals(
  ledger: Figures,
  lots: readonly { readonly countId: string; readonly finishedId: string }[],
): string[] {
  return lots.map(({ countId, finishedId }) => {
    const id = `${finishedId}.total`;
    ledger.calc(
      id,
      'The lot, finished',
      'g',
      `{${countId}} × {${finishedId}}`,
      (count = 0, each = 0) => count * each,
      'All its pieces.',
    );
    return id;
  });
}

/** All pieces of all lots, finished. */
export function addFinishedTotal(ledger: Figures, lots: readonly LotPlan[]): void {
  ledger.total(
    'finished.total',
    'All pieces, finished',
    'g',
    addLotTotals(ledger, lots),
    'Every lot together.',
  );
}

/** Names of all toppings: what cautions and keeping go by. */
export const toppingWords = (lots: readonly Lot[]): string[] =>
  lots.flatMap((lot) => lot.toppings.map(({ what }) => what));

/** Allergens of a piece and of all its lots, each once. */
export const allAllergens = (piece: readonly Allergen[], lots: readonly LotPlan[]): readonly Allergen[] => [
  ...new Set([...piece, ...lots.flatMap((lot) => lot.allergens)]),
];
