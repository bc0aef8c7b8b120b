import { localOf, minutesOf, type ClockChange } from '../../model/localTime';
import type { KitchenDoc } from '../../model/documents';
import {
  breachesOf,
  doorFromNow,
  forwards,
  type Breach,
  type Job,
  type JobGap,
  type Problem,
} from '../solver';
import type { Chore } from './chore';
import { problemOf } from './problemOf';
import { nightsBefore, type RunDay } from './runDay';

/** How a chore of a day that has begun stands, s ago; chores that nothing is said of have not begun. */
export interface Stood {
  readonly begunAgoS: number;
  /** Null while it runs. */
  readonly endedAgoS: number | null;
  /** What it still takes, where somebody has looked; null where its planned time goes on. */
  readonly leftS: number | null;
}

/** What is left of a day, around what has been done. */
export interface DayLeft {
  /** Local time at which all is packed. */
  readonly readyAt: string;
  /** How late that is; below 0 where time is left, min. */
  readonly lateMin: number;
  /** When each chore that has not begun begins now, local time. */
  readonly starts: ReadonlyMap<string, string>;
  /** When each chore that has not ended ends now, local time. */
  readonly ends: ReadonlyMap<string, string>;
  /** Chores that wait longer than they should by what has happened: batter, a coat, a frosting. */
  readonly overdue: readonly string[];
  readonly breaches: readonly Breach[];
}

export interface LeftQuestion {
  readonly day: Pick<RunDay, 'chores'>;
  readonly kitchen: KitchenDoc;
  readonly readyAt: string;
  readonly nowAt: string;
  readonly stood: ReadonlyMap<string, Stood>;
  readonly changes?: readonly ClockChange[] | undefined;
}

/** Orders that are tried: an answer within a breath matters more than the last minute. */
const TRIES = 20;

/** Lays what is left anew, as soon as can be from now on. Null where nothing is left, or no order works. */
export function dayLeft(question: LeftQuestion): DayLeft | null {
  const { day, kitchen, readyAt, nowAt, stood, changes } = question;
  const chores = day.chores.map(({ chore }) => chore);
  if (chores.every(({ id }) => stood.get(id)?.endedAgoS != null)) return null;
  const now = minutesOf(nowAt, changes);
  const ready = minutesOf(readyAt, changes);
  const nights = nightsBefore(kitchen, ready, changes).map(
    ([from, until]) => [from + (ready - now) * 60, until + (ready - now) * 60] as const,
  );
  const planned = day.chores.map(({ startMin }) => (ready - now - startMin) * 60);
  const tries = [
    { nights, holding: true, waiting: true },
    // Something was done too soon for what follows it: it waits longer than it should, and is told.
    { nights, holding: true, waiting: false },
    // Somebody works into the night, or has put in more than fits: it is so, and the rest goes on from it.
    { nights: [], holding: true, waiting: false },
    { nights: [], holding: false, waiting: false },
  ];
  for (const { nights: closed, holding, waiting } of tries) {
    const { problem, overdue } = leftOf(chores, kitchen, closed, stood, { holding, waiting });
    const found = forwards(problem, { seed: 1, tries: TRIES, from: planned });
    if (!found) continue;
    const late = waiting ? [] : tooLate(chores, stood, found.starts);
    const at = (seconds: number) => localOf(now + Math.round(seconds / 60), changes);
    const ends = problem.jobs.map(({ lengthS }, i) => (found.starts[i] ?? 0) + lengthS);
    const last = Math.max(0, ...ends);
    return {
      readyAt: at(last),
      lateMin: now + last / 60 - ready,
      starts: new Map(
        chores.flatMap(({ id }, i) => (stood.has(id) ? [] : [[id, at(found.starts[i] ?? 0)] as const])),
      ),
      ends: new Map(
        chores.flatMap(({ id }, i) =>
          stood.get(id)?.endedAgoS == null ? [[id, at(ends[i] ?? 0)] as const] : [],
        ),
      ),
      overdue: [...new Set([...overdue, ...late])],
      breaches: breachesOf(problem, found.starts),
    };
  }
  return null;
}

/** The problem from now on: what has ended is nothing any more, what runs has begun, longest gaps go on from where they are. */
function leftOf(
  chores: readonly Chore[],
  kitchen: KitchenDoc,
  nights: readonly (readonly [number, number])[],
  stood: ReadonlyMap<string, Stood>,
  { holding, waiting }: { readonly holding: boolean; readonly waiting: boolean },
): { readonly problem: Problem; readonly overdue: readonly string[] } {
  const { problem } = problemOf(chores, kitchen, nights);
  const overdue: string[] = [];
  const of = (i: number) => stood.get(chores[i]?.id ?? '');
  const jobs = problem.jobs.map((job, i): Job => {
    const own = of(i);
    if (own && own.endedAgoS !== null) return { ...job, lengthS: 0, holds: [], after: [], fixedS: 0 };
    if (own) {
      const leftS = own.leftS ?? Math.max(0, job.lengthS - own.begunAgoS);
      // What is over its time may be ready at any moment: a minute is what looking takes.
      const lengthS = Math.max(60, leftS);
      const holds = job.holds.map((hold) =>
        hold.door ? { ...hold, door: doorFromNow(hold.door, own.begunAgoS, lengthS) } : hold,
      );
      return { ...job, lengthS, holds: holding ? holds : [], after: [], fixedS: 0 };
    }
    const after = job.after.map((gap): JobGap => {
      const endedAgoS = of(gap.job)?.endedAgoS;
      if (endedAgoS == null) return gap;
      const mostS = gap.mostS === null ? null : gap.mostS - endedAgoS;
      if (mostS !== null && mostS < 0) overdue.push(job.id);
      // What waits too long already is done as soon as can be: no order of the rest undoes that.
      return {
        ...gap,
        leastS: Math.max(0, gap.leastS - endedAgoS),
        mostS: mostS === null || mostS < 60 || !waiting ? null : mostS,
      };
    });
    return { ...job, after };
  });
  const spans = problem.spans.filter(
    ({ jobs: members }) => holding && members.some((i) => of(i)?.endedAgoS == null),
  );
  return { problem: { ...problem, jobs, spans }, overdue };
}

/** Chores that begin longer after something that has ended than it keeps. */
function tooLate(
  chores: readonly Chore[],
  stood: ReadonlyMap<string, Stood>,
  starts: readonly number[],
): string[] {
  return chores.flatMap(({ id, after }, i) =>
    !stood.has(id) &&
    after.some(({ chore, mostS }) => {
      const endedAgoS = stood.get(chore)?.endedAgoS;
      return mostS !== null && endedAgoS != null && (starts[i] ?? 0) + endedAgoS > mostS + 1;
    })
      ? [id]
      : [],
  );
}
