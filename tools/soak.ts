/**
 * An hour of instruments at fifty readings a second, pressed into some minutes: with garbage, gaps, doubles and turns among
 * them. Tells what the page's memory does, and whether it still listens at the end. `npm run soak`; not in the check.
 */
import { chromium } from '@playwright/test';
import express from 'express';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { littleKitchen } from '../core/instruments/littleKitchen';
import { createApp } from '../server/app';
import { CHROMIUM } from './chromium';

const READINGS = Number(process.argv[2] ?? 180_000);
const GARBAGE = [
  '',
  '{',
  'null',
  '[]',
  '{"id":"scale"}',
  '\u0000',
  'x'.repeat(3000),
  '{"id":"scale","kind":"spoon"}',
];
/** So many at once, then a breath: the page hears them as they come. */
const AT_ONCE = 50;
const BREATH_MS = 20;

let sent = 0;
const app = express();
app.get('/api/instruments/stream', (request, response) => {
  response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store' });
  response.flushHeaders();
  const kitchen = littleKitchen(11);
  kitchen.deed({ do: 'oven to', settingC: 175 });
  const timer = setInterval(() => {
    if (response.writableLength > 200_000) return;
    for (let i = 0; i < AT_ONCE; i += 1) {
      kitchen.step(0.02);
      const all = kitchen.readings();
      const one = all[sent % all.length];
      const text = sent % 97 === 0 ? (GARBAGE[(sent / 97) % GARBAGE.length] ?? '') : JSON.stringify(one);
      // Some never come, some come twice.
      if (sent % 31 !== 0) response.write(`data: ${text}\n\n`);
      if (sent % 41 === 0) response.write(`data: ${text}\n\n`);
      sent += 1;
    }
  }, BREATH_MS);
  request.on('close', () => clearInterval(timer));
});
app.use(createApp(resolve('dist')));

async function main(): Promise<void> {
  const server = createServer(app);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' });
  const wrong: string[] = [];
  page.on('pageerror', (error) => wrong.push(error.message));
  await page.goto(`${base}/runs/run-lantern-table/bake`);
  await page.getByText(/^(In time|Late): ready about/).waitFor({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Practise with a scale and probes' }).click();
  await page.getByText('Air in the oven').waitFor();
  const cdp = await page.context().newCDPSession(page);
  const heap = async (): Promise<number> => {
    await cdp.send('HeapProfiler.collectGarbage');
    const { usedSize } = (await cdp.send('Runtime.getHeapUsage')) as { usedSize: number };
    return usedSize / 1e6;
  };
  const until = async (n: number) => {
    while (sent < n) await new Promise((done) => setTimeout(done, 500));
  };
  await until(READINGS / 10);
  const early = await heap();
  for (const share of [0.25, 0.5, 0.75, 1]) {
    await until(READINGS * share);
    process.stdout.write(
      `${sent} readings: ${(await heap()).toFixed(1)} MB (${early.toFixed(1)} after a tenth)\n`,
    );
  }
  const late = await heap();
  const shown = await page.getByText(/°C$/).count();
  process.stdout.write(
    `grew by ${((late / early - 1) * 100).toFixed(1)} %; ${shown} figures shown; ${wrong.length} errors\n`,
  );
  await browser.close();
  server.closeAllConnections();
  server.close();
  process.exit(wrong.length > 0 || shown === 0 || late > early * 1.2 ? 1 : 0);
}

void main();
