/** The page is let go on for so long at the most before background work is taken up again, ms. */
const MOST_MS = 250;

/** Between stretches of background work: until the page has nothing else to do. */
export const breath = (): Promise<void> =>
  new Promise((done) => {
    if (typeof requestIdleCallback === 'function') requestIdleCallback(() => done(), { timeout: MOST_MS });
    else setTimeout(done, 0);
  });
