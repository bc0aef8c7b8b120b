import { useEffect, useMemo, useRef, useState } from 'react';
import { create } from 'zustand';
import type { RunDoc } from '../core/model/documents';
import type { DayFile, RunDay, WayOut } from '../core/schedule/chores';
import { askDay, askWaysOut } from '../workers/dayPlanner';
import { useDocuments } from './store';
import { fileOf, usePlanner } from './plans';

/** A run's day as far as it is known. */
export interface DayView {
  /** Null until it is found, and where nothing has to be done. */
  readonly day: RunDay | null;
  /** How far the search is, 0 to 1; null where nothing is sought. */
  readonly share: number | null;
  /** It could not be found: the worker is gone. */
  readonly failed: boolean;
  readonly file: DayFile;
}

interface KeptDay {
  readonly key: string;
  readonly day: RunDay | null;
}

/** A change is waited for so long before the day is worked out anew, ms. */
const TYPED_MS = 300;

/** The last day of each run, by what it follows from: a page that comes back has it at once. */
const useDays = create<{ readonly days: Readonly<Record<string, KeptDay>> }>(() => ({ days: {} }));

const keep = (runId: string, found: KeptDay): void =>
  useDays.setState(({ days }) => ({ days: { ...days, [runId]: found } }));

/** What a day follows from, as text: ticks, clocks and what was closed are no part of it. */
const keyOf = ({ run, formulas, kitchen, changes }: DayFile): string => {
  const { prefs: _, store: __, ...things } = kitchen;
  return JSON.stringify([
    run.readyAt,
    run.ahead ?? {},
    run.held ?? {},
    run.measured ?? {},
    run.lines.map(({ ticks: ___, ...line }) => line),
    formulas,
    things,
    changes ?? [],
  ]);
};

/** The day of a run, found beside the page and kept for as long as nothing it follows from has changed. */
export function useRunDay(run: RunDoc): DayView {
  const docs = useDocuments((state) => state.docs);
  const ready = usePlanner((state) => state.ready);
  const file = fileOf(run, docs, 0);
  // Nothing is asked before the planner is in: the first picture goes without this text.
  const key = useMemo(() => (ready ? keyOf(fileOf(run, docs, 0)) : ''), [ready, run, docs]);
  const known = useDays(({ days }) => days[run.id]);
  const [share, setShare] = useState<number | null>(null);
  const [failed, setFailed] = useState(false);
  // What it follows from stands in the key: the file itself is another at every picture.
  const latest = useRef(file);
  useEffect(() => {
    latest.current = file;
  });
  useEffect(() => {
    if (!ready || useDays.getState().days[run.id]?.key === key) return undefined;
    let wanted = true;
    const ask = () => {
      askDay(latest.current, 'as it stands', (far) => {
        if (wanted) setShare(far);
      }).then(
        (day) => {
          if (!wanted) return;
          setFailed(false);
          setShare(null);
          keep(run.id, { key, day });
        },
        () => {
          if (wanted) setFailed(true);
        },
      );
    };
    // A count that is being typed is not worth a day for each of its digits.
    const soon = setTimeout(ask, useDays.getState().days[run.id] ? TYPED_MS : 0);
    return () => {
      wanted = false;
      clearTimeout(soon);
    };
  }, [ready, key, run.id]);
  const settled = known?.key === key;
  return { day: known?.day ?? null, share: settled ? null : (share ?? 0), failed, file };
}

/** The day of a run as it would be, for looking at before it is changed. */
export const askDayOnce = (run: RunDoc): Promise<RunDay | null> =>
  askDay(fileOf(run, useDocuments.getState().docs, 0), 'as it would be', () => undefined);

/** What would give the day time; null while it is sought. */
export function useWaysOut(view: DayView, wanted: boolean): readonly WayOut[] | null {
  const { day, file, share } = view;
  const [found, setFound] = useState<{ readonly day: RunDay; readonly ways: readonly WayOut[] } | null>(null);
  const latest = useRef(file);
  useEffect(() => {
    latest.current = file;
  });
  useEffect(() => {
    if (!wanted || !day || share !== null || found?.day === day) return undefined;
    let asked = true;
    askWaysOut(latest.current, day, () => undefined).then(
      (ways) => {
        if (asked && ways) setFound({ day, ways });
      },
      () => undefined,
    );
    return () => {
      asked = false;
    };
  }, [wanted, day, share, found]);
  return day && found?.day === day ? found.ways : null;
}
