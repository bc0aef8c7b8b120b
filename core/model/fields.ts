import { z } from 'zod';

// Zod would otherwise try whether it may compile code at run time, which the server's security headers refuse.
z.config({ jitless: true });

/** Line breaks and other signs that steer a reader and are no letters; also those that turn the direction of writing. */
const STEERING = /[\p{Cc}\u2028\u2029\u202a-\u202e\u2066-\u2069\ufeff]+/gu;

/** A text on one line: what steers a reader is taken out, so that no file that is written holds a line of its own. */
export const onOneLine = (text: string): string => text.replace(STEERING, ' ').replace(/ {2,}/g, ' ');

export const name = z
  .string()
  .overwrite(onOneLine)
  .trim()
  .min(1, 'Give it a name.')
  .max(120, 'Keep the name under 120 letters.');
export const id = z
  .string()
  .min(1)
  .max(80)
  .regex(/^[^\p{Cc}\u2028\u2029]+$/u, 'An id is on one line.');
export const millimetres = (min: number, max: number) =>
  z.number().min(min, `At least ${min} mm.`).max(max, `At most ${max} mm.`);
export const grams = (min: number, max: number) =>
  z.number().min(min, `At least ${min} g.`).max(max, `At most ${max} g.`);
export const share = (min: number, max: number) =>
  z
    .number()
    .min(min, `At least ${Math.round(min * 100)} %.`)
    .max(max, `At most ${Math.round(max * 100)} %.`);
export const wholeNumber = (what: string, min: number, max: number) =>
  z
    .number(`Write how many ${what}.`)
    .int(`Only whole ${what}.`)
    .min(min, `At least ${min} ${what}.`)
    .max(max, `At most ${max} ${what}.`);
/** Figure id → value that somebody measured. */
export const measuredValues = z.record(z.string().max(120), z.number());
/** What is on the table, g; null or left out where it is no limit. */
export const onHand = z
  .number()
  .min(0, 'At least 0 g.')
  .max(1_000_000, 'At most a tonne.')
  .nullable()
  .optional();

/** A local date and time without a zone: `2026-11-28T16:00`. */
export const localTime = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, 'Write the time as 2026-11-28T16:00.')
  // Read back as written: browsers take the 30th of February for the 2nd of March, and 24:00 for the next day.
  .refine((text) => isMoment(text), 'There is no such day or hour.');

/** An hour of any day: `22:00`. */
export const hourOfDay = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Write the hour as 22:00.');

function isMoment(text: string): boolean {
  const time = Date.parse(`${text}:00Z`);
  const year = Number(text.slice(0, 4));
  return (
    Number.isFinite(time) && year >= 1970 && year < 2200 && new Date(time).toISOString().startsWith(text)
  );
}

/** A moment as the clock of a device has it, ms since the epoch: up to the year 2200. */
export const moment = z
  .number('Write a time.')
  .min(0, 'No time before 1970.')
  .max(7_258_118_400_000, 'No time after 2200.');
/** A time that passes, s: up to four days. */
export const seconds = z
  .number('Write a time.')
  .positive('A time takes more than nothing.')
  .max(345_600, 'At most four days.');
/** Things of a list, each with an id of its own. */
export const ownIds = <T extends { readonly id: string }>(what: string) =>
  [
    (list: readonly T[]) => new Set(list.map((one) => one.id)).size === list.length,
    `Two ${what} have the same id.`,
  ] as const;

export const MAX_PIECES = 5000;
export const MAX_FORMULA_LINES = 200;

export const pieceCount = z
  .number('Write a number of pieces, such as 24.')
  .int('Pieces are whole: write a whole number.')
  .min(1, 'Make at least 1.')
  .max(MAX_PIECES, `One run holds up to ${MAX_PIECES} pieces. Split a larger order into several runs.`);
