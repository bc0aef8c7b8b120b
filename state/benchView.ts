import { useMemo } from 'react';
import { create } from 'zustand';
import { dayNow } from '../core/bench/dayNow';
import { forFewer } from '../core/bench/fewer';
import { benchOf, stoodOf, type Bench } from '../core/bench/standing';
import type { RunDoc } from '../core/model/documents';
import { lastActOf } from '../core/bench/lastAct';
import type { Chore, DayLeft, RunDay, Since } from '../core/schedule/chores';
import { onTheWall, useSteadyNow } from './clock';
import { useDayLeft, useRunDay, type DayView } from './runDay';
import { useKitchen } from './store';
import { changesBefore, localNow } from './time';

/** A step that somebody took in hand: known by what is done for whom, where a better day has another name for it. */
type Chosen = Pick<Chore, 'id' | 'does' | 'lineIds'>;

const isChosen = (chore: Chore, chosen: Chosen | undefined, all: readonly Chore[]): boolean =>
  chosen !== undefined &&
  (all.some(({ id }) => id === chosen.id)
    ? chore.id === chosen.id
    : chore.does === chosen.does && chore.lineIds.some((id) => chosen.lineIds.includes(id)));

/** How the bench is looked at: kept for as long as the page is open. */
export const useBenchLook = create<{
  /** By run, the chore that somebody has taken in hand before its turn. */
  readonly chosen: Readonly<Record<string, Chosen>>;
  /** To be read from two metres. */
  readonly large: boolean;
  /** Read out by the browser's own voice. */
  readonly aloud: boolean;
}>(() => ({ chosen: {}, large: false, aloud: false }));

export const takeInHand = (runId: string, { id, does, lineIds }: Chosen): void =>
  useBenchLook.setState(({ chosen }) => ({ chosen: { ...chosen, [runId]: { id, does, lineIds } } }));

/** Where a run stands by what has happened: every place that tells its day reads it here. */
export interface RunStanding {
  readonly view: DayView;
  /** The day as it was found, which what is left follows from. */
  readonly day: RunDay | null;
  /** The day as it stands: once something has happened, at the hours at which it did and at which the rest will. */
  readonly dayNow: RunDay | null;
  readonly chores: readonly Chore[];
  readonly bench: Bench;
  /** Something of it has happened: from then on what is left counts, and no longer the plan. */
  readonly begun: boolean;
  /** What is left of the day; null until it is known, and where nothing is. */
  readonly left: DayLeft | null;
  /** When a chore that has not begun is to begin: as what is left has it, else as planned. Local time. */
  readonly startOf: (id: string) => string;
  /** When a chore ended or is to end, likewise. */
  readonly endOf: (id: string) => string;
  /** What is done now; null where nothing can be. */
  readonly inHand: Chore | null;
  /** What else can be taken up, and what comes after, in the order of what is left. */
  readonly next: readonly { readonly chore: Chore; readonly at: string }[];
  /** What has happened, for whoever tries what else could be done. */
  readonly since: Since;
  /** ms of the steady clock. */
  readonly now: number;
}

/** A step is in hand from so long before its hour on, ms. */
const EARLY_MS = 3 * 60_000;

const NONE: readonly Chore[] = [];

/**
 * Where a run stands, renewed as often as is asked for.
 * @param everyMs how often the moment is taken anew
 */
export function useStanding(run: RunDoc, everyMs = 20_000): RunStanding {
  const view = useRunDay(run);
  const { day } = view;
  const now = useSteadyNow(everyMs);
  const kitchen = useKitchen();
  const chosen = useBenchLook(({ chosen: all }) => all[run.id]);
  const chores = useMemo(() => day?.chores.map(({ chore }) => chore) ?? NONE, [day]);
  const bench = benchOf(run, chores, now);
  const since: Since = { nowAt: localNow(onTheWall(now)), stood: stoodOf(bench, now) };
  const left = useDayLeft(
    day && chores.length > 0 && !run.closed
      ? {
          ...since,
          day: { chores: forFewer(day.chores, bench.state) },
          kitchen,
          readyAt: run.readyAt,
          changes: changesBefore(run.readyAt),
        }
      : null,
  );
  const planned = new Map(day?.chores.map(({ chore, startAt }) => [chore.id, startAt]) ?? []);
  const startOf = (id: string) => left?.starts.get(id) ?? planned.get(id) ?? '';
  const endOf = (id: string) => {
    const own = bench.standing.get(id);
    if (own?.is === 'ended') return localNow(onTheWall(own.endedAt));
    return left?.ends.get(id) ?? day?.chores.find(({ chore }) => chore.id === id)?.endAt ?? '';
  };
  const begun = !run.closed && lastActOf(run).length > 0;
  const hands = inHandAndNext({ bench, chores, startOf, now }, chosen);
  const asItStands =
    day && begun
      ? dayNow(day, {
          run,
          kitchen,
          bench,
          left,
          nowAt: since.nowAt,
          localAt: (ms) => localNow(onTheWall(ms)),
          changes: changesBefore(run.readyAt),
        })
      : day;
  return { view, day, dayNow: asItStands, chores, bench, begun, left, startOf, endOf, ...hands, since, now };
}

/** What is in hand and what comes next, in the order of what is left. */
function inHandAndNext(
  { bench, chores, startOf: at, now }: Pick<RunStanding, 'bench' | 'chores' | 'startOf' | 'now'>,
  chosen: Chosen | undefined,
): Pick<RunStanding, 'inHand' | 'next'> {
  const inOrder = (some: readonly Chore[]) =>
    [...some].sort((a, b) => (at(a.id) < at(b.id) ? -1 : Number(at(a.id) > at(b.id))));
  const ready = inOrder(bench.ready);
  // What has its hour later waits for it: a coat that is melted now is cold by the time it is wanted.
  const soon = localNow(onTheWall(now) + EARLY_MS);
  const inHand =
    ready.find((one) => isChosen(one, chosen, chores)) ?? ready.find(({ id }) => at(id) <= soon) ?? null;
  const next = inOrder(
    chores.filter(
      ({ id, kind }) => kind !== 'wait' && id !== inHand?.id && bench.standing.get(id)?.is === 'open',
    ),
  ).map((chore) => ({ chore, at: at(chore.id) }));
  return { inHand, next };
}
