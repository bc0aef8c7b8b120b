import type { BenchEvent, Inside, LookResult, LookSaw, Place } from '../model/documents';
import { counted } from './log';

/** One look into the heat; `at` in ms since the epoch. */
export interface Look {
  readonly at: number;
  readonly result: LookResult;
  readonly saw?: LookSaw | undefined;
}

/** The clock of one load in the heat, as the log has it. Moments in ms since the epoch, times in s from when it went in. */
export interface BakeClock {
  readonly id: string;
  readonly lineId: string;
  /** 1 for the first load. */
  readonly load: number;
  readonly pieces: number;
  readonly startedAt: number;
  readonly firstLookS: number;
  readonly expectedS: number;
  readonly latestS: number;
  readonly looks: readonly Look[];
  readonly endedAt: number | null;
  /** Where it stands; empty where there is one place only. */
  readonly places: readonly Place[];
  readonly inside?: Inside | undefined;
  /** °C that a thermometer in the oven read. */
  readonly airC?: number | undefined;
  readonly confirmed?: boolean | undefined;
}

type Log = readonly BenchEvent[];
type OfLoad = Extract<
  BenchEvent,
  { readonly what: 'load in' | 'looked' | 'load out' | 'load at' | 'load told' }
>;

const OF_LOADS: ReadonlySet<BenchEvent['what']> = new Set<OfLoad['what']>([
  'load in',
  'looked',
  'load out',
  'load at',
  'load told',
]);
export const isOfLoad = (event: BenchEvent): event is OfLoad => OF_LOADS.has(event.what);

/** A look with which a load comes out. */
const endsLoad = (result: LookResult): boolean => result === 'done' || result === 'over';

/** A log is never changed in place: what it comes to is worked out once. */
const known = new WeakMap<Log, readonly BakeClock[]>();

/**
 * The clocks of a run's loads, in the order in which they went in. A load that is told to be out twice was out at the first
 * of them; of its place, its middle and its air what was told last holds.
 */
export function clocksIn({ log }: { readonly log?: Log | undefined }): readonly BakeClock[] {
  if (!log) return [];
  const found = known.get(log) ?? clocksOf(counted(log));
  known.set(log, found);
  return found;
}

function clocksOf(events: readonly BenchEvent[]): readonly BakeClock[] {
  const clocks = new Map<string, BakeClock>();
  // A load is put in before anything is told of it, in whatever order two devices' logs came together.
  for (const event of events)
    if (event.what === 'load in') {
      const { id, lineId, load, pieces, at, firstLookS, expectedS, latestS, places = [] } = event;
      const times = { firstLookS, expectedS, latestS };
      clocks.set(id, { id, lineId, load, pieces, startedAt: at, ...times, looks: [], endedAt: null, places });
    }
  const first = (endedAt: number | null, at: number) => (endedAt === null ? at : Math.min(endedAt, at));
  for (const event of events) {
    if (!isOfLoad(event) || event.what === 'load in') continue;
    const clock = clocks.get(event.loadId);
    if (!clock) continue;
    switch (event.what) {
      case 'looked': {
        const { at, result, saw } = event;
        const endedAt = endsLoad(result) ? first(clock.endedAt, at) : clock.endedAt;
        clocks.set(clock.id, { ...clock, looks: [...clock.looks, { at, result, saw }], endedAt });
        break;
      }
      case 'load out':
        clocks.set(clock.id, { ...clock, endedAt: first(clock.endedAt, event.at) });
        break;
      case 'load at': {
        const { places, firstLookS, expectedS, latestS } = event;
        clocks.set(clock.id, { ...clock, places, firstLookS, expectedS, latestS });
        break;
      }
      case 'load told': {
        const { inside = clock.inside, airC = clock.airC, confirmed = clock.confirmed } = event;
        clocks.set(clock.id, { ...clock, inside, airC, confirmed });
        break;
      }
    }
  }
  return [...clocks.values()];
}
