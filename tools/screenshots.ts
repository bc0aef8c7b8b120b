/** Remakes the pictures in `docs/screenshots/` from the demo data, at a fixed hour, against the built app. */
import { chromium, type Browser, type Page } from '@playwright/test';
import { mkdirSync, readdirSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { createApp } from '../server/app';
import { CHROMIUM } from './chromium';

const FOLDER = 'docs/screenshots';
const PHONE = { width: 390, height: 844 };
const DESK = { width: 1280, height: 800 };
const NOW = new Date('2026-11-25T09:30:00');
const RUN = '/runs/run-lantern-evening';
const TABLE = '/runs/run-lantern-table';

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly size?: typeof PHONE;
  readonly dark?: boolean;
  readonly first?: (page: Page) => Promise<void>;
}

/** Bakes the first load up to its second look, which is what the clocks are shown at. */
async function startLoad(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Load 1 in/ }).click();
  await page.clock.fastForward('12:20');
  // What is left of the day is worked out beside the page.
  await page.getByText(/^(In time|Late): ready about/).waitFor({ timeout: 30_000 });
  await page.waitForTimeout(300);
}

/** The day of five lines is worked out beside the page. */
const dayThere = async (page: Page): Promise<void> => {
  await page.getByText('Latest safe start').waitFor({ timeout: 30_000 });
  await page.getByText(/Looking for a better/).waitFor({ state: 'detached', timeout: 60_000 });
};

const startKnown = (page: Page): Promise<void> =>
  page.getByText(/^Latest safe start/).waitFor({ timeout: 30_000 });

async function closeRun(page: Page): Promise<void> {
  for (const load of [1, 2]) {
    await page.getByRole('button', { name: new RegExp(`^Load ${load} in`) }).click();
    await page.clock.fastForward(load === 1 ? '22:40' : '21:10');
    await page.getByRole('button', { name: /^Done/ }).click();
  }
  await page.getByRole('button', { name: 'Close the run' }).click();
  await page.getByLabel('Good ones that came out').fill('35');
  await page
    .getByLabel('Anything to remember')
    .fill('The back left corner browns first: turn the tin at the first look.');
  await page.getByRole('button', { name: 'Into the logbook' }).click();
  await page.getByRole('heading', { name: 'Logbook' }).waitFor();
}

/** The bench of five lines, begun: one step behind, the next in hand. */
async function oneStepDone(page: Page): Promise<void> {
  await page.getByText(/^In time/).waitFor({ timeout: 30_000 });
  await page.getByRole('button', { name: /^Begin now/ }).click();
  await page.getByRole('button', { name: /^(Done: |(?!Undo).+: begun$)/ }).click();
  await page
    .getByRole('button', { name: /^Load 1 in: start its clock, / })
    .first()
    .click();
  await page.getByRole('heading', { name: 'Next' }).waitFor();
  await page.getByText(/^In time/).scrollIntoViewIfNeeded();
}

const SHOTS: readonly Shot[] = [
  { name: 'runs', path: '/', first: startKnown },
  {
    name: 'new-run',
    path: '/runs/new',
    first: async (page) => page.getByRole('radio', { name: 'Honey and thyme' }).click(),
  },
  { name: 'glance', path: TABLE, first: dayThere },
  { name: 'sums', path: `${RUN}/sums` },
  {
    name: 'weigh-in',
    path: `${RUN}/sums`,
    first: async (page) => {
      await page.getByRole('button', { name: 'Weighed the bowl' }).click();
      for (const key of '1812')
        await page.getByRole('dialog').getByRole('button', { name: key, exact: true }).click();
    },
  },
  { name: 'why', path: `${RUN}/sums`, first: async (page) => page.getByTestId('figure-fill.share').click() },
  {
    name: 'gather',
    path: `${RUN}/gather`,
    first: async (page) => {
      for (const name of [/plain flour/, /butter/]) await page.getByRole('checkbox', { name }).click();
      await page.getByText('Weigh out:').first().scrollIntoViewIfNeeded();
      await page.getByRole('checkbox', { name: /honey/ }).scrollIntoViewIfNeeded();
    },
  },
  { name: 'bake', path: `${TABLE}/bake`, first: oneStepDone },
  { name: 'labels', path: `${RUN}/labels` },
  {
    name: 'day-wide',
    path: `${TABLE}/day`,
    size: DESK,
    first: dayThere,
  },
  { name: 'from-what-is-there', path: '/runs/from' },
  { name: 'formulas', path: '/formulas' },
  {
    name: 'formula',
    path: '/formulas/formula-honey-thyme',
    first: async (page) => page.getByText('Read back').scrollIntoViewIfNeeded(),
  },
  { name: 'logbook', path: `${RUN}/bake`, first: closeRun },
  {
    name: 'kitchen',
    path: '/kitchen',
    first: async (page) => page.getByRole('radio', { name: 'To mould and dip' }).click(),
  },
  { name: 'runs-wide', path: '/', size: DESK, first: startKnown },
  { name: 'sums-wide', path: `${TABLE}/sums`, size: DESK },
  { name: 'charts-wide', path: '/logbook/charts', size: DESK },
  { name: 'bake-wide-dark', path: `${RUN}/bake`, size: DESK, dark: true, first: startLoad },
];

async function take(
  browser: Browser,
  base: string,
  { name, path, size = PHONE, dark = false, first }: Shot,
): Promise<void> {
  const context = await browser.newContext({
    viewport: size,
    colorScheme: dark ? 'dark' : 'light',
    reducedMotion: 'reduce',
    timezoneId: 'Europe/London',
    locale: 'en-GB',
  });
  const page = await context.newPage();
  await page.clock.install({ time: NOW });
  await page.goto(base + path);
  await page.getByRole('navigation', { name: 'Places' }).waitFor();
  await page.waitForTimeout(300);
  await first?.(page);
  await page.clock.runFor(1000);
  await page.waitForTimeout(500);
  await page.screenshot({ path: `${FOLDER}/${name}.png`, animations: 'disabled' });
  await context.close();
  process.stdout.write(`${FOLDER}/${name}.png\n`);
}

async function main(): Promise<void> {
  mkdirSync(FOLDER, { recursive: true });
  for (const file of readdirSync(FOLDER)) rmSync(`${FOLDER}/${file}`);
  const server = createApp(resolve('dist')).listen(0, '127.0.0.1');
  await new Promise((done) => server.once('listening', done));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const browser = await chromium.launch(CHROMIUM);
  for (const shot of SHOTS) await take(browser, base, shot);
  await browser.close();
  server.close();
}

void main();
