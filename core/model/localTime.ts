/**
 * Local times without a zone, as minutes since the epoch, so that the core can reckon with them without a clock.
 * Summer time is left out on purpose: a day's plan is reckoned in the hours that the kitchen clock shows.
 */
export function minutesOf(local: string): number {
  const time = /^\d{4}-\d\d-\d\dT\d\d:\d\d$/.test(local) ? Date.parse(`${local}:00Z`) : NaN;
  if (!Number.isFinite(time)) throw new Error(`invariant: "${local}" is no local time`);
  return time / 60_000;
}

/** Minutes since the epoch as a local time, to the minute below. */
export function localOf(minutes: number): string {
  const whole = Math.floor(minutes + 1e-6);
  const day = Math.floor(whole / 1440);
  const date = new Date(day * 86_400_000).toISOString().slice(0, 11);
  const inDay = whole - day * 1440;
  const [hour, minute] = [Math.floor(inDay / 60), inDay % 60];
  return `${date}${hour < 10 ? '0' : ''}${hour}:${minute < 10 ? '0' : ''}${minute}`;
}
