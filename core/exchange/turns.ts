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
 * A run that two devices have worked at in turns, or at once: every event and every look of both, in one order that does
 * not depend on who takes whose. Everything else is that of the device that told something last. Taken with itself it is
 * itself.
 */
export function takeTurns(mine: RunDoc, theirs: RunDoc): RunDoc {
  const [mineAt, theirsAt] = [lastAt(mine), lastAt(theirs)];
  const later = theirsAt === mineAt ? lesserByText(mine, theirs) : theirsAt > mineAt ? theirs : mine;
  return { ...later, id: mine.id, log: eventsOf(mine, theirs), clocks: clocksOf(mine, theirs) };
}

/** Of two things neither of which came later, the same one whoever asks. */
const lesserByText = <T>(a: T, b: T): T => (JSON.stringify(a) <= JSON.stringify(b) ? a : b);

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

/** By time; of one moment what takes something back comes last, and the rest by their ids. */
const inOrder = (a: BenchEvent, b: BenchEvent): number =>
  a.at - b.at ||
  Number(a.what === 'undone') - Number(b.what === 'undone') ||
  (a.id < b.id ? -1 : Number(a.id > b.id));

function eventsOf({ log: mine = [] }: RunDoc, { log: theirs = [] }: RunDoc): BenchEvent[] {
  const all = new Map([...theirs, ...mine].map((event) => [event.id, event]));
  return [...all.values()].sort(inOrder);
}

function clocksOf({ clocks: mine }: RunDoc, { clocks: theirs }: RunDoc): ClockDoc[] {
  const other = new Map(theirs.map((clock) => [clock.id, clock]));
  const own = new Set(mine.map(({ id }) => id));
  const all = [
    ...mine.map((clock) => {
      const there = other.get(clock.id);
      return there ? bothClocks(clock, there) : clock;
    }),
    ...theirs.filter(({ id }) => !own.has(id)),
  ];
  return all.sort((a, b) => a.startedAt - b.startedAt || (a.id < b.id ? -1 : Number(a.id > b.id)));
}

/** One load as two devices saw it: all looks of both, and it came out when the first of them says so. */
function bothClocks(a: ClockDoc, b: ClockDoc): ClockDoc {
  const said = (look: ClockDoc['looks'][number]) => `${String(look.at).padStart(16, '0')} ${look.result}`;
  const looks = [...new Map([...a.looks, ...b.looks].map((look) => [said(look), look])).entries()]
    .sort(([x], [y]) => (x < y ? -1 : 1))
    .map(([, look]) => look);
  const ends = [a.endedAt, b.endedAt].filter((at) => at !== null);
  const endedAt = ends.length > 0 ? Math.min(...ends) : null;
  const more = known(a) === known(b) ? lesserByText(a, b) : known(a) > known(b) ? a : b;
  return { ...(more === a ? b : a), ...more, looks, endedAt };
}

/** How much a device knows of a load. */
const known = ({ looks, endedAt }: ClockDoc): number => looks.length + (endedAt === null ? 0 : 1000);
