import type { AnyDoc, FormulaDoc, KitchenDoc, PieceDoc, RunDoc } from '../core/model/documents';
import { EMPTY_KITCHEN } from '../demo';

export type Docs = Readonly<Record<string, AnyDoc>>;
/** Documents to write, by key; null takes one out. */
export type Change = Readonly<Record<string, AnyDoc | null>>;

export const KITCHEN_KEY = 'kitchen';
export const keyOf = (doc: AnyDoc): string =>
  doc.kind === 'kitchen' ? KITCHEN_KEY : `${doc.kind}/${doc.id}`;
export const formulaKey = (id: string): string => `formula/${id}`;
export const pieceKey = (id: string): string => `piece/${id}`;
export const runKey = (id: string): string => `run/${id}`;

/** Documents with a change made. */
export function applied(docs: Docs, change: Change): Docs {
  const next: Record<string, AnyDoc> = { ...docs };
  for (const [key, doc] of Object.entries(change)) {
    if (doc === null) delete next[key];
    else next[key] = doc;
  }
  return next;
}

/** What takes a change back. */
export const inverse = (docs: Docs, change: Change): Change =>
  Object.fromEntries(Object.keys(change).map((key) => [key, docs[key] ?? null]));

/** Every document of one set exchanged for another: what clearing and reloading the demo do. */
export const exchange = (from: Docs, to: Docs): Change => ({
  ...Object.fromEntries(Object.keys(from).map((key) => [key, null])),
  ...to,
});

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

/** Times as they are written, without asking the language: that alone costs the first picture of a slow phone 50 ms. */
const earlier = (a: string, b: string) => (a < b ? -1 : Number(a > b));
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
    .sort((a, b) => Number(a.closed !== null) - Number(b.closed !== null) || earlier(a.readyAt, b.readyAt)),
);

/** Closed runs, the last of them first. */
export const closedIn = listed((docs) =>
  runsIn(docs)
    .filter((run) => run.closed !== null)
    .sort((a, b) => (b.closed?.at ?? 0) - (a.closed?.at ?? 0)),
);

export function runIn(docs: Docs, id: string): RunDoc | null {
  const doc = docs[runKey(id)];
  return doc?.kind === 'run' ? doc : null;
}

export function formulaIn(docs: Docs, id: string): FormulaDoc | null {
  const doc = docs[formulaKey(id)];
  return doc?.kind === 'formula' ? doc : null;
}
