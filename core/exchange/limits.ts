/** Letters that a file may have: a run of sixty lines with all its formulas takes a tenth of it. */
export const MOST_LETTERS = 5_000_000;

/** Entries of one list or group, and of all of them together, that a file of ours never reaches. */
const MOST_ENTRIES = 5_000;
const MOST_IN_ALL = 400_000;

/** Where a file holds more than any of ours, before anything else is done with it; null where it does not. */
export function oversized(data: unknown): { readonly field: string; readonly entries: number } | null {
  let left = MOST_IN_ALL;
  const walk = (value: unknown, field: string): ReturnType<typeof oversized> => {
    if (typeof value !== 'object' || value === null) return null;
    const entries = Array.isArray(value) ? value.length : Object.keys(value).length;
    if (entries > MOST_ENTRIES || (left -= entries) < 0) return { field, entries };
    for (const [key, one] of Object.entries(value)) {
      const found = walk(
        one,
        Array.isArray(value) ? `${field}[${key}]` : field === '' ? key : `${field}.${key}`,
      );
      if (found) return found;
    }
    return null;
  };
  return walk(data, '');
}
