import { counted } from '../core/bench/log';
import { useDeferredValue } from 'react';
import { create } from 'zustand';
import type { FormulaDoc, KitchenDoc, Line, RunDoc } from '../core/model/documents';
import { formulasNamed } from '../core/model/references';
import type { Explained, Figure } from '../core/figure';
import type { LinePlan, PlanFile, PlannedLine, Promised, RunPlan } from '../core/plan';
import type * as Planning from '../workers/planning';
import { useNow } from './clock';
import { formulasIn, kitchenIn, runIn, type Docs } from './documents';
import { changesBefore, localNow } from './time';
import { SHARED, keptOf, useDocuments, useScreen } from './store';

/** The planner of all families is large: it loads beside the first screen, which can be drawn without it. */
interface PlannerState {
  readonly ready: boolean;
  readonly planner: typeof Planning | null;
}
export const usePlanner = create<PlannerState>(() => ({ ready: false, planner: null }));

export async function loadPlanner(load: () => Promise<typeof Planning>): Promise<void> {
  usePlanner.setState({ planner: await load(), ready: true });
}

interface Kept {
  readonly file: PlanFile;
  readonly plan: RunPlan;
}

const kept = new WeakMap<RunDoc, Kept>();

/** A run that has begun is no longer bounded by the minutes left before it could have begun. */
const begun = (run: RunDoc) =>
  counted(run.log ?? []).length > 0 ||
  run.closed !== null ||
  (run.ticks ?? []).length > 0 ||
  run.lines.some((line) => line.ticks.length > 0);

/** The formulas of those ids, and those that they are made of. */
export function usedFormulas(ids: ReadonlySet<string>, all: readonly FormulaDoc[]): FormulaDoc[] {
  const reached = new Set(ids);
  for (const id of reached) {
    for (const part of all.find((doc) => doc.id === id)?.parts ?? []) reached.add(part.formulaId);
  }
  return all.filter((doc) => reached.has(doc.id));
}

/** All that a run is planned from at a moment. */
export function fileOf(run: RunDoc, docs: Docs, now: number): PlanFile {
  const kitchen: KitchenDoc = kitchenIn(docs);
  const formulas = usedFormulas(formulasNamed(run.lines), formulasIn(docs));
  const local = localNow(now);
  const asOf = begun(run) || run.readyAt <= local ? undefined : local;
  return { run, formulas, kitchen, asOf, changes: changesBefore(run.readyAt) };
}

const same = (a: PlanFile, b: PlanFile) =>
  a.kitchen === b.kitchen &&
  a.asOf === b.asOf &&
  a.changes === b.changes &&
  a.formulas.length === b.formulas.length &&
  a.formulas.every((doc, i) => doc === b.formulas[i]);

/** Plans a run, or hands back the plan made before from the same documents at the same minute; null until the planner is in. */
export function planOf(
  run: RunDoc,
  docs: Docs,
  now: number,
  // A screen hands it in: what it draws then follows from it, also for a compiler that remembers.
  planning: typeof Planning | null = usePlanner.getState().planner,
): RunPlan | null {
  if (!planning) return null;
  const file = fileOf(run, docs, now);
  const last = kept.get(run);
  if (last && same(last.file, file)) return last.plan;
  const plan = planning.planWhole(file, null, memoryOf(run.id, planning));
  kept.set(run, { file, plan });
  return plan;
}

/**
 * What a line, or one of its lots, is promised free of, held against what it is made of; null where nothing is promised, or
 * where it cannot be planned.
 */
export function promiseMadeOf(run: RunDoc, line: Line, lotId: string | null): Promised | null {
  const { planner } = usePlanner.getState();
  if (!planner) return null;
  const file = fileOf({ ...run, lines: [line] }, useDocuments.getState().docs, Date.now());
  const [plan] = planner.planWhole(file).lines;
  return plan?.planned ? (plan.promises.find((one) => one.lotId === lotId) ?? null) : null;
}

/** What was planned before of each run: a change of one line then plans that line, not all of them. */
const memories = new Map<string, Planning.PlanMemory>();

function memoryOf(runId: string, { PlanMemory }: typeof Planning): Planning.PlanMemory {
  const known = memories.get(runId) ?? new PlanMemory();
  memories.set(runId, known);
  return known;
}

/** The way out of a trouble, as a changed run. */
export function rescueOf(...asked: Parameters<typeof Planning.rescue>): ReturnType<typeof Planning.rescue> {
  const { planner } = usePlanner.getState();
  if (!planner) throw new Error('invariant: a run that is open has been planned');
  return planner.rescue(...asked);
}

/** A run as it stands open: all its lines, and the one that is looked at. */
export interface OpenRun {
  readonly run: RunDoc;
  readonly whole: RunPlan;
  readonly line: PlannedLine;
}

export type RunView =
  | { readonly state: 'missing' }
  | { readonly state: 'opening'; readonly run: RunDoc; readonly settling: true }
  | OpenView;
type OpenView = {
  readonly state: 'open';
  /** Something was changed that the plan does not know of yet. */
  readonly settling: boolean;
} & OpenRun;

/**
 * A run with its plan, and the line that is looked at. What was changed shows in the next picture, its figures in the one
 * after: for that long the plan is of the documents as they were, and so are the lines handed out with it.
 */
export function useRun(id: string): RunView {
  const current = useDocuments((state) => state.docs);
  const docs = useDeferredValue(current);
  const lineId = useScreen((state) => state.lines[id]);
  const now = useNow(60_000);
  const planner = usePlanner((state) => state.planner);
  const settled = runIn(docs, id);
  if (!settled) return { state: 'missing' };
  const whole = planOf(settled, docs, now, planner);
  if (!whole) return { state: 'opening', run: settled, settling: true };
  const line = whole.lines.find((one) => one.line.id === lineId) ?? whole.lines[0];
  if (!line) return { state: 'missing' };
  const latest = runIn(current, id);
  // Ticks, clocks and the hour are no matter of a line: they show at once.
  const run = latest?.lines === settled.lines ? latest : settled;
  return { state: 'open', settling: current !== docs, run, whole, line };
}

/** The run as it stands at this moment, before its figures have followed. */
export function useRunNow(settled: RunDoc): RunDoc {
  return useDocuments(({ docs }) => runIn(docs, settled.id)) ?? settled;
}

/** A figure in whose place a value was just put, until the plan has followed. */
export function useFigureNow(figure: Figure, runId: string, lineId: string): Figure {
  const measured = useDocuments(({ docs }) => measuredIn(docs, runId, lineId, figure));
  const settled = useDeferredValue(measured);
  if (measured === settled || measured === undefined) return figure;
  const { value, low, high } = figure;
  return { ...figure, value: measured, low: measured, high: measured, expected: { value, low, high } };
}

function measuredIn(docs: Docs, runId: string, lineId: string, figure: Figure): number | undefined {
  const run = runIn(docs, runId);
  const holder = lineId === SHARED ? run : run?.lines.find(({ id }) => id === lineId);
  return holder?.measured?.[figure.id] ?? keptOf(kitchenIn(docs), figure)?.mean;
}

/** The plan of a run for a list: null until the planner is in. */
export function usePlanOf(run: RunDoc): RunPlan | null {
  const docs = useDeferredValue(useDocuments((state) => state.docs));
  const now = useNow(20_000);
  const planner = usePlanner((state) => state.planner);
  return planOf(runIn(docs, run.id) ?? run, docs, now, planner);
}

/** What figures are asked of: a line, or what the lines share. */
export interface Holder extends Explained {
  readonly has: (id: string) => boolean;
}

export function holderOf(whole: RunPlan, lineId: string): Holder | null {
  if (lineId === SHARED) return whole.components;
  const line = whole.lines.find((one) => one.line.id === lineId);
  return line?.planned ? line : null;
}

export type { LinePlan, PlannedLine, RunPlan };
