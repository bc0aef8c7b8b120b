/**
 * How long until something true can be seen and until the app can be used, on a processor slowed four times behind
 * 1.6 Mbit/s and 150 ms: the first visit, and again with the server stopped.
 */
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { createApp, drain } from '../server/app';
import { CHROMIUM } from './chromium';

const SLOWER = 4;
const BYTES_PER_S = 1_600_000 / 8;
const LATENCY_MS = 150;
const TIMES = 7;

interface Load {
  readonly seenMs: number;
  readonly usableMs: number;
  readonly kB: number;
}

/**
 * Notes in the page itself when the first action stands there and the page is free to answer a tap: from outside, a
 * script that asks would itself be slowed, and count.
 */
const WATCH = `(function look() {
  const there = [...document.querySelectorAll('[role=button], button')].some((one) => one.textContent.trim() === 'Go on');
  if (!there) return void requestAnimationFrame(look);
  const free = new MessageChannel();
  free.port1.onmessage = () => { window.answersAt = performance.now(); };
  requestAnimationFrame(() => free.port2.postMessage(0));
})();`;

async function slowed(page: Page): Promise<void> {
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  await cdp.send('Network.enable');
  await cdp.send('Network.emulateNetworkConditions', {
    offline: false,
    latency: LATENCY_MS,
    downloadThroughput: BYTES_PER_S,
    uploadThroughput: BYTES_PER_S,
  });
}

/** Opens the app and times it from the start of the navigation. */
async function load(context: BrowserContext, base: string): Promise<Load> {
  const page = await context.newPage();
  await slowed(page);
  let bytes = 0;
  const cdp = await context.newCDPSession(page);
  await cdp.send('Network.enable');
  cdp.on('Network.loadingFinished', ({ encodedDataLength }) => (bytes += encodedDataLength));
  await page.addInitScript({ content: WATCH });
  await page.goto(base, { waitUntil: 'commit' });
  const answers = () => (window as unknown as { answersAt?: number }).answersAt;
  await page.waitForFunction(answers, undefined, { timeout: 60_000, polling: 1000 });
  const usableMs = (await page.evaluate(answers)) ?? NaN;
  const seenMs = await page.evaluate(
    () => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? NaN,
  );
  const kB = bytes / 1000;
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null, undefined, {
    timeout: 90_000,
  });
  await page.close();
  return { seenMs, usableMs, kB };
}

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

function print(name: string, loads: readonly Load[]): void {
  const s = (pick: (one: Load) => number) => (median(loads.map(pick)) / 1000).toFixed(1);
  const kB = median(loads.map((one) => one.kB)).toFixed(0);
  process.stdout.write(
    `  ${name}: seen after ${s((one) => one.seenMs)} s, usable after ${s((one) => one.usableMs)} s, ${kB} kB\n`,
  );
}

async function main(): Promise<void> {
  process.stdout.write(
    `First load, processor slowed ${SLOWER} times, 1.6 Mbit/s and ${LATENCY_MS} ms, median of ${TIMES}\n`,
  );
  const browser = await chromium.launch(CHROMIUM);
  const first: Load[] = [];
  const again: Load[] = [];
  for (let i = 0; i < TIMES; i += 1) {
    const server = createServer(createApp(resolve('dist')));
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}/`;
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    first.push(await load(context, base));
    await drain(server, 100);
    again.push(await load(context, base));
    await context.close();
  }
  print('first visit (wanted: 1.5 s and 5 s)', first);
  print('again, server stopped (wanted: 1.5 s)', again);
  await browser.close();
}

void main();
