import { addDays } from 'date-fns/addDays';
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { lightFormat } from 'date-fns/lightFormat';
import { parseISO } from 'date-fns/parseISO';
import { set } from 'date-fns/set';
import type { ClockChange } from '../core/model/localTime';

const LOCAL = "yyyy-MM-dd'T'HH:mm";

/** A moment in ms as a local time. */
export const localNow = (now: number): string => lightFormat(now, LOCAL);

export const dateOf = (local: string): Date => parseISO(local);

/** Whether the clock on the wall ever shows a local time: on the night it is put forward an hour is left out. */
export const exists = (local: string): boolean => localNow(dateOf(local).getTime()) === local;

const HOUR_MS = 3_600_000;
/** A run is begun no earlier than this before it is ready, ms. */
const LOOK_BACK_MS = 8 * 24 * HOUR_MS;
const known = new Map<string, readonly ClockChange[] | undefined>();

/** When the clocks change in the days before a local time; nothing where they do not. The same time, the same answer. */
export function changesBefore(local: string): readonly ClockChange[] | undefined {
  if (known.has(local)) return known.get(local);
  const end = dateOf(local).getTime() + 24 * HOUR_MS;
  const changes: ClockChange[] = [];
  const offset = (ms: number) => -new Date(ms).getTimezoneOffset();
  for (let ms = end - LOOK_BACK_MS; ms < end; ms += HOUR_MS / 2) {
    const byMin = offset(ms + HOUR_MS / 2) - offset(ms);
    if (byMin === 0) continue;
    let at = ms;
    while (offset(at + 60_000) === offset(ms)) at += 60_000;
    // What the clock would have shown had it not been changed.
    const shown = new Date(at + 60_000 + offset(ms) * 60_000).toISOString().slice(0, 16);
    changes.push({ at: shown, byMin });
  }
  const answer = changes.length > 0 ? changes : undefined;
  known.set(local, answer);
  return answer;
}

/** The day of a date, as local times write it: 2026-12-05. */
export const dayKey = (date: Date): string => lightFormat(date, 'yyyy-MM-dd');

/** So many days after a moment, at an hour that the clock on the wall shows: also on the day it is put forward or back. */
export const localAt = (now: number, days: number, hours: number): string =>
  lightFormat(set(addDays(now, days), { hours, minutes: 0, seconds: 0, milliseconds: 0 }), LOCAL);

/** Days until the next Saturday: a week on a Saturday. */
export const toSaturday = (now: number): number => 7 - ((new Date(now).getDay() + 1) % 7);

// Written out: asking the browser for nineteen words costs the first screen as much as drawing it does.
const WEEKDAYS = 'Sunday Monday Tuesday Wednesday Thursday Friday Saturday'.split(' ');
const MONTHS = 'January February March April May June July August September October November December'.split(
  ' ',
);
const weekday = (date: Date): string => WEEKDAYS[date.getDay()] ?? '';
const month = (date: Date): string => MONTHS[date.getMonth()] ?? '';
const short = (name: string): string => name.slice(0, 3);

/** "12 Dec". */
export const dateText = (date: Date): string => `${date.getDate()} ${short(month(date))}`;

/** "Sat 12 Dec": true on any day that it is read. */
export const onText = (local: string): string => {
  const date = dateOf(local);
  return `${short(weekday(date))} ${dateText(date)}`;
};

/** "Saturday 12 December". */
export const longDateText = (date: Date): string => `${weekday(date)} ${date.getDate()} ${month(date)}`;

/** "Saturday 12 December 2026, 16:40". */
export const momentText = (ms: number): string => {
  const date = new Date(ms);
  return `${longDateText(date)} ${date.getFullYear()}, ${clockOf(ms)}`;
};

export const clockText = (local: string): string => local.slice(11, 16);

/** A moment in ms as the clock on the wall shows it: 16:40. */
export const clockOf = (ms: number): string => lightFormat(ms, 'HH:mm');

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
  if (ahead > 1 && ahead < 7) return weekday(date);
  return `${short(weekday(date))} ${dateText(date)}`;
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
