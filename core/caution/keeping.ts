import { counted } from '../quantity';
/** How long things keep. Usual guidance only: every line defers to local rules. */

export type Part =
  | 'plain cake'
  | 'fruit cake'
  | 'mug cake'
  | 'buttercream'
  | 'cream'
  | 'soft cheese'
  | 'curd'
  | 'cooked meringue'
  | 'raw egg'
  | 'raw dough'
  | 'savoury'
  | 'herb oil'
  | 'not known'
  | 'fresh fruit'
  | 'coated pop'
  | 'dough ball, frozen';

export interface Keeping {
  /** Days in a cool room, in the fridge and frozen; null where it should not be kept there. */
  readonly roomDays: number | null;
  readonly fridgeDays: number | null;
  readonly frozenDays: number | null;
  /** Hours it may stand out; null where that is no question. */
  readonly outHours: number | null;
  /** Things that nobody here knows: for them it is kept as the most perishable that they could be. */
  readonly notKnown?: readonly string[];
}

/** Basis: usual guidance, on the careful side. */
export const KEEPING: Readonly<Record<Part, Keeping>> = {
  'plain cake': { roomDays: 2, fridgeDays: 5, frozenDays: 60, outHours: null },
  // Wrapped and fed: half or more of it is dried fruit.
  'fruit cake': { roomDays: 28, fridgeDays: 28, frozenDays: 90, outHours: null },
  // It dries within the hour and is eaten warm.
  'mug cake': { roomDays: 0, fridgeDays: 1, frozenDays: null, outHours: null },
  buttercream: { roomDays: 1, fridgeDays: 4, frozenDays: 60, outHours: null },
  cream: { roomDays: null, fridgeDays: 2, frozenDays: null, outHours: 2 },
  'soft cheese': { roomDays: null, fridgeDays: 2, frozenDays: null, outHours: 2 },
  curd: { roomDays: null, fridgeDays: 2, frozenDays: null, outHours: 2 },
  'cooked meringue': { roomDays: null, fridgeDays: 2, frozenDays: null, outHours: 2 },
  'raw dough': { roomDays: null, fridgeDays: 2, frozenDays: null, outHours: 2 },
  savoury: { roomDays: null, fridgeDays: 1, frozenDays: null, outHours: 2 },
  'herb oil': { roomDays: null, fridgeDays: 0, frozenDays: null, outHours: 2 },
  'not known': { roomDays: null, fridgeDays: 1, frozenDays: null, outHours: 2 },
  'raw egg': { roomDays: null, fridgeDays: 1, frozenDays: null, outHours: 2 },
  'fresh fruit': { roomDays: 1, fridgeDays: 2, frozenDays: null, outHours: null },
  'coated pop': { roomDays: 2, fridgeDays: 7, frozenDays: null, outHours: null },
  'dough ball, frozen': { roomDays: null, fridgeDays: 2, frozenDays: 60, outHours: null },
};

/** Above this the two hours that things may stand out become one. */
const HOT_C = 32;

const least = (values: readonly (number | null)[]): number | null =>
  values.includes(null) ? null : Math.min(...values.map((value) => value ?? 0));

/**
 * A whole piece keeps as its most delicate part does, in every place.
 * @param roomC room that it stands in, °C
 * @param ageDays days that cake in it has behind it: they count on, but for the freezer, which nobody should use again
 * @param notKnown things that no table knows
 */
export function keepingOf(
  parts: readonly Part[],
  roomC: number,
  ageDays = 0,
  notKnown: readonly string[] = [],
): Keeping {
  if (parts.length === 0) throw new Error('invariant: a piece has parts');
  const all = parts.map((part) => KEEPING[part]);
  const hours = all.map(({ outHours }) => outHours).filter((value) => value !== null);
  const out = hours.length === 0 ? null : Math.min(...hours);
  const less = (days: number | null) => (days === null ? null : Math.max(days - ageDays, 0));
  return {
    roomDays: less(least(all.map(({ roomDays }) => roomDays))),
    fridgeDays: less(least(all.map(({ fridgeDays }) => fridgeDays))),
    frozenDays: ageDays > 0 ? null : least(all.map(({ frozenDays }) => frozenDays)),
    outHours: out === null ? null : roomC > HOT_C ? out / 2 : out,
    ...(notKnown.length > 0 ? { notKnown } : {}),
  };
}

/** The same in words, for a label. */
export function keepingWords(keeping: Keeping): string {
  const days = (n: number) =>
    n === 0 ? 'today only' : n >= 30 ? counted(Math.round(n / 30), 'month') : counted(n, 'day');
  const places = [
    keeping.roomDays === null ? '' : `cool room ${days(keeping.roomDays)}`,
    keeping.fridgeDays === null ? '' : `fridge ${days(keeping.fridgeDays)}`,
    keeping.frozenDays === null ? '' : `frozen ${days(keeping.frozenDays)}`,
  ].filter(Boolean);
  const out = keeping.outHours === null ? '' : ` Out of the fridge at most ${keeping.outHours} h.`;
  const doubt =
    keeping.notKnown === undefined
      ? ''
      : ` Kept as what spoils soonest: nobody here knows ${keeping.notKnown.map((name) => `"${name}"`).join(', ')}.`;
  return `Keeps: ${places.join(', ')}.${out}${doubt} Check local rules.`;
}
