/**
 * What is kept, over years and against accidents: what was set aside and tried again, a file of fifty megabytes, databases
 * that are upgraded and deleted, snapshots, a store of years, keys in a sheet, a newer document, clocks that jump.
 */
import { chromium, type Page } from '@playwright/test';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sameJson, type Json } from '../core/exchange/threeWay';
import { fill, yearsOf } from './bench-years';
import { CHROMIUM } from './chromium';

export interface KeptTools {
  readonly base: string;
  readonly note: (what: string, came: string) => void;
  readonly texts: (page: Page, key: string | null, text: string | null) => Promise<Record<string, string>>;
  readonly setCount: (page: Page, value: number) => Promise<void>;
}

const VIEW = { viewport: { width: 390, height: 844 }, serviceWorkers: 'block' } as const;
const RUN = '/runs/run-lantern-evening';
const places = (page: Page) => page.getByRole('navigation', { name: 'Places' }).waitFor({ timeout: 60_000 });

async function inBrowser(work: (page: Page) => Promise<void>): Promise<void> {
  const browser = await chromium.launch(CHROMIUM);
  const context = await browser.newContext(VIEW);
  await context.addInitScript('globalThis.__name = (made) => made');
  const page = await context.newPage();
  try {
    await work(page);
  } finally {
    await browser.close();
  }
}

/** 3.1: a kitchen that could not be read is tried again, and left at once; and what is changed beside it is kept. */
export const aside = ({ base, note, texts }: KeptTools) =>
  inBrowser(async (page) => {
    await page.goto(base);
    await places(page);
    const whole = (await texts(page, null, null)).kitchen ?? '';
    for (const wait of [0, 5, 20, 80, 400, 2000]) {
      await texts(page, 'kitchen', '{"kind":"kitchen"');
      await page.reload();
      await places(page);
      await page.waitForTimeout(300);
      const key = Object.keys(await texts(page, null, null)).find((one) => /^~aside\/.*kitchen$/.test(one));
      if (!key) {
        note('a kitchen set aside and tried again', 'lost: not set aside');
        continue;
      }
      await texts(page, key, whole);
      await page.reload();
      await places(page);
      await page.goto(`${base}/kitchen?part=kept`);
      await page.getByRole('button', { name: 'Try again' }).first().click();
      await page.waitForTimeout(wait);
      await page.goto('about:blank');
      await page.goto(base);
      await places(page);
      await page.waitForTimeout(500);
      const after = await texts(page, null, null);
      const there = Object.entries(after).some(
        ([one, text]) => (one === 'kitchen' || one.startsWith('~aside/')) && text.includes('oven-main'),
      );
      note('a kitchen set aside and tried again', there ? 'kept' : `lost after ${wait} ms`);
    }
  });

/** 3.2: fifty megabytes come in within thirty seconds, and can be left. */
export const bigFile = ({ base, note }: KeptTools) =>
  inBrowser(async (page) => {
    const folder = mkdtempSync(join(tmpdir(), 'carnelian-file-'));
    const path = join(folder, 'everything.json');
    const docs = Object.values(yearsOf(7800, 1000, 300));
    writeFileSync(
      path,
      `{"kind":"snapshot","version":1,"at":"2026-11-25T10:00","why":"by hand","docs":[${docs.join(',')}]}`,
    );
    const pick = async () => {
      await page.goto(`${base}/formulas`);
      await places(page);
      await page.waitForTimeout(1500);
      await page
        .getByRole('button', { name: /Write, paste or drop|Bring in|bring/i })
        .first()
        .click();
      const chooser = page.waitForEvent('filechooser');
      await page.getByRole('button', { name: 'Pick a file' }).click();
      await (await chooser).setFiles(path);
    };
    await pick();
    await page.getByRole('progressbar', { name: 'How much of the file is read' }).waitFor();
    await page.getByRole('button', { name: 'Cancel' }).click();
    note(
      'a file of 50 MB',
      (await page.getByRole('button', { name: 'Pick a file' }).isVisible()) ? 'left' : 'lost: not left',
    );
    const from = performance.now();
    await pick();
    await page.getByText(/documents new here/).waitFor({ timeout: 90_000 });
    const read = performance.now() - from;
    const cdp = await page.context().newCDPSession(page);
    const { usedSize }: { readonly usedSize: number } = await cdp.send('Runtime.getHeapUsage');
    await page.getByRole('button', { name: /^Bring in \d/ }).click();
    await page.getByText(/documents came in/).waitFor({ timeout: 90_000 });
    const all = performance.now() - from;
    process.stdout.write(
      `  50 MB read in ${(read / 1000).toFixed(1)} s, in after ${(all / 1000).toFixed(1)} s, page memory ${Math.round(usedSize / 1e6)} MB\n`,
    );
    note(
      'a file of 50 MB',
      all < 30_000 && usedSize < 400e6 ? 'in within 30 s and 400 MB' : 'lost: too slow or too large',
    );
    await page.waitForTimeout(15_000);
    await page.goto(base);
    await places(page);
    const there = await page
      .getByText('Planned 4')
      .first()
      .waitFor({ timeout: 15_000 })
      .then(
        () => true,
        () => false,
      );
    note('a file of 50 MB', there ? 'kept' : 'lost');
    rmSync(folder, { recursive: true, force: true });
  });

/** 3.3: another window upgrades or deletes the database; neither of them waits. */
export const upgrades = ({ base, note }: KeptTools) =>
  inBrowser(async (page) => {
    for (const what of ['delete', 'upgrade'] as const) {
      await page.goto(base);
      await places(page);
      const other = await page.context().newPage();
      await other.goto(`${base}/icon.svg`);
      const came = await other.evaluate(
        (deed) =>
          new Promise<string>((done) => {
            const asked =
              deed === 'delete' ? indexedDB.deleteDatabase('carnelian') : indexedDB.open('carnelian', 5);
            asked.onsuccess = () => {
              if (deed === 'upgrade') asked.result.close();
              done('done');
            };
            asked.onerror = () => done('done');
            setTimeout(() => done('lost: it hangs'), 5000);
          }),
        what,
      );
      note(`a database that another window would ${what}`, came);
      await page.reload();
      const alive = page
        .getByRole('navigation', { name: 'Places' })
        .or(page.getByText(/refuses|does not answer/));
      await alive.first().waitFor({ timeout: 30_000 });
      note(`a database that another window would ${what}`, 'the page answers');
      await other.evaluate(
        () => new Promise((done) => (indexedDB.deleteDatabase('carnelian').onsuccess = done)),
      );
      await other.close();
    }
  });

/** Two texts of a document say the same, in whatever order their fields stand. */
const same = (a: string | undefined, b: string | undefined): boolean =>
  a !== undefined && b !== undefined && sameJson(JSON.parse(a) as Json, JSON.parse(b) as Json);

/** 3.4: many snapshots, and back to the first of them. */
export const snapshots = ({ base, note, texts, setCount }: KeptTools) =>
  inBrowser(async (page) => {
    await page.goto(`${base}${RUN}/pieces`);
    await page.getByTestId('value-count').first().waitFor();
    await page.waitForTimeout(9000);
    const before = (await texts(page, null, null))['run/run-lantern-evening'];
    for (let i = 0; i < 20; i += 1) {
      await page.goto(`${base}${RUN}/pieces`);
      await page.getByTestId('value-count').first().waitFor();
      await setCount(page, 40 + i);
      await page.goto(`${base}/kitchen?part=kept`);
      await page.getByRole('button', { name: 'Keep it as it is now' }).click();
      await page.waitForTimeout(1100);
    }
    await page
      .getByRole('button', { name: /as the day began/ })
      .last()
      .click();
    await page.getByRole('button', { name: 'Put everything back as it stood' }).click();
    let after: string | undefined;
    for (let tries = 0; tries < 20 && !same(after, before); tries += 1) {
      await page.waitForTimeout(500);
      after = (await texts(page, null, null))['run/run-lantern-evening'];
    }
    note('back to the first of twenty snapshots', same(after, before) ? 'as it stood' : 'lost');
  });

/** 3.5: a store of years answers as it should on this machine. */
export const years = ({ base, note }: KeptTools) =>
  inBrowser(async (page) => {
    await page.goto(base);
    await places(page);
    await page.waitForTimeout(1500);
    await fill(page, yearsOf(5000, 1000, 300));
    await page.goto(base);
    await places(page);
    await page.waitForTimeout(20_000);
    const timed = async (what: string, mostMs: number, does: () => Promise<void>) => {
      const from = performance.now();
      await does();
      const ms = performance.now() - from;
      process.stdout.write(`  ${what}: ${Math.round(ms)} ms\n`);
      note(`a store of years: ${what}`, ms <= mostMs ? 'in time' : 'lost time');
    };
    await timed('the first screen', 2000, async () => {
      await page.goto(base);
      await page.getByRole('button', { name: 'Go on' }).waitFor();
    });
    await page.waitForTimeout(4000);
    await timed('a run', 1000, async () => {
      await page.getByRole('button', { name: 'Go on' }).click();
      await page
        .getByRole('tab', { name: /Sums/ })
        .or(page.getByText('Made', { exact: true }))
        .first()
        .waitFor();
    });
  });

/** 3.6: keys of a sheet stay in it. */
export const keys = ({ base, note }: KeptTools) =>
  inBrowser(async (page) => {
    await page.goto(`${base}${RUN}/pieces`);
    await page.getByTestId('value-count').first().waitFor();
    for (const key of ['1', '2', '3', '4', '5', 'n', 'f', 'u', '?']) {
      await page.getByTestId('value-count').first().click();
      await page.getByRole('dialog').waitFor();
      await page.getByRole('dialog').getByRole('button').last().focus();
      await page.keyboard.press(key);
      await page.waitForTimeout(150);
      const stays = page.url().includes('/pieces') && (await page.getByRole('dialog').count()) === 1;
      note('a key in a sheet', stays ? 'stays' : `lost by ${key}`);
      await page.keyboard.press('Escape');
      await page.getByRole('dialog').waitFor({ state: 'detached' });
    }
  });

/** 3.7: an older window leaves a newer document alone, and says so. */
export const older = ({ base, note, texts, setCount }: KeptTools) =>
  inBrowser(async (page) => {
    await page.goto(`${base}${RUN}/pieces`);
    await page.getByTestId('value-count').first().waitFor();
    const now = (await texts(page, null, null))['run/run-lantern-evening'] ?? '{}';
    const newer = JSON.stringify({ ...(JSON.parse(now) as object), version: 99, more: 'of a later version' });
    await texts(page, 'run/run-lantern-evening', newer);
    await setCount(page, 61);
    await page.getByRole('button', { name: 'Load this page again' }).waitFor({ timeout: 10_000 });
    const after = (await texts(page, null, null))['run/run-lantern-evening'];
    note('a newer document under an older window', after === newer ? 'left alone and told' : 'destroyed');
  });

/** 3.8: clocks of loads, an hour forward and back, and an hour back with a reload. */
export const clocks = ({ base, note }: KeptTools) =>
  inBrowser(async (page) => {
    await page.addInitScript(() => {
      const real = Date.now.bind(Date);
      Date.now = () => real() + Number(localStorage.getItem('shift') ?? 0);
    });
    await page.goto(base);
    await places(page);
    const shift = (ms: number) => page.evaluate((by) => localStorage.setItem('shift', String(by)), ms);
    /** What the steady clock was ahead of the true time when it was last kept, ms. */
    const ahead = async () => {
      await page.waitForTimeout(6500);
      return page.evaluate(() => {
        const kept = JSON.parse(localStorage.getItem('carnelian-clock') ?? '{}') as { steadyMs?: number };
        const wall = Date.now() - Number(localStorage.getItem('shift') ?? 0);
        return Math.abs((kept.steadyMs ?? NaN) - wall);
      });
    };
    await page.goto(`${base}${RUN}/bake`);
    await page.waitForTimeout(3000);
    const near = (ms: number) => (ms < 20_000 ? 'true' : `lost by ${Math.round(ms / 1000)} s`);
    await shift(3_600_000);
    await page.waitForTimeout(6500);
    await shift(0);
    note('a clock an hour forward and corrected', near(await ahead()));
    await shift(-3_600_000);
    await page.reload();
    note('a clock an hour back, and a reload', near(await ahead()));
  });
