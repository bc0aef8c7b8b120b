import { localOf, minutesOf, type ClockChange } from '../../model/localTime';
import type { KitchenDoc } from '../../model/documents';
import {
  backwards,
  backwardsInSteps,
  breachesOf,
  scoreOf,
  simulated,
  toEnd,
  triesFor,
  type Breach,
  asFound,
  type Found,
  type SearchOptions,
  type Simulated,
  type Starts,
} from '../solver';
import type { Thing } from './chore';
import { MOST_CHORES, loadsIn } from './tooMuch';
import { turnsOf, type OvenTurn } from './ovenTurns';
import type { Timed } from './timed';
import { slackOf, waitsAtOnce } from './slack';
import { problemOf, type Posed } from './problemOf';
import { groupedAs, knownOf, startsAs, type KnownDay } from './known';
import { AS_PLANNED, groupingsOf as groupingsOfRun } from './runWork';
import { together, type AskedRun, type GroupedRuns, type Together } from './together';

/**
 * Why no day comes together: chores that somebody holds at an hour; parts that are made on days before; the longest waits
 * between chores; more chores than one day's order can be searched for; or more than these.
 */
export type Blocked = 'held' | 'made ahead' | 'waits' | 'too much' | 'unknown';

/** A run's day on all that the kitchen has. */
export interface RunDay {
  readonly chores: readonly Timed[];
  /** Chores of other runs that share the kitchen's day. */
  readonly beside: readonly Timed[];
  readonly turns: readonly OvenTurn[];
  /** Local time of the latest start of which nine days in ten are ready in time; null without chores. */
  readonly safeStartAt: string | null;
  /** When the plan itself is done, before the run must be ready. */
  readonly doneAt: string | null;
  /** What the plan keeps in hand at its end, min. */
  readonly inHandMin: number;
  /** Of days with nothing in hand, how many would be ready in time, 0 to 1. */
  readonly bareChance: number;
  /** What eats the margin: a cause or a chore, with its part. */
  readonly eaters: Simulated['eaters'];
  /** Places where a longest gap is all but used up. */
  readonly squeezes: number;
  /** Hands-on work of the day, and from the first to the last of it, min. */
  readonly handsMin: number;
  readonly feetMin: number;
  /** What the independent checker says of it: empty. */
  readonly breaches: readonly Breach[];
  readonly lacking: Posed['lacking'];
  /** What keeps any day from coming together, where nothing is lacking; null where one was found. */
  readonly blockedBy: Blocked | null;
  readonly things: readonly Thing[];
  /** What the solver found, to begin from when something moves. */
  readonly starts: Starts;
  /** The same to be written down; null without a day. */
  readonly known: KnownDay | null;
}

export interface DayQuestion extends Omit<AskedRun, 'id'> {
  readonly id?: string | undefined;
  readonly kitchen: KitchenDoc;
  readonly changes?: readonly ClockChange[] | undefined;
  /** Other runs that share the kitchen's day. */
  readonly beside?: readonly AskedRun[] | undefined;
  /** The day as it was found last; and whether nothing that it follows from has changed since. */
  readonly known?: { readonly day: KnownDay; readonly same: boolean } | undefined;
}

export interface DayEffort {
  /** Orders to try; the usual number for so many chores where nothing is said. */
  readonly tries?: number;
  readonly seed?: number;
  /** Days that are simulated for the safe start. */
  readonly days?: number;
}

/** Chores that are done longer before the run is ready than what they make keeps, the earliest first. */
export const keptTooLong = ({ chores }: RunDay): Timed[] =>
  chores.filter(
    ({ chore, endMin }) =>
      chore.kind !== 'ahead' && endMin > (Math.max(chore.part?.keepsDays ?? 0, 1) + 1) * 1440,
  );

/** Days that are simulated, and of which nine in ten are ready. */
const DAYS = 1000;
const SURE = 0.9;
/** Nights that are told to the solver, before the run is ready. */
const NIGHTS = 21;

/** Nobody works while the kitchen rests: stretches before the run is ready, s, its end at 0. */
export function nightsBefore(
  kitchen: KitchenDoc,
  /** Minutes as `minutesOf`. */
  ready: number,
  changes: readonly ClockChange[] | undefined,
): (readonly [number, number])[] {
  const { restFrom = '22:00', restUntil = '06:30' } = kitchen;
  if (restFrom === restUntil) return [];
  const day = 1440;
  return Array.from({ length: NIGHTS + 2 }, (_, back): readonly [number, number] => {
    const date = localOf(ready - (back - 1) * day, changes).slice(0, 10);
    const until = minutesOf(`${date}T${restUntil}`, changes);
    const before = localOf(until - day, changes).slice(0, 10);
    const from = minutesOf(`${restFrom > restUntil ? before : date}T${restFrom}`, changes);
    return [(from - ready) * 60, (until - ready) * 60];
  }).filter(([from]) => from < 0);
}

/** The day of a run: every chore of every line on the things that there are. Null where nothing has to be done, or no day can be made. */
export const dayOfRun = (question: DayQuestion, effort: DayEffort = {}): RunDay | null =>
  toEnd(dayInSteps(question, effort));

/** The same by steps, each saying how far it is, 0 to 1: it may be left at any of them. */
export function* dayInSteps(
  question: DayQuestion,
  effort: DayEffort = {},
): Generator<number, RunDay | null, void> {
  const { kitchen, beside = [], changes, known } = question;
  const own: AskedRun = { ...question, id: question.id ?? '' };
  if ([own, ...beside].some(({ whole }) => loadsIn(whole) > MOST_CHORES))
    return emptyDay({ lacking: [], things: [] }, 'too much');
  const stood = known && standing(question, own, known.day);
  if (known?.same && stood) return ended(question, stood, effort);
  const plain = together(own, beside, kitchen, changes);
  if (plain.chores.length === 0) return null;
  const posedPlain = posedAt(question, plain, 0);
  if (posedPlain.lacking.length > 0) return emptyDay(posedPlain);
  if (plain.chores.length > MOST_CHORES) return emptyDay(posedPlain, 'too much');
  const options = { seed: effort.seed ?? 1, tries: effort.tries ?? triesFor(plain.chores.length) };
  const ways = groupingsOf([own, ...beside], kitchen);
  const searched = yield* backwardsInSteps(posedPlain.problem, {
    ...options,
    tries: Math.ceil(options.tries * (ways.length > 0 ? 1 - GROUPING_SHARE : 1)),
  });
  if (!searched)
    return stood ? ended(question, stood, effort) : emptyDay(posedPlain, blockedBy(question, plain));
  const found = yield* regrouped(question, own, ways, options, {
    work: plain,
    posed: posedPlain,
    found: searched,
    grouped: new Map(),
  });
  const fresh = ended(question, found, effort);
  if (!stood) return fresh ?? emptyDay(posedPlain, blockedBy(question, plain));
  // What stood can still be worked: more of something never makes a day begin sooner than that.
  const kept = ended(question, stood, effort);
  if (!kept || (fresh && beginsMin(fresh) <= beginsMin(kept) + 0.02)) return fresh;
  const better = yield* backwardsInSteps(stood.posed.problem, {
    ...options,
    tries: Math.ceil(options.tries * GROUPING_SHARE),
    from: stood.found.starts,
  });
  const bettered = better && ended(question, { ...stood, found: better }, effort);
  return bettered && beginsMin(bettered) <= beginsMin(kept) ? bettered : kept;
}

/** What stands in the way of a day, by what it takes to be left out before one comes together. */
function blockedBy(question: DayQuestion, work: Together): Blocked {
  const without: readonly (readonly [Blocked, Partial<Together>])[] = [
    ['held', { heldS: new Map() }],
    ['made ahead', { heldS: new Map(), madeByS: new Map() }],
    [
      'waits',
      {
        heldS: new Map(),
        madeByS: new Map(),
        chores: work.chores.map((chore) => ({
          ...chore,
          after: chore.after.map((gap) => ({ ...gap, mostS: null })),
        })),
      },
    ],
  ];
  const [why] = without.find(([, less]) => {
    const { problem } = posedAt(question, { ...work, ...less }, 0);
    return backwards(problem, { seed: 1, tries: 8 }) !== null;
  }) ?? ['unknown' as const];
  return why;
}

/** When all of a day begins, its ovens included, min before what is asked about must be ready. */
const beginsMin = ({ chores, beside, turns }: RunDay): number =>
  Math.max(...[...chores, ...beside].map(({ startMin }) => startMin), ...turns.map(({ atMin }) => atMin));

/** A day that stood, as it is in what is asked now; null where it cannot be worked any more. */
function standing(question: DayQuestion, own: AskedRun, known: KnownDay): Attempt | null {
  const { kitchen, beside = [], changes } = question;
  const grouped = groupedAs(known, [own, ...beside], kitchen);
  if (!grouped) return null;
  const work = together(own, beside, kitchen, changes, grouped);
  const starts = startsAs(known, own.id, work);
  if (!starts) return null;
  const posed = posedAt(question, work, 0);
  if (posed.lacking.length > 0 || breachesOf(posed.problem, starts).length > 0) return null;
  return { work, posed, found: asFound(posed.problem, starts), grouped };
}

/** A day that was found, with what its margin is and where it then stands. */
function ended(question: DayQuestion, attempt: Attempt, effort: DayEffort): RunDay | null {
  const { work, posed: bare, found: first } = attempt;
  const sim = simulated(bare.problem, first.starts, bare.doubts, {
    seed: 7,
    days: effort.days ?? DAYS,
    sure: SURE,
    dues: work.dueS,
  });
  // The margin goes to the end of the day; nights fall elsewhere then, and the day is laid anew round them.
  const inHandS = Math.ceil(sim.marginS / 300) * 300;
  const posed = posedAt(question, work, inHandS);
  const tries = effort.tries ?? triesFor(work.chores.length);
  const found = moved(posed, first, { seed: effort.seed ?? 1, tries });
  if (!found) return null;
  const runs = [{ ...question, id: question.id ?? '' }, ...(question.beside ?? [])];
  const known = knownOf(question.id ?? '', runs, work, first.starts, attempt.grouped);
  return { ...told(question, work, posed, found, sim, inHandS), known };
}

interface Attempt {
  readonly work: Together;
  readonly posed: Posed;
  readonly found: Found;
  readonly grouped: GroupedRuns;
}

/** The same day with its pieces grouped otherwise over loads and rounds, where that makes it better. */
function* regrouped(
  question: DayQuestion,
  own: AskedRun,
  ways: ReturnType<typeof groupingsOf>,
  options: SearchOptions,
  plain: Attempt,
): Generator<number, Attempt, void> {
  const { kitchen, beside = [], changes } = question;
  let best = plain;
  for (const { runId, regroup, worthS } of ways) {
    const runs = new Map(best.grouped).set(runId, regroup(best.grouped.get(runId) ?? AS_PLANNED));
    const work = together(own, beside, kitchen, changes, runs);
    const posed = posedAt(question, work, 0);
    const found: Found | null = yield* backwardsInSteps(posed.problem, {
      ...options,
      tries: Math.ceil((options.tries * GROUPING_SHARE) / ways.length),
      // The day that stands is where to begin, for all chores that are the same.
      from: startsOf(work, best),
    });
    if (!found || scoreOf(found.worth) > scoreOf(best.found.worth) - worthS) continue;
    best = { work, posed, found, grouped: runs };
  }
  return best;
}

/** When the chores of a day began in another; those that it has not, with what comes first of their line. */
function startsOf(work: Together, { work: before, found }: Attempt): number[] {
  const known = new Map(before.chores.map(({ id }, i) => [id, found.starts[i] ?? 0]));
  const ofLine = (lineIds: readonly string[]) =>
    Math.min(
      0,
      ...before.chores.flatMap((chore, i) =>
        chore.lineIds.some((id) => lineIds.includes(id)) ? [found.starts[i] ?? 0] : [],
      ),
    );
  return work.chores.map(({ id, lineIds }) => known.get(id) ?? ofLine(lineIds));
}

/** Other ways to group are tried with so much of the search, each of them a little. */
const GROUPING_SHARE = 0.4;
/** Ways to group that are tried at most. */
const GROUPINGS = 8;

const groupingsOf = (runs: readonly AskedRun[], kitchen: KitchenDoc) =>
  [...runs]
    .sort((a, b) => (a.id < b.id ? -1 : 1))
    .flatMap((run) => groupingsOfRun(run.whole, kitchen).map((one) => ({ ...one, runId: run.id })))
    .slice(0, GROUPINGS);

/** The same day where it keeps clear of the nights; else found anew. */
function moved(posed: Posed, first: Found, options: SearchOptions): Found | null {
  if (breachesOf(posed.problem, first.starts).length === 0) return first;
  return backwards(posed.problem, {
    ...options,
    from: first.starts,
    tries: Math.max(Math.min(MOVED_TRIES, options.tries), options.tries >> 3),
    patience: MOVED_TRIES,
  });
}
/** Orders that are tried at least before a day that has moved is given up. */
const MOVED_TRIES = 40;

function posedAt({ kitchen, changes }: DayQuestion, work: Together, inHandS: number): Posed {
  const nights = nightsBefore(kitchen, work.lastMin, changes).map(
    ([from, until]) => [from + inHandS, until + inHandS] as const,
  );
  const later = (times: ReadonlyMap<string, number>) =>
    new Map([...times].map(([id, at]) => [id, Math.round(at + inHandS)] as const));
  return problemOf(work.chores, kitchen, nights, {
    madeBy: later(work.madeByS),
    held: later(work.heldS),
    dueS: work.dueS,
  });
}

const emptyDay = (
  { lacking, things }: Pick<Posed, 'lacking' | 'things'>,
  blocked: Blocked | null = null,
): RunDay => ({
  chores: [],
  beside: [],
  turns: [],
  safeStartAt: null,
  doneAt: null,
  inHandMin: 0,
  bareChance: 0,
  eaters: [],
  squeezes: 0,
  handsMin: 0,
  feetMin: 0,
  breaches: [],
  lacking,
  blockedBy: blocked,
  things,
  starts: [],
  known: null,
});

function told(
  { kitchen, changes }: DayQuestion,
  { chores, lastMin, ownDueS }: Together,
  posed: Posed,
  found: Found,
  sim: Simulated,
  inHandS: number,
): Omit<RunDay, 'known'> {
  const at = (seconds: number) => localOf(lastMin + (seconds - inHandS) / 60, changes);
  const minutesBefore = (seconds: number) => (ownDueS + inHandS - seconds) / 60;
  const secondsAt = (minutes: number) => ownDueS + inHandS - minutes * 60;
  // What waits begins as soon as what it waits for is done, not as late as it might.
  const starts = waitsAtOnce(posed, chores, found.starts);
  const slack = slackOf(posed, starts);
  const all = chores.map((chore, i): Timed => {
    const start = starts[i] ?? 0;
    const end = start + (posed.problem.jobs[i]?.lengthS ?? 0);
    return {
      chore,
      startAt: at(start),
      endAt: at(end),
      startMin: minutesBefore(start),
      endMin: minutesBefore(end),
      slackS: slack[i]?.slackS ?? 0,
      heldBy: slack[i]?.by === undefined || slack[i].by < 0 ? null : (chores[slack[i].by]?.id ?? null),
    };
  });
  const inOrder = (some: readonly Timed[]) =>
    [...some].sort((a, b) => b.startMin - a.startMin || b.endMin - a.endMin);
  const timed = all.filter(({ chore }) => chore.ofRun === undefined);
  const beside = all.filter(({ chore }) => chore.ofRun !== undefined);
  const turns = turnsOf(all, kitchen, at, { minutesBefore, secondsAt });
  const firstMin = Math.max(
    ...timed.map(({ startMin }) => startMin),
    ...turns.filter(({ own }) => own).map(({ atMin }) => atMin),
  );
  const ownReady = lastMin + ownDueS / 60;
  const hands = timed.filter(({ chore }) => chore.kind === 'hands');
  const handsMin = hands.reduce((sum, { chore }) => sum + chore.takes.lengthS / 60, 0);
  const feetMin =
    hands.length === 0
      ? 0
      : Math.max(...hands.map(({ startMin }) => startMin)) - Math.min(...hands.map(({ endMin }) => endMin));
  return {
    chores: inOrder(timed),
    beside: inOrder(beside),
    turns,
    safeStartAt: localOf(ownReady - firstMin, changes),
    doneAt: localOf(ownReady - Math.min(...timed.map(({ endMin }) => endMin)), changes),
    inHandMin: inHandS / 60,
    bareChance: sim.inTime(0),
    eaters: sim.eaters,
    squeezes: found.worth.squeezes,
    handsMin,
    feetMin,
    breaches: breachesOf(posed.problem, starts),
    lacking: [],
    blockedBy: null,
    things: posed.things,
    starts,
  };
}
