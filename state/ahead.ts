/**
 * What is on its way into the browser's database, written down where it stands at once. A change that is being written
 * when the page goes is lost to the database, which writes a moment later; it is taken from here at the next start.
 *
 * Each window writes its own changes under its own name, numbered. The database remembers up to which number it has each
 * window's changes, in the same transaction as the documents: so a copy that a crash brought back is known to be old.
 */

/** The texts of one change by key, as this window knew them before and as they are to be; null where there is none. */
export type Texts = Readonly<Record<string, { readonly base: string | null; readonly next: string | null }>>;

/** A change on its way. */
export interface Commit {
  readonly window: string;
  /** 1, 2, 3 … within the window. */
  readonly number: number;
  readonly texts: Texts;
  /** The step that it adds to the history; null where undo takes nothing back to before it. */
  readonly step: { readonly id: string; readonly label: string } | null;
  /** The step that it takes back. */
  readonly undoes: string | null;
}

const PREFIX = 'carnelian-ahead/';
const LOCK = 'carnelian-window/';

/** A name for this window that no other has. */
export const windowName = (): string =>
  `${Date.now().toString(36)}-${Math.random().toString(36).slice(2, 10)}`;

/** Writes down all that is on its way; false where the browser has no room for it or does not allow it. */
export function writeAhead(window: string, commits: readonly Commit[]): boolean {
  try {
    if (commits.length === 0) localStorage.removeItem(PREFIX + window);
    else localStorage.setItem(PREFIX + window, JSON.stringify(commits));
    return true;
  } catch {
    return false;
  }
}

const isCommit = (data: unknown): data is Commit => {
  const commit = data as Partial<Commit> | null;
  return (
    typeof commit === 'object' &&
    commit !== null &&
    typeof commit.window === 'string' &&
    typeof commit.number === 'number' &&
    typeof commit.texts === 'object' &&
    commit.texts !== null &&
    Object.values(commit.texts).every(
      (one) => typeof one === 'object' && one !== null && 'base' in one && 'next' in one,
    )
  );
};

/** Changes that windows which are gone left behind, oldest first in each. */
export async function leftBehind(
  own: string,
): Promise<{ readonly window: string; readonly commits: Commit[] }[]> {
  try {
    const others = Object.keys(localStorage)
      .filter((key) => key.startsWith(PREFIX))
      .map((key) => key.slice(PREFIX.length))
      .filter((window) => window !== own);
    // Mostly there are none, and the first picture waits for this answer.
    if (others.length === 0) return [];
    const alive = await openWindows();
    return others
      .filter((window) => !alive.has(window))
      .map((window) => ({ window, commits: readAhead(window) }));
  } catch {
    return [];
  }
}

function readAhead(window: string): Commit[] {
  try {
    const data: unknown = JSON.parse(localStorage.getItem(PREFIX + window) ?? '[]');
    return Array.isArray(data) ? data.filter(isCommit).sort((a, b) => a.number - b.number) : [];
  } catch {
    return [];
  }
}

/** Takes note that this window is open for as long as it is, where the browser can tell others. */
export function holdWindow(window: string): void {
  const locks = lockManager();
  void locks?.request(LOCK + window, () => new Promise(() => undefined)).catch(() => undefined);
}

async function openWindows(): Promise<ReadonlySet<string>> {
  const held = await lockManager()
    ?.query()
    .catch(() => null);
  const names = (held?.held ?? []).map(({ name }) => name ?? '');
  return new Set(names.filter((name) => name.startsWith(LOCK)).map((name) => name.slice(LOCK.length)));
}

const lockManager = (): LockManager | undefined =>
  typeof navigator === 'undefined' ? undefined : navigator.locks;
