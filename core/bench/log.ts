import type { BenchClock, BenchEvent } from '../model/documents';
import { FINISH_KINDS, type FinishKind } from '../model/kinds';

/** How a chore stands by what was told of it. */
export interface Told {
  /** ms since the epoch; null where nobody said so. */
  readonly begunAt: number | null;
  readonly endedAt: number | null;
  readonly skipped: boolean;
  readonly clock: BenchClock | null;
  /** When it was last looked at and not ready, and how much longer it was given then, s. */
  readonly lookedAt: number | null;
  readonly moreS: number;
}

/** At which step something was told: what is done in it, and for whom, where the log says so. */
export type AtStep = Pick<Extract<BenchEvent, { readonly what: 'done' }>, 'does' | 'lineIds'>;

export interface Weighed extends AtStep {
  readonly of: string;
  readonly massG: number;
}

export interface Answered extends AtStep {
  readonly to: string;
  readonly answer: string;
  readonly value: number | null;
  readonly at: number;
}

/** A line that is done: how many good ones came of it, when, ms since the epoch, and how they ended where it was told. */
export interface ClosedLine {
  readonly made: number;
  readonly at: number;
  readonly finish: FinishKind | null;
}

/** The bench as its log leaves it: the same whenever it is read, and valid after every event. */
export interface BenchState {
  readonly chores: ReadonlyMap<string, Told>;
  /** Lines that somebody else works at. */
  readonly away: ReadonlySet<string>;
  readonly lost: ReadonlyMap<string, number>;
  /** By line, how many its bowl came to as it was portioned, whatever was lost of them before or after. */
  readonly counted: ReadonlyMap<string, number>;
  readonly closedLines: ReadonlyMap<string, ClosedLine>;
  /** By chore, what was weighed and what was answered, in the order in which it was told. */
  readonly weighed: ReadonlyMap<string, readonly Weighed[]>;
  readonly answers: ReadonlyMap<string, readonly Answered[]>;
  /** ms since the epoch since when all stands still; null where it does not. */
  readonly pausedAt: number | null;
}

const UNTOLD: Told = {
  begunAt: null,
  endedAt: null,
  skipped: false,
  clock: null,
  lookedAt: null,
  moreS: 0,
};

/** Events that count: what was undone, and the undoing, left out. An undoing can be undone. */
export function counted(log: readonly BenchEvent[]): BenchEvent[] {
  const gone = new Set<string>();
  // What was said last is read first: an undoing that is undone undoes nothing.
  for (const event of [...log].reverse())
    if (event.what === 'undone' && !gone.has(event.id)) gone.add(event.event);
  return log.filter((event) => event.what !== 'undone' && !gone.has(event.id));
}

/** What all events come to. */
export function benchStateOf(log: readonly BenchEvent[]): BenchState {
  const chores = new Map<string, Told>();
  const away = new Set<string>();
  const lost = new Map<string, number>();
  const came = new Map<string, number>();
  const closedLines = new Map<string, ClosedLine>();
  const weighed = new Map<string, readonly Weighed[]>();
  const answers = new Map<string, readonly Answered[]>();
  let pausedAt: number | null = null;
  const tell = (chore: string, over: (before: Told) => Partial<Told>) => {
    const before = chores.get(chore) ?? UNTOLD;
    chores.set(chore, { ...before, ...over(before) });
  };
  for (const event of counted(log)) {
    switch (event.what) {
      case 'begun':
        tell(event.chore, () => ({ begunAt: event.at, endedAt: null, clock: event.clock ?? null }));
        break;
      case 'done':
        tell(event.chore, ({ begunAt }) => ({ begunAt: begunAt ?? event.at, endedAt: event.at }));
        break;
      case 'skipped':
        tell(event.chore, ({ begunAt }) => ({
          begunAt: begunAt ?? event.at,
          endedAt: event.at,
          skipped: true,
        }));
        break;
      case 'not yet':
        tell(event.chore, () => ({ lookedAt: event.at, moreS: event.moreS, endedAt: null }));
        break;
      case 'weighed': {
        const { of, massG, does, lineIds } = event;
        weighed.set(event.chore, [...(weighed.get(event.chore) ?? []), { of, massG, does, lineIds }]);
        break;
      }
      case 'answered': {
        const { to, answer, value = null, at, does, lineIds } = event;
        const told = { to, answer, value, at, does, lineIds };
        answers.set(event.chore, [...(answers.get(event.chore) ?? []), told]);
        break;
      }
      case 'lost':
        lost.set(event.lineId, (lost.get(event.lineId) ?? 0) + event.pieces);
        break;
      case 'counted':
        came.set(event.lineId, event.pieces);
        break;
      case 'line closed':
        closedLines.set(event.lineId, {
          made: event.made,
          at: event.at,
          finish: FINISH_KINDS.find((kind) => kind === event.finish) ?? null,
        });
        break;
      case 'handed':
        if (event.away) away.add(event.lineId);
        else away.delete(event.lineId);
        break;
      case 'paused':
        pausedAt ??= event.at;
        break;
      case 'resumed':
        pausedAt = null;
        break;
      // Loads have their clocks.
      case 'load in':
      case 'looked':
      case 'load out':
      case 'load at':
      case 'load told':
        break;
      case 'undone':
        throw new Error('invariant: what is undone does not count');
    }
  }
  return { chores, away, lost, counted: came, closedLines, weighed, answers, pausedAt };
}

/** When a clock is expected to be ready, ms since the epoch: as it was begun, or as long after a look as it was given. */
export const readyAtOf = ({ begunAt, clock, lookedAt, moreS }: Told): number | null => {
  if (begunAt === null || clock === null) return null;
  return lookedAt === null ? begunAt + clock.expectedS * 1000 : lookedAt + moreS * 1000;
};

/** When somebody has to see to it, ms since the epoch: the first look into a heat, else when it is expected to be ready. */
export const dueAtOf = (told: Told): number | null =>
  told.begunAt !== null && told.lookedAt === null && told.clock?.firstLookS !== undefined
    ? told.begunAt + told.clock.firstLookS * 1000
    : readyAtOf(told);

/**
 * How many pieces of a line go on: what its bowl came to, less what is lost since.
 * @param planned as the plan or the day has it
 */
export const goingOn = (
  { lost, counted: came }: Pick<BenchState, 'lost' | 'counted'>,
  lineId: string,
  planned: number,
): number => Math.max(0, (came.get(lineId) ?? planned) - (lost.get(lineId) ?? 0));

/** The last event that counts: what going a step back takes away. */
export const lastOf = (log: readonly BenchEvent[]): BenchEvent | null => counted(log).at(-1) ?? null;
