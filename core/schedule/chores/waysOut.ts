import type { FrostingChoice, KitchenDoc, Line } from '../../model/documents';
import type { TopStyle } from '../../model/kinds';
import { TOP_S } from './chores.table';
import { choose, edit } from '../../line';
import type { PlanFile } from '../../plan';
import { planWhole, PlanMemory } from '../../plan';
import { localOf, minutesOf } from '../../model/localTime';
import { dayLeft, type Stood } from './dayLeft';
import { dayInSteps, type DayQuestion, type RunDay } from './runDay';
import type { KnownDay } from './known';
import type { AskedRun } from './together';
import { thingName, unitsOf } from './things';

/** One change that would give the day time, as the solver found it. */
export interface WayOut {
  readonly id: string;
  readonly words: string;
  /** How much later the day may begin with it, min; more than nothing. */
  readonly gainsMin: number;
  /** The day with it: once it is taken, no later than promised. */
  readonly known: KnownDay | null;
  readonly change:
    | { readonly of: 'kitchen'; readonly kitchen: KitchenDoc }
    | { readonly of: 'line'; readonly line: Line }
    | { readonly of: 'ahead'; readonly ahead: Readonly<Record<string, number>> };
}

/** Less than this is not worth a change, min. */
const WORTH_MIN = 5;
/** Orders tried for each way, and days simulated: enough to tell five minutes. */
const TRIES = 80;
const DAYS = 400;

/** A run with what is made ahead, and the runs that share its kitchen's day: all that a day follows from. */
export interface DayFile extends PlanFile {
  readonly beside?: readonly PlanFile[] | undefined;
  /** The day as it was found last, and whether nothing has changed since. */
  readonly known?: DayQuestion['known'];
}

/** The day of a file, by steps. */
export function* dayOfFile(
  file: DayFile,
  tries?: number,
  days?: number,
): Generator<number, RunDay | null, void> {
  const { kitchen, changes, beside = [], known } = file;
  return yield* dayInSteps(
    {
      ...askedOf(file, kitchen),
      kitchen,
      changes,
      beside: beside.map((one) => askedOf(one, kitchen)),
      known,
    },
    { ...(tries === undefined ? {} : { tries }), ...(days === undefined ? {} : { days }) },
  );
}

const askedOf = (file: PlanFile, kitchen: KitchenDoc): AskedRun => ({
  id: file.run.id,
  whole: planWhole({ ...file, kitchen }, null, new PlanMemory()),
  readyAt: file.run.readyAt,
  ahead: file.run.ahead,
  held: file.run.held,
});

/** What has happened by now: ways out are tried for the rest. */
export interface Since {
  readonly nowAt: string;
  /** Chores that have begun or ended. */
  readonly stood: ReadonlyMap<string, Stood>;
}

type Candidate = Pick<WayOut, 'id' | 'words' | 'change'>;

/** What each way out gives, tried one by one, the most first. */
export function* waysOut(
  file: DayFile,
  day: RunDay,
  since: Since | null = null,
  tries: number = TRIES,
): Generator<number, WayOut[], void> {
  const all = candidatesOf(file, day).filter((one) => !since || isPossible(one, file, day, since));
  const begun = since !== null && since.stood.size > 0;
  const out: WayOut[] = [];
  const startMin = (one: RunDay) =>
    one.safeStartAt === null ? null : minutesOf(one.safeStartAt, file.changes);
  const before = startMin(day);
  const lateMin = (of: DayFile, one: RunDay) =>
    since &&
    (dayLeft({ ...since, day: one, kitchen: of.kitchen, readyAt: of.run.readyAt, changes: of.changes })
      ?.lateMin ??
      null);
  const lateBefore = begun ? lateMin(file, day) : null;
  for (const [i, candidate] of all.entries()) {
    yield i / all.length;
    const from = day.known ? { day: day.known, same: false } : undefined;
    const other = changed(file, candidate.change);
    const tried = yield* dayOfFile({ ...other, known: from }, tries, DAYS);
    if (begun) {
      const late = tried && lateMin(other, tried);
      const gainsMin = lateBefore === null || late === null ? 0 : lateBefore - late;
      if (tried && gainsMin >= WORTH_MIN) out.push({ ...candidate, gainsMin, known: tried.known });
      continue;
    }
    const after = tried && startMin(tried);
    if (after === null || tried === null) continue;
    // Where there was no day at all, any day is a way out.
    const gainsMin = before === null ? Infinity : workMin(tried, after) - workMin(day, before);
    if (gainsMin >= WORTH_MIN) out.push({ ...candidate, gainsMin, known: tried.known });
  }
  return out.sort((a, b) => b.gainsMin - a.gainsMin);
}

/** Whether a way can still be taken: nothing of what it changes has begun, and a day before is not over. */
function isPossible({ change }: Candidate, file: DayFile, day: RunDay, { nowAt, stood }: Since): boolean {
  const begun = (of: (chore: RunDay['chores'][number]['chore']) => boolean) =>
    day.chores.some(({ chore }) => of(chore) && stood.has(chore.id));
  switch (change.of) {
    case 'kitchen':
      return true;
    case 'line':
      return !begun(({ lineIds }) => lineIds.includes(change.line.id));
    case 'ahead': {
      const { restFrom = '22:00' } = file.kitchen;
      return Object.entries(change.ahead).every(([id, days]) => {
        if ((file.run.ahead ?? {})[id] === days) return true;
        const own = day.chores.filter(({ chore }) => chore.part?.id === id);
        const workS = own.reduce((sum, { chore }) => sum + chore.takes.lengthS, 0);
        const evening = localOf(minutesOf(file.run.readyAt, file.changes) - days * 1440, file.changes);
        const until = minutesOf(`${evening.slice(0, 10)}T${restFrom}`, file.changes);
        return !begun(({ part }) => part?.id === id) && until - minutesOf(nowAt, file.changes) >= workS / 60;
      });
    }
  }
}

/** What is made on days before does not count: the day itself begins with what is left. */
function workMin(day: RunDay, startMin: number): number {
  const last = day.chores.at(-1);
  const date = last?.endAt.slice(0, 10);
  const own = day.chores.filter(({ startAt }) => startAt.slice(0, 10) === date);
  const first = Math.max(...own.map(({ startMin: before }) => before));
  const all = Math.max(...day.chores.map(({ startMin: before }) => before));
  return startMin + (all - first);
}

export function changed(file: DayFile, change: WayOut['change']): DayFile {
  switch (change.of) {
    case 'kitchen':
      return { ...file, kitchen: change.kitchen };
    case 'line':
      return {
        ...file,
        run: {
          ...file.run,
          lines: file.run.lines.map((line) => (line.id === change.line.id ? change.line : line)),
        },
      };
    case 'ahead':
      return { ...file, run: { ...file.run, ahead: change.ahead } };
  }
}

function candidatesOf({ run, kitchen }: DayFile, day: RunDay): Candidate[] {
  const out: Candidate[] = [];
  const hands = unitsOf(kitchen, { kind: 'hands' }) ?? 1;
  if (hands < 4)
    out.push({
      id: 'hands',
      words: 'Another pair of hands',
      change: { of: 'kitchen', kitchen: { ...kitchen, hands: hands + 1 } },
    });
  for (const thing of day.things) {
    if (thing.kind !== 'tin' && thing.kind !== 'mould' && thing.kind !== 'sheet') continue;
    const key = `${thing.kind}s` as const;
    const more = (kitchen[key] ?? []).map((one) =>
      one.id === thing.id ? { ...one, owned: one.owned + 1 } : one,
    );
    out.push({
      id: `more:${thing.kind}:${thing.id}`,
      words: `One more of “${thingName(kitchen, thing)}”`,
      change: { of: 'kitchen', kitchen: { ...kitchen, [key]: more } },
    });
  }
  const parts = new Map(day.chores.flatMap(({ chore: { part } }) => (part ? [[part.id, part]] : [])));
  for (const part of parts.values()) {
    if (part.keepsDays < 1 || (run.ahead ?? {})[part.id]) continue;
    out.push({
      id: `ahead:${part.id}`,
      words: `${part.name}: the day before`,
      change: { of: 'ahead', ahead: { ...run.ahead, [part.id]: 1 } },
    });
  }
  for (const line of run.lines) {
    out.push(...otherFinishes(line, kitchen));
    if (line.count >= 6) {
      const count = Math.max(1, Math.round(line.count * 0.75));
      out.push({
        id: `fewer:${line.id}`,
        words: `${count} instead of ${line.count}`,
        change: { of: 'line', line: edit(line, choose({ count })) },
      });
    }
  }
  return out;
}

/** Styles that are put on sooner than another, the quickest of those that look like something first. */
const PLAINER: readonly TopStyle[] = ['rosette', 'spread'];

/** The freezer instead of the fridge, and finishes that take less time. */
function otherFinishes(line: Line, kitchen: KitchenDoc): Candidate[] {
  const out: Candidate[] = [];
  const way = (id: string, words: string, over: Parameters<typeof choose>[0]) =>
    out.push({ id: `${id}:${line.id}`, words, change: { of: 'line', line: edit(line, choose(over)) } });
  const coat = line.family === 'pop' ? line.coat : null;
  if (coat?.school === 'fridge-firm' && kitchen.freezerTrays !== 0)
    way('freezer', 'The freezer instead of the fridge', { coat: { ...coat, school: 'frozen' } });
  const frosting = 'frosting' in line ? (line.frosting as FrostingChoice | null) : null;
  const plainer = frosting && PLAINER.find((style) => TOP_S[style] < TOP_S[frosting.style] * 0.85);
  if (frosting && plainer)
    way('finish', `Frosting: ${plainer} instead of ${frosting.style}`, {
      frosting: { ...frosting, style: plainer },
    });
  if ('fondant' in line && line.fondant) way('fondant', 'No fondant over it', { fondant: false });
  return out;
}
