import type { Lot, Topping } from '../../model/documents';
import { times, type Ref } from '../../figure';
import { PARAMS, scopeOf } from '../../param';
import { COVER_G_CM2, TOPPING_SPREAD } from '../../process/coat.table';
import { Unplannable } from '../context';
import type { PlanFigures } from '../figures';
import { LOT, TOPPING } from './lots.words';

/** A lot as it is counted: what of the pieces made falls to it. */
export interface CountedLot {
  /** Null for the pieces that no lot claims. */
  readonly lot: Lot | null;
  readonly prefix: string;
  readonly name: string;
  readonly count: Ref<'pieces'>;
}

/** Lots that promise more pieces than the line has cannot be planned. */
export function checkLots(lots: readonly Lot[], count: number): void {
  const promised = lots.reduce((sum, lot) => sum + lot.count, 0);
  if (promised > count) throw new Unplannable('lots', { code: 'lots too many', promised, count });
}

/** Shares the pieces made over the lots, in their order; what no lot claims stays as it is. */
export function addLots(f: PlanFigures, lots: readonly Lot[], made: Ref<'pieces'>): CountedLot[] {
  let left = made.value;
  const out: CountedLot[] = lots.map((lot, i) => {
    const given = Math.min(lot.count, left);
    left -= given;
    const prefix = `lot.${i + 1}.`;
    const count = f.given(`${prefix}count`, LOT.count(lot.name, lot.count, given), 'pieces', given, 'stated');
    return { lot, prefix, name: lot.name, count };
  });
  if (left > 0 || lots.length === 0) {
    const none = lots.length === 0;
    const count = f.given('lot.rest.count', none ? LOT.all : LOT.rest, 'pieces', left, 'counted');
    out.push({ lot: null, prefix: 'lot.rest.', name: none ? LOT.allName : LOT.restName, count });
  }
  return out;
}

/** A topping of a lot: what is on one piece, and what all of them take. */
export interface ToppingPart {
  readonly topping: Topping;
  readonly each: Ref<'g'>;
  readonly total: Ref<'g'>;
}

/** A lot with its toppings, and what one finished piece of it weighs. */
export interface FinishedLot extends CountedLot {
  readonly toppings: readonly ToppingPart[];
  readonly finished: Ref<'g'>;
}

/** What toppings go on and into. */
export interface Topped {
  /** Grams of one piece before its toppings. */
  readonly piece: Ref<'g'>;
  /** The cake by itself, without what is in it or on it: what a syrup soaks into. */
  readonly cake: Ref<'g'>;
  /** What a topping may cover. */
  readonly area: Ref<'cm²'>;
}

/** Toppings of every lot. */
export const addToppings = (f: PlanFigures, lots: readonly CountedLot[], on: Topped): FinishedLot[] =>
  lots.map((lot) => {
    const toppings = (lot.lot?.toppings ?? []).map((topping, k) =>
      addTopping(f, `${lot.prefix}topping.${k + 1}`, topping, on, lot.count),
    );
    const finished = f.total(`${lot.prefix}finished`, LOT.finished(lot.name), 'g', [
      on.piece,
      ...toppings.map(({ each }) => each),
    ]);
    return { ...lot, toppings, finished };
  });

function addTopping(
  f: PlanFigures,
  id: string,
  topping: Topping,
  on: Topped,
  count: Ref<'pieces'>,
): ToppingPart {
  const each = addToppingEach(f, id, topping, on);
  return { topping, each, total: f.sum(`${id}.total`, TOPPING.total(topping.what), 'g', times(count, each)) };
}

function addToppingEach(f: PlanFigures, id: string, topping: Topping, on: Topped): Ref<'g'> {
  const { what } = topping;
  switch (topping.by) {
    case 'each':
      return f.believe(PARAMS.toppingEach, {
        id: `${id}.each`,
        label: TOPPING.onPieceLabel(what),
        of: [],
        start: { value: topping.eachG, spread: 0, basis: 'stated' },
        sentence: TOPPING.chosen,
      });
    case 'soak': {
      const share = f.believe(PARAMS.soakShare, {
        id: `${id}.share`,
        label: TOPPING.soakLabel(what),
        of: [],
        start: { value: topping.share, spread: 0, basis: 'stated' },
        sentence: TOPPING.soakShare,
      });
      return f.sum(`${id}.each`, TOPPING.soaked(what), 'g', times(on.cake, share));
    }
    case 'cover': {
      const usual = COVER_G_CM2[topping.cover];
      const onCm2 = f.believe(PARAMS.coverMass, {
        id: `${id}.cm2`,
        label: TOPPING.coverLabel(what),
        of: [scopeOf('cover', topping.cover)],
        start: { value: usual, spread: usual * TOPPING_SPREAD, basis: 'typical' },
        sentence: TOPPING.cover,
      });
      const share = f.given(`${id}.share`, TOPPING.coverShare(what), 'share', topping.share, 'stated');
      return f.sum(`${id}.each`, TOPPING.covered(what), 'g', times(times(onCm2, on.area), share));
    }
  }
}

/** All pieces of all lots, finished. */
export const addFinishedTotal = (f: PlanFigures, lots: readonly FinishedLot[]): Ref<'g'> =>
  f.total(
    'finished.total',
    LOT.total,
    'g',
    lots.map(({ prefix, count, finished }) =>
      f.sum(`${prefix}finished.total`, LOT.lotTotal, 'g', times(count, finished)),
    ),
  );
