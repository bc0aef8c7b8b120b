import type { ClockDoc, LookResult, LookSaw } from '../model/documents';
import { LOOK_EVERY_S } from '../process/oven.table';
import { LOOK_RESULT, nextLookS } from './looks';

/** The times of a load, in seconds from when it goes in. */
export interface LoadTimes {
  readonly firstLookS: number;
  readonly expectedS: number;
  readonly latestS: number;
}

/** Starts the clock of a load. `now` in ms since the epoch. The times are fixed from here on, whatever the plan does. */
export function startClock(
  id: string,
  lineId: string,
  load: number,
  pieces: number,
  times: LoadTimes,
  now: number,
): ClockDoc {
  return { id, lineId, load, pieces, startedAt: now, ...times, looks: [], endedAt: null };
}

/** After "nearly" the next look comes sooner, s. */
const LOOK_SOON_S = 60;

export type ClockPhase =
  | { readonly phase: 'baking'; readonly untilLookS: number; readonly nextLookAt: number }
  | { readonly phase: 'look'; readonly sinceS: number; readonly nextLookAt: number; readonly late: boolean }
  | { readonly phase: 'ended'; readonly tookS: number; readonly result: LookResult };

/** When to look next, ms since the epoch: the first look, or what the looks so far say. */
export function nextLookAt(clock: ClockDoc): number {
  const last = clock.looks.at(-1);
  if (!last || last.saw) return clock.startedAt + nextLookS(clock) * 1000;
  // A look of which nobody said what it showed: by the clock alone.
  return last.at + (last.result === 'nearly' ? LOOK_SOON_S : LOOK_EVERY_S) * 1000;
}

/** The load that bakes and is to be looked at first; null where none bakes. */
export const firstToLookAt = (clocks: readonly ClockDoc[]): ClockDoc | null =>
  clocks.filter(({ endedAt }) => endedAt === null).sort((a, b) => nextLookAt(a) - nextLookAt(b))[0] ?? null;

/** Where a clock stands at a moment. Depends on nothing but the document and the time, so it survives a reload. */
export function clockPhase(clock: ClockDoc, now: number): ClockPhase {
  if (clock.endedAt !== null) {
    return {
      phase: 'ended',
      tookS: (clock.endedAt - clock.startedAt) / 1000,
      result: clock.looks.at(-1)?.result ?? 'done',
    };
  }
  const next = nextLookAt(clock);
  const late = now - clock.startedAt > clock.latestS * 1000;
  if (now >= next) return { phase: 'look', sinceS: (now - next) / 1000, nextLookAt: next, late };
  return { phase: 'baking', untilLookS: (next - now) / 1000, nextLookAt: next };
}

/** Keeps what a look showed. Clean or too brown ends the load; the others set the next look. */
export function recordLook(clock: ClockDoc, saw: LookSaw, now: number): ClockDoc {
  const result = LOOK_RESULT[saw];
  const ends = result === 'done' || result === 'over';
  return { ...clock, looks: [...clock.looks, { at: now, result, saw }], endedAt: ends ? now : null };
}

/** What a finished load took against what was expected, as a factor; null while it bakes. */
export function observedFactor(clock: ClockDoc): number | null {
  return clock.endedAt === null || hurried(clock)
    ? null
    : (clock.endedAt - clock.startedAt) / 1000 / clock.expectedS;
}

/** Out so far from what was expected that a slip of the finger is likelier than such an oven; until somebody says so. */
const HURRIED = { under: 0.5, over: 2 } as const;

/** Whether the time of a load is asked about before it is believed. */
export function hurried(clock: ClockDoc): boolean {
  if (clock.endedAt === null || clock.confirmed === true) return false;
  const share = (clock.endedAt - clock.startedAt) / 1000 / clock.expectedS;
  return share < HURRIED.under || share > HURRIED.over;
}
