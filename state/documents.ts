import { create, type StoreApi, type UseBoundStore } from 'zustand';
import type { AnyDoc, FormulaDoc, KitchenDoc, PieceDoc, RunDoc } from '../core/model/documents';
import { readDocument } from '../core/exchange/migrate';
import { DEMO_FORMULAS, DEMO_KITCHEN, EMPTY_KITCHEN, demoRuns } from '../demo';
import type { DocStorage } from './storage';

export type Docs = Readonly<Record<string, AnyDoc>>;
/** Documents to write, by key; null takes one out. */
export type Change = Readonly<Record<string, AnyDoc | null>>;

interface UndoStep {
  readonly label: string;
  readonly before: Change;
}

export interface DocumentState {
  readonly ready: boolean;
  readonly docs: Docs;
  readonly undoable: readonly UndoStep[];
  /** Keys whose text could not be read; they are left as they are. */
  readonly damaged: readonly string[];
  /** Said where the browser refuses to keep what was changed. */
  readonly saveFault: string | null;
  readonly hydrate: (now: string) => Promise<void>;
  /** Writes documents as one step that can be undone. The label says what was done: "Count 36". */
  readonly change: (label: string, change: Change) => void;
  readonly undo: () => void;
  readonly startEmpty: () => void;
  readonly loadDemo: (now: string) => void;
}

const UNDO_KEY = 'undo';
const UNDO_KEPT = 40;

export const KITCHEN_KEY = 'kitchen';
export const keyOf = (doc: AnyDoc): string =>
  doc.kind === 'kitchen' ? KITCHEN_KEY : `${doc.kind}/${doc.id}`;
export const formulaKey = (id: string): string => `formula/${id}`;
export const pieceKey = (id: string): string => `piece/${id}`;
export const runKey = (id: string): string => `run/${id}`;

export type DocumentStore = UseBoundStore<StoreApi<DocumentState>>;

const byKey = (docs: readonly AnyDoc[]): Docs => Object.fromEntries(docs.map((doc) => [keyOf(doc), doc]));

function demoDocs(now: string): Docs {
  return byKey([DEMO_KITCHEN, ...DEMO_FORMULAS, ...demoRuns(now)]);
}

function applied(docs: Docs, change: Change): Docs {
  const next: Record<string, AnyDoc> = { ...docs };
  for (const [key, doc] of Object.entries(change)) {
    if (doc === null) delete next[key];
    else next[key] = doc;
  }
  return next;
}

const inverse = (docs: Docs, change: Change): Change =>
  Object.fromEntries(Object.keys(change).map((key) => [key, docs[key] ?? null]));

/** Every document of one set exchanged for another: what clearing and reloading the demo do. */
const exchange = (from: Docs, to: Docs): Change => ({
  ...Object.fromEntries(Object.keys(from).map((key) => [key, null])),
  ...to,
});

function readStored(held: Readonly<Record<string, string>>): {
  docs: Docs;
  undoable: UndoStep[];
  damaged: string[];
} {
  const docs: Record<string, AnyDoc> = {};
  const damaged: string[] = [];
  let undoable: UndoStep[] = [];
  for (const [key, text] of Object.entries(held)) {
    try {
      const data = JSON.parse(text) as unknown;
      if (key === UNDO_KEY) {
        undoable = Array.isArray(data) ? (data as UndoStep[]) : [];
        continue;
      }
      const read = readDocument(data);
      if (read.ok) docs[key] = read.value;
      else damaged.push(key);
    } catch {
      damaged.push(key);
    }
  }
  return { docs, undoable, damaged };
}

/** The store of all documents over some storage. Writing follows every change; reading happens once. */
export function createDocumentStore(storage: DocStorage): DocumentStore {
  // Writes go one behind another, so that an older text never lands on a newer one.
  let queue: Promise<void> = Promise.resolve();

  return create<DocumentState>((set, get) => {
    const save = (change: Change, undoable: readonly UndoStep[]) => {
      const entries: Record<string, string | null> = { [UNDO_KEY]: JSON.stringify(undoable) };
      for (const [key, doc] of Object.entries(change))
        entries[key] = doc === null ? null : JSON.stringify(doc);
      queue = queue
        .then(() => storage.write(entries))
        .then(
          () => {
            if (get().saveFault !== null) set({ saveFault: null });
          },
          () =>
            set({
              saveFault:
                'The browser did not keep the last change. Free some space, then change anything to try again.',
            }),
        );
    };
    const commit = (change: Change, undoable: readonly UndoStep[]) => {
      set({ docs: applied(get().docs, change), undoable });
      save(change, undoable);
    };
    return {
      ready: false,
      docs: {},
      undoable: [],
      damaged: [],
      saveFault: null,

      async hydrate(now) {
        let held: Record<string, string> = {};
        try {
          held = await storage.readAll();
        } catch {
          set({ saveFault: 'The browser’s storage cannot be opened. What you do now will not be kept.' });
        }
        const { docs, undoable, damaged } = readStored(held);
        if (Object.keys(held).length === 0) {
          set({ ready: true });
          commit(demoDocs(now), []);
          return;
        }
        // The kitchen is what all plans stand on: without one, an empty one is laid beside whatever was found.
        const whole = docs[KITCHEN_KEY] ? docs : { ...docs, [KITCHEN_KEY]: EMPTY_KITCHEN };
        set({ ready: true, docs: whole, undoable, damaged });
      },

      change(label, change) {
        const step: UndoStep = { label, before: inverse(get().docs, change) };
        commit(change, [...get().undoable, step].slice(-UNDO_KEPT));
      },

      undo() {
        const step = get().undoable.at(-1);
        if (step) commit(step.before, get().undoable.slice(0, -1));
      },

      startEmpty() {
        get().change('Start empty', exchange(get().docs, byKey([EMPTY_KITCHEN])));
      },

      loadDemo(now) {
        get().change('Load the demo', exchange(get().docs, demoDocs(now)));
      },
    };
  });
}

export function kitchenIn(docs: Docs): KitchenDoc {
  const doc = docs[KITCHEN_KEY];
  return doc?.kind === 'kitchen' ? doc : EMPTY_KITCHEN;
}

/** A list made once for each set of documents: dozens of fields ask for it at every change. */
function listed<T>(make: (docs: Docs) => T[]): (docs: Docs) => T[] {
  const made = new WeakMap<Docs, T[]>();
  return (docs) => {
    const known = made.get(docs) ?? make(docs);
    made.set(docs, known);
    return known;
  };
}

const byName = (a: { readonly name: string }, b: { readonly name: string }) => a.name.localeCompare(b.name);

/** Formulas, by name. */
export const formulasIn = listed((docs) =>
  Object.values(docs)
    .filter((doc): doc is FormulaDoc => doc.kind === 'formula')
    .sort(byName),
);

/** Whole pieces, by name. */
export const piecesIn = listed((docs) =>
  Object.values(docs)
    .filter((doc): doc is PieceDoc => doc.kind === 'piece')
    .sort(byName),
);

/** Runs by the hour they must be ready, the open ones first. */
export const runsIn = listed((docs) =>
  Object.values(docs)
    .filter((doc): doc is RunDoc => doc.kind === 'run')
    .sort(
      (a, b) => Number(a.closed !== null) - Number(b.closed !== null) || a.readyAt.localeCompare(b.readyAt),
    ),
);

export function runIn(docs: Docs, id: string): RunDoc | null {
  const doc = docs[runKey(id)];
  return doc?.kind === 'run' ? doc : null;
}

export function formulaIn(docs: Docs, id: string): FormulaDoc | null {
  const doc = docs[formulaKey(id)];
  return doc?.kind === 'formula' ? doc : null;
}
