import type { AnyDoc } from '../core/model/documents';

/**
 * Keys of the runs that were closed when all documents were last read. The served page leaves them out of its first reading
 * (`public/index.html`), so that a kitchen of years stands as soon as a new one. It only says what may come later: a key
 * that is missing is read at once, and one too many a moment later, so that a wrong index loses nothing.
 */
export const CLOSED_INDEX = 'carnelian-closed';

export const isClosedRun = (doc: AnyDoc | null | undefined): boolean =>
  doc?.kind === 'run' && doc.closed !== null;

/** Keys that are indexed; none where the index cannot be read. */
export function indexedAsClosed(): readonly string[] {
  try {
    const data: unknown = JSON.parse(localStorage.getItem(CLOSED_INDEX) ?? '[]');
    return Array.isArray(data) ? data.filter((key): key is string => typeof key === 'string') : [];
  } catch {
    return [];
  }
}

/** Makes the index say what closed runs there are; where it does already, nothing is written. */
export function indexClosed(docs: Readonly<Record<string, AnyDoc>>): void {
  const keys = Object.entries(docs).flatMap(([key, doc]) => (isClosedRun(doc) ? [key] : []));
  const known = new Set(indexedAsClosed());
  if (keys.length === known.size && keys.every((key) => known.has(key))) return;
  try {
    localStorage.setItem(CLOSED_INDEX, JSON.stringify(keys));
  } catch {
    // Then all documents are read at the next start.
    localStorage.removeItem(CLOSED_INDEX);
  }
}
