import { useEffect, useState } from 'react';

/** A jump of the wall clock against the time that passes that is told from its drift, ms. */
const JUMP_MS = 2000;
const MOST_MS = 12 * 3_600_000;
let behindMs = 0;
let last = { wall: Date.now(), passed: performance.now() };

/**
 * The time in ms, never put back: a device whose clock is corrected, or goes back an hour, in the middle of a load must
 * not lengthen it. A clock that is put forward is followed, since a device that slept looks the same.
 */
export function steadyNow(): number {
  const next = { wall: Date.now(), passed: performance.now() };
  const jump = next.wall - last.wall - (next.passed - last.passed);
  // Half a day and more is a date that was wrong: it is followed.
  if (jump < -JUMP_MS && jump > -MOST_MS) behindMs -= jump;
  else if (jump > JUMP_MS) behindMs = Math.max(0, behindMs - jump);
  last = next;
  return next.wall + behindMs;
}

/** A time of the steady clock as the clock on the wall shows it now. */
export const onTheWall = (ms: number): number => ms - behindMs;

const wallNow = (): number => Date.now();

/** The time in ms, renewed every so many ms, on the whole multiple of them. */
export function useNow(everyMs: number, read: () => number = wallNow): number {
  const [now, setNow] = useState(read);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const tick = () => {
      setNow(read());
      timer = setTimeout(tick, everyMs - (Date.now() % everyMs));
    };
    timer = setTimeout(tick, everyMs - (Date.now() % everyMs));
    return () => clearTimeout(timer);
  }, [everyMs, read]);
  return now;
}

/** The time of the steady clock, renewed every so many ms. */
export const useSteadyNow = (everyMs: number): number => useNow(everyMs, steadyNow);
