import { chromium } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import type { AddressInfo } from 'node:net';
import { createApp } from '/work/main/server/app';
import { CHROMIUM } from '/work/main/tools/chromium';
// usage: look.ts out.png phone|wide light|dark path[#click;click] ...
const [out, size, mode, ...paths] = process.argv.slice(2);
const V = size === 'phone' ? { width: 390, height: 844 } : { width: 1280, height: 800 };
void (async () => {
  const server = createApp(resolve(process.env.DIST ?? '/work/main/dist')).listen(0, '127.0.0.1');
  await new Promise((d) => server.once('listening', d));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const browser = await chromium.launch(CHROMIUM);
  const context = await browser.newContext({ viewport: V, colorScheme: mode as 'dark', serviceWorkers: 'block', deviceScaleFactor: 1 });
  const page = await context.newPage();
  await page.clock.install({ time: new Date('2026-11-25T09:30:00') });
  const shots: string[] = [];
  for (const p of paths) {
    const [path, acts = ''] = p.split('#');
    try {
      await page.goto(base + path);
      await page.waitForTimeout(1500);
      for (const act of acts.split(';').filter(Boolean)) {
        if (act.startsWith('wait')) await page.waitForTimeout(Number(act.slice(4)));
        else if (act.startsWith('scroll')) await page.mouse.move(200,400).then(() => page.mouse.wheel(0, Number(act.slice(6))));
        else if (act.startsWith('fill:')) { const [, label, text] = act.split(':'); await page.getByLabel(label!).first().fill(text!); }
        else if (act.startsWith('key:')) await page.keyboard.press(act.slice(4));
        else if (act.startsWith('ff:')) await page.clock.fastForward(act.slice(3).replace(/\./g, ':'));
        else await page.getByRole(/^tab:/.test(act) ? 'tab' : 'button', { name: new RegExp(act.replace(/^tab:/, ''), 'i') }).first().click({ timeout: 8000 });
        await page.waitForTimeout(500);
      }
    } catch (e) { console.log(p, String(e).slice(0, 300)); }
    shots.push((await page.screenshot()).toString('base64'));
  }
  const cols = size === 'phone' ? Math.min(4, shots.length) : Math.min(2, shots.length);
  const board = await browser.newPage({ viewport: { width: cols * (V.width + 8), height: Math.ceil(shots.length / cols) * (V.height + 8) } });
  await board.setContent(`<body style="margin:0;background:#888;display:grid;grid-template-columns:repeat(${cols},auto);gap:8px">${shots.map((s) => `<img src="data:image/png;base64,${s}">`).join('')}</body>`);
  await board.waitForTimeout(300);
  await board.screenshot({ path: out });
  await browser.close(); server.close(); process.exit(0);
})();
