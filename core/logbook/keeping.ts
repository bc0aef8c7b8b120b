import type { Keeping } from '../caution/keeping';
import { localOf, minutesOf } from '../model/localTime';
import type { Kept, KeptPlace } from '../model/documents';

const NOON = 'T12:00';

/** So many days after a local day. */
export const dayAfter = (day: string, days: number): string =>
  localOf(minutesOf(`${day}${NOON}`) + days * 1440).slice(0, 10);

/** From one local day to another. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((minutesOf(`${to}${NOON}`) - minutesOf(`${from}${NOON}`)) / 1440);

/** How long something keeps, by place, as it is written down with it. */
export const daysOf = ({ roomDays, fridgeDays, frozenDays }: Keeping): Kept['days'] => ({
  room: roomDays,
  fridge: fridgeDays,
  freezer: frozenDays,
});

/**
 * The last day on which it should be eaten, where it stands now; null where it should not be kept there at all. What had
 * passed of its time elsewhere counts on; the freezer only stops that clock, and has one of its own.
 */
export function bestBy({
  place,
  since,
  used,
  days,
}: Pick<Kept, 'place' | 'since' | 'used' | 'days'>): string | null {
  const whole = days[place];
  if (whole === null) return null;
  return dayAfter(since, place === 'freezer' ? whole : Math.floor(whole * (1 - used)));
}

/** How much of its time has passed once it leaves the place that it stands in, 0 to 1. */
export function usedBy(kept: Kept, today: string): number {
  const whole = kept.days[kept.place];
  const passed = Math.max(0, daysBetween(kept.since, today));
  // Frozen, it has lost nothing; frozen for too long, it is eaten on the day or not at all.
  if (kept.place === 'freezer') return whole === null || passed > whole ? 1 : kept.used;
  if (whole === null || whole === 0) return 1;
  return Math.min(1, kept.used + passed / whole);
}

/** Carried to another place, today. */
export const movedTo = (kept: Kept, place: KeptPlace, today: string): Kept => ({
  ...kept,
  place,
  since: today,
  used: usedBy(kept, today),
});

/** Whether it may go there: the place keeps it, and it is not past its day, which no carrying about mends. */
export function mayGo(kept: Kept, place: KeptPlace, today: string): boolean {
  if (place === kept.place || kept.days[place] === null) return false;
  // Out of the freezer it may always come: for that day, where it lay there too long.
  if (kept.place === 'freezer') return true;
  const by = bestBy(kept);
  return by !== null ? today <= by : usedBy(kept, today) < 1 || kept.since === today;
}

/** So many fewer are left; never less than none. */
export const takenOut = (kept: Kept, pieces: number): Kept => ({
  ...kept,
  left: Math.max(0, kept.left - pieces),
});

/** What is left, the first to be eaten first; what should not stand where it stands before all else. */
export const byDay = (all: readonly Kept[]): Kept[] =>
  all
    .filter(({ left }) => left > 0)
    .sort((a, b) => {
      const [x, y] = [bestBy(a) ?? '', bestBy(b) ?? ''];
      return x < y ? -1 : x > y ? 1 : 0;
    });
