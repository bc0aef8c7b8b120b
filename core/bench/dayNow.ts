import type { KitchenDoc, RunDoc } from '../model/documents';
import { localOf, minutesOf, type ClockChange } from '../model/localTime';
import { turnsOf } from '../schedule/chores/ovenTurns';
import type { DayLeft } from '../schedule/chores/dayLeft';
import type { RunDay } from '../schedule/chores/runDay';
import type { Timed } from '../schedule/chores/timed';
import type { Bench } from './standing';

/** What a day is told anew by, once something of it has happened. */
export interface Happened {
  readonly run: Pick<RunDoc, 'readyAt'>;
  readonly kitchen: KitchenDoc;
  readonly bench: Bench;
  readonly left: DayLeft | null;
  /** Local time now. */
  readonly nowAt: string;
  /** Local time of a moment, ms since the epoch. */
  readonly localAt: (ms: number) => string;
  readonly changes?: readonly ClockChange[] | undefined;
}

/**
 * The day as it stands: what is done at the hours at which it was done, what runs until it is expected to end, and the
 * rest as what is left has it. Ovens that are on are told no more. Chores of other runs stay as planned.
 */
export function dayNow(day: RunDay, happened: Happened): RunDay {
  const { run, kitchen, nowAt, changes } = happened;
  const readyMin = minutesOf(run.readyAt, changes);
  const before = (local: string): number => readyMin - minutesOf(local, changes);
  const moved = (timed: Timed): Timed => {
    const { startAt, endAt } = hoursOf(timed, happened);
    // Nothing ends before it begins, whatever its clocks say.
    const startMin = before(startAt);
    const endMin = Math.min(startMin, before(endAt));
    return startAt === timed.startAt && endAt === timed.endAt
      ? timed
      : {
          ...timed,
          startAt,
          endAt: endMin === startMin ? startAt : endAt,
          startMin,
          endMin,
          slackS: 0,
          heldBy: null,
        };
  };
  const chores = day.chores.map(moved).sort((a, b) => b.startMin - a.startMin || b.endMin - a.endMin);
  const turns = turnsOf(
    [...chores, ...day.beside],
    kitchen,
    (seconds) => localOf(readyMin + Math.round(seconds / 60), changes),
    { minutesBefore: (s) => -s / 60, secondsAt: (min) => -min * 60 },
  ).filter(({ at }) => at >= nowAt);
  return { ...day, chores, turns };
}

/** When a chore was begun and ended, or will. */
function hoursOf(
  { chore, startAt, endAt }: Timed,
  { bench, left, localAt }: Happened,
): Pick<Timed, 'startAt' | 'endAt'> {
  const own = bench.standing.get(chore.id);
  const begunAt = bench.state.chores.get(chore.id)?.begunAt ?? null;
  const lastsMs = chore.takes.lengthS * 1000;
  switch (own?.is) {
    case 'ended': {
      // Of what nobody said when it was begun, its usual length before its end.
      const from = Math.min(begunAt ?? own.endedAt - lastsMs, own.endedAt);
      return { startAt: localAt(from), endAt: localAt(own.endedAt) };
    }
    case 'running':
      return {
        startAt: localAt(own.begunAt),
        endAt: left?.ends.get(chore.id) ?? localAt(own.readyAt ?? own.begunAt + lastsMs),
      };
    default:
      return {
        startAt: left?.starts.get(chore.id) ?? startAt,
        endAt: left?.ends.get(chore.id) ?? endAt,
      };
  }
}
