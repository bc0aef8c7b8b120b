import { demoPast } from './demoPast';
import type { AnyDoc } from '../core/model/documents';
import { create } from 'zustand';
import {
  SNAPSHOT_REASONS,
  readSnapshot,
  type Snapshot,
  type SnapshotFile,
  type SnapshotReason,
} from '../core/exchange/snapshot';
import { thinnedOut } from '../core/exchange/thinning';
import { type Change, type Docs, keyOf } from './documents';
import { rawEntries } from './storage';
import { dropSnapshots, keepSnapshot, snapshotKeys, weighSnapshots, snapshotParts } from './snapshotStore';
import { onceWhole, useDocuments, whenWhole } from './store';
import { localNow } from './time';

export { snapshotParts } from './snapshotStore';

/** A snapshot on the list: all that its name tells, so that none is read before it is wanted. */
export interface Kept {
  readonly key: string;
  /** Local time, to the second. */
  readonly at: string;
  readonly why: SnapshotReason;
  readonly documents: number;
  readonly letters: number;
}

const keyFor = ({ at, why, documents, letters }: Omit<Kept, 'key'>): string =>
  [at, why, documents, letters].join('|');

/** What a key tells; null where it is none of ours. */
export function keptOf(key: string): Kept | null {
  const [at = '', why = '', documents = '', letters = ''] = key.split('|');
  const reason = SNAPSHOT_REASONS.find((one) => one === why);
  return reason && at !== ''
    ? { key, at, why: reason, documents: Number(documents), letters: Number(letters) }
    : null;
}

/** Snapshots of this browser, newest first; and whether one could not be kept. */
export const useSnapshots = create<{ readonly list: readonly Kept[]; readonly refused: boolean }>(() => ({
  list: [],
  refused: false,
}));

async function listed(): Promise<Kept[]> {
  const keys = await snapshotKeys();
  const kept = keys.flatMap((key) => keptOf(key) ?? []);
  return kept.sort((a, b) => (a.key < b.key ? 1 : -1));
}

export async function listSnapshots(): Promise<void> {
  try {
    useSnapshots.setState({ list: await listed() });
  } catch {
    useSnapshots.setState({ refused: true });
  }
}

/** Documents as a file that can be brought in again. */
export const snapshotText = (docs: readonly unknown[], why: SnapshotReason, at: string): string => {
  const file: SnapshotFile = { kind: 'snapshot', version: 1, at, why, docs };
  return JSON.stringify(file);
};

const second = (now: number): string =>
  `${localNow(now)}:${String(new Date(now).getSeconds()).padStart(2, '0')}`;

/** Snapshots may take so many letters where the browser does not say what it grants. */
const MOST_LETTERS = 24_000_000;
/** And such a share of what it does grant, at two bytes a letter. */
const GRANTED_SHARE = 0.2;

async function mostLetters(): Promise<number> {
  try {
    const { quota = 0 } = await navigator.storage.estimate();
    return Math.max(MOST_LETTERS, (quota * GRANTED_SHARE) / 2);
  } catch {
    return MOST_LETTERS;
  }
}

/**
 * Keeps documents as they stand. What it is handed does not change while it writes.
 * @param spared the snapshot that is being gone back to: it stays whatever room there is
 */
async function keep(
  docs: readonly unknown[],
  why: SnapshotReason,
  now: number,
  spared: string | null = null,
): Promise<void> {
  try {
    const at = second(now);
    await keepSnapshot(keyFor({ at, why, documents: docs.length, letters: 0 }), { at, why, docs });
    const list = await listed();
    const { used, own } = await weighSnapshots(list.map(({ key }) => key));
    const weighed = list.map((one) => ({ ...one, letters: own.get(one.key) ?? 0 }));
    const gone = thinnedOut(weighed, at, { most: await mostLetters(), used }, spared);
    await dropSnapshots(gone.map(({ key }) => key));
    const left = new Set(gone.map(({ key }) => key));
    useSnapshots.setState({ list: list.filter(({ key }) => !left.has(key)), refused: false });
  } catch {
    useSnapshots.setState({ refused: true });
  }
}

/** Keeps all that is there now. */
export function keepNow(why: SnapshotReason, spared: string | null = null): Promise<void> {
  const { whole, docs } = useDocuments.getState();
  // Taken at once, before whatever is about to replace it.
  if (whole) return keep(Object.values(docs), why, Date.now(), spared);
  return whenWhole().then(() => keepNow(why, spared));
}

/** Once a day; and what an update is about to write anew, as it stood before. */
export async function keepDaily(): Promise<void> {
  await whenWhole();
  const now = Date.now();
  const { older } = useDocuments.getState();
  if (older.length > 0) await keep(older, 'before an update', now);
  await listSnapshots();
  const today = localNow(now).slice(0, 10);
  const { list } = useSnapshots.getState();
  if (!list.some(({ at, why }) => why === 'the day' && at.startsWith(today)))
    await keep(Object.values(useDocuments.getState().docsAtStart), 'the day', now);
}

export async function loadSnapshot(key: string): Promise<Snapshot | null> {
  const parts = await snapshotParts(key);
  if (parts === null) return null;
  const read = readSnapshot(JSON.parse(parts.join('')));
  return read.ok ? read.value : null;
}

/** Everything as it stood then: what has come since goes. One step that can be undone. */
export const goBackTo = ({ at, docs }: Snapshot, key: string | null = null): void =>
  onceWhole(() => {
    void keepNow('before going back', key);
    const { docs: now, change } = useDocuments.getState();
    const gone: Change = Object.fromEntries(Object.keys(now).map((one) => [one, null]));
    const then: Docs = Object.fromEntries(docs.map((doc) => [keyOf(doc), doc]));
    change(`Back to ${at.replace('T', ' ')}`, { ...gone, ...then });
  });

/** What is there is kept first; a browser that cannot is not waited for. */
const keptFirst = (why: SnapshotReason): Promise<unknown> => orPatience(keepNow(why));

/** Waits for something, but no longer than somebody does. */
const orPatience = (work: Promise<unknown>): Promise<unknown> =>
  Promise.race([work, new Promise((done) => setTimeout(done, KEPT_WITHIN_MS))]);
const KEPT_WITHIN_MS = 3000;

export async function startEmpty(): Promise<void> {
  await whenWhole();
  await keptFirst('before starting empty');
  useDocuments.getState().startEmpty();
}

export async function loadDemo(now: number): Promise<void> {
  await whenWhole();
  await keptFirst('before the demo');
  useDocuments.getState().loadDemo(localNow(now), await demoPast(localNow(now)));
}

/** All documents as they stand in this window, as the pieces of a file that can be brought in again, whatever its size. */
export async function everythingParts(): Promise<string[]> {
  // Where closed runs cannot be read at all, what there is is better than nothing.
  await orPatience(whenWhole());
  const docs = Object.values(useDocuments.getState().docs);
  const [head = '', tail = ''] = snapshotText([], 'by hand', localNow(Date.now())).split('[]');
  return [`${head}[`, ...docs.map((doc, i) => `${i > 0 ? ',' : ''}${JSON.stringify(doc)}`), `]${tail}`];
}

/** Whatever the browser hands over of what is kept, unread: for a person who helps, when nothing else works. */
export async function rawText(): Promise<string> {
  const ahead: Record<string, string | null> = {};
  let database: unknown = 'not to be read';
  try {
    for (const key of Object.keys(localStorage)) ahead[key] = localStorage.getItem(key);
    database = await rawEntries();
  } catch {
    // As much as there is.
  }
  return JSON.stringify({ kind: 'raw', ahead, database }, null, 1);
}

/** One document as it stood. */
export function putBack(doc: AnyDoc): void {
  void keepNow('before going back');
  useDocuments.getState().change(`Put back ${doc.name}`, { [keyOf(doc)]: doc });
}
