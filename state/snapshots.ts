import { demoPast } from './demoPast';
import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import type { AnyDoc } from '../core/model/documents';
import { create } from 'zustand';
import {
  SNAPSHOT_REASONS,
  readSnapshot,
  type Snapshot,
  type SnapshotFile,
  type SnapshotReason,
} from '../core/exchange/snapshot';
import { type Change, type Docs, keyOf } from './documents';
import { rawEntries } from './storage';
import { useDocuments } from './store';
import { localNow } from './time';

/** A snapshot on the list: all that its name tells, so that none is read before it is wanted. */
export interface Kept {
  readonly key: string;
  /** Local time, to the second. */
  readonly at: string;
  readonly why: SnapshotReason;
  readonly documents: number;
  readonly letters: number;
}

/** So many of the days, so many of the rest, and so many letters of all of them. */
export const BUDGET = { days: 14, others: 14, letters: 24_000_000 } as const;

/** Which of the snapshots go, so that the budget holds; the newest stays whatever its size. */
export function overBudget(
  kept: readonly Kept[],
  budget: Readonly<Record<keyof typeof BUDGET, number>> = BUDGET,
): Kept[] {
  const newestFirst = [...kept].sort((a, b) => (a.key < b.key ? 1 : -1));
  let [days, others, letters] = [0, 0, 0];
  return newestFirst.filter((one, i) => {
    const daily = one.why === 'the day';
    if (daily) days += 1;
    else others += 1;
    letters += one.letters;
    const over = (daily ? days > budget.days : others > budget.others) || letters > budget.letters;
    return i > 0 && over;
  });
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

const store = createAsyncStorage('carnelian-snapshots');

/** Snapshots of this browser, newest first; and whether one could not be kept. */
export const useSnapshots = create<{ readonly list: readonly Kept[]; readonly refused: boolean }>(() => ({
  list: [],
  refused: false,
}));

async function listed(): Promise<Kept[]> {
  const keys = await store.getAllKeys();
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

/** Keeps documents as they stand. What it is handed does not change while it writes. */
async function keep(docs: readonly unknown[], why: SnapshotReason, now: number): Promise<void> {
  try {
    const at = second(now);
    const text = snapshotText(docs, why, at);
    await store.setItem(keyFor({ at, why, documents: docs.length, letters: text.length }), text);
    const list = await listed();
    const gone = overBudget(list);
    if (gone.length > 0) await store.removeMany(gone.map(({ key }) => key));
    useSnapshots.setState({ list: list.filter((one) => !gone.includes(one)), refused: false });
  } catch {
    useSnapshots.setState({ refused: true });
  }
}

/** Keeps all that is there now. */
export const keepNow = (why: SnapshotReason): Promise<void> =>
  keep(Object.values(useDocuments.getState().docs), why, Date.now());

/** Once a day; and what an update is about to write anew, as it stood before. */
export async function keepDaily(): Promise<void> {
  const now = Date.now();
  const { older } = useDocuments.getState();
  if (older.length > 0) await keep(older, 'before an update', now);
  await listSnapshots();
  const today = localNow(now).slice(0, 10);
  const { list } = useSnapshots.getState();
  if (!list.some(({ at, why }) => why === 'the day' && at.startsWith(today))) await keepNow('the day');
}

export async function loadSnapshot(key: string): Promise<Snapshot | null> {
  const text = await store.getItem(key);
  if (text === null) return null;
  const read = readSnapshot(JSON.parse(text));
  return read.ok ? read.value : null;
}

export const snapshotFile = (key: string): Promise<string | null> => store.getItem(key);

/** Everything as it stood then: what has come since goes. One step that can be undone. */
export function goBackTo({ at, docs }: Snapshot): void {
  void keepNow('before going back');
  const { docs: now, change } = useDocuments.getState();
  const gone: Change = Object.fromEntries(Object.keys(now).map((key) => [key, null]));
  const then: Docs = Object.fromEntries(docs.map((doc) => [keyOf(doc), doc]));
  change(`Back to ${at.replace('T', ' ')}`, { ...gone, ...then });
}

export function startEmpty(): void {
  void keepNow('before starting empty');
  useDocuments.getState().startEmpty();
}

export async function loadDemo(now: number): Promise<void> {
  void keepNow('before the demo');
  useDocuments.getState().loadDemo(localNow(now), await demoPast(localNow(now)));
}

/** All documents as they stand in this window, as the pieces of a file that can be brought in again, whatever its size. */
export function everythingParts(): string[] {
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
