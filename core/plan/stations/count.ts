import { atLeast, minus, over, times, wholeOf, type Expr, type Ref, measure } from '../../figure';
import type { Limit, Supply } from '../emitted';
import type { PlanFigures } from '../figures';
import type { RunContext } from '../context';
import { COUNT, COUNTED_NAMES, SUPPLY_NAMES, SUPPLY_WORDS } from './count.words';

/** A supply before it is known which one is the smallest: pieces that it allows. */
export interface Supplied {
  readonly supply: Supply;
  readonly pieces: Ref<'pieces'>;
}

/** How many are wanted. */
export const addWanted = (f: PlanFigures, count: number, many: string): Ref<'pieces'> =>
  f.given('count.wanted', COUNT.wanted(many), 'pieces', count, 'stated');

/** Less of something in a piece is none of it, g. */
export const TRACE_G = 0.01;

/**
 * Pieces that a supply on the table allows: what there is, less what stays over in any case, over what one piece takes.
 * Nothing where no amount is stated.
 */
export function supplied(
  f: PlanFigures,
  supply: keyof typeof SUPPLY_NAMES,
  onHandG: number | null | undefined,
  each: Ref<'g'>,
  lost?: Ref<'g'> | null,
): Supplied[] {
  // What takes none of it is not bounded by it.
  if (onHandG === null || onHandG === undefined || each.value < TRACE_G) return [];
  const name = SUPPLY_NAMES[supply];
  const there = f.given(`${supply}.onHand`, COUNT.onHand(name), 'g', onHandG, 'stated');
  const takes = atLeast(each, measure(TRACE_G, 'g'));
  const sum: Expr<'1'> = over(lost ? atLeast(minus(there, lost), 0) : there, takes);
  return [
    { supply, pieces: f.sum(`count.${supply}`, COUNT.allows(name), 'pieces', sum, { whole: 'floor' }) },
  ];
}

/** Pieces that a counted supply allows: one to a piece. */
export function counted(
  f: PlanFigures,
  supply: keyof typeof COUNTED_NAMES,
  there: number | null | undefined,
): Supplied[] {
  if (there === null || there === undefined) return [];
  const said = COUNT.counted(COUNTED_NAMES[supply]);
  return [{ supply, pieces: f.given(`count.${supply}`, said, 'pieces', there, 'counted') }];
}

/** Further off than this, the clock is no supply that anybody reckons with. */
export const CLOCK_LIMITS_WITHIN_MIN = 24 * 60;

export interface Takes {
  /** Steps that take as long for few as for many, s: the longer end of what is waited for. */
  readonly fixedS: number;
  /** One piece, one group or one round, s; and how many pieces that is. */
  readonly roundS: number;
  readonly pieces: number;
  /** What such a round is called: "One piece in the hand". */
  readonly what: string;
}

/**
 * Pieces that can still be made before the run must be ready. Nothing where the clock is no question: far off, without a
 * time to count from, or so late that not even one round fits, which a warning says.
 */
export function addMinutes(f: PlanFigures, run: RunContext, takes: Takes): Supplied[] {
  if (run.asOfMin === null) return [];
  const freeMin = run.readyMin - run.asOfMin;
  const { fixedS, roundS, pieces, what } = takes;
  if (freeMin > CLOCK_LIMITS_WITHIN_MIN || freeMin * 60 < fixedS + roundS) return [];
  const free = f.given('minutes.free', COUNT.free, 's', freeMin * 60, 'counted');
  const fixed = f.given('minutes.fixed', COUNT.fixed, 's', fixedS, 'typical');
  const round = f.given('minutes.round', COUNT.round(what), 's', Math.max(roundS, 1), 'typical');
  const each = f.given('minutes.pieces', COUNT.roundPieces, 'pieces', pieces, 'counted');
  const sum = times(wholeOf(over(minus(free, fixed), round)), each);
  return [
    { supply: 'minutes', pieces: f.sum('count.minutes', COUNT.minutes, 'pieces', sum, { whole: 'floor' }) },
  ];
}

/** How many are made. */
export interface CountPart {
  readonly wanted: Ref<'pieces'>;
  readonly made: Ref<'pieces'>;
  readonly limits: readonly Limit[];
}

/** The smallest of what was wanted and what every supply allows; names the one that limits. */
export function addMade(
  f: PlanFigures,
  wanted: Ref<'pieces'>,
  supplies: readonly Supplied[],
  many: string,
): CountPart {
  const made = f.smallest(
    'count.made',
    COUNT.made(many),
    'pieces',
    [wanted, ...supplies.map(({ pieces }) => pieces)],
    'floor',
  );
  const fewest = Math.min(...supplies.map(({ pieces }) => pieces.value));
  const limits = supplies.map(({ supply, pieces }): Limit => ({
    supply,
    figureId: pieces.id,
    pieces: pieces.value,
    words: SUPPLY_WORDS[supply],
    limiting: pieces.value === fewest,
    short: pieces.value < wanted.value,
  }));
  return { wanted, made, limits };
}
