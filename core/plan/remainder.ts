import type { Fill } from '../model/documents';
import { FINISHES, METHODS } from '../process/batter.table';
import type { Limit } from './chain';
import { measuredMl, type WellsContext } from './families/wellsContext';
import { finishOf } from './finish';
import { type Figures } from './figures';

/** What can be done about what is left, or about what is missing. A change that can be taken with one tap, or none. */
export interface Offer {
  readonly id: string;
  readonly title: string;
  /** A sentence with its measures in braces, `{54 g}`, for `inStyle` to put in the reader's units. */
  readonly detail: string;
  readonly change: { readonly count?: number; readonly fill?: Fill; readonly portionG?: number } | null;
}

export interface Remainder {
  /** Batter left over after all wells are filled, g. */
  readonly leftG: number;
  /** Pieces fewer than wanted. */
  readonly shortPieces: number;
  /** Batter missing for those, g; 0 where batter is not what is short. */
  readonly shortG: number;
  readonly offers: readonly Offer[];
}

/** Less than this share of a portion is not worth an offer. */
const WORTH_SHARE = 0.03;
/** A last well with less than this share of a portion comes out as a thin disc. */
const LAST_WELL_SHARE = 0.45;
/** Batter worth a mug in the microwave, g, and the most that a mug of 300 ml takes half full. */
const MUG_G = { least: 45, most: 150 } as const;

const whole = (value: number) => String(Math.round(value));

/** Measures what is over or short and offers ways to deal with it. */
export function remainderOf(ledger: Figures, context: WellsContext, limits: readonly Limit[]): Remainder {
  const made = ledger.value('count.made');
  const wanted = ledger.value('count.wanted');
  const leftG = ledger.value('batter.left');
  const portion = ledger.value('portion.mass');
  const shortPieces = wanted - made;
  const batterShort = limits.some((limit) => limit.supply === 'batter' && limit.short);
  const shortG = batterShort
    ? Math.max(wanted * portion * context.wellsEach - ledger.value('batter.ready'), 0)
    : 0;
  const offers =
    shortPieces > 0
      ? offersWhenShort(ledger, context, shortPieces, shortG)
      : leftG > WORTH_SHARE * portion
        ? offersWhenOver(ledger, context, leftG)
        : [];
  return { leftG, shortPieces, shortG, offers };
}

/** The grams a well gets when the bowl is shared out evenly, to the scale's step below. */
function sharedOut(
  ledger: Figures,
  pieces: number,
  stepG: number,
): { massG: number; finish: string; sunk: boolean } {
  const raw = ledger.value('batter.ready') / pieces;
  const massG = Math.max(Number((Math.floor(raw / stepG + 1e-9) * stepG).toFixed(2)), stepG);
  const finish = finishOf((ledger.value('finish.share') * massG) / ledger.value('portion.mass'));
  return { massG, finish: finish.name, sunk: finish.warning !== null };
}

function offersWhenShort(
  ledger: Figures,
  context: WellsContext,
  shortPieces: number,
  shortG: number,
): Offer[] {
  const made = ledger.value('count.made');
  const offers: Offer[] = [];
  if (shortG > 0) {
    const { massG, finish, sunk } = sharedOut(
      ledger,
      context.line.count * context.wellsEach,
      context.run.kitchen.scaleStepG,
    );
    offers.push({
      id: 'lighter',
      title: `Fill all ${context.line.count} lighter`,
      detail: `${grams(massG)} a well: they come out ${finish}${sunk ? ', too low to look right' : ''}.`,
      change: { fill: { by: 'mass', massG } },
    });
    offers.push({
      id: 'mix-more',
      title: 'Mix the missing batter',
      detail: `${grams(shortG / (1 - ledger.value('bowl.lossShare')))} more makes the other ${shortPieces}.`,
      change: null,
    });
  }
  if (made > 0) {
    offers.push({
      id: 'fewer',
      title: `Make ${made}`,
      detail: `${shortPieces} fewer than asked for; nothing else changes.`,
      change: { count: made },
    });
  }
  return offers;
}

function offersWhenOver(ledger: Figures, context: WellsContext, leftG: number): Offer[] {
  const portion = ledger.value('portion.mass') * context.wellsEach;
  const made = ledger.value('count.made');
  const extra = Math.floor(leftG / portion + 1e-9);
  const rest = leftG - extra * portion;
  const offers: Offer[] = [];
  if (extra > 0) {
    offers.push({
      id: 'more',
      title: `Make ${extra} more`,
      detail: `${made + extra} in all from the same bowl${rest > WORTH_SHARE * portion ? `, ${grams(rest)} over` : ''}.`,
      change: { count: made + extra },
    });
  } else if (leftG > LAST_WELL_SHARE * portion) {
    offers.push({
      id: 'one-more',
      title: 'One more, smaller',
      detail: `${grams(leftG)} fills one well to ${whole((100 * leftG) / portion)} % of the others. Take it out a little sooner.`,
      change: null,
    });
  }
  const shared = sharedOut(ledger, made * context.wellsEach, context.run.kitchen.scaleStepG);
  const well = ledger.value('portion.mass');
  if (shared.massG > well) {
    offers.push({
      id: 'spread',
      title: 'Spread it over all',
      detail: `${grams(shared.massG)} a well in place of ${grams(well)}: ${shared.finish}${shared.sunk ? ', and may run over' : ''}.`,
      change: { fill: { by: 'mass', massG: shared.massG } },
    });
  }
  const small = smallerTin(ledger, context, leftG);
  if (small) offers.push(small);
  if (leftG >= MUG_G.least) {
    offers.push({
      id: 'mug',
      title: leftG > MUG_G.most ? 'Some into mugs' : 'Into a mug',
      detail: `${grams(Math.min(leftG, MUG_G.most))} in a mug of 300 ml or more, no more than half full, for the microwave.`,
      change: null,
    });
  }
  return offers;
}

function smallerTin(ledger: Figures, { run, tin, formula }: WellsContext, leftG: number): Offer | null {
  const here = ledger.value('well.volume');
  const rise = ledger.value('rise');
  for (const other of run.kitchen.tins) {
    const volume = measuredMl(other);
    if (other.id === tin.id || volume > 0.6 * here) continue;
    const each = (FINISHES.gentle.share / rise) * volume * METHODS[formula.method].batterDensity.value;
    const count = Math.min(Math.floor(leftG / each), other.wells);
    if (count < 1) continue;
    return {
      id: 'smaller-tin',
      title: `Into "${other.name}"`,
      detail: `${count} of ${grams(each)}, gently domed. They bake faster: look first.`,
      change: null,
    };
  }
  return null;
}

/** A mass inside a sentence, for the reader's own units: `{54 g}`. */
const grams = (massG: number): string => `{${Number(massG.toFixed(2))} g}`;
