/** Under this name the served page finds what to show before any script has come. */
const NEXT = 'carnelian-next';

/** Notes the next thing to do for the next time that the page is opened. */
export function noteNext(words: string | null): void {
  try {
    if (words === null) localStorage.removeItem(NEXT);
    else localStorage.setItem(NEXT, JSON.stringify(words));
  } catch {
    // Then the page opens without it.
  }
}
