import { createAsyncStorage } from '@react-native-async-storage/async-storage';

/** Where documents are kept: one key a document, in the browser's IndexedDB. */
export interface DocStorage {
  readAll(): Promise<Record<string, string>>;
  write(entries: Readonly<Record<string, string | null>>): Promise<void>;
}

export function browserStorage(): DocStorage {
  const store = createAsyncStorage('carnelian');
  return {
    async readAll() {
      const keys = await store.getAllKeys();
      const held = await store.getMany(keys);
      return Object.fromEntries(
        Object.entries(held).filter((pair): pair is [string, string] => pair[1] !== null),
      );
    },
    async write(entries) {
      const gone = Object.keys(entries).filter((key) => entries[key] === null);
      const kept = Object.entries(entries).filter((pair): pair is [string, string] => pair[1] !== null);
      if (kept.length > 0) await store.setMany(Object.fromEntries(kept));
      if (gone.length > 0) await store.removeMany(gone);
    },
  };
}
