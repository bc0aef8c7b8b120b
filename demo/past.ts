import type { Belief, RunDoc } from '../core/model/documents';
import { localOf, minutesOf } from '../core/model/localTime';
import { nextSaturdayAtFour } from './runs';

/** The demo kitchen's past as its simulated kitchen baked it (`tools/demo-past.ts`), before the Saturday of its own. */
export interface PastFile {
  readonly saturday: string;
  readonly runs: readonly RunDoc[];
  readonly beliefs: readonly Belief[];
}
/** The same before the Saturday to come: a dozen closed runs, and what they taught. */
export type Past = Pick<PastFile, 'runs' | 'beliefs'>;

/** Moments, by the name of the field that holds one. */
const MOMENTS = new Set(['at', 'createdAt', 'startedAt', 'endedAt']);

/**
 * Puts the past whole weeks before the Saturday to come.
 * @param now local time
 * @param msOf ms since the epoch of a local time where the app runs
 */
export function pastBefore(past: PastFile, now: string, msOf: (local: string) => number): Past {
  const laterMin = minutesOf(nextSaturdayAtFour(now)) - minutesOf(past.saturday);
  const shifted = (local: string) => localOf(minutesOf(local) + laterMin);
  const runs = past.runs.map((run) => {
    const readyAt = shifted(run.readyAt);
    const byMs = msOf(readyAt) - minutesOf(run.readyAt) * 60_000;
    const moved = (value: unknown, key: string): unknown => {
      if (typeof value === 'number') return MOMENTS.has(key) ? value + byMs : value;
      if (Array.isArray(value)) return value.map((one) => moved(one, ''));
      if (value === null || typeof value !== 'object') return value;
      return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, moved(one, name)]));
    };
    return { ...(moved(run, '') as RunDoc), readyAt };
  });
  const beliefs = past.beliefs.map((one) => ({
    ...one,
    since: one.since === null ? null : shifted(`${one.since}T12:00`).slice(0, 10),
  }));
  return { runs, beliefs };
}
