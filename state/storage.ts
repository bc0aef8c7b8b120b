import { createAsyncStorage } from '@react-native-async-storage/async-storage';

/** Where documents are kept: one key a document, in the browser's IndexedDB. */
export interface DocStorage {
  readAll(): Promise<Record<string, string>>;
  write(entries: Readonly<Record<string, string | null>>): Promise<void>;
}

type Entries = Readonly<Record<string, string | null>>;

/** What is on its way into the browser's store, kept where it is written at once. */
const PENDING = 'carnelian-pending';

/**
 * A change that is being written when the page goes is lost to IndexedDB, which writes a moment later. So it is put down
 * here first, and taken from here at the next start. Where that is not allowed, or full, the store alone has to do.
 */
function putDown(entries: Entries | null): void {
  try {
    if (entries === null) localStorage.removeItem(PENDING);
    else localStorage.setItem(PENDING, JSON.stringify(entries));
  } catch {
    // A private window, or no room left.
  }
}

function pending(): Entries {
  try {
    const held: unknown = JSON.parse(localStorage.getItem(PENDING) ?? '{}');
    return typeof held === 'object' && held !== null ? (held as Entries) : {};
  } catch {
    return {};
  }
}

export function browserStorage(): DocStorage {
  const store = createAsyncStorage('carnelian');
  const put = async (entries: Entries) => {
    const gone = Object.keys(entries).filter((key) => entries[key] === null);
    const kept = Object.entries(entries).filter((pair): pair is [string, string] => pair[1] !== null);
    if (kept.length > 0) await store.setMany(Object.fromEntries(kept));
    if (gone.length > 0) await store.removeMany(gone);
  };
  return {
    async readAll() {
      const left = pending();
      if (Object.keys(left).length > 0) {
        await put(left);
        putDown(null);
      }
      const keys = await store.getAllKeys();
      const held = await store.getMany(keys);
      return Object.fromEntries(
        Object.entries(held).filter((pair): pair is [string, string] => pair[1] !== null),
      );
    },
    async write(entries) {
      putDown(entries);
      // The picture first: it is safe already, and opening a transaction takes longer than the sums.
      await new Promise((done) => setTimeout(done, 0));
      await put(entries);
      putDown(null);
    },
  };
}
