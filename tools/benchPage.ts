/** The built app on a server of its own, in a phone-sized page: what the benches in a browser begin from. */
import { chromium } from '@playwright/test';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { createApp } from '../server/app';
import { CHROMIUM } from './chromium';

/** Serves the app, opens it and waits until its demo is laid out. */
export async function openedPage() {
  const server = createServer(createApp(resolve('dist')));
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const browser = await chromium.launch(CHROMIUM);
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'block',
  });
  // The compiler names functions by a helper of its own, which the page has not.
  await context.addInitScript('globalThis.__name = (made) => made');
  const page = await context.newPage();
  await page.goto(base);
  await page.getByRole('navigation', { name: 'Places' }).waitFor();
  await page.waitForTimeout(1500);
  return { server, base, browser, context, page };
}
