import { format } from 'date-fns/format';
import { parse } from 'date-fns/parse';
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';

const LOCAL = "yyyy-MM-dd'T'HH:mm";

/** A moment in ms as a local time. */
export const localNow = (now: number): string => format(now, LOCAL);

export const dateOf = (local: string): Date => parse(local, LOCAL, new Date(0));

export const clockText = (local: string): string => local.slice(11, 16);

/** A moment in ms as the clock on the wall shows it: 16:40. */
export const clockOf = (ms: number): string => format(ms, 'HH:mm');

/** "today 16:00", "tomorrow 10:00", "Saturday 16:00", "Sat 12 Dec 16:00". */
export function whenText(local: string, now: number): string {
  const date = dateOf(local);
  return `${dayText(date, now)} ${clockText(local)}`;
}

export function dayText(date: Date, now: number): string {
  const ahead = differenceInCalendarDays(date, now);
  if (ahead === 0) return 'today';
  if (ahead === 1) return 'tomorrow';
  if (ahead === -1) return 'yesterday';
  if (ahead > 1 && ahead < 7) return format(date, 'EEEE');
  return format(date, 'EEE d MMM');
}

/** Whole minutes until a local time, negative once it has passed. */
export const minutesUntil = (local: string, now: number): number =>
  Math.round((dateOf(local).getTime() - now) / 60_000);

/** "in 12 min", "in 3 h 20", "in 3 days", "25 min ago". */
export function awayText(local: string, now: number): string {
  const minutes = minutesUntil(local, now);
  const size = Math.abs(minutes);
  const text =
    size < 100
      ? `${size} min`
      : size < 48 * 60
        ? `${Math.floor(size / 60)} h ${size % 60} min`
        : `${Math.round(size / 1440)} days`;
  return minutes >= 0 ? `in ${text}` : `${text} ago`;
}
