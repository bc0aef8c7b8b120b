/**
 * Local times without a zone, as real minutes, so that the core can reckon with them without a clock. On the night that
 * the clocks change the minutes that pass are not those that the clock shows: whoever asks says when that is.
 */
export interface ClockChange {
  /** What the clock shows as it is put forward or back: `2026-03-29T01:00`. */
  readonly at: string;
  /** By how much, min: 60 forward, −60 back. */
  readonly byMin: number;
}
const NEVER: readonly ClockChange[] = [];

/** What a clock shows, in minutes since the epoch as if it were never changed. */
function shownMin(local: string): number {
  const time = /^\d{4}-\d\d-\d\dT\d\d:\d\d$/.test(local) ? Date.parse(`${local}:00Z`) : NaN;
  if (!Number.isFinite(time)) throw new Error(`invariant: "${local}" is no local time`);
  return time / 60_000;
}

/** A local time as real minutes; of an hour that is there twice, the first. */
export function minutesOf(local: string, changes: readonly ClockChange[] = NEVER): number {
  const shown = shownMin(local);
  return changes.reduce((min, { at, byMin }) => (shown >= shownMin(at) ? min - byMin : min), shown);
}

/** Real minutes as a local time, to the minute below. */
export function localOf(minutes: number, changes: readonly ClockChange[] = NEVER): string {
  let shown = minutes;
  let before = 0;
  for (const { at, byMin } of changes) {
    if (minutes >= shownMin(at) - before) shown += byMin;
    before += byMin;
  }
  const whole = Math.floor(shown + 1e-6);
  const day = Math.floor(whole / 1440);
  const date = new Date(day * 86_400_000).toISOString().slice(0, 11);
  const inDay = whole - day * 1440;
  const [hour, minute] = [Math.floor(inDay / 60), inDay % 60];
  return `${date}${hour < 10 ? '0' : ''}${hour}:${minute < 10 ? '0' : ''}${minute}`;
}
