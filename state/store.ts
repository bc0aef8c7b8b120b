import { useMemo } from 'react';
import { create } from 'zustand';
import type { KitchenDoc, Line, RunDoc } from '../core/model/documents';
import type { Figure } from '../core/figure';
import type { NumberStyle } from '../core/quantity';
import { createDocumentStore, kitchenIn, runIn, runKey, type Change, KITCHEN_KEY } from './documents';
import { browserStorage } from './storage';

/** Under this id stands what the lines of a run share, in place of a line's. */
export const SHARED = 'shared';

/** The documents of this browser. */
export const useDocuments = createDocumentStore(browserStorage());

export function useKitchen(): KitchenDoc {
  return useDocuments((state) => kitchenIn(state.docs));
}

/** How the person reads numbers. */
export function useNumberStyle(): NumberStyle {
  // Asked by every figure on the screen: a tin that changes is no matter of theirs.
  const { mass, temperature, decimal } = useDocuments((state) => kitchenIn(state.docs).prefs);
  return useMemo(() => ({ mass, temperature, decimal }), [mass, temperature, decimal]);
}

export function change(label: string, entries: Change): void {
  useDocuments.getState().change(label, entries);
}

export function changeRun(label: string, run: RunDoc): void {
  change(label, { [runKey(run.id)]: run });
}

/** Changes a run as it stands now: whoever asks may have been drawn from an older one. */
export function changeRunOf(label: string, runId: string, to: (run: RunDoc) => RunDoc): void {
  const run = runIn(useDocuments.getState().docs, runId);
  if (run) changeRun(label, to(run));
}

/** Changes one line of a run; what is changed is a matter of the line's family, so it is handed the line. */
export function changeLineOf(label: string, run: RunDoc, lineId: string, to: (line: Line) => Line): void {
  changeLines(label, run.id, (lines) => lines.map((line) => (line.id === lineId ? to(line) : line)));
}

/** Changes the lines of a run as it stands now. */
export function changeLines(
  label: string,
  runId: string,
  to: (lines: readonly Line[]) => readonly Line[],
): void {
  changeRunOf(label, runId, (run) => ({ ...run, lines: [...to(run.lines)] }));
}

/** Changes what the lines of every family have. */
export function changeLine(
  label: string,
  run: RunDoc,
  lineId: string,
  over: Partial<Pick<Line, 'count' | 'ticks' | 'stated'>>,
): void {
  changeLineOf(label, run, lineId, (line) => ({ ...line, ...over }));
}

export function changeKitchen(label: string, kitchen: KitchenDoc): void {
  change(label, { [KITCHEN_KEY]: kitchen });
}

/** Puts a measured value in a figure's place, or takes it back with null: in this run, or always in this kitchen. */
export function stateFigure(
  runId: string,
  lineId: string,
  figure: Figure,
  value: number | null,
  always: boolean,
): void {
  const put = (stated: Readonly<Record<string, number>>) => {
    const next: Record<string, number> = { ...stated };
    if (value === null) delete next[figure.id];
    else next[figure.id] = value;
    return next;
  };
  const { docs } = useDocuments.getState();
  const run = runIn(docs, runId);
  const line = lineId === SHARED ? run : run?.lines.find((item) => item.id === lineId);
  if (!run || !line) throw new Error(`invariant: no line "${lineId}" in run "${runId}"`);
  const kitchen = kitchenIn(docs);
  const label = value === null ? `${figure.label} as computed` : `${figure.label} as measured`;
  const inRun: RunDoc =
    lineId === SHARED
      ? { ...run, stated: put(run.stated ?? {}) }
      : {
          ...run,
          lines: run.lines.map((item) => (item.id === lineId ? { ...item, stated: put(item.stated) } : item)),
        };
  if (always) change(label, { [KITCHEN_KEY]: { ...kitchen, stated: put(kitchen.stated) } });
  else if (value === null && figure.id in kitchen.stated && !(figure.id in (line.stated ?? {}))) {
    change(label, { [KITCHEN_KEY]: { ...kitchen, stated: put(kitchen.stated) } });
  } else changeRun(label, inRun);
}

/** What stands on the screen but is no document: which figure is being asked about. */
interface ScreenState {
  readonly why: { readonly runId: string; readonly lineId: string; readonly figureId: string } | null;
  readonly askWhy: (runId: string, lineId: string, figureId: string) => void;
  readonly closeWhy: () => void;
  /** The line that is looked at, by run. */
  readonly lines: Readonly<Record<string, string>>;
  readonly lookAt: (runId: string, lineId: string) => void;
  /** Whether something is being brought in. */
  readonly bringing: boolean;
  readonly setBringing: (bringing: boolean) => void;
}

export const useScreen = create<ScreenState>((set) => ({
  why: null,
  askWhy: (runId, lineId, figureId) => set({ why: { runId, lineId, figureId } }),
  closeWhy: () => set({ why: null }),
  bringing: false,
  setBringing: (bringing) => set({ bringing }),
  lines: {},
  lookAt: (runId, lineId) => set(({ lines }) => ({ lines: { ...lines, [runId]: lineId } })),
}));
