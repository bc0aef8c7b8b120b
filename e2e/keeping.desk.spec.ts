import type { BrowserContext, Page } from '@playwright/test';
import { createServer, type Server } from 'node:http';
import { appendFileSync, cpSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { createApp, drain } from '../server/app';
import { NOW, expect, keyIn, openApp, test } from './fixtures';

const RUN = '/runs/run-lantern-evening';
const FORMULA = '/formulas/formula-honey-thyme';
const lines = (page: Page) => page.getByLabel('Ingredients, one a line');

test('what is typed into a formula outlives a reload, Back and a closed tab, and goes into it when it is left', async ({
  page,
  context,
}) => {
  await openApp(page, FORMULA);
  const before = await lines(page).inputValue();
  await lines(page).focus();
  await lines(page).press('End');
  await lines(page).fill(`${before}\n30 g poppy seeds`);
  await page.reload();
  await expect(lines(page)).toHaveValue(/30 g poppy seeds/);
  await lines(page).fill(`${before}\n31 g poppy seeds`);
  await page.waitForTimeout(300);
  await page.close();
  const again = await context.newPage();
  await openApp(again, FORMULA);
  await expect(lines(again)).toHaveValue(/31 g poppy seeds/);
  await lines(again).focus();
  await lines(again).blur();
  await again.goto('/formulas');
  await again.goto(FORMULA);
  await expect(lines(again)).toHaveValue(/31 g poppy seeds/);
  await again.getByRole('button', { name: /^Undo/ }).first().click();
  await expect(lines(again)).toHaveValue(before);
});

async function setCount(page: Page, count: string): Promise<void> {
  await page.getByTestId('value-count').click();
  await keyIn(page, count);
  await page.getByRole('button', { name: 'Save' }).click();
}

test('two windows hear of each other, and undo is one history', async ({ page, context }) => {
  await openApp(page, `${RUN}/pieces`);
  const other = await context.newPage();
  await openApp(other, `${RUN}/pieces`);
  await setCount(page, '44');
  await expect(other.getByTestId('value-count')).toHaveText('44');
  await setCount(other, '45');
  await expect(page.getByTestId('value-count')).toHaveText('45');
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await expect(other.getByTestId('value-count')).toHaveText('44');
});

test('everything as it stood is kept before it is cleared, and can be put back another day', async ({
  page,
}) => {
  await openApp(page, '/kitchen');
  await page.getByRole('button', { name: 'Clear all and start empty' }).click();
  await expect(page.getByRole('button', { name: /^Undo.*Start empty/ })).toBeVisible();
  await page.clock.fastForward('48:00:00');
  await page.goto('/kitchen?part=kept');
  await page.getByRole('button', { name: /before starting empty/ }).click();
  await page.getByRole('button', { name: 'Put everything back as it stood' }).click();
  await page.goto('/');
  await expect(page.getByText('Lantern evening').first()).toBeVisible();
});

test('a document that cannot be read is set aside, saved as a file and let go; the rest opens', async ({
  page,
}) => {
  await openApp(page, '/');
  await page.evaluate(async () => {
    const open = indexedDB.open('carnelian');
    const db = await new Promise<IDBDatabase>((done) => (open.onsuccess = () => done(open.result)));
    const tx = db.transaction('entries', 'readwrite');
    tx.objectStore('entries').put('{"kind":"run","version":3', 'run/run-lantern-evening');
    await new Promise((done) => (tx.oncomplete = done));
    db.close();
  });
  await page.reload();
  await page.getByRole('button', { name: 'See it under Kitchen' }).click();
  await expect(page.getByText(/broken off/)).toBeVisible();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a file' }).click();
  expect((await saved).suggestedFilename()).toContain('run-lantern-evening');
  await page.getByRole('button', { name: 'Let go' }).click();
  await expect(page.getByText(/could not be read/)).toHaveCount(0);
});

test.describe('without a network', () => {
  test.use({ serviceWorkers: 'allow' });
  let server: Server;
  let base = '';
  const serve = async (folder: string, port = 0): Promise<void> => {
    server = createServer(createApp(resolve(folder)));
    await new Promise<void>((done) => server.listen(port, '127.0.0.1', done));
    base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  };
  test.beforeEach(() => serve('dist'));
  test.afterEach(() => drain(server, 200));

  const kept = (context: BrowserContext) =>
    expect.poll(() => context.serviceWorkers().length, { timeout: 30_000 }).toBeGreaterThan(0);

  test('every place opens with the server stopped, after one visit', async ({ browser }) => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await page.clock.install({ time: NOW });
    await page.goto(base);
    await kept(context);
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await drain(server, 200);
    for (const path of [
      '/',
      '/formulas',
      '/bench',
      '/logbook',
      '/kitchen',
      `${RUN}/sums`,
      `${RUN}/bake`,
      '/runs/from',
    ]) {
      await page.goto(base + path);
      await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
      await expect(page.getByRole('heading').first()).toBeVisible();
      await expect(page.getByText(/could not be shown|is missing here/)).toHaveCount(0);
    }
    await expect(page.getByText('16').first()).toBeVisible();
    await context.close();
  });

  test('a newer version is offered, waits while something bakes, and is taken by a tap', async ({
    browser,
  }, info) => {
    const newer = info.outputPath('newer');
    cpSync('dist', newer, { recursive: true });
    for (const ending of ['.br', '.gz']) rmSync(`${newer}/sw.js${ending}`);
    appendFileSync(`${newer}/sw.js`, '\n// a newer build');

    const context = await browser.newContext();
    const page = await context.newPage();
    await page.goto(base);
    await kept(context);
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await page.goto(`${base}${RUN}/bake`);
    await page
      .getByRole('button', { name: /^Load 1 in/ })
      .first()
      .click();
    const { port } = server.address() as AddressInfo;
    await drain(server, 200);
    await serve(newer, port);

    const offer = page.getByText('A newer Carnelian is here.');
    await page.reload();
    await page.waitForFunction(
      async () => (await navigator.serviceWorker.getRegistration())?.waiting != null,
    );
    await expect(page.getByRole('heading').first()).toBeVisible();
    await expect(offer).toHaveCount(0);

    await page.getByRole('button', { name: /^Undo/ }).first().click();
    await expect(offer).toBeVisible();
    await page.evaluate(() => (document.title = 'the old page'));
    await page.getByRole('button', { name: 'Load it now' }).click();
    await expect(page).not.toHaveTitle('the old page');
    await expect(page.getByRole('heading').first()).toBeVisible();
    await expect(offer).toHaveCount(0);
    await context.close();
  });
});
