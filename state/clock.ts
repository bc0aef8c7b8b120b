import { useEffect, useState } from 'react';
import { create } from 'zustand';

/** A jump of the wall clock against the time that passes that is told from its drift, ms. */
const JUMP_MS = 2000;
const MOST_MS = 12 * 3_600_000;
/** A jump that is told to whoever bakes: from here on a timer would be visibly off. */
const TOLD_MS = 120_000;
/** A clock that goes back by so nearly what it went forward, as a share, was put right: it had never been that late. */
const PUT_RIGHT = 0.05;

/** What the steady clock is ahead of the wall, ms: below nought where a clock was put forward. */
let behindMs = 0;
let last = { wall: Date.now(), passed: performance.now() };
/** A jump forward that was taken for a sleep, and has not been put right. */
let forwardMs = 0;

/** The last jump that a person should know of. */
export interface ClockJump {
  /** By how much the clock on the wall was moved, ms: below nought where it was put back. */
  readonly byMs: number;
  /** Whether the time was taken to have passed, because a device that slept looks the same. */
  readonly followed: boolean;
}
export const useClockJump = create<{ readonly jump: ClockJump | null }>(() => ({ jump: null }));
export const toldJump = (): void => useClockJump.setState({ jump: null });

/** The clock was put forward, and nobody slept: the time that it skipped has not passed. */
export function wasSetForward(): void {
  behindMs -= forwardMs;
  forwardMs = 0;
  keepClock();
  toldJump();
}

/**
 * The time in ms by what has really passed: a device whose clock is corrected, or goes back an hour, in the middle of a load
 * must not lengthen it, also over a reload. A clock that is put forward is followed, since a device that slept looks the
 * same, until it goes back, or the server's clock says that no time has passed.
 */
export function steadyNow(): number {
  const next = { wall: Date.now(), passed: performance.now() };
  const jump = next.wall - last.wall - (next.passed - last.passed);
  // Half a day and more is a date that was wrong: it is followed.
  if (jump < -JUMP_MS && jump > -MOST_MS) wentBack(jump);
  else if (jump > JUMP_MS && jump < MOST_MS) wentForward(jump);
  last = next;
  if (next.wall - keptAtMs > KEPT_EVERY_MS || next.wall < keptAtMs || Math.abs(jump) > JUMP_MS) keepClock();
  return next.wall + behindMs;
}

function wentBack(jump: number): void {
  const putRight = forwardMs > 0 && Math.abs(forwardMs + jump) <= Math.max(JUMP_MS, PUT_RIGHT * forwardMs);
  // It goes back to what it was before it went forward: neither of the two has happened.
  if (putRight) forwardMs = 0;
  else behindMs -= jump;
  if (jump < -TOLD_MS) useClockJump.setState({ jump: { byMs: jump, followed: putRight } });
}

function wentForward(jump: number): void {
  const before = behindMs;
  // What was put back is made good first.
  behindMs = Math.max(Math.min(0, behindMs), behindMs - jump);
  const followed = jump - (before - behindMs);
  if (followed <= JUMP_MS) return;
  forwardMs = followed;
  if (followed > TOLD_MS) useClockJump.setState({ jump: { byMs: followed, followed: true } });
  void serverSays().then((serverMs) => {
    // The server's clock tells a sleep from a clock that was set: it has slept with nobody.
    const known = serverKnown;
    if (serverMs === null) return;
    serverKnown = { server: serverMs, passed: performance.now() };
    if (known === null || forwardMs !== followed) return;
    const passed = serverMs - known.server;
    const counted = serverKnown.passed - known.passed;
    if (passed - counted < followed / 2) wasSetForward();
  });
}

/** The clock of the server that the page came from, ms; null where it does not answer. */
async function serverSays(): Promise<number | null> {
  try {
    const answer = await fetch('/api/health', { cache: 'no-store' });
    const at = Date.parse(answer.headers.get('date') ?? '');
    return Number.isFinite(at) ? at : null;
  } catch {
    return null;
  }
}

/** The server's time once, with what had passed here by then. */
let serverKnown: { readonly server: number; readonly passed: number } | null = null;
/** Asks the server for its time once, so that a jump can be held against it. */
export async function meetServer(): Promise<void> {
  const server = await serverSays();
  if (server !== null) serverKnown = { server, passed: performance.now() };
}

const KEPT = 'carnelian-clock';
const KEPT_EVERY_MS = 5000;
/** No bake lasts longer: what was kept before that says nothing of today. */
const KEPT_FOR_MS = 24 * 3_600_000;
let keptAtMs = 0;

function keepClock(): void {
  keptAtMs = Date.now();
  try {
    localStorage.setItem(KEPT, JSON.stringify({ behindMs, steadyMs: keptAtMs + behindMs }));
  } catch {
    // Then a reload begins by the clock on the wall.
  }
}

/** After a reload the steady clock goes on where it was: never behind what it showed. */
export function resumeClock(): void {
  const wall = Date.now();
  try {
    const kept = JSON.parse(localStorage.getItem(KEPT) ?? 'null') as {
      readonly behindMs?: unknown;
      readonly steadyMs?: unknown;
    } | null;
    const behind = Number(kept?.behindMs ?? NaN);
    const steady = Number(kept?.steadyMs ?? NaN);
    if (!Number.isFinite(behind) || !Number.isFinite(steady)) return;
    if (wall + behind - steady > KEPT_FOR_MS || steady - wall - behind > MOST_MS) return;
    behindMs = Math.max(behind, steady - wall);
    if (steady - wall - behind > TOLD_MS)
      useClockJump.setState({ jump: { byMs: wall + behind - steady, followed: false } });
  } catch {
    // As on a first start.
  }
}
resumeClock();

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
