/**
 * How the app stands years of use: thousands of closed batches, a thousand runs, hundreds of formulas. Prints how long the
 * first screen, a run, an edit and the logbook take on this machine as it is, and what the page holds in memory.
 * `npm run bench:years [batches]`. Needs the built app.
 */
import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { DEMO_FORMULAS, demoRuns } from '../demo';
import type { PastFile } from '../demo/past';
import { drain } from '../server/app';
import { openedPage } from './benchPage';

const BATCHES = Number(process.argv[2] ?? 5000);
const RUNS = 1000;
const FORMULAS = 300;
const DAY_MS = 86_400_000;

/** A store of so many years, by key. */
export function yearsOf(batches: number, runs: number, formulas: number): Record<string, string> {
  const past = (JSON.parse(readFileSync('public/demo-past.json', 'utf8')) as PastFile).runs;
  const now = Date.now();
  const out: Record<string, string> = {};
  for (let i = 0; i < batches; i += 1) {
    const run = past[i % past.length];
    if (!run?.closed) throw new Error('invariant: the past is closed');
    const at = now - (i + 1) * DAY_MS * 0.7;
    const evidence = (run.closed.evidence ?? []).map((one) => ({
      ...one,
      id: `${i}/${one.id}`.slice(0, 80),
      at,
    }));
    const doc = {
      ...run,
      id: `old-${i}`,
      name: `${run.name} ${i + 1}`,
      closed: { ...run.closed, at, evidence },
    };
    out[`run/old-${i}`] = JSON.stringify(doc);
  }
  const some = demoRuns(new Date(now).toISOString().slice(0, 16));
  for (let i = 0; i < runs; i += 1) {
    const run = some[i % some.length];
    const day = new Date(now + (i + 2) * DAY_MS).toISOString().slice(0, 10);
    out[`run/open-${i}`] = JSON.stringify({
      ...run,
      id: `open-${i}`,
      name: `Planned ${i + 1}`,
      readyAt: `${day}T16:00`,
    });
  }
  for (let i = 0; i < formulas; i += 1) {
    const doc = DEMO_FORMULAS[i % DEMO_FORMULAS.length];
    out[`formula/mine-${i}`] = JSON.stringify({ ...doc, id: `mine-${i}`, name: `${doc?.name} ${i + 1}` });
  }
  return out;
}

/** Writes texts into the page's store, past everything. */
export const fill = (page: Page, texts: Readonly<Record<string, string>>): Promise<void> =>
  page.evaluate(async (all) => {
    const asked = indexedDB.open('carnelian');
    const db = await new Promise<IDBDatabase>((done) => (asked.onsuccess = () => done(asked.result)));
    const write = db.transaction('entries', 'readwrite');
    for (const [key, text] of Object.entries(all)) write.objectStore('entries').put(text, key);
    await new Promise((done) => (write.oncomplete = done));
    db.close();
  }, texts);

async function main(): Promise<void> {
  const { server, base, browser, context, page } = await openedPage();
  const texts = yearsOf(BATCHES, RUNS, FORMULAS);
  await fill(page, texts);
  const letters = Object.values(texts).reduce((sum, one) => sum + one.length, 0);
  process.stdout.write(
    `${BATCHES} batches, ${RUNS} runs, ${FORMULAS} formulas: ${(letters / 1e6).toFixed(0)} million letters\n`,
  );
  const opened = async () => {
    const from = performance.now();
    await page.goto(base);
    // The served page shows what comes next before any script has come: this button is the app's own.
    await page.getByRole('button', { name: 'Go on' }).waitFor({ timeout: 120_000 });
    return performance.now() - from;
  };
  const say = (what: string, ms: number) => process.stdout.write(`  ${what}: ${(ms / 1000).toFixed(2)} s\n`);
  say('the first screen, never read before', await opened());
  await page.waitForTimeout(20_000);
  say('the first screen, read before', await opened());
  say('once more', await opened());
  const cdp = await context.newCDPSession(page);
  const heap = async () => {
    await cdp.send('HeapProfiler.collectGarbage');
    const { usedSize } = await cdp.send('Runtime.getHeapUsage');
    process.stdout.write(`  memory of the page: ${(usedSize / 1e6).toFixed(0)} MB\n`);
  };
  await page.waitForTimeout(5000);
  await heap();
  let from = performance.now();
  await page.getByRole('button', { name: 'Go on' }).click();
  await page
    .getByRole('tab', { name: /Sums/ })
    .or(page.getByText('Made', { exact: true }))
    .first()
    .waitFor({ timeout: 60_000 });
  say('a run, from the first screen', performance.now() - from);
  await page.goto(`${base}/runs/open-5/pieces`);
  await page.getByTestId('value-ready').waitFor({ timeout: 60_000 });
  await page.waitForTimeout(6000);
  // From the tap that keeps a number to the picture that shows it, noted in the page itself.
  const edits: number[] = [];
  for (const count of ['25', '26', '27', '28', '29']) {
    await page.getByTestId('value-count').first().click();
    await page.keyboard.type(count);
    await page.evaluate((wanted) => {
      const noted: { ms?: number } = {};
      Object.assign(globalThis, { noted });
      addEventListener(
        'keydown',
        () => {
          const began = performance.now();
          const look = () => {
            if (document.querySelector('[data-testid=value-count]')?.textContent?.includes(wanted))
              noted.ms = performance.now() - began;
            else requestAnimationFrame(look);
          };
          requestAnimationFrame(look);
        },
        { capture: true, once: true },
      );
    }, count);
    await page.keyboard.press('Enter');
    await page.waitForFunction(
      () => (globalThis as unknown as { noted: { ms?: number } }).noted.ms !== undefined,
    );
    edits.push(await page.evaluate(() => (globalThis as unknown as { noted: { ms: number } }).noted.ms));
    await page.waitForTimeout(1500);
  }
  say('an edit shown, the middle of five', edits.sort((a, b) => a - b)[2] ?? NaN);
  for (const round of [1, 2]) {
    from = performance.now();
    await page
      .getByRole('link', { name: 'Logbook' })
      .or(page.getByRole('tab', { name: 'Logbook' }))
      .first()
      .click();
    await page
      .getByRole('heading', { name: /Seed swap|Lantern making|Bulb planting/ })
      .first()
      .waitFor({ timeout: 60_000 });
    say(`the logbook, round ${round}`, performance.now() - from);
    await page
      .getByRole('link', { name: 'Runs' })
      .or(page.getByRole('tab', { name: 'Runs' }))
      .first()
      .click();
    await page.waitForTimeout(1500);
  }
  await heap();
  await browser.close();
  await drain(server);
}

if (process.argv[1]?.endsWith('bench-years.ts')) void main();
