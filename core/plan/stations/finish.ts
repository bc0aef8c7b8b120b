import type { CoatChoice, FillingChoice, FrostingChoice, Lot } from '../../model/documents';
import { PI, cm2, minus, over, square, times, type Expr, type Ref } from '../../figure';
import type { Pot } from '../emitted';
import type { RunContext } from '../context';
import type { PlanFigures } from '../figures';
import { addCoat, addPots, type CoatPart, type CoatedSolid } from './coat';
import type { Supplied } from './count';
import { addFilling, addFillingTotal, type Filled, type FillingPart } from './fill';
import {
  addFondantEach,
  addFondantTotal,
  addFrosting,
  addFrostingTotal,
  type FrostingPart,
  type FrostingTotal,
} from './frost';
import { LOT, TOPPING } from './lots.words';
import { addLots, addToppings, type FinishedLot } from './lots';

/** What goes into, on and round a piece, as its line says. */
export interface FinishChoice {
  readonly filling: FillingChoice | null | undefined;
  readonly frosting: FrostingChoice | null | undefined;
  readonly fondant: boolean;
  readonly coat: CoatChoice | null | undefined;
  readonly lots: readonly Lot[];
  readonly count: number;
}

/** The cake that is finished. */
export interface FinishedCake extends Filled {
  /** Its surface as coats and toppings see it, reckoned once what goes inside is known. */
  readonly solid: () => CoatedSolid;
  /** What it stands on, which fondant does not cover. */
  readonly foot: () => Expr<'cm²'>;
  readonly box: boolean;
  readonly stick: boolean;
}

/** What one piece takes beyond its cake, before it is known how many are made. */
export interface FinishEach {
  readonly filling: FillingPart | null;
  readonly frosting: FrostingPart | null;
  readonly fondant: Ref<'g'> | null;
  readonly coat: CoatPart | null;
  readonly solid: CoatedSolid;
  /** What a topping may cover of it. */
  readonly takes: Ref<'cm²'>;
  /** Figures that add up to one piece. */
  readonly adds: readonly Ref<'g'>[];
  readonly supplies: readonly Supplied[];
}

export function addFinishEach(
  f: PlanFigures,
  run: RunContext,
  choice: FinishChoice,
  cake: FinishedCake,
): FinishEach {
  const { lots, count } = choice;
  const filling = choice.filling ? addFilling(f, choice.filling, cake) : null;
  const rest = lots.reduce((sum, lot) => sum + lot.count, 0) < count ? 1 : 0;
  const frosting = choice.frosting ? addFrosting(f, choice.frosting, cake.top, lots.length + rest) : null;
  const solid = cake.solid();
  const fondant = choice.fondant ? addFondantEach(f, solid.area, cake.foot(), cake.box) : null;
  const coat = choice.coat ? addCoat(f, run, choice.coat, solid, cake.stick, lots) : null;
  return {
    filling,
    frosting,
    fondant,
    coat,
    solid,
    takes: addTakes(f, choice, cake, solid),
    adds: [
      filling?.cake ?? cake.cake,
      ...(filling ? [filling.each] : []),
      ...(frosting ? [frosting.each] : []),
      ...(fondant ? [fondant] : []),
      ...(coat ? [coat.taken] : []),
    ],
    supplies: [...(filling?.supplies ?? []), ...(frosting?.supplies ?? []), ...(coat?.supplies ?? [])],
  };
}

/** The area that takes a topping: a frosted top, all of what is coated, five faces of what stands on a rack. */
function addTakes(
  f: PlanFigures,
  { frosting, coat, lots }: FinishChoice,
  cake: FinishedCake,
  { area }: CoatedSolid,
): Ref<'cm²'> {
  const covered = lots.some(({ toppings }) => toppings.some(({ by }) => by === 'cover'));
  if (!covered) return area;
  if (cake.box && !frosting) return f.sum('topping.area', TOPPING.faces, 'cm²', minus(area, cake.foot()));
  if (coat && !frosting) return area;
  return f.sum('topping.area', TOPPING.top, 'cm²', cm2(times(over(PI, 4), square(cake.top))));
}

/** Fillings, frostings, coats and toppings of all pieces. */
export interface FinishAll {
  readonly piece: Ref<'g'>;
  readonly fillingNeeded: Ref<'g'> | null;
  readonly frostingTotal: FrostingTotal | null;
  readonly fondantNeeded: Ref<'g'> | null;
  readonly pots: readonly Pot[];
  readonly lots: readonly FinishedLot[];
}

export function addFinishAll(
  f: PlanFigures,
  each: FinishEach,
  lotsAsked: readonly Lot[],
  made: Ref<'pieces'>,
  /** The cake by itself: what a syrup soaks into. */
  cake: Ref<'g'>,
  piece: Ref<'g'> | null = null,
): FinishAll {
  const lots = addLots(f, lotsAsked, made);
  const { filling, frosting, coat, fondant, takes } = each;
  const fillingNeeded = filling ? addFillingTotal(f, filling, made) : null;
  const frostingTotal = frosting ? addFrostingTotal(f, frosting, lots) : null;
  const pots = coat ? addPots(f, lots, coat, made) : [];
  const fondantNeeded = fondant ? addFondantTotal(f, made, fondant) : null;
  const whole = piece ?? addPiece(f, each);
  const finished = addToppings(f, lots, { piece: whole, cake, area: takes });
  return { piece: whole, fillingNeeded, frostingTotal, fondantNeeded, pots, lots: finished };
}

/** One piece before its toppings. */
export const addPiece = (f: PlanFigures, { adds }: Pick<FinishEach, 'adds'>): Ref<'g'> =>
  f.total('piece.mass', LOT.piece(false), 'g', adds);
