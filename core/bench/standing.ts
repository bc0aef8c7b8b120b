import type { RunDoc } from '../model/documents';
import type { Chore } from '../schedule/chores/chore';
import type { Stood } from '../schedule/chores/dayLeft';
import { clocksIn, type BakeClock } from './clocksIn';
import { expectedEndS } from './looks';
import { benchStateOf, readyAtOf, type BenchState } from './log';

/** How a chore stands at a moment. Times in ms since the epoch. */
export type Standing =
  | { readonly is: 'open' }
  /** With when it is expected to be ready; null for hands at work, who say so themselves. */
  | { readonly is: 'running'; readonly begunAt: number; readonly readyAt: number | null }
  | { readonly is: 'ended'; readonly endedAt: number };

export interface Bench {
  readonly state: BenchState;
  readonly standing: ReadonlyMap<string, Standing>;
  /** Chores that can be taken up now, in the day's order; those of lines that are away left out. */
  readonly ready: readonly Chore[];
  /** Chores that run, the first to be ready first. */
  readonly running: readonly Chore[];
}

const OPEN: Standing = { is: 'open' };

/** The load that an oven's chore is about, where its clock is one of the run's. */
export const loadOf = (chore: Chore): number | null => {
  if (chore.kind !== 'oven') return null;
  if (chore.does === 'load' || chore.does === 'group') return chore.load ?? 1;
  return chore.does === 'bake' && chore.bake === null ? (chore.load ?? 1) : null;
};

const clockOf = (chore: Chore, clocks: readonly BakeClock[]): BakeClock | null => {
  const load = loadOf(chore);
  if (load === null) return null;
  return clocks.find((clock) => clock.load === load && chore.lineIds.includes(clock.lineId)) ?? null;
};

/**
 * Where every chore stands, by the run's log and by the hour. What comes after something that has begun has
 * been done, whether anybody said so or not: nobody bakes a batter that was never mixed.
 * @param chores in the day's order
 * @param now ms since the epoch
 */
export function benchOf(run: Pick<RunDoc, 'log'>, chores: readonly Chore[], now: number): Bench {
  const state = benchStateOf(run.log ?? []);
  const standing = new Map<string, Standing>();
  const clocks = clocksIn(run);
  for (const chore of chores) standing.set(chore.id, byItself(chore, clocks, state, now));
  // What is left of a line that is done is no work any more: of a step for several lines, all of them have to be.
  for (const chore of chores) {
    const at = chore.lineIds.map((id) => state.closedLines.get(id)?.at ?? null);
    if (at.length === 0 || at.includes(null) || standing.get(chore.id)?.is === 'ended') continue;
    standing.set(chore.id, { is: 'ended', endedAt: Math.max(...at.map((one) => one ?? 0)) });
  }
  const byId = new Map(chores.map((chore) => [chore.id, chore]));
  const beforeIs = (chore: Chore, at: number): void => {
    for (const { chore: id } of chore.after) {
      const before = byId.get(id);
      if (!before || standing.get(id)?.is === 'ended') continue;
      standing.set(id, { is: 'ended', endedAt: at });
      beforeIs(before, at);
    }
  };
  for (const chore of chores) {
    const own = standing.get(chore.id) ?? OPEN;
    if (own.is === 'open') continue;
    beforeIs(chore, own.is === 'running' ? own.begunAt : own.endedAt);
  }
  for (const chore of chores) {
    if (chore.kind !== 'wait' || standing.get(chore.id)?.is !== 'open') continue;
    const begunAt = endOfAll(chore, standing);
    if (begunAt === null || begunAt > now) continue;
    const readyAt = begunAt + chore.takes.lengthS * 1000;
    standing.set(
      chore.id,
      readyAt <= now ? { is: 'ended', endedAt: readyAt } : { is: 'running', begunAt, readyAt },
    );
  }
  const is = (id: string) => standing.get(id)?.is;
  const ready = chores.filter(
    (chore) =>
      chore.kind !== 'wait' &&
      is(chore.id) === 'open' &&
      !(chore.lineIds.length === 1 && state.away.has(chore.lineIds[0] ?? '')) &&
      chore.after.every(({ chore: id, leastS }) => {
        const before = standing.get(id);
        return !before || (before.is === 'ended' && before.endedAt + leastS * 1000 <= now);
      }),
  );
  const until = (chore: Chore): number => {
    const own = standing.get(chore.id);
    return own?.is === 'running' ? (own.readyAt ?? Infinity) : Infinity;
  };
  const running = chores.filter(({ id }) => is(id) === 'running').sort((a, b) => until(a) - until(b));
  return { state, standing, ready, running };
}

/** When a wait begins by itself: as all that it comes after has ended; null where something has not. */
function endOfAll({ after }: Chore, standing: ReadonlyMap<string, Standing>): number | null {
  let at = -Infinity;
  for (const { chore, leastS } of after) {
    const before = standing.get(chore);
    if (before && before.is !== 'ended') return null;
    if (before) at = Math.max(at, before.endedAt + leastS * 1000);
  }
  return Number.isFinite(at) ? at : null;
}

function byItself(chore: Chore, clocks: readonly BakeClock[], { chores }: BenchState, now: number): Standing {
  const clock = clockOf(chore, clocks);
  if (clock)
    return clock.endedAt === null
      ? { is: 'running', begunAt: clock.startedAt, readyAt: clock.startedAt + expectedEndS(clock) * 1000 }
      : { is: 'ended', endedAt: clock.endedAt };
  const told = chores.get(chore.id);
  if (!told || told.begunAt === null) return OPEN;
  if (told.endedAt !== null) return { is: 'ended', endedAt: told.endedAt };
  const readyAt = readyAtOf(told);
  // What only waits ends by itself; what is in the heat or in hand ends when somebody says so.
  if (readyAt !== null && readyAt <= now && (chore.kind === 'wait' || chore.kind === 'ahead'))
    return { is: 'ended', endedAt: readyAt };
  return { is: 'running', begunAt: told.begunAt, readyAt };
}

/** Waits that begin by themselves as soon as a chore is done: all else that they come after has ended. */
export function waitsAfter(chore: Chore, chores: readonly Chore[], bench: Bench): Chore[] {
  return chores.filter(
    (one) =>
      one.kind === 'wait' &&
      bench.standing.get(one.id)?.is === 'open' &&
      one.after.some(({ chore: id }) => id === chore.id) &&
      one.after.every(
        ({ chore: id }) => id === chore.id || (bench.standing.get(id)?.is ?? 'ended') === 'ended',
      ),
  );
}

/** The same as the planner of what is left has it: s ago. */
export function stoodOf({ standing }: Bench, now: number): Map<string, Stood> {
  const ago = (at: number) => Math.max(0, (now - at) / 1000);
  return new Map(
    [...standing].flatMap(([id, own]): [string, Stood][] => {
      if (own.is === 'open') return [];
      if (own.is === 'ended')
        return [[id, { begunAgoS: ago(own.endedAt), endedAgoS: ago(own.endedAt), leftS: null }]];
      const leftS = own.readyAt === null ? null : Math.max(0, (own.readyAt - now) / 1000);
      return [[id, { begunAgoS: ago(own.begunAt), endedAgoS: null, leftS }]];
    }),
  );
}
