/**
 * How long the built app takes to answer a change, by the browser's own event timing, with the processor slowed four
 * times: from the tap or the key to the next picture, for edits of every kind; and how long until the last figure that
 * follows from it stands there too. In ratios to a loop of sines in the same slowed page as well. Taps are made with the
 * mouse, as a person's are, since the driver's own click looks through the page within it; a finger rests 60 ms.
 */
import { chromium, type Locator, type Page } from '@playwright/test';
import { existsSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { createApp } from '../server/app';
import { CHROMIUM } from './chromium';

const SLOWED = 4;
const TIMES = 12;
const WANTED_MS = 100;

type Step = 'tap' | 'key' | 'answer';
/** Until nothing on the page changes any more. */
type Told = Step | 'all';
const TOLD: readonly Told[] = ['tap', 'key', 'answer', 'all'];
interface Edit {
  readonly name: string;
  readonly path: string;
  /** What is opened first. */
  readonly open?: (page: Page) => Promise<void>;
  /** One edit, the i-th: each step by what it is. */
  readonly edit: (
    page: Page,
    i: number,
    step: (kind: Step, at: Locator | string) => Promise<void>,
  ) => Promise<void>;
}

const dialog = (page: Page) => page.getByRole('dialog').last();
const save = (page: Page) => dialog(page).getByRole('button', { name: /^(Save|Plan on from this)$/ });

/** A value is tapped, two figures typed, and saved. */
const number =
  (value: (page: Page) => Locator, digits: (i: number) => string): Edit['edit'] =>
  async (page, i, step) => {
    await step('tap', value(page));
    for (const digit of digits(i)) await step('key', digit);
    await step('answer', save(page));
  };
const count = number(
  (page) => page.getByTestId('value-count').first(),
  (i) => String(24 + i),
);

const EDITS: readonly Edit[] = [
  { name: 'count, a run of one line', path: '/runs/run-lantern-evening/pieces', edit: count },
  { name: 'count, five lines of all families', path: '/runs/run-lantern-table/pieces', edit: count },
  {
    name: 'thickness of a coat, five lines',
    path: '/runs/run-lantern-table/pieces',
    edit: async (page, i, step) => {
      await step('tap', page.getByTestId('value-thickness').first());
      await step(
        'answer',
        dialog(page)
          .getByRole('radio')
          .nth(i % 3),
      );
    },
  },
  {
    name: 'weigh-in of the batter, on the sums',
    path: '/runs/run-lantern-evening/sums',
    edit: number(
      (page) => page.getByRole('button', { name: /^Weighed the bowl/ }).first(),
      (i) => String(1500 + i),
    ),
  },
  {
    name: 'diameter of a tin',
    path: '/kitchen',
    open: async (page) => page.getByRole('radio', { name: 'To bake in' }).click(),
    edit: number(
      (page) => page.getByRole('button', { name: /^Across the top/ }).first(),
      (i) => String(50 + i),
    ),
  },
  {
    name: 'a letter in a formula',
    path: '/formulas/formula-honey-thyme',
    edit: async (page, i, step) => {
      const field = page.getByRole('textbox', { name: /Ingredients/ }).first();
      if (i === 0) await field.focus();
      await step('answer', 'x');
    },
  },
];

declare global {
  interface Window {
    spans: number[];
    began: number;
    settled: number;
  }
}

/** Makes an edit some times and tells how long each of its steps took to be answered, ms. */
async function timed(page: Page, { edit }: Edit): Promise<Record<Told, number[]>> {
  await page.evaluate(() => {
    window.spans = [];
    window.began = 0;
    window.settled = 0;
    new MutationObserver(() =>
      requestAnimationFrame(() => {
        window.settled = performance.now();
      }),
    ).observe(document.body, { subtree: true, childList: true, characterData: true, attributes: true });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries())
        if ((entry as PerformanceEventTiming).interactionId > 0) {
          if (entry.duration > Math.max(0, ...window.spans)) window.began = entry.startTime;
          window.spans.push(entry.duration);
        }
    }).observe({ type: 'event', durationThreshold: 16, buffered: false } as PerformanceObserverInit);
  });
  const spans: Record<Told, number[]> = { tap: [], key: [], answer: [], all: [] };
  const step = async (kind: Step, at: Locator | string) => {
    await page.evaluate(() => void window.spans.splice(0));
    if (typeof at === 'string') await page.keyboard.press(at);
    else await poke(page, at);
    await page.waitForTimeout(700);
    const found = await page.evaluate(() => window.spans.splice(0));
    // What takes less than the observer's 16 ms is not told: it counts as that.
    spans[kind].push(Math.max(16, ...found));
    if (kind === 'answer') spans.all.push(await page.evaluate(() => window.settled - window.began));
  };
  for (let i = -2; i < TIMES; i += 1) {
    await edit(page, i + 2, step);
    // The first two warm the page.
    if (i < 0) for (const kind of TOLD) spans[kind].length = 0;
  }
  return spans;
}

async function poke(page: Page, at: Locator): Promise<void> {
  await at.scrollIntoViewIfNeeded();
  const box = await at.boundingBox();
  if (!box) throw new Error('nothing to tap');
  await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2, { delay: 60 });
}

const at = (sorted: readonly number[], share: number) => sorted[Math.floor(sorted.length * share)] ?? 0;

async function main(): Promise<void> {
  if (!existsSync('dist/index.html')) throw new Error('Build the app first: npm run build.');
  const server = createApp(resolve('dist')).listen(0, '127.0.0.1');
  await new Promise((done) => server.once('listening', done));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const browser = await chromium.launch(CHROMIUM);
  process.stdout.write(`An edit answered, processor slowed ${SLOWED} times, ms (wanted: ${WANTED_MS})\n`);
  for (const edit of EDITS) {
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
    await page.goto(base + edit.path);
    await page.getByRole('heading', { level: 1 }).waitFor();
    await edit.open?.(page);
    await page.waitForTimeout(1500);
    const session = await page.context().newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    const sines = await page.evaluate(() => {
      const start = performance.now();
      let sum = 0;
      for (let i = 0; i < 1e6; i += 1) sum += Math.sin(i);
      return sum === Infinity ? NaN : performance.now() - start;
    });
    const spans = await timed(page, edit);
    const told = TOLD.flatMap((kind) => {
      const sorted = spans[kind].sort((a, b) => a - b);
      if (sorted.length === 0) return [];
      const median = at(sorted, 0.5);
      return [
        `${kind === 'all' ? 'all figures' : kind} ${median.toFixed(0)} (nine in ten ${at(sorted, 0.9).toFixed(0)}; ×${(median / sines).toFixed(2)})`,
      ];
    });
    process.stdout.write(`  ${edit.name}: ${told.join(', ')} of a million sines, ${sines.toFixed(0)} ms\n`);
    await page.close();
  }
  await browser.close();
  server.close();
}

void main();
