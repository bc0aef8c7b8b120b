import { isNewer, readDocument } from '../core/exchange/migrate';
import { mergeDocuments } from '../core/exchange/mergeDocuments';
import { sameJson, type Json } from '../core/exchange/threeWay';
import type { Commit } from './ahead';
import { NOT_TEXT } from './database';

/** What a transaction offers. */
export interface Entries {
  readonly get: (key: string) => Promise<unknown>;
  readonly put: (text: string, key: string) => Promise<unknown>;
  readonly delete: (key: string) => Promise<unknown>;
  readonly getAllKeys: () => Promise<readonly unknown[]>;
}

/** Keys that are no documents begin so. */
export const RESERVED = '~';
/** Stands in every store that has been laid out: without it, what was there is gone. */
export const STORE_KEY = '~store';
const APPLIED_KEY = '~applied';
/** How many changes the store has taken: tells which of two came later, whichever is heard of first. */
const COUNT_KEY = '~count';
const UNDO_PREFIX = '~undo/';
const ASIDE_PREFIX = '~aside/';
/** What is being typed and is not put into its document yet, by the field that it is typed into. */
export const DRAFT_PREFIX = '~draft/';
/** As the first versions kept the history: one text. */
export const OLD_UNDO_KEY = 'undo';

export const STEPS_KEPT = 40;
/** Windows whose numbers are remembered: a crash may bring back what one wrote ahead days ago. */
const WINDOWS_KEPT = 80;

/** A step of the history, as kept: what was there before it, by key. */
export interface Step {
  readonly id: string;
  readonly label: string;
  readonly before: Readonly<Record<string, Json>>;
}

/** A change that another window's change got in the way of. */
export interface Crossed {
  readonly key: string;
  /** Where both changed something; none where the other window took the whole out, or where both could not be joined. */
  readonly path: readonly string[];
  readonly mine: Json | undefined;
  readonly theirs: Json | undefined;
}

/** What came of a commit. */
export interface Landed {
  /** The texts that now stand; null where there is none. */
  readonly texts: Readonly<Record<string, string | null>>;
  readonly step: Step | null;
  readonly undone: string | null;
  readonly crossed: readonly Crossed[];
  /** Which change of the store it was, counted from its first. */
  readonly count: number;
}

/** The store was laid out once and has nothing now: the browser let go of it, or somebody cleared it. */
export class StoreGone extends Error {
  constructor() {
    super('The store is gone.');
  }
}

/** What a newer version of the app keeps under a key that this one would change: nothing is written over it. */
export class StoreNewer extends Error {
  constructor(readonly key: string) {
    super(`A newer version keeps ${key}.`);
  }
}

/** Whether a text is a document of a newer version of the app. */
export function isNewerText(text: string | null): boolean {
  if (text === null) return false;
  try {
    return isNewer(JSON.parse(text));
  } catch {
    return false;
  }
}

const textAt = async (entries: Entries, key: string): Promise<string | null> => {
  const text = await entries.get(key);
  return typeof text === 'string' ? text : null;
};

/** The document in a text, brought up to date; null where it is none that can be read. */
function documentIn(text: string): Json | null {
  try {
    const read = readDocument(JSON.parse(text));
    return read.ok ? (read.value as unknown as Json) : null;
  } catch {
    return null;
  }
}

/**
 * The entries with what a change asks of them read at once, and its writes sent off without waiting for one another: a
 * page that is killed in the middle of a change loses it, so the middle is kept short.
 */
async function readAtOnce(
  entries: Entries,
  keys: readonly string[],
): Promise<Entries & { sent: Promise<unknown>[] }> {
  const [texts, names] = await Promise.all([
    Promise.all(keys.map((key) => entries.get(key))),
    entries.getAllKeys(),
  ]);
  const known = new Map(keys.map((key, i) => [key, texts[i]]));
  const all = new Set(names.map(String));
  const sent: Promise<unknown>[] = [];
  return {
    sent,
    get: (key) => (known.has(key) ? Promise.resolve(known.get(key)) : entries.get(key)),
    getAllKeys: () => Promise.resolve([...all]),
    put: (text, key) => {
      known.set(key, text);
      all.add(key);
      sent.push(entries.put(text, key));
      return Promise.resolve();
    },
    delete: (key) => {
      known.set(key, undefined);
      all.delete(key);
      sent.push(entries.delete(key));
      return Promise.resolve();
    },
  };
}

/** Puts one change into the store, merged with whatever other windows put there since it was begun; once only. */
export async function land(store: Entries, commit: Commit): Promise<Landed> {
  const keys = Object.keys(commit.texts);
  const entries = await readAtOnce(store, [STORE_KEY, APPLIED_KEY, COUNT_KEY, ...keys]);
  const landed = await landIn(entries, commit, keys);
  await Promise.all(entries.sent);
  return landed;
}

async function landIn(entries: Entries, commit: Commit, keys: readonly string[]): Promise<Landed> {
  if ((await textAt(entries, STORE_KEY)) === null) throw new StoreGone();
  const applied = await appliedIn(entries);
  const before = Number((await textAt(entries, COUNT_KEY)) ?? 0) || 0;
  const nothing: Landed = { texts: {}, step: null, undone: null, crossed: [], count: before };
  if ((applied[commit.window] ?? 0) >= commit.number)
    return { ...nothing, texts: await textsAt(entries, keys), undone: commit.undoes };
  const undoKey = commit.undoes === null ? null : await keyOfStep(entries, commit.undoes);
  const takenBack = commit.undoes !== null && undoKey === null;
  // Another window has taken the same step back.
  const count = before + 1;
  const landed = takenBack
    ? { ...nothing, undone: commit.undoes, count }
    : { ...(await put(entries, commit)), count };
  await entries.put(String(count), COUNT_KEY);
  if (undoKey !== null) await entries.delete(undoKey);
  if (landed.step) await addStep(entries, landed.step);
  const numbers = Object.entries({ ...applied, [commit.window]: commit.number });
  await entries.put(JSON.stringify(Object.fromEntries(numbers.slice(-WINDOWS_KEPT))), APPLIED_KEY);
  return takenBack ? { ...landed, texts: await textsAt(entries, keys) } : landed;
}

async function put(entries: Entries, { texts, step, undoes }: Commit): Promise<Omit<Landed, 'count'>> {
  const stands: Record<string, string | null> = {};
  const before: Record<string, Json> = {};
  const crossed: Crossed[] = [];
  // All or nothing, and before anything is written: an older window never writes over a newer document.
  for (const key of Object.keys(texts))
    if (isNewerText(await textAt(entries, key))) throw new StoreNewer(key);
  for (const [key, { base, next }] of Object.entries(texts)) {
    const current = await textAt(entries, key);
    const settled = settle(key, base, current, next);
    crossed.push(...settled.crossed);
    // Nothing is written over what cannot be read.
    if (settled.aside !== null) await setAside(entries, key, settled.aside);
    before[key] = settled.before;
    stands[key] = settled.text;
    if (settled.text === null) await entries.delete(key);
    else if (settled.text !== current) await entries.put(settled.text, key);
  }
  return { texts: stands, step: step && { ...step, before }, undone: undoes, crossed };
}

interface Settled {
  readonly text: string | null;
  readonly before: Json;
  readonly crossed: readonly Crossed[];
  /** A text that stood there and cannot be read. */
  readonly aside: string | null;
}

function settle(key: string, base: string | null, current: string | null, next: string | null): Settled {
  const parse = (text: string | null): Json => (text === null ? null : (JSON.parse(text) as Json));
  const plain = { text: next, crossed: [], aside: null };
  if (current === base) return { ...plain, before: parse(base) };
  if (current === null) {
    const gone = { key, path: [], mine: parse(next), theirs: undefined };
    // What another window took out stays out.
    return base === null || next === null
      ? { ...plain, before: null }
      : { ...plain, text: null, before: null, crossed: [gone] };
  }
  const theirs = documentIn(current);
  if (theirs === null) return { ...plain, before: parse(base), aside: current };
  if (next === null) return { ...plain, before: theirs };
  // What a window of before wrote ahead is of its version: brought up to date, it compares.
  const mine = documentIn(next) ?? parse(next);
  const old = base === null ? undefined : (documentIn(base) ?? parse(base));
  if (old !== undefined && sameJson(old, theirs)) return { ...plain, before: theirs };
  const merged = mergeDocuments(old, theirs, mine);
  const whole = readDocument(merged.value);
  // Two changes that fit each by itself need not fit together: then this window's stands, and the other is offered.
  return whole.ok
    ? {
        text: JSON.stringify(merged.value),
        before: theirs,
        crossed: merged.clashes.map((clash) => ({ key, ...clash })),
        aside: null,
      }
    : { ...plain, before: theirs, crossed: [{ key, path: [], mine, theirs }] };
}

async function appliedIn(entries: Entries): Promise<Record<string, number>> {
  try {
    const data: unknown = JSON.parse((await textAt(entries, APPLIED_KEY)) ?? '{}');
    return typeof data === 'object' && data !== null && !Array.isArray(data)
      ? (data as Record<string, number>)
      : {};
  } catch {
    return {};
  }
}

async function textsAt(entries: Entries, keys: readonly string[]): Promise<Record<string, string | null>> {
  const texts: Record<string, string | null> = {};
  for (const key of keys) texts[key] = await textAt(entries, key);
  return texts;
}

const stepKeys = async (entries: Entries): Promise<string[]> =>
  (await entries.getAllKeys())
    .map(String)
    .filter((key) => key.startsWith(UNDO_PREFIX))
    .sort();

const keyOfStep = async (entries: Entries, id: string): Promise<string | null> =>
  (await stepKeys(entries)).find((key) => key.endsWith(`/${id}`)) ?? null;

async function addStep(entries: Entries, step: Step): Promise<void> {
  const keys = await stepKeys(entries);
  const last = Number(keys.at(-1)?.split('/')[1] ?? 0);
  await entries.put(JSON.stringify(step), `${UNDO_PREFIX}${String(last + 1).padStart(10, '0')}/${step.id}`);
  for (const key of keys.slice(0, Math.max(0, keys.length + 1 - STEPS_KEPT))) await entries.delete(key);
}

/** Lays texts into a store that has none; hands back false where there are some. */
export async function layOut(
  entries: Entries,
  texts: Readonly<Record<string, string>>,
  steps: readonly Step[] = [],
): Promise<boolean> {
  if ((await textAt(entries, STORE_KEY)) !== null) return false;
  for (const [key, text] of Object.entries(texts)) {
    if ((await textAt(entries, key)) === null) await entries.put(text, key);
  }
  for (const step of steps) await addStep(entries, step);
  await entries.put(JSON.stringify({ kind: 'carnelian', version: 1 }), STORE_KEY);
  return true;
}

/** Marks a store of an earlier version, and lays its history out as it is kept now. */
export async function adopt(entries: Entries, steps: readonly Step[]): Promise<void> {
  if (await layOut(entries, {}, steps)) await entries.delete(OLD_UNDO_KEY);
}

/** Moves a text that is no document under a name of its own, where nothing is ever written over it. */
export async function setAside(entries: Entries, key: string, text: string): Promise<string> {
  const taken = new Set((await entries.getAllKeys()).map(String));
  let n = 1;
  while (taken.has(`${ASIDE_PREFIX}${n}/${key}`)) n += 1;
  const name = `${ASIDE_PREFIX}${n}/${key}`;
  await entries.put(text, name);
  await entries.delete(key);
  return name;
}

/** What stands in a store, told apart. */
export interface Found {
  readonly documents: Readonly<Record<string, string>>;
  /** Texts of the history, oldest first. */
  readonly steps: readonly string[];
  /** Texts that were set aside: by the key that they have now, with the one that they had. */
  readonly aside: Readonly<Record<string, { readonly from: string; readonly text: string }>>;
  /** What was being typed, by field. */
  readonly drafts: Readonly<Record<string, string>>;
  readonly laid: boolean;
  /** Keys of documents that are read later: closed runs, by their index. */
  readonly later: readonly string[];
}

export function tellApart(held: Readonly<Record<string, string>>): Omit<Found, 'later'> {
  const documents: Record<string, string> = {};
  const aside: Record<string, { from: string; text: string }> = {};
  const steps: [string, string][] = [];
  const drafts: Record<string, string> = {};
  for (const [key, text] of Object.entries(held)) {
    if (key.startsWith(RESERVED) && text.startsWith(NOT_TEXT)) continue;
    if (key.startsWith(UNDO_PREFIX)) steps.push([key, text]);
    else if (key.startsWith(DRAFT_PREFIX)) drafts[key.slice(DRAFT_PREFIX.length)] = text;
    else if (key.startsWith(ASIDE_PREFIX)) {
      const from = key.slice(key.indexOf('/', ASIDE_PREFIX.length) + 1);
      aside[key] = { from, text };
    } else if (!key.startsWith(RESERVED)) documents[key] = text;
  }
  steps.sort(([a], [b]) => (a < b ? -1 : 1));
  return { documents, aside, drafts, steps: steps.map(([, text]) => text), laid: STORE_KEY in held };
}
