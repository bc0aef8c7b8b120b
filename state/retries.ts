/** How long until what was refused is tried again, ms: soon, then every three seconds. */
const RETRIES_MS = [400, 1000, 2000, 3000];

export const pause = (ms: number) => new Promise<void>((done) => setTimeout(done, ms));

/** Waits before another try, the longer the more there were. */
export const waitAfter = (tries: number): Promise<void> =>
  pause(RETRIES_MS[Math.min(tries, RETRIES_MS.length - 1)] ?? 0);
