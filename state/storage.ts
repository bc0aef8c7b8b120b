import { holdWindow, leftBehind, windowName, writeAhead, type Commit } from './ahead';
import { Database } from './database';
import {
  DRAFT_PREFIX,
  adopt,
  land,
  layOut,
  setAside,
  tellApart,
  type Entries,
  type Found,
  type Landed,
  type Step,
} from './landing';

/** What another window has put into the store. */
export interface Elsewhere {
  readonly window: string;
  readonly texts: Landed['texts'];
  readonly step: Step | null;
  readonly undone: string | null;
  readonly count: number;
}

/** Where documents are kept: one key a document, shared by all windows of this browser. */
export interface DocStorage {
  /** The name of this window. */
  readonly window: string;
  /** All that is kept, with what windows that are gone left on its way put in. */
  readonly read: () => Promise<Found>;
  /** Texts that were left for later, by key; those that stand no more are left out. */
  readonly readLater: (keys: readonly string[]) => Promise<Readonly<Record<string, string>>>;
  /** Whether something was kept here once, as far as the browser still knows. */
  readonly wasKept: () => boolean;
  /** Lays texts into a store that has none; false where there are some after all. */
  readonly layOut: (texts: Readonly<Record<string, string>>, steps?: readonly Step[]) => Promise<boolean>;
  /** Takes over a store of an earlier version. */
  readonly adopt: (steps: readonly Step[]) => Promise<void>;
  /** Moves texts that cannot be read out of the way; hands back the names that they have now. */
  readonly setAside: (texts: Readonly<Record<string, string>>) => Promise<Readonly<Record<string, string>>>;
  /** A text as it stands in the store at this moment; null where there is none. */
  readonly textOf: (key: string) => Promise<string | null>;
  /** Changes texts that were set aside: null lets one go. */
  readonly putAside: (key: string, text: string | null) => Promise<void>;
  /** Keeps what is being typed into a field; null lets it go. */
  readonly draft: (field: string, text: string | null) => Promise<void>;
  /** Writes down what is on its way, at once; false where the browser does not allow it. */
  readonly ahead: (commits: readonly Commit[]) => boolean;
  readonly commit: (commit: Commit) => Promise<Landed>;
  /** Hears of what other windows do. */
  readonly listen: (heard: (news: Elsewhere) => void) => void;
}

const NAME = 'carnelian';
const KEPT = 'carnelian-kept';
/** What the first versions wrote ahead: texts by key, without a number. */
const OLD_AHEAD = 'carnelian-pending';

export function browserStorage(): DocStorage {
  const db = new Database(NAME);
  const window = windowName();
  const channel =
    channelOfPage() ?? (typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(NAME));
  holdWindow(window);
  const tell = ({ texts, step, undone, count }: Landed) => {
    const news: Elsewhere = { window, texts, step, undone, count };
    channel?.postMessage(news);
  };
  const commit = async (one: Commit): Promise<Landed> => {
    const letters = Object.values(one.texts).reduce(
      (sum, { base, next }) => sum + (base?.length ?? 0) + (next?.length ?? 0),
      0,
    );
    const landed = await db.write((entries: Entries) => land(entries, one), letters);
    tell(landed);
    return landed;
  };
  return {
    window,
    async read() {
      const byPage = db.readByPage();
      let changed = await putOldAhead(db);
      for (const { window: gone, commits } of await leftBehind(window)) {
        changed ||= commits.length > 0;
        for (const one of commits) await commit(one);
        writeAhead(gone, []);
      }
      const ahead = changed ? null : await byPage;
      const found = { ...tellApart(ahead?.texts ?? (await db.readAll())), later: ahead?.later ?? [] };
      if (found.laid) remember();
      return found;
    },
    readLater: (keys) => db.readSome(keys),
    wasKept: () => {
      try {
        return localStorage.getItem(KEPT) !== null;
      } catch {
        return false;
      }
    },
    async layOut(texts, steps) {
      const laid = await db.write((entries: Entries) => layOut(entries, texts, steps));
      remember();
      return laid;
    },
    adopt: (steps) => db.write((entries: Entries) => adopt(entries, steps)),
    setAside: (texts) =>
      db.write(async (entries: Entries) => {
        const names: Record<string, string> = {};
        for (const [key, text] of Object.entries(texts)) names[key] = await setAside(entries, key, text);
        return names;
      }),
    textOf: (key) =>
      db.write(async (entries: Entries) => {
        const text = await entries.get(key);
        return typeof text === 'string' ? text : null;
      }),
    putAside: (key, text) =>
      db.write(async (entries: Entries) => {
        await (text === null ? entries.delete(key) : entries.put(text, key));
      }),
    draft: (field, text) =>
      db.write(async (entries: Entries) => {
        const key = DRAFT_PREFIX + field;
        await (text === null ? entries.delete(key) : entries.put(text, key));
      }),
    ahead: (commits) => writeAhead(window, commits),
    commit,
    listen(heard) {
      if (channel) channel.onmessage = null;
      heardByPage().forEach(({ data }) => heard(data));
      channel?.addEventListener('message', ({ data }: MessageEvent<Elsewhere>) => heard(data));
    },
  };
}

/** The channel on which the served page listens since before it read anything. */
const page = globalThis as {
  carnelianChannel?: BroadcastChannel | null;
  carnelianHeard?: readonly MessageEvent<Elsewhere>[];
};

function channelOfPage(): BroadcastChannel | null {
  const channel = page.carnelianChannel ?? null;
  page.carnelianChannel = null;
  return channel;
}

/** What came by it meanwhile; from here on it is this script's. */
function heardByPage(): readonly MessageEvent<Elsewhere>[] {
  const heard = page.carnelianHeard ?? [];
  page.carnelianHeard = [];
  return heard;
}

/** All texts as they stand in the browser, reserved ones too. */
export const rawEntries = (): Promise<Record<string, string>> => new Database(NAME).readAll();

function remember(): void {
  try {
    localStorage.setItem(KEPT, '1');
  } catch {
    // Then an empty store is taken for a first start.
  }
}

/** Puts in what a version of before wrote ahead and did not get into its store; whether there was anything. */
async function putOldAhead(db: Database): Promise<boolean> {
  let held: string | null = null;
  try {
    held = localStorage.getItem(OLD_AHEAD);
  } catch {
    return false;
  }
  if (held === null) return false;
  const texts = oldTexts(held);
  await db.write(async (entries: Entries) => {
    for (const [key, text] of Object.entries(texts)) {
      if (typeof text === 'string') await entries.put(text, key);
      else await entries.delete(key);
    }
  });
  localStorage.removeItem(OLD_AHEAD);
  return true;
}

function oldTexts(held: string): Readonly<Record<string, unknown>> {
  try {
    const data: unknown = JSON.parse(held);
    return typeof data === 'object' && data !== null && !Array.isArray(data)
      ? (data as Record<string, unknown>)
      : {};
  } catch {
    return {};
  }
}
