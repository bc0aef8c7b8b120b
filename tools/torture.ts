/**
 * What a browser can do to a kitchen: killed in the middle of an edit, its store damaged key by key, unreadable, full,
 * silent or cleared while it is open, and two windows that edit at once. Counts what was lost, in the built app.
 * `npm run torture [kills]`; minutes, and not in the check. Parts by name: `tsx tools/torture.ts 200 kills refused`.
 */
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { sameJson, type Json } from '../core/exchange/threeWay';
import { createApp } from '../server/app';
import { CHROMIUM } from './chromium';
import { benchKills } from './tortureBench';
import * as kept from './tortureKept';

const KILLS = Number(process.argv[2] ?? 200);
const RUN = '/runs/run-lantern-evening';
const FORMULA = '/formulas/formula-honey-thyme';
const VIEW = { viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' } as const;

let base = '';
const tally: Record<string, Record<string, number>> = {};
function note(what: string, came: string): void {
  const row = (tally[what] ??= {});
  row[came] = (row[came] ?? 0) + 1;
}

const count = (page: Page) => page.getByTestId('value-count').first();

async function setCount(page: Page, value: number): Promise<void> {
  await count(page).click();
  await page.getByRole('dialog').getByRole('textbox').fill(String(value));
  await page.keyboard.press('Enter');
  await page.getByRole('dialog').waitFor({ state: 'detached' });
  await page.waitForFunction(
    (wanted) => document.querySelector('[data-testid="value-count"]')?.textContent?.includes(wanted),
    String(value),
  );
}

/** A page that shows something: never white. */
async function blank(page: Page): Promise<boolean> {
  const text = await page.evaluate(() => document.body.innerText.trim());
  return text.length < 20;
}

/** The browser and all its processes, at once, as when a device dies. */
function killHard(profile: string): void {
  for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name))) {
    try {
      // Its own profile is in the command of each of its processes: by their numbers they are ended, and no others.
      if (readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(profile))
        process.kill(Number(pid), 'SIGKILL');
    } catch {
      // Gone already.
    }
  }
}

const open = (profile: string): Promise<BrowserContext> =>
  chromium.launchPersistentContext(profile, { ...CHROMIUM, ...VIEW });

async function kills(): Promise<void> {
  const profile = mkdtempSync(join(tmpdir(), 'carnelian-kill-'));
  let context = await open(profile);
  let page = context.pages()[0] ?? (await context.newPage());
  await page.goto(base + RUN + '/pieces');
  await count(page).waitFor();
  for (let i = 0; i < KILLS; i += 1) {
    const draft = i % 4 === 3;
    const value = 12 + (i % 40);
    let typed = '';
    if (draft) {
      await page.goto(base + FORMULA);
      const field = page.getByLabel('Ingredients, one a line');
      typed = `${(await field.inputValue()).split('\n').slice(0, 6).join('\n')}\n${value} g poppy seeds`;
      await field.fill(typed);
      await page.waitForTimeout(300);
    } else {
      await setCount(page, value);
      await page.waitForTimeout([0, 5, 13, 30, 80][i % 5] ?? 13);
    }
    killHard(profile);
    await context.close().catch(() => undefined);
    context = await open(profile);
    page = context.pages()[0] ?? (await context.newPage());
    if (draft) {
      await page.goto(base + FORMULA);
      const field = page.getByLabel('Ingredients, one a line');
      await field.waitFor();
      note('killed while typing', (await field.inputValue()) === typed ? 'kept' : 'lost');
      await page.goto(base + RUN + '/pieces');
      await count(page).waitFor();
    } else {
      await page.goto(base + RUN + '/pieces');
      await count(page).waitFor();
      const wait = [0, 5, 13, 30, 80][i % 5] ?? 13;
      const kept = ((await count(page).textContent()) ?? '').includes(String(value));
      note(`killed ${wait} ms after an edit stood there`, kept ? 'kept' : 'lost');
    }
    if (await blank(page)) note('pages', 'blank');
  }
  await context.close();
  rmSync(profile, { recursive: true, force: true });
}

async function bench(): Promise<void> {
  const profile = mkdtempSync(join(tmpdir(), 'carnelian-bench-'));
  await benchKills(KILLS, {
    base,
    note,
    open: () => open(profile),
    kill: () => killHard(profile),
    texts: (page) => inStore(page, null, null),
  });
  rmSync(profile, { recursive: true, force: true });
}

const DAMAGE: readonly ((text: string) => string)[] = [
  () => '',
  () => 'null',
  () => '{}',
  () => '[]',
  () => '0',
  () => '"text"',
  () => 'undefined',
  (text) => text.slice(0, text.length / 2),
  (text) => text.slice(1),
  (text) => `${text}}`,
  (text) => text.replace(/"version":\d+/, '"version":99'),
  (text) => text.replace(/"version":\d+/, '"version":-1'),
  (text) => text.replace(/"kind":"\w+"/, '"kind":"cake"'),
  (text) => text.replace(/"id":"[^"]+"/, '"id":"another"'),
  (text) => text.replace(/"name":"[^"]*"/, '"name":""'),
  (text) => text.replace(/"name"/, '"nom"'),
  () => '\u0000\u0001\u0002',
  () => '<!doctype html>',
];

/** Texts of the store, or one of them written past the app. */
const inStore = async (page: Page, key: string | null, text: string | null) => {
  // The compiler of this script names functions by a helper that pages do not have.
  await page.evaluate('globalThis.__name = (made) => made');
  return page.evaluate(
    async ([key_, text_]) => {
      const asked = indexedDB.open('carnelian');
      const db = await new Promise<IDBDatabase>((done, fail) => {
        asked.onsuccess = () => done(asked.result);
        asked.onerror = () => fail(new Error(String(asked.error)));
      });
      const store = db.transaction('entries', 'readwrite').objectStore('entries');
      const of = <T>(request: IDBRequest<T>) =>
        new Promise<T>((done) => (request.onsuccess = () => done(request.result)));
      if (key_ !== null) await of(store.put(text_, key_));
      const keys = (await of(store.getAllKeys())).map(String);
      const values = (await of(store.getAll())) as string[];
      db.close();
      return Object.fromEntries(keys.map((one, i) => [one, values[i] ?? '']));
    },
    [key, text] as const,
  );
};

/** Whether two texts hold the same, in whatever order. */
function sameText(a: string | undefined, b: string): boolean {
  try {
    return a !== undefined && sameJson(JSON.parse(a) as Json, JSON.parse(b) as Json);
  } catch {
    return false;
  }
}

async function damaged(): Promise<void> {
  const browser = await chromium.launch(CHROMIUM);
  const probe = await browser.newPage(VIEW);
  await probe.goto(base);
  await probe.getByRole('button', { name: 'Go on' }).waitFor();
  const keys = Object.keys(await inStore(probe, null, null)).filter((key) => !key.startsWith('~'));
  await probe.close();
  for (const key of keys) {
    const context = await browser.newContext(VIEW);
    const page = await context.newPage();
    for (const [i, spoil] of DAMAGE.entries()) {
      await page.goto(base);
      await page.getByRole('navigation', { name: 'Places' }).waitFor();
      const texts = await inStore(page, null, null);
      const whole = texts[key];
      if (whole === undefined) continue;
      const bad = spoil(whole);
      if (bad === whole) continue;
      await inStore(page, key, bad);
      await page.reload();
      await page.getByRole('navigation', { name: 'Places' }).waitFor();
      if (await blank(page)) note('pages', 'blank');
      // A later action, each time another one.
      await page.goto(`${base}/kitchen`);
      const action = ['Clear all and start empty', 'Lay out the demo'][i % 2] ?? '';
      await page.getByRole('button', { name: action }).click();
      await page.waitForTimeout(150);
      const after = await inStore(page, null, null);
      await page.getByRole('button', { name: /^Undo/ }).first().click();
      await page.waitForTimeout(100);
      // What can still be read is a change like any other, which undo takes back.
      const back = (await inStore(page, null, null))[key];
      const safe = Object.values(after).includes(bad) || sameText(back, bad);
      note('a key damaged, then a later action', safe ? 'still there' : `destroyed (${key}, ${i})`);
      await inStore(page, key, whole);
    }
    await context.close();
  }
  await browser.close();
}

/** The store as it refuses: each spoils one call of the browser's database, for so long. */
const REFUSALS: Readonly<Record<string, string>> = {
  'one read that fails at the start': `
    const get = IDBObjectStore.prototype.getAll; let n = 0;
    IDBObjectStore.prototype.getAll = function (...a) { if (n++ === 0) throw new DOMException('x', 'UnknownError'); return get.apply(this, a); };`,
  'a store that cannot be opened for six seconds': `
    const open = IDBFactory.prototype.open; const from = performance.now();
    IDBFactory.prototype.open = function (...a) { if (performance.now() - from < 6000) throw new DOMException('x', 'UnknownError'); return open.apply(this, a); };`,
  'a store that is silent for six seconds': `
    const open = IDBFactory.prototype.open; const from = performance.now();
    IDBFactory.prototype.open = function (...a) { return performance.now() - from < 6000 ? Object.create(IDBOpenDBRequest.prototype, { addEventListener: { value() {} } }) : open.apply(this, a); };`,
  'a full disk for six seconds': `
    const put = IDBObjectStore.prototype.put; const from = performance.now();
    IDBObjectStore.prototype.put = function (...a) { if (performance.now() - from < 6000) throw new DOMException('x', 'QuotaExceededError'); return put.apply(this, a); };`,
};

async function refused(): Promise<void> {
  const browser = await chromium.launch(CHROMIUM);
  for (const [name, spoil] of Object.entries(REFUSALS)) {
    const context = await browser.newContext(VIEW);
    const first = await context.newPage();
    await first.goto(base + RUN + '/pieces');
    await count(first).waitFor();
    await setCount(first, 77);
    await first.close();
    const page = await context.newPage();
    await page.addInitScript(spoil);
    await page.goto(base + RUN + '/pieces');
    await count(page).waitFor({ timeout: 30_000 });
    const read = ((await count(page).textContent()) ?? '').includes('77');
    note(name, read ? 'what was there stands' : 'something else stands there');
    await setCount(page, 78);
    await page.waitForTimeout(9000);
    const after = await context.newPage();
    await after.goto(base + RUN + '/pieces');
    await count(after).waitFor();
    note(
      name,
      ((await count(after).textContent()) ?? '').includes('78') ? 'the edit is kept' : 'the edit is lost',
    );
    if ((await blank(page)) || (await blank(after))) note('pages', 'blank');
    await context.close();
  }
  await browser.close();
}

async function twoWindows(): Promise<void> {
  const browser = await chromium.launch(CHROMIUM);
  const context = await browser.newContext(VIEW);
  const [a, b] = [await context.newPage(), await context.newPage()];
  await a.goto(base + RUN + '/pieces');
  await b.goto(base + FORMULA);
  await count(a).waitFor();
  const field = b.getByLabel('Ingredients, one a line');
  await field.waitFor();
  const start = (await field.inputValue()).split('\n').slice(0, 6).join('\n');
  for (let i = 0; i < 100; i += 1) {
    const value = 20 + i;
    // Both at once: neither waits for the other.
    const write = field.fill(`${start}\n${value} g poppy seeds`).then(() => field.blur());
    await Promise.all([setCount(a, value), write]);
    if (i % 10 !== 9) continue;
    await a.waitForTimeout(200);
    const c = await context.newPage();
    await c.goto(base + RUN + '/pieces');
    await count(c).waitFor();
    const kept = ((await count(c).textContent()) ?? '').includes(String(value));
    await c.goto(base + FORMULA);
    const text = await c.getByLabel('Ingredients, one a line').inputValue();
    note(
      'two windows, twenty edits between looks',
      kept && text.endsWith(`${value} g poppy seeds`) ? 'both kept' : 'one lost',
    );
    await c.close();
  }
  await context.close();
  await browser.close();
}

async function cleared(): Promise<void> {
  const browser = await chromium.launch(CHROMIUM);
  for (let i = 0; i < 5; i += 1) {
    const context = await browser.newContext(VIEW);
    const page = await context.newPage();
    await page.goto(base + RUN + '/pieces');
    await count(page).waitFor();
    const cdp = await context.newCDPSession(page);
    await cdp.send('Storage.clearDataForOrigin', { origin: base, storageTypes: 'indexeddb,local_storage' });
    await setCount(page, 60 + i);
    await page.waitForTimeout(1500);
    const after = await context.newPage();
    await after.goto(base + RUN + '/pieces');
    await count(after).waitFor();
    const kept = ((await count(after).textContent()) ?? '').includes(String(60 + i));
    note('site data cleared while it is open', kept ? 'written again whole' : 'lost');
    if (await blank(after)) note('pages', 'blank');
    await context.close();
  }
  await browser.close();
}

async function main(): Promise<void> {
  const server = createServer(createApp(resolve('dist')));
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const chosen = process.argv.slice(3);
  const tools: kept.KeptTools = { base, note, texts: inStore, setCount };
  const ofKept = Object.entries(kept).map(([name, part]) => [name, () => part(tools)] as const);
  const parts = [...Object.entries({ kills, bench, damaged, refused, twoWindows, cleared }), ...ofKept];
  for (const [name, part] of parts) {
    if (chosen.length > 0 && !chosen.includes(name)) continue;
    const from = Date.now();
    await part();
    process.stdout.write(`${name}: ${Math.round((Date.now() - from) / 1000)} s\n`);
  }
  for (const [what, row] of Object.entries(tally)) {
    const said = Object.entries(row).map(([came, n]) => `${n} ${came}`);
    process.stdout.write(`  ${what}: ${said.join(', ')}\n`);
  }
  const bad = Object.values(tally).some((row) =>
    Object.keys(row).some((came) => /lost|destroyed|blank|else/.test(came)),
  );
  process.exit(bad ? 1 : 0);
}

void main();
