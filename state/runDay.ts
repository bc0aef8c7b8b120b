import { useEffect, useMemo, useRef, useState } from 'react';
import { create } from 'zustand';
import type { RunDoc } from '../core/model/documents';
import type { DayFile, DayLeft, LeftQuestion, RunDay, Since, WayOut } from '../core/schedule/chores';
import { askDay, askDayLeft, askWaysOut, stopDay } from '../workers/dayPlanner';
import { minutesOf } from '../core/model/localTime';
import { forFewer } from '../core/bench/fewer';
import { benchOf, loadOf, stoodOf } from '../core/bench/standing';
import { onTheWall, steadyNow, useNow } from './clock';
import { kitchenIn, runsIn, type Docs } from './documents';
import { useDocuments } from './store';
import { changesBefore, localNow } from './time';
import { keepKnown, knownDay } from './knownDays';
import { fileOf, usePlanner } from './plans';
import { buildName, sumOf } from './seals';
import { useAsks } from './sumsLost';

/** A run's day as far as it is known. */
export interface DayView {
  /** Null until it is found, and where nothing has to be done. */
  readonly day: RunDay | null;
  /** How far the search is, 0 to 1; null where nothing is sought. */
  readonly share: number | null;
  /** What searches for it was lost twice: nobody seeks it until somebody asks again. */
  readonly failed: boolean;
  /** Somebody has stopped the search: it is taken up again by `again`. */
  readonly stopped: boolean;
  readonly stop: () => void;
  readonly again: () => void;
  readonly file: DayFile;
}

interface KeptDay {
  readonly key: string;
  readonly day: RunDay | null;
}

/** In the place of what a day follows from: it is not the best yet. */
const SO_FAR = 'so far';

/** A change is waited for so long before the day is worked out anew, ms. */
const TYPED_MS = 300;

/** The last day of each run, by what it follows from: a page that comes back has it at once. */
const useDays = create<{ readonly days: Readonly<Record<string, KeptDay>> }>(() => ({ days: {} }));

const keep = (runId: string, found: KeptDay): void =>
  useDays.setState(({ days }) => ({ days: { ...days, [runId]: found } }));

/** Loads of a line as its day groups them, once a day is found; null before, and for what goes into no oven in loads. */
export function useDayLoads(runId: string, lineId: string): readonly number[] | null {
  const day = useDays(({ days }) => days[runId]?.day ?? null);
  return useMemo(() => {
    const loads = (day?.chores ?? []).flatMap(({ chore }) =>
      chore.lineIds.includes(lineId) && loadOf(chore) !== null ? [chore] : [],
    );
    const sizes = loads
      .sort((a, b) => (loadOf(a) ?? 0) - (loadOf(b) ?? 0))
      .flatMap(({ pieces }) => (pieces === null ? [] : [pieces]));
    return sizes.length > 0 ? sizes : null;
  }, [day, lineId]);
}

/** Runs that must be ready within so many hours of one another share the kitchen's day, and no more of them than that. */
const SHARED_DAY_H = 18;
const SHARED_MOST = 6;

/** Runs whose day meets that of a run: the same for each of them, whichever is asked about. */
export function besideOf(run: RunDoc, runs: readonly RunDoc[], local: string): RunDoc[] {
  if (run.closed || run.byItself || run.readyAt <= local) return [];
  const open = runs
    .map((one) => (one.id === run.id ? run : one))
    .filter(
      ({ closed, byItself, readyAt, lines }) => !closed && !byItself && readyAt > local && lines.length > 0,
    )
    .sort((a, b) => (a.readyAt < b.readyAt ? -1 : Number(a.readyAt > b.readyAt)) || (a.id < b.id ? -1 : 1));
  const days: RunDoc[][] = [];
  for (const one of open) {
    const last = days.at(-1);
    const before = last?.at(-1);
    const near = before && minutesOf(one.readyAt) - minutesOf(before.readyAt) <= SHARED_DAY_H * 60;
    if (last && near && last.length < SHARED_MOST) last.push(one);
    else days.push([one]);
  }
  const own = days.find((day) => day.some(({ id }) => id === run.id)) ?? [];
  return own.filter(({ id }) => id !== run.id);
}

/** All that a run's day follows from: its own file, and those of the runs beside it. */
function dayFileOf(run: RunDoc, docs: Docs, local: string): DayFile {
  const beside = besideOf(run, runsIn(docs), local);
  return { ...fileOf(run, docs, 0), beside: beside.map((one) => fileOf(one, docs, 0)) };
}

/**
 * What a day follows from, as text, whichever of its runs is asked about: ticks, clocks and what was closed are no part of
 * it.
 */
const keyOf = ({ run, formulas, kitchen, changes, beside = [] }: DayFile): string => {
  const { prefs: _, store: __, ...things } = kitchen;
  const ofRun = (one: Pick<DayFile, 'run' | 'formulas'>) => [
    one.run.id,
    one.run.readyAt,
    one.run.ahead ?? {},
    one.run.held ?? {},
    one.run.measured ?? {},
    one.run.lines.map(({ ticks: ___, ...line }) => line),
    one.formulas,
  ];
  const all = [{ run, formulas }, ...beside].sort((a, b) => (a.run.id < b.run.id ? -1 : 1));
  return JSON.stringify([all.map(ofRun), things, changes ?? []]);
};

/** Another build may find another day: its sums are its own. */
const sumFor = (key: string): string => sumOf(`${buildName()} ${key}`);

const runsOf = ({ run, beside = [] }: DayFile): string[] =>
  [run.id, ...beside.map((one) => one.run.id)].sort();

/** The day with a way out, as it was tried: what it is taken from is never later than it was promised. */
export const keepTried = ({ file }: DayView, { id, known }: WayOut): void => {
  if (known) keepKnown({ runs: runsOf(file), sum: `tried ${id}`, day: known });
};

/** The day of a run, found beside the page and kept for as long as nothing it follows from has changed. */
export function useRunDay(run: RunDoc): DayView {
  const docs = useDocuments((state) => state.docs);
  const ready = usePlanner((state) => state.ready);
  // Every ten minutes: a run that was ready in the meantime leaves the day.
  const local = localNow(useNow(600_000));
  const file = dayFileOf(run, docs, local);
  // Nothing is asked before the planner is in: the first picture goes without this text.
  const key = useMemo(() => (ready ? keyOf(dayFileOf(run, docs, local)) : ''), [ready, run, docs, local]);
  const known = useDays(({ days }) => days[run.id]);
  const [share, setShare] = useState<number | null>(null);
  const [failed, setFailed] = useState(false);
  const [stoppedAt, setStoppedAt] = useState<string | null>(null);
  const [asks, setAsks] = useState(0);
  // What it follows from stands in the key: the file itself is another at every picture.
  const latest = useRef(file);
  useEffect(() => {
    latest.current = file;
  });
  useEffect(() => {
    if (!ready || stoppedAt === key || useDays.getState().days[run.id]?.key === key) return undefined;
    let wanted = true;
    const ask = () => {
      const asked = latest.current;
      const sum = sumFor(key);
      knownDay(run.id, sum)
        .then((known) =>
          askDay(
            { ...asked, known },
            'as it stands',
            (far) => {
              if (wanted) setShare(far);
            },
            (day) => {
              // A day that can be worked, while a better one is sought: never in the place of one that was the best.
              if (wanted && !useDays.getState().days[run.id]?.day) keep(run.id, { key: SO_FAR, day });
            },
          ),
        )
        .then(
          (day) => {
            if (!wanted) return;
            setFailed(false);
            setShare(null);
            keep(run.id, { key, day });
            if (day?.known) keepKnown({ runs: runsOf(asked), sum, day: day.known });
          },
          () => {
            if (!wanted) return;
            setFailed(true);
            setShare(null);
          },
        );
    };
    // A count that is being typed is not worth a day for each of its digits.
    const soon = setTimeout(ask, useDays.getState().days[run.id] ? TYPED_MS : 0);
    return () => {
      wanted = false;
      clearTimeout(soon);
    };
  }, [ready, key, run.id, stoppedAt, asks]);
  const settled = known?.key === key;
  const stopped = !settled && stoppedAt === key && key !== '';
  return {
    day: known?.day ?? null,
    share: settled || stopped || failed ? null : (share ?? 0),
    failed,
    stopped,
    stop: () => {
      setStoppedAt(key);
      void stopDay(run.id);
    },
    again: () => {
      setStoppedAt(null);
      setFailed(false);
      setAsks((n) => n + 1);
    },
    file,
  };
}

/** The day of a run as it would be, for looking at before it is changed. */
export async function askDayOnce(run: RunDoc): Promise<RunDay | null> {
  const file = dayFileOf(run, useDocuments.getState().docs, localNow(Date.now()));
  const known = await knownDay(run.id, sumFor(keyOf(file)));
  return askDay({ ...file, known }, 'as it would be', () => undefined);
}

/**
 * When a run would be ready with a change to it, from where its bench stands: its day laid anew, less what is done.
 * @returns null where nothing can be said
 */
export async function askReadyWith(run: RunDoc): Promise<DayLeft | null> {
  const day = await askDayOnce(run);
  if (!day) return null;
  const now = steadyNow();
  const bench = benchOf(
    run,
    day.chores.map(({ chore }) => chore),
    now,
  );
  return askDayLeft({
    day: { chores: forFewer(day.chores, bench.state) },
    kitchen: kitchenIn(useDocuments.getState().docs),
    readyAt: run.readyAt,
    nowAt: localNow(onTheWall(now)),
    stood: stoodOf(bench, now),
    changes: changesBefore(run.readyAt),
  });
}

/** What would give the day time; null while it is sought. */
export function useWaysOut(view: DayView, wanted: boolean, since: Since | null): readonly WayOut[] | null {
  const { day, file, share } = view;
  const [found, setFound] = useState<{
    readonly day: RunDay;
    readonly stands: string;
    readonly ways: readonly WayOut[];
  } | null>(null);
  const asks = useAsks();
  const latest = useRef({ file, since });
  useEffect(() => {
    latest.current = { file, since };
  });
  // What has happened moves what can still be done; the minutes alone do not.
  const stands = [...(since?.stood ?? [])]
    .map(([id, own]) => `${id}${own.endedAgoS === null ? '+' : ''}`)
    .join();
  useEffect(() => {
    if (!wanted || !day || share !== null || (found?.day === day && found.stands === stands))
      return undefined;
    let asked = true;
    askWaysOut(latest.current.file, day, latest.current.since, () => undefined).then(
      (ways) => {
        if (asked && ways) setFound({ day, stands, ways });
      },
      () => undefined,
    );
    return () => {
      asked = false;
    };
  }, [wanted, day, share, found, asks, stands]);
  return day && found?.day === day && found.stands === stands ? found.ways : null;
}

/** What is left of a day, laid anew whenever something is told at the bench, and with every minute; null until it is known. */
export function useDayLeft(question: LeftQuestion | null): DayLeft | null {
  const [left, setLeft] = useState<DayLeft | null>(null);
  const asks = useAsks();
  const latest = useRef(question);
  useEffect(() => {
    latest.current = question;
  });
  const key =
    question &&
    `${question.nowAt}|${Math.round(question.day.chores.reduce((sum, { chore }) => sum + chore.takes.lengthS, 0))}|${[...question.stood].map(([id, { begunAgoS, endedAgoS, leftS }]) => `${id}${endedAgoS === null ? `+${leftS === null ? '' : Math.round((begunAgoS + leftS) / 30)}` : ''}`).join()}`;
  useEffect(() => {
    if (!latest.current || key === null) return undefined;
    let wanted = true;
    askDayLeft(latest.current).then(
      (found) => {
        if (wanted) setLeft(found);
      },
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, [key, asks]);
  return question ? left : null;
}
