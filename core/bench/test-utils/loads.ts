import type { BenchEvent, LookSaw } from '../../model/documents';
import { lookOf, type LoadTimes } from '../clock';
import { clocksIn, type BakeClock } from '../clocksIn';

/** A load that has just gone in. */
export const startClock = (
  id: string,
  lineId: string,
  load: number,
  pieces: number,
  times: LoadTimes,
  now: number,
): BakeClock => ({
  id,
  lineId,
  load,
  pieces,
  startedAt: now,
  ...times,
  looks: [],
  endedAt: null,
  places: [],
});

/** What a log tells of loads that stand so. */
export const eventsOf = (...clocks: readonly BakeClock[]): BenchEvent[] =>
  clocks.flatMap((clock): BenchEvent[] => {
    const { id, lineId, load, pieces, startedAt, firstLookS, expectedS, latestS, places, looks } = clock;
    const { endedAt, inside, airC, confirmed } = clock;
    const of = { lineId, load, pieces, firstLookS, expectedS, latestS, places: [...places] };
    const told = { ...(inside && { inside }), ...(airC && { airC }), ...(confirmed && { confirmed }) };
    return [
      { id, at: startedAt, what: 'load in', ...of },
      ...looks.map(({ at, result, saw }, i): BenchEvent => {
        return { id: `${id}-look${i + 1}`, at, what: 'looked', loadId: id, result, ...(saw && { saw }) };
      }),
      ...(endedAt === null || looks.some(({ at }) => at === endedAt)
        ? []
        : [{ id: `${id}-out`, at: endedAt, what: 'load out' as const, loadId: id }]),
      ...(Object.keys(told).length > 0
        ? [{ id: `${id}-told`, at: endedAt ?? startedAt, what: 'load told' as const, loadId: id, ...told }]
        : []),
    ];
  });

/** A load as it stands once it was looked at. */
export function recordLook(clock: BakeClock, saw: LookSaw, now: number): BakeClock {
  const look: BenchEvent = { id: `look-${now}`, at: now, ...lookOf(clock, saw) };
  const [after] = clocksIn({ log: [...eventsOf(clock), look] });
  if (!after) throw new Error('invariant: what went in has a clock');
  return after;
}
