/**
 * How long the built app takes to answer a change, by the browser's own event timing, with the processor slowed four
 * times: from the tap or the key to the next picture. In ratios to a loop of sines in the same slowed page as well.
 */
import { chromium, type Page } from '@playwright/test';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { createApp } from '../server/app';
import { CHROMIUM } from './chromium';

const SLOWED = 4;
const TIMES = 12;
const RUNS = [
  { name: 'one line, count', path: '/runs/run-lantern-evening/pieces' },
  { name: 'five lines of all families, count of the first', path: '/runs/run-lantern-table/pieces' },
];

declare global {
  interface Window {
    spans: number[];
  }
}

/** Changes the count of the first line by its keypad and tells how long each tap and key took to be answered, ms. */
async function changeCounts(page: Page): Promise<number[]> {
  await page.evaluate(() => {
    window.spans = [];
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries())
        if (['click', 'keydown', 'pointerup'].includes(entry.name)) window.spans.push(entry.duration);
    }).observe({ type: 'event', durationThreshold: 16, buffered: false } as PerformanceObserverInit);
  });
  for (let i = 0; i < TIMES; i += 1) {
    await page.getByTestId('value-count').first().click();
    const field = page.getByRole('dialog').getByRole('textbox');
    await field.fill(String(24 + i));
    await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
    await page.waitForTimeout(400);
  }
  return page.evaluate(() => window.spans);
}

async function main(): Promise<void> {
  const server = createApp(resolve('dist')).listen(0, '127.0.0.1');
  await new Promise((done) => server.once('listening', done));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const browser = await chromium.launch(CHROMIUM);
  for (const { name, path } of RUNS) {
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
    await page.goto(base + path);
    await page.getByTestId('value-count').first().waitFor();
    const session = await page.context().newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    const sines = await page.evaluate(() => {
      const start = performance.now();
      let sum = 0;
      for (let i = 0; i < 1e6; i += 1) sum += Math.sin(i);
      return sum === Infinity ? NaN : performance.now() - start;
    });
    const spans = (await changeCounts(page)).sort((a, b) => a - b);
    const median = spans[Math.floor(spans.length / 2)] ?? 0;
    const ninth = spans[Math.floor(spans.length * 0.9)] ?? 0;
    process.stdout.write(
      `${median.toFixed(0).padStart(6)} ms median, ${ninth.toFixed(0)} ms at nine in ten, ×${(median / sines).toFixed(2)} of a million sines (${sines.toFixed(0)} ms)  ${name}\n`,
    );
    await page.close();
  }
  await browser.close();
  server.close();
}

void main();
