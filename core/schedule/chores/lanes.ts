import type { RunDay } from './runDay';
import type { Timed } from './timed';
import { thingKey, type Thing } from './chore';

/** What a lane of the day is about. */
export type LaneOf =
  | { readonly of: 'thing'; readonly thing: Thing }
  | { readonly of: 'waits' }
  | { readonly of: 'line'; readonly lineId: string }
  /** What several lines share. */
  | { readonly of: 'shared' };

export interface Lane {
  readonly key: string;
  readonly about: LaneOf;
  /** Chores, each with the row of the lane that it stands in: those at one time stand in rows of their own. */
  readonly chores: readonly { readonly timed: Timed; readonly row: number }[];
  readonly rows: number;
}

const ORDER: readonly Thing['kind'][] = ['hands', 'oven', 'microwave', 'mould', 'fridge', 'freezer'];

/** The day by what is held: hands, ovens, cold, and what only waits. */
export function lanesByThing(day: RunDay): Lane[] {
  // What another run does with them is seen as well: they are not free then.
  const all = [...day.chores, ...day.beside];
  const things = [...day.things]
    .filter(({ kind }) => ORDER.includes(kind))
    .sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind));
  const lanes = things.map((thing): Lane => {
    const key = thingKey(thing);
    return laneOf(
      key,
      { of: 'thing', thing },
      all.filter(({ chore }) =>
        chore.holds.some(({ of, until }) => thingKey(of) === key && until === undefined),
      ),
    );
  });
  const waits = day.chores.filter(
    ({ chore }) => chore.kind !== 'hands' && !chore.holds.some(({ of }) => ORDER.includes(of.kind)),
  );
  return [...lanes, laneOf('waits', { of: 'waits' }, waits)].filter(({ chores }) => chores.length > 0);
}

/** The day by line, what lines share first. */
export function lanesByLine(day: RunDay, lineIds: readonly string[]): Lane[] {
  const shared = day.chores.filter(({ chore }) => chore.lineIds.length > 1);
  return [
    laneOf('shared', { of: 'shared' }, shared),
    ...lineIds.map((lineId) =>
      laneOf(
        lineId,
        { of: 'line', lineId },
        day.chores.filter(({ chore }) => chore.lineIds.length === 1 && chore.lineIds[0] === lineId),
      ),
    ),
  ].filter(({ chores }) => chores.length > 0);
}

function laneOf(key: string, about: LaneOf, chores: readonly Timed[]): Lane {
  const until: number[] = [];
  const placed = [...chores]
    .sort((a, b) => b.startMin - a.startMin || b.endMin - a.endMin)
    .map((timed) => {
      let row = until.findIndex((end) => end >= timed.startMin - 1e-6);
      if (row < 0) row = until.length;
      until[row] = timed.endMin;
      return { timed, row };
    });
  return { key, about, chores: placed, rows: Math.max(1, until.length) };
}

/** Clock time laid along a line: idle hours, such as a night, are drawn as a short break. */
export interface Timeline {
  readonly length: number;
  /** Where a moment stands, by its minutes before the run must be ready. */
  readonly at: (minutesBefore: number) => number;
  /** Minutes before, of a place on the line. */
  readonly minutesAt: (place: number) => number;
  /** Whole hours and the like to mark, minutes before. */
  readonly marks: readonly number[];
  /** Where something was left out: before and after it, minutes before. */
  readonly breaks: readonly (readonly [number, number])[];
}

/** Nothing is done for so long: left out, min. */
const IDLE_MIN = 100;
const BREAK = 28;

/** @param readyMin when the run must be ready, minutes since the epoch as the clock shows them, for marks on whole hours. */
export function timelineOf(day: RunDay, readyMin: number, perMinute: number, everyMin = 60): Timeline {
  const busy = [
    ...day.chores.map(({ startMin, endMin }) => [startMin, endMin] as const),
    ...day.turns.map(({ atMin }) => [atMin, atMin] as const),
    [0, 0] as const,
  ].sort((a, b) => b[0] - a[0]);
  const stretches: [number, number][] = [];
  for (const [from, until] of busy) {
    const last = stretches.at(-1);
    if (last && last[1] - from < IDLE_MIN) last[1] = Math.min(last[1], until);
    else stretches.push([from, until]);
  }
  let length = 0;
  const laid = stretches.map(([from, until], i) => {
    const begin = length + (i > 0 ? BREAK : 0);
    length = begin + (from - until) * perMinute;
    return { from, until, begin, end: length };
  });
  const at = (minutesBefore: number): number => {
    for (const [i, one] of laid.entries()) {
      if (minutesBefore >= one.from) {
        const before = laid[i - 1];
        // Within a break: in its middle.
        return before ? (before.end + one.begin) / 2 : one.begin;
      }
      if (minutesBefore >= one.until) return one.begin + (one.from - minutesBefore) * perMinute;
    }
    return length;
  };
  const minutesAt = (place: number): number => {
    for (const one of laid)
      if (place <= one.end) return one.from - Math.max(0, place - one.begin) / perMinute;
    return 0;
  };
  const marks = laid.flatMap(({ from, until }) => {
    const out: number[] = [];
    for (
      let clock = Math.ceil((readyMin - from) / everyMin) * everyMin;
      clock <= readyMin - until + 1e-6;
      clock += everyMin
    )
      out.push(readyMin - clock);
    return out;
  });
  const breaks = laid.slice(1).map(({ from }, i) => [laid[i]?.until ?? 0, from] as const);
  return { length, at, minutesAt, marks, breaks };
}
