import type { AnyDoc, KitchenDoc } from '../model/documents';
import { FIELD_WORDS, listed, piecesOf } from './incoming.words';
import { takeTurns, wentOn } from './turns';

/** What a document of a file is beside the one of the same name that is here. */
export interface Incoming {
  readonly key: string;
  readonly kind: AnyDoc['kind'];
  readonly name: string;
  readonly is: 'new' | 'same' | 'differs';
  /** Fields in which they differ, as people call them; empty unless they do. */
  readonly fields: readonly string[];
}

/** Which of two documents of one name stands afterwards. */
export type Which = 'here' | 'file' | 'both';

/** Keys in order: two documents are the same whatever order their fields were written in. */
const ordered = (_key: string, value: unknown): unknown =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;
export const same = (a: unknown, b: unknown): boolean =>
  JSON.stringify(a, ordered) === JSON.stringify(b, ordered);

/** A field in which two documents differ, with what of it differs where that has a name. */
function told(field: string, mine: unknown, theirs: unknown): string {
  const words = FIELD_WORDS[field] ?? field;
  if (!Array.isArray(mine) || !Array.isArray(theirs)) return words;
  const [here, there] = [mine, theirs].map(
    (all: readonly unknown[]) => new Map(all.map((one) => [idOf(one), one])),
  );
  const apart = [...new Set([...(here?.keys() ?? []), ...(there?.keys() ?? [])])]
    .map((id) => [here?.get(id), there?.get(id)] as const)
    .filter(([a, b]) => !same(a, b));
  return listed(
    words,
    apart.flatMap(([a, b]) => {
      const name = nameIn(b) ?? nameIn(a);
      if (name !== null) return [name];
      const [from, to] = [countIn(a), countIn(b)];
      return from === null || to === null || from === to ? [] : [piecesOf(from, to)];
    }),
  );
}

const nameIn = (one: unknown): string | null =>
  isRecord(one) && typeof one.name === 'string' && one.name !== '' ? one.name : null;
const countIn = (one: unknown): number | null =>
  isRecord(one) && typeof one.count === 'number' ? one.count : null;

/** What each document of a file is beside what is here, what differs first. */
export function incomingOf(
  docs: readonly AnyDoc[],
  here: Readonly<Record<string, AnyDoc>>,
  keyOf: (doc: AnyDoc) => string,
): Incoming[] {
  const order = { differs: 0, new: 1, same: 2 } as const;
  return docs
    .map((doc): Incoming => {
      const key = keyOf(doc);
      const known = here[key];
      const base = { key, kind: doc.kind, name: doc.name, fields: [] };
      if (!known) return { ...base, is: 'new' };
      if (same(known, doc)) return { ...base, is: 'same' };
      const of = (one: AnyDoc, field: string) => (one as unknown as Record<string, unknown>)[field];
      const fields = [...new Set([...Object.keys(known), ...Object.keys(doc)])]
        .filter((field) => !same(of(known, field), of(doc, field)))
        .map((field) => told(field, of(known, field), of(doc, field)));
      return { ...base, is: 'differs', fields: [...new Set(fields)] };
    })
    .sort((a, b) => order[a.is] - order[b.is]);
}

/** What may stand afterwards where both differ: two kitchens, or a run that went on elsewhere, can be brought together. */
export function choicesFor(here: AnyDoc, file: AnyDoc): readonly Which[] {
  const together =
    (here.kind === 'kitchen' && file.kind === 'kitchen') ||
    (here.kind === 'run' && file.kind === 'run' && wentOn(here, file));
  return together ? ['both', 'here', 'file'] : ['file', 'here'];
}

/** The document that stands afterwards. */
export function chosen(here: AnyDoc | undefined, file: AnyDoc, which: Which): AnyDoc {
  if (!here || which === 'file') return file;
  if (which === 'here') return here;
  if (here.kind === 'kitchen' && file.kind === 'kitchen') return kitchensTogether(here, file);
  if (here.kind === 'run' && file.kind === 'run') return takeTurns(here, file);
  return file;
}

const idOf = (one: unknown): string | null => {
  if (typeof one !== 'object' || one === null) return null;
  if ('id' in one && typeof one.id === 'string') return one.id;
  if ('param' in one && 'of' in one) return `${String(one.param)}@${String(one.of)}`;
  return 'name' in one && typeof one.name === 'string' ? one.name : null;
};

/**
 * Two kitchens as one: whatever is here stays as it is, and what only the file has comes in, thing by thing. Twice the same
 * changes nothing more.
 */
export function kitchensTogether(here: KitchenDoc, file: KitchenDoc): KitchenDoc {
  const out: Record<string, unknown> = { ...file, ...here };
  for (const [field, theirs] of Object.entries(file)) {
    const mine = (here as unknown as Record<string, unknown>)[field];
    if (Array.isArray(mine) && Array.isArray(theirs)) {
      const known = new Set(mine.map(idOf));
      out[field] = [
        ...(mine as unknown[]),
        ...(theirs as unknown[]).filter((one) => idOf(one) !== null && !known.has(idOf(one))),
      ];
    } else if (isRecord(mine) && isRecord(theirs)) out[field] = { ...theirs, ...mine };
  }
  return out as unknown as KitchenDoc;
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
