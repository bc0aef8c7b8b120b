/**
 * How long the logbook takes to open with thousands of batches in it, and what it costs to scroll and to search, on a
 * processor slowed four times. `npm run bench:logbook [batches]`.
 */
import { readFileSync } from 'node:fs';
import type { PastFile } from '../demo/past';
import { drain } from '../server/app';
import { openedPage } from './benchPage';

const SLOWER = 4;
const BATCHES = Number(process.argv[2] ?? 5000);
const DAY_MS = 86_400_000;

/** Whole batches of the demo's past, over and over, one a day back from now. */
function batches(): Record<string, string> {
  const { runs } = JSON.parse(readFileSync('public/demo-past.json', 'utf8')) as PastFile;
  const now = Date.now();
  return Object.fromEntries(
    Array.from({ length: BATCHES }, (_, i) => {
      const run = runs[i % runs.length];
      if (!run?.closed) throw new Error('invariant: the past is closed');
      const at = now - i * DAY_MS;
      const evidence = (run.closed.evidence ?? []).map((one) => ({
        ...one,
        id: `${i}/${one.id}`.slice(0, 80),
        at,
      }));
      const id = `run-old-${i}`;
      const doc = { ...run, id, name: `${run.name} ${i + 1}`, closed: { ...run.closed, at, evidence } };
      return [id, JSON.stringify(doc)];
    }),
  );
}

async function main(): Promise<void> {
  const { server, base, browser, context, page } = await openedPage();
  await page.evaluate(async (all) => {
    const asked = indexedDB.open('carnelian');
    const db = await new Promise<IDBDatabase>((done) => (asked.onsuccess = () => done(asked.result)));
    const write = db.transaction('entries', 'readwrite');
    const store = write.objectStore('entries');
    const listed = store.getAllKeys();
    await new Promise((done) => (listed.onsuccess = done));
    const like = listed.result.map(String).find((key) => key.includes('run-lantern-evening')) ?? '';
    for (const [id, text] of Object.entries(all)) store.put(text, like.replace('run-lantern-evening', id));
    await new Promise((done) => (write.oncomplete = done));
    db.close();
  }, batches());
  const cdp = await context.newCDPSession(page);
  await page.goto(base);
  await page.getByRole('navigation', { name: 'Places' }).waitFor({ timeout: 120_000 });
  // Read and sealed once, as after any first visit.
  await page.waitForTimeout(20_000);
  await page.goto(base);
  await page.getByRole('navigation', { name: 'Places' }).waitFor({ timeout: 120_000 });
  await page.waitForTimeout(6000);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const watch = () => {
    const seen: number[] = [];
    Object.assign(globalThis, { longTasks: seen });
    new PerformanceObserver((list) =>
      seen.push(...list.getEntries().map(({ duration }) => duration)),
    ).observe({
      entryTypes: ['longtask'],
    });
  };
  await page.evaluate(watch);
  const longest = () =>
    page.evaluate(() =>
      Math.max(0, ...((globalThis as unknown as { longTasks?: number[] }).longTasks ?? [])),
    );
  const forget = () =>
    page.evaluate(() => ((globalThis as unknown as { longTasks: number[] }).longTasks.length = 0));
  const timed = async (does: () => Promise<void>): Promise<number> => {
    const from = performance.now();
    await does();
    return performance.now() - from;
  };
  const say = (what: string, ms: number, task: number) =>
    process.stdout.write(`  ${what}: ${(ms / 1000).toFixed(2)} s, longest task ${Math.round(task)} ms\n`);
  process.stdout.write(`${BATCHES} batches, processor slowed ${SLOWER} times\n`);
  // Noted in the page itself: from outside, whoever asks would be slowed as well, and count.
  const watched = () =>
    page.evaluate(() => {
      const noted: { from?: number; until?: number } = {};
      Object.assign(globalThis, { noted });
      addEventListener('click', () => (noted.from ??= performance.now()), { capture: true, once: true });
      const look = () => {
        const there = [...document.querySelectorAll('[role=heading], h2, h3')].some((one) =>
          /^(Seed swap|Lantern making|Bulb planting)/.test(one.textContent),
        );
        if (there && noted.from !== undefined) noted.until = performance.now();
        else requestAnimationFrame(look);
      };
      requestAnimationFrame(look);
    });
  const took = async (): Promise<number> => {
    await page.waitForFunction(
      () => (globalThis as unknown as { noted: { until?: number } }).noted.until !== undefined,
      undefined,
      { timeout: 60_000, polling: 500 },
    );
    return page.evaluate(() => {
      const { from = NaN, until = NaN } = (
        globalThis as unknown as { noted: { from?: number; until?: number } }
      ).noted;
      return until - from;
    });
  };
  for (const round of [1, 2, 3]) {
    await forget();
    await watched();
    await page
      .getByRole('link', { name: 'Logbook' })
      .or(page.getByRole('tab', { name: 'Logbook' }))
      .first()
      .click();
    const open = await took();
    await page.waitForTimeout(2500);
    say(`the logbook opens, round ${round}`, open, await longest());
    if (round < 3) {
      await page
        .getByRole('link', { name: 'Runs' })
        .or(page.getByRole('tab', { name: 'Runs' }))
        .first()
        .click();
      await page.waitForTimeout(2500);
    }
  }
  await page.waitForTimeout(2500);
  await forget();
  const scroll = await timed(async () => {
    await page.mouse.move(200, 500);
    for (let i = 0; i < 120; i += 1) {
      await page.mouse.wheel(0, 260);
      await page.waitForTimeout(40);
    }
  });
  await page.waitForTimeout(500);
  const seen = await page.getByRole('button', { name: /^Compare .* with another$/ }).count();
  say(`scrolled, ${seen} batches drawn by then`, scroll, await longest());
  await forget();
  const sought = await timed(async () => {
    await page.getByLabel('Look for a batch').fill('Lantern making 24');
    await page
      .getByRole('heading', { name: /^Lantern making 24/ })
      .first()
      .waitFor();
  });
  say('searched', sought, await longest());
  for (const view of ['Charts', 'Learned', 'Keeping']) {
    await forget();
    const ms = await timed(async () => {
      await page.getByRole('tab', { name: view }).click();
      await page
        .getByText(
          view === 'Charts'
            ? 'Baking time'
            : view === 'Learned'
              ? 'What this kitchen has learned'
              : 'Nothing is put away',
        )
        .first()
        .waitFor({ timeout: 60_000 });
    });
    say(view, ms, await longest());
  }
  await browser.close();
  await drain(server, 100);
}

void main();
