import { openDB, wrap, type IDBPDatabase, type IDBPTransaction } from 'idb';

/**
 * The browser's database as AsyncStorage lays it out (one store of texts by key), opened by the package that AsyncStorage
 * itself opens it with: that one has no transaction over several keys, and holds on to a connection that is gone.
 */
const STORE = 'entries';
const VERSION = 1;

export type Entries = IDBPTransaction<unknown, [typeof STORE], 'readwrite'>['store'];

/** The browser's answer is waited for so long, ms: a database that hangs never says so. */
const PATIENCE_MS = 4000;
/** And longer for as much as has to be read or written: so many letters a millisecond, on a slow phone. */
const LETTERS_A_MS = 1000;
/** What a read may have before it: a store of years. */
const READ_MS = 12_000;

/** Keys, and beside each what stands under it; and keys whose texts were left for later. */
type Found = readonly [readonly unknown[], readonly unknown[], (readonly unknown[])?];

/** Texts by key, and keys that were not read yet. */
export interface ReadAhead {
  readonly texts: Record<string, string>;
  readonly later: readonly string[];
}

/** Stands before what was found under a key and is no text: something else than this app put it there. */
export const NOT_TEXT = '\u0000no text: ';

function shown(value: unknown): string {
  try {
    return JSON.stringify(value) ?? String(value);
  } catch {
    return String(value);
  }
}

const byKey = ([keys, values]: Found): Record<string, string> =>
  Object.fromEntries(
    keys.map((key, i) => {
      const value = values[i];
      return [String(key), typeof value === 'string' ? value : NOT_TEXT + shown(value)];
    }),
  );

export class NoAnswer extends Error {
  constructor() {
    super('The browser’s database does not answer.');
  }
}

export class Database {
  private opened: Promise<IDBPDatabase> | null = null;

  constructor(private readonly name: string) {}

  /** All texts by key. */
  readAll(): Promise<Record<string, string>> {
    return this.inTime(
      this.trying(async (db) => {
        const tx = db.transaction(STORE, 'readonly');
        const found = await Promise.all([
          tx.store.getAllKeys(),
          tx.store.getAll() as Promise<readonly unknown[]>,
        ]);
        await tx.done;
        return byKey(found);
      }),
      READ_MS,
    );
  }

  /**
   * All texts as the served page read them before any script had come, once; null where it did not. Whoever takes them has
   * heard of every change since by the page's channel.
   */
  async readByPage(): Promise<ReadAhead | null> {
    const page = globalThis as { carnelianTexts?: Promise<Found> | null };
    const texts = page.carnelianTexts;
    page.carnelianTexts = null;
    if (!texts) return null;
    return this.inTime(texts).then(
      (found) => ({ texts: byKey(found), later: (found[2] ?? []).map(String) }),
      () => null,
    );
  }

  /** Texts of some keys; those that stand no more are left out. */
  readSome(keys: readonly string[]): Promise<Record<string, string>> {
    return this.inTime(
      this.trying(async (db) => {
        const tx = db.transaction(STORE, 'readonly');
        const values = await Promise.all(keys.map((key) => tx.store.get(key) as Promise<unknown>));
        await tx.done;
        const there = keys.flatMap((key, i) => (values[i] === undefined ? [] : [i]));
        return byKey([there.map((i) => keys[i]), there.map((i) => values[i])]);
      }),
      READ_MS,
    );
  }

  /** All of it or nothing: one transaction, in which other windows wait. */
  write<T>(work: (entries: Entries) => Promise<T>, letters = 0): Promise<T> {
    return this.inTime(
      this.trying(async (db) => {
        const tx = db.transaction(STORE, 'readwrite');
        // A promise that fails while the work still runs is heard at once; the fault itself is thrown below.
        tx.done.catch(() => undefined);
        try {
          const result = await work(tx.store);
          await tx.done;
          return result;
        } catch (fault) {
          abort(tx);
          throw tx.error ?? fault;
        }
      }),
      PATIENCE_MS + letters / LETTERS_A_MS,
    );
  }

  /** Waits no longer than that, and lets a connection go that hangs: the next try opens another. */
  private async inTime<T>(work: Promise<T>, patienceMs = PATIENCE_MS): Promise<T> {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const late = new Promise<never>((_, refuse) => {
      timer = setTimeout(() => {
        this.letGo();
        refuse(new NoAnswer());
      }, patienceMs);
    });
    try {
      return await Promise.race([work, late]);
    } finally {
      clearTimeout(timer);
    }
  }

  /** Does something with the database; a connection that has failed is let go, so that the next try opens another. */
  private async trying<T>(work: (db: IDBPDatabase) => Promise<T>): Promise<T> {
    try {
      return await work(await this.open());
    } catch (fault) {
      this.letGo();
      throw fault;
    }
  }

  private open(): Promise<IDBPDatabase> {
    this.opened ??= this.openedByPage() ?? this.openNew();
    return this.opened;
  }

  /** The connection that the served page opened before any script had come, once. */
  private openedByPage(): Promise<IDBPDatabase> | null {
    const page = globalThis as { carnelianStore?: Promise<IDBDatabase> | null };
    const ahead = page.carnelianStore;
    if (!ahead) return null;
    page.carnelianStore = null;
    return ahead.then(
      (db) => {
        const gone = () => {
          this.opened = null;
        };
        if (db.name !== this.name || !db.objectStoreNames.contains(STORE)) {
          db.close();
          return this.openNew();
        }
        db.addEventListener('versionchange', () => this.letGo());
        db.addEventListener('close', gone);
        return wrap(db);
      },
      () => this.openNew(),
    );
  }

  private openNew(): Promise<IDBPDatabase> {
    return openDB(this.name, VERSION, {
      upgrade: (db) => {
        if (!db.objectStoreNames.contains(STORE)) db.createObjectStore(STORE);
      },
      blocking: () => this.letGo(),
      terminated: () => {
        this.opened = null;
      },
    });
  }

  private letGo(): void {
    const { opened } = this;
    this.opened = null;
    opened?.then((db) => db.close()).catch(() => undefined);
  }
}

function abort(tx: { readonly abort: () => void }): void {
  try {
    tx.abort();
  } catch {
    // It has ended already.
  }
}
