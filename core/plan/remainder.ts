import type { OfferChange } from '../line';
import type { KitchenDoc } from '../model/documents';
import type { Ref } from '../figure';
import { wellMlOf } from '../piece';
import { FINISHES, METHODS } from '../process/batter.table';
import { portionOffers } from '../process/portion';
import type { KnownFormula } from './context';
import type { Limit } from './emitted';
import { finishOf } from './finish';
import { OFFERS } from './remainder.words';
import type { CountPart } from './stations/count';
import type { CutPart, CutTotals } from './stations/cut';
import type { DoughPart } from './stations/bind';
import type { LoadsPart } from './stations/loads';
import type { WellPart } from './stations/well';

/** What can be done about what is left, or about what is missing. A change that can be taken with one tap, or none. */
export interface Offer {
  readonly id: string;
  /** Title and detail with their measures in braces, `{54 g}`, for `inStyle` to put in the reader's units. */
  readonly title: string;
  readonly detail: string;
  readonly change: OfferChange | null;
}

export interface Remainder {
  /** What is left over once all pieces are made, g. */
  readonly leftG: number;
  /** Pieces fewer than wanted. */
  readonly shortPieces: number;
  /** What is missing for those, g; 0 where that is not what is short. */
  readonly shortG: number;
  readonly offers: readonly Offer[];
}

const offer = (
  id: string,
  words: { readonly title: string; readonly detail: string },
  change: OfferChange | null = null,
): Offer => ({ id, ...words, change });

/** Less than this share of a portion is not worth an offer. */
const WORTH_SHARE = 0.03;
/** A last well with less than this share of a portion comes out as a thin disc; in a mug it is worth a cake. */
const LAST_WELL_SHARE = 0.45;
const LAST_MUG_SHARE = 0.3;
/** Batter worth a mug in the microwave, g, and the most that a mug of 300 ml takes half full. */
const MUG_G = { least: 45, most: 150 } as const;
/** Trimmings worth a batch of pops, g. */
const POPS_G = 40;

/** What a remainder of batter in wells is measured by. */
export interface WellRest {
  readonly kitchen: KitchenDoc;
  readonly formula: KnownFormula;
  readonly well: WellPart;
  readonly loads: LoadsPart;
  readonly left: Ref<'g'>;
  readonly bowlLoss: Ref<'share'>;
  /** Wells that one piece takes. */
  readonly wellsEach: 1 | 2;
  readonly wanted: number;
}

const isShort = (limits: readonly Limit[], supply: Limit['supply']) =>
  limits.some((limit) => limit.supply === supply && limit.short);

/** Batter over or short, and ways to deal with it. */
export function wellRemainder(rest: WellRest): Remainder {
  const { well, loads, wellsEach } = rest;
  const { made, wanted, limits } = loads.count;
  const portion = well.portion.value;
  const leftG = rest.left.value;
  const shortPieces = wanted.value - made.value;
  const shortG = isShort(limits, 'batter')
    ? Math.max(wanted.value * portion * wellsEach - loads.ready.value, 0)
    : 0;
  const offers =
    shortPieces > 0
      ? wellsShort(rest, shortPieces, shortG)
      : leftG > WORTH_SHARE * portion
        ? wellsOver(rest, leftG)
        : [];
  return { leftG, shortPieces, shortG, offers };
}

/** The grams a well gets when the bowl is shared out evenly, to the scale's step below. */
function sharedOut({ kitchen, well, loads }: WellRest, pieces: number) {
  const { scaleStepG: stepG } = kitchen;
  const raw = loads.ready.value / pieces;
  const massG = Math.max(Number((Math.floor(raw / stepG + 1e-9) * stepG).toFixed(2)), stepG);
  const finish = finishOf((well.finish.value * massG) / well.portion.value);
  return { massG, finish: finish.name, warned: finish.warning !== null };
}

function wellsShort(rest: WellRest, shortPieces: number, shortG: number): Offer[] {
  const made = rest.loads.count.made.value;
  const offers: Offer[] = [];
  if (shortG > 0) {
    const { massG, finish, warned } = sharedOut(rest, rest.wanted * rest.wellsEach);
    offers.push(
      offer('lighter', OFFERS.fillLighter(rest.wanted, massG, finish, warned), {
        fill: { by: 'mass', massG },
      }),
      offer('mix-more', OFFERS.mixMore(shortG / (1 - rest.bowlLoss.value), shortPieces)),
    );
  }
  if (made > 0) offers.push(offer('fewer', OFFERS.fewer(made, shortPieces, true), { count: made }));
  return offers;
}

function wellsOver(rest: WellRest, leftG: number): Offer[] {
  const { well, loads, wellsEach } = rest;
  const portion = well.portion.value * wellsEach;
  const made = loads.count.made.value;
  const extra = Math.floor(leftG / portion + 1e-9);
  const over = leftG - extra * portion;
  const offers: Offer[] = [];
  if (extra > 0) {
    const rest_ = over > WORTH_SHARE * portion ? over : null;
    offers.push(offer('more', OFFERS.moreFromBowl(extra, made + extra, rest_), { count: made + extra }));
  } else if (leftG > LAST_WELL_SHARE * portion) {
    offers.push(offer('one-more', OFFERS.oneMoreWell(leftG, leftG / portion)));
  }
  const shared = sharedOut(rest, made * wellsEach);
  if (shared.massG > well.portion.value) {
    offers.push(
      offer('spread', OFFERS.spread(shared.massG, well.portion.value, shared.finish, shared.warned), {
        fill: { by: 'mass', massG: shared.massG },
      }),
    );
  }
  const small = smallerTin(rest, leftG);
  if (small) offers.push(small);
  if (leftG >= MUG_G.least) offers.push(offer('mug', OFFERS.intoMug(leftG, MUG_G.most)));
  return offers;
}

/** A tin is smaller where its wells hold less than this share. */
const SMALLER_SHARE = 0.6;

function smallerTin({ kitchen, formula, well }: WellRest, leftG: number): Offer | null {
  for (const other of kitchen.tins) {
    const volume = wellMlOf(other);
    if (other.id === well.tin.id || volume > SMALLER_SHARE * well.volume.value) continue;
    const density = METHODS[formula.doc.method].batterDensity.value;
    const each = (FINISHES.gentle.share / well.rise.value) * volume * density;
    const count = Math.min(Math.floor(leftG / each), other.wells);
    if (count >= 1) return offer('smaller-tin', OFFERS.smallerTin(other.name, count, each));
  }
  return null;
}

/** Batter in mugs over or short. */
export function mugRemainder(
  { made, wanted }: CountPart,
  portion: Ref<'g'>,
  ready: Ref<'g'>,
  left: Ref<'g'>,
): Remainder {
  const shortPieces = wanted.value - made.value;
  const leftG = left.value;
  if (shortPieces > 0) {
    const shortG = Math.max(wanted.value * portion.value - ready.value, 0);
    const fewer = offer('fewer', OFFERS.fewer(made.value, shortPieces, false), { count: made.value });
    return { leftG, shortPieces, shortG, offers: made.value > 0 ? [fewer] : [] };
  }
  const worth = leftG > LAST_MUG_SHARE * portion.value;
  return {
    leftG,
    shortPieces,
    shortG: 0,
    offers: worth ? [offer('one-more', OFFERS.oneMoreMug(leftG))] : [],
  };
}

/** Dough over or short, and what to do about it. */
export function doughRemainder(
  { made: makes, wanted: wants, limits }: CountPart,
  dough: DoughPart,
  portion: Ref<'g'>,
  stepG: number,
): Remainder {
  const [made, wanted, each, ready] = [makes.value, wants.value, portion.value, dough.ready.value];
  const leftG = ready - made * each;
  const shortPieces = wanted - made;
  const doughShort = isShort(limits, 'dough');
  const shortG = doughShort ? Math.max(wanted * each - ready, 0) : 0;
  const offers: Offer[] = [];
  if (shortPieces > 0) {
    if (doughShort) {
      const lighter = Math.floor(ready / wanted / stepG + 1e-9) * stepG;
      if (lighter > 0)
        offers.push(offer('lighter', OFFERS.lighterPortions(wanted, lighter, each), { portionG: lighter }));
      offers.push(offer('more-crumb', OFFERS.moreCrumb(shortG, shortPieces)));
    }
    if (made > 0) offers.push(offer('fewer', OFFERS.fewer(made, shortPieces, true), { count: made }));
    // Cavities or sticks are what is short: the dough is there, and good for more.
    if (leftG >= each) offers.push(offer('keep', OFFERS.keepDough(leftG)));
    return { leftG, shortPieces, shortG, offers };
  }
  if (leftG < WORTH_SHARE * each) return { leftG, shortPieces, shortG, offers };
  const most = Math.min(...limits.map(({ pieces }) => pieces));
  const extra = Math.min(Math.floor(leftG / each + 1e-9), most - made);
  if (extra > 0)
    offers.push(offer('more', OFFERS.moreFromDough(extra, made + extra), { count: made + extra }));
  for (const { count, eachG, leftG: over } of portionOffers(ready, each, stepG).slice(0, 3)) {
    if (count < made || count > most || eachG === each) continue;
    offers.push(offer(`even-${count}`, OFFERS.even(count, eachG, over), { count, portionG: eachG }));
  }
  offers.push(offer('keep', OFFERS.keepDough(leftG)));
  return { leftG, shortPieces, shortG, offers };
}

/** Pieces of a sheet over or short, and trimmings. */
export function cutRemainder(
  { made, wanted }: CountPart,
  { plan }: CutPart,
  allows: Ref<'pieces'>,
  { trimmings }: CutTotals,
): Remainder {
  const shortPieces = wanted.value - made.value;
  const spare = allows.value - made.value;
  const offers: Offer[] = [];
  if (shortPieces > 0 && made.value > 0)
    offers.push(offer('fewer', OFFERS.fewer(made.value, shortPieces, false), { count: made.value }));
  else if (shortPieces <= 0 && spare > 0 && spare < plan.count)
    offers.push(offer('more', OFFERS.moreFromSheets(spare), { count: made.value + spare }));
  if (trimmings.value > POPS_G) offers.push(offer('pops', OFFERS.trimmingsIntoPops(trimmings.value)));
  return { leftG: trimmings.value, shortPieces, shortG: 0, offers };
}
