import { useMemo } from 'react';
import { create } from 'zustand';
import type { Belief, KitchenDoc, Line, RunDoc } from '../core/model/documents';
import type { Figure } from '../core/figure';
import { edit, type LineAction } from '../core/line/edit';
import type { NumberStyle } from '../core/quantity';
import { demoPast } from './demoPast';
import { createDocumentStore, kitchenIn, runIn, runKey, type Change, KITCHEN_KEY } from './documents';
import { browserStorage } from './storage';
import { localNow } from './time';

/** Under this id stands what the lines of a run share, in place of a line's. */
export const SHARED = 'shared';

/** The documents of this browser. */
export const storage = browserStorage();
export const useDocuments = createDocumentStore(storage);

/** Once all documents are in, closed runs too, which are asked for: at once where they are. */
export const whenWhole = (): Promise<void> =>
  useDocuments.getState().whole
    ? Promise.resolve()
    : new Promise((done) => {
        useDocuments.getState().askWhole();
        const stop = useDocuments.subscribe(({ whole }) => {
          if (!whole) return;
          stop();
          done();
        });
      });

/** Does something that needs all documents: now, or as soon as they are in. */
export function onceWhole(does: () => void): void {
  if (useDocuments.getState().whole) does();
  else void whenWhole().then(does);
}

/** Begins to read what this browser keeps; where there is nothing yet, the demo is laid out for now. */
export const readDocuments = (): Promise<void> => {
  const now = localNow(Date.now());
  return useDocuments.getState().hydrate(now, () => demoPast(now));
};

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

/** Does something to one line of a run as it stands now. */
export function editLine(label: string, runId: string, lineId: string, action: LineAction): void {
  changeLines(label, runId, (lines) => lines.map((line) => (line.id === lineId ? edit(line, action) : line)));
}

/** Changes the lines of a run as it stands now. */
export function changeLines(
  label: string,
  runId: string,
  to: (lines: readonly Line[]) => readonly Line[],
): void {
  changeRunOf(label, runId, (run) => ({ ...run, lines: [...to(run.lines)] }));
}

export function changeKitchen(label: string, kitchen: KitchenDoc): void {
  change(label, { [KITCHEN_KEY]: kitchen });
}

/** What the kitchen keeps of the parameter that a figure is; null where it keeps nothing of it. */
export function keptOf(kitchen: KitchenDoc, { known }: Pick<Figure, 'known'>): Belief | null {
  if (!known) return null;
  for (const of of known.of) {
    const found = kitchen.beliefs.find((one) => one.param === known.param && one.of === of);
    if (found) return found;
  }
  return null;
}

/** What stands on the screen but is no document: which figure is being asked about. */
interface ScreenState {
  readonly why: { readonly runId: string; readonly lineId: string; readonly figureId: string } | null;
  readonly askWhy: (runId: string, lineId: string, figureId: string) => void;
  readonly closeWhy: () => void;
  /** The line that is looked at, by run. */
  readonly lines: Readonly<Record<string, string>>;
  readonly lookAt: (runId: string, lineId: string) => void;
  /** The run whose batch is to be told at once, once its bench is there. */
  readonly logging: string | null;
  readonly askLog: (runId: string | null) => void;
  /** Whether something is being brought in. */
  readonly bringing: boolean;
  readonly setBringing: (bringing: boolean) => void;
  /** What waits for a formula to be brought in: a run that asks which one. */
  readonly awaiting: ((formulaId: string) => void) | null;
  readonly await: (then: ((formulaId: string) => void) | null) => void;
}

export const useScreen = create<ScreenState>((set) => ({
  why: null,
  askWhy: (runId, lineId, figureId) => set({ why: { runId, lineId, figureId } }),
  closeWhy: () => set({ why: null }),
  logging: null,
  askLog: (logging) => set({ logging }),
  bringing: false,
  setBringing: (bringing) => set({ bringing }),
  awaiting: null,
  await: (awaiting) => set({ awaiting }),
  lines: {},
  lookAt: (runId, lineId) => set(({ lines }) => ({ lines: { ...lines, [runId]: lineId } })),
}));
