import { useDeferredValue, useMemo } from 'react';
import { runGoingOn } from '../core/bench/goingOn';
import { benchStateOf } from '../core/bench/log';
import type { RunDoc } from '../core/model/documents';
import { useNow } from './clock';
import { planOf, usePlanner, type OpenRun, type RunPlan } from './plans';
import { useDocuments } from './store';

/** A run with its plan for the pieces that go on: what was lost needs no frosting, no coat, no box and no label. */
export function useGoingOn(run: RunDoc, whole: RunPlan): Pick<OpenRun, 'run' | 'whole'> {
  const docs = useDeferredValue(useDocuments((state) => state.docs));
  const now = useNow(60_000);
  const planner = usePlanner((state) => state.planner);
  const going = useMemo(
    () =>
      runGoingOn(run, benchStateOf(run.log ?? []), (id) => {
        const plan = whole.lines.find(({ line }) => line.id === id);
        return plan?.planned ? plan.parts.count.made.value : null;
      }),
    [run, whole],
  );
  return going === run ? { run, whole } : { run: going, whole: planOf(going, docs, now, planner) ?? whole };
}
