import type { BenchEvent, RunDoc } from '../model/documents';

/** Whether a run went on elsewhere: it is the one that is here, and something was told there that is not known here. */
export function wentOn(mine: RunDoc, theirs: RunDoc): boolean {
  if (mine.id !== theirs.id || mine.createdAt !== theirs.createdAt) return false;
  const [own, other] = [idsOf(mine), idsOf(theirs)];
  const news = [...other].some((id) => !own.has(id));
  // Two sessions that have nothing in common were begun apart: nobody can say which of them is true.
  const common = own.size === 0 || [...other].some((id) => own.has(id));
  return news && common;
}

const idsOf = ({ log = [] }: RunDoc): ReadonlySet<string> => new Set(log.map(({ id }) => id));

/**
 * A run that two devices have worked at in turns, or at once: every event of both, in one order that does not depend on who
 * takes whose. Everything else is that of the device that told something last. Taken with itself it is itself.
 */
export function takeTurns(mine: RunDoc, theirs: RunDoc): RunDoc {
  const [mineAt, theirsAt] = [lastAt(mine), lastAt(theirs)];
  const later = theirsAt === mineAt ? lesserByText(mine, theirs) : theirsAt > mineAt ? theirs : mine;
  return { ...later, id: mine.id, log: eventsOf(mine, theirs) };
}

/** Of two things neither of which came later, the same one whoever asks. */
const lesserByText = <T>(a: T, b: T): T => (JSON.stringify(a) <= JSON.stringify(b) ? a : b);

const lastAt = ({ log = [] }: RunDoc): number => Math.max(0, ...log.map(({ at }) => at));

/** By time; of one moment what takes something back comes last, and the rest by their ids. */
const inOrder = (a: BenchEvent, b: BenchEvent): number =>
  a.at - b.at ||
  Number(a.what === 'undone') - Number(b.what === 'undone') ||
  (a.id < b.id ? -1 : Number(a.id > b.id));

function eventsOf({ log: mine = [] }: RunDoc, { log: theirs = [] }: RunDoc): BenchEvent[] {
  const all = new Map([...theirs, ...mine].map((event) => [event.id, event]));
  return [...all.values()].sort(inOrder);
}
