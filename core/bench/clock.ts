import type { BenchEvent, LookResult, LookSaw } from '../model/documents';
import { LOOK_EVERY_S } from '../process/oven.table';
import type { BakeClock } from './clocksIn';
import { LOOK_RESULT, nextLookS } from './looks';

/** The times of a load, in seconds from when it goes in. */
export interface LoadTimes {
  readonly firstLookS: number;
  readonly expectedS: number;
  readonly latestS: number;
}

/** After "nearly" the next look comes sooner, s. */
const LOOK_SOON_S = 60;

export type ClockPhase =
  | { readonly phase: 'baking'; readonly untilLookS: number; readonly nextLookAt: number }
  | { readonly phase: 'look'; readonly sinceS: number; readonly nextLookAt: number; readonly late: boolean }
  | { readonly phase: 'ended'; readonly tookS: number; readonly result: LookResult };

/** When to look next, ms since the epoch: the first look, or what the looks so far say. */
export function nextLookAt(clock: BakeClock): number {
  const last = clock.looks.at(-1);
  if (!last || last.saw) return clock.startedAt + nextLookS(clock) * 1000;
  // A look of which nobody said what it showed: by the clock alone.
  return last.at + (last.result === 'nearly' ? LOOK_SOON_S : LOOK_EVERY_S) * 1000;
}

/** The load that bakes and is to be looked at first; null where none bakes. */
export const firstToLookAt = (clocks: readonly BakeClock[]): BakeClock | null =>
  clocks.filter(({ endedAt }) => endedAt === null).sort((a, b) => nextLookAt(a) - nextLookAt(b))[0] ?? null;

/** Where a clock stands at a moment. Depends on nothing but the document and the time, so it survives a reload. */
export function clockPhase(clock: BakeClock, now: number): ClockPhase {
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

/** What a look showed, as the log keeps it. Clean or too brown ends the load; the others set the next look. */
export const lookOf = ({ id }: Pick<BakeClock, 'id'>, saw: LookSaw) =>
  ({ what: 'looked', loadId: id, result: LOOK_RESULT[saw], saw }) as const satisfies Partial<BenchEvent>;

/** What a finished load took against what was expected, as a factor; null while it bakes. */
export function observedFactor(clock: BakeClock): number | null {
  return clock.endedAt === null || hurried(clock)
    ? null
    : (clock.endedAt - clock.startedAt) / 1000 / clock.expectedS;
}

/** Out so far from what was expected that a slip of the finger is likelier than such an oven; until somebody says so. */
const HURRIED = { under: 0.5, over: 2 } as const;

/** Whether the time of a load is asked about before it is believed. */
export function hurried(clock: BakeClock): boolean {
  if (clock.endedAt === null || clock.confirmed === true) return false;
  const share = (clock.endedAt - clock.startedAt) / 1000 / clock.expectedS;
  return share < HURRIED.under || share > HURRIED.over;
}
