import type { BenchEvent, ClockDoc, RunDoc } from '../model/documents';

/** Whether a run went on elsewhere: it is the one that is here, and something was told there that is not known here. */
export function wentOn(mine: RunDoc, theirs: RunDoc): boolean {
  if (mine.id !== theirs.id || mine.createdAt !== theirs.createdAt) return false;
  const [own, other] = [idsOf(mine), idsOf(theirs)];
  const news = [...other].some((id) => !own.has(id));
  // Two sessions that have nothing in common were begun apart: nobody can say which of them is true.
  const common = own.size === 0 || [...other].some((id) => own.has(id));
  return news && common;
}

const idsOf = ({ log = [], clocks }: RunDoc): ReadonlySet<string> =>
  new Set([...log, ...clocks].map(({ id }) => id));

/**
 * A run that two devices have worked at in turns, or at once: every event of both, in the order in which they happened, and
 * of each clock the one that knows more. Everything else is that of the device that told something last. Taken with itself
 * it is itself.
 */
export function takeTurns(mine: RunDoc, theirs: RunDoc): RunDoc {
  const later = lastAt(theirs) > lastAt(mine) ? theirs : mine;
  return { ...later, id: mine.id, log: eventsOf(mine, theirs), clocks: clocksOf(mine, theirs) };
}

const lastAt = ({ log = [], clocks }: RunDoc): number =>
  Math.max(
    0,
    ...log.map(({ at }) => at),
    ...clocks.flatMap(({ startedAt, endedAt, looks }) => [
      startedAt,
      endedAt ?? 0,
      ...looks.map(({ at }) => at),
    ]),
  );

function eventsOf({ log: mine = [] }: RunDoc, { log: theirs = [] }: RunDoc): BenchEvent[] {
  const own = new Set(mine.map(({ id }) => id));
  // Both are in order of their telling; what happened at the same moment stays as it was told here first.
  return [...mine, ...theirs.filter(({ id }) => !own.has(id))]
    .map((event, i) => ({ event, i }))
    .sort((a, b) => a.event.at - b.event.at || a.i - b.i)
    .map(({ event }) => event);
}

const known = ({ looks, endedAt }: ClockDoc): number => looks.length + (endedAt === null ? 0 : 1000);

function clocksOf({ clocks: mine }: RunDoc, { clocks: theirs }: RunDoc): ClockDoc[] {
  const other = new Map(theirs.map((clock) => [clock.id, clock]));
  const own = new Set(mine.map(({ id }) => id));
  return [
    ...mine.map((clock) => {
      const there = other.get(clock.id);
      return there && known(there) > known(clock) ? there : clock;
    }),
    ...theirs.filter(({ id }) => !own.has(id)),
  ];
}
