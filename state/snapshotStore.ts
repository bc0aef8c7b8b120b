import { breath } from './breath';
import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { sumOf } from './seals';

/**
 * Where snapshots lie: each says by their sums which documents it holds, and a document that is the same in many of them is
 * kept once.
 */
const store = createAsyncStorage('carnelian-snapshots');

/** Documents lie under names that begin so, followed by the sum of their text, which begins with its letters. */
const CONTENT = 'doc|';

const lettersOf = (name: string): number => Number(name.slice(CONTENT.length).split('-')[0] ?? 0) || 0;

interface Index {
  readonly kind: 'index';
  readonly at: string;
  readonly why: string;
  /** Names of its documents. */
  readonly docs: readonly string[];
}

function indexIn(text: string | null): Index | null {
  if (text === null || !text.startsWith('{"kind":"index"')) return null;
  try {
    return JSON.parse(text) as Index;
  } catch {
    return null;
  }
}

/** One window at a time adds and clears up: what one has just referred to is not cleared away by another. */
const alone = <T>(work: () => Promise<T>): Promise<T> =>
  typeof navigator !== 'undefined' && 'locks' in navigator
    ? navigator.locks.request('carnelian-snapshots', work)
    : work();

/** Documents are looked through so many at a stretch: a kitchen of years has thousands. */
const AT_A_STRETCH = 80;

const named = new WeakMap<object, string>();
function nameOf(doc: unknown, text: () => string): string {
  if (typeof doc !== 'object' || doc === null) return CONTENT + sumOf(text());
  const name = named.get(doc) ?? CONTENT + sumOf(text());
  named.set(doc, name);
  return name;
}

/** What only this snapshot holds, and what all of them hold together, letters. */
export interface Weighed {
  readonly used: number;
  readonly own: ReadonlyMap<string, number>;
}

export const snapshotKeys = async (): Promise<string[]> =>
  (await store.getAllKeys()).filter((key) => !key.startsWith(CONTENT));

/** Keeps documents under a key; those that are kept already only by their name. */
export const keepSnapshot = (
  key: string,
  { at, why, docs }: { readonly at: string; readonly why: string; readonly docs: readonly unknown[] },
): Promise<void> =>
  alone(async () => {
    const there = new Set(await store.getAllKeys());
    const names: string[] = [];
    let fresh: Record<string, string> = {};
    for (const [i, doc] of docs.entries()) {
      const name = nameOf(doc, () => JSON.stringify(doc));
      names.push(name);
      if (!there.has(name)) {
        fresh[name] = JSON.stringify(doc);
        there.add(name);
      }
      if (i % AT_A_STRETCH === AT_A_STRETCH - 1) {
        if (Object.keys(fresh).length > 0) await store.setMany(fresh);
        fresh = {};
        await breath();
      }
    }
    if (Object.keys(fresh).length > 0) await store.setMany(fresh);
    // Last: a snapshot that is named is whole.
    await store.setItem(key, JSON.stringify({ kind: 'index', at, why, docs: names } satisfies Index));
  });

/** How much room snapshots take, all together and each alone. */
export async function weighSnapshots(keys: readonly string[]): Promise<Weighed> {
  const holders = new Map<string, string[]>();
  const own = new Map<string, number>();
  let used = 0;
  for (const [key, text] of Object.entries(await store.getMany([...keys]))) {
    const index = indexIn(text);
    own.set(key, text?.length ?? 0);
    used += text?.length ?? 0;
    for (const name of index?.docs ?? []) holders.set(name, [...(holders.get(name) ?? []), key]);
  }
  for (const [name, by] of holders) {
    used += lettersOf(name);
    const [only] = by;
    if (by.length === 1 && only) own.set(only, (own.get(only) ?? 0) + lettersOf(name));
  }
  return { used, own };
}

/** Lets snapshots go, and what then none of those that are left holds. */
export const dropSnapshots = (gone: readonly string[]): Promise<void> =>
  alone(async () => {
    if (gone.length > 0) await store.removeMany([...gone]);
    const keys = await store.getAllKeys();
    const left = keys.filter((key) => !key.startsWith(CONTENT));
    const held = new Set(
      Object.values(await store.getMany(left)).flatMap((text) => [...(indexIn(text)?.docs ?? [])]),
    );
    const loose = keys.filter((key) => key.startsWith(CONTENT) && !held.has(key));
    if (loose.length > 0) await store.removeMany(loose);
  });

/**
 * A snapshot as the pieces of a file of everything; null where it is gone. Those of before are one text, and a document
 * whose content is gone is left out as one that cannot be read.
 */
export async function snapshotParts(key: string): Promise<string[] | null> {
  const text = await store.getItem(key);
  if (text === null) return null;
  const index = indexIn(text);
  if (!index) return [text];
  const { at, why, docs } = index;
  const texts = docs.length > 0 ? await store.getMany([...new Set(docs)]) : {};
  const head = JSON.stringify({ kind: 'snapshot', version: 1, at, why, docs: [] }).replace(/\]\}$/, '');
  return [head, ...docs.map((name, i) => `${i > 0 ? ',' : ''}${texts[name] ?? 'null'}`), ']}'];
}
