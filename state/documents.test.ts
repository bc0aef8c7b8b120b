import type { FormulaDoc } from '../core/model/documents';
import { createDocumentStore, formulaKey, formulasIn, runsIn, kitchenIn } from './documents';
import { IDBFactory, IDBObjectStore } from 'fake-indexeddb';
import { cake } from './test-utils/cake';
import { browserStorage, rawEntries, type DocStorage } from './storage';

const NOW = '2026-11-25T10:00';

/** Windows of one browser hear each other. */
class Channel {
  static readonly all: Channel[] = [];
  private heard: ((event: { readonly data: unknown }) => void) | null = null;
  constructor() {
    Channel.all.push(this);
  }
  addEventListener(_: string, heard: (event: { readonly data: unknown }) => void) {
    this.heard = heard;
  }
  postMessage(data: unknown) {
    for (const other of Channel.all) if (other !== this) setTimeout(() => other.heard?.({ data }), 0);
  }
}

beforeEach(() => {
  Channel.all.length = 0;
  (globalThis as { BroadcastChannel?: unknown }).BroadcastChannel = Channel;
  localStorage.clear();
  indexedDB = new IDBFactory();
});
afterEach(() => jest.restoreAllMocks());

/** Writes a text into the store past everything. */
async function damage(key: string, text: string): Promise<void> {
  await browserStorage().putAside(key, text);
}

const settle = () => new Promise((resolve) => setTimeout(resolve, 200));

async function opened(storage: DocStorage = browserStorage()) {
  const store = createDocumentStore(storage);
  await store.getState().hydrate(NOW);
  return store;
}

const MINE = formulaKey('mine');

describe('the document store', () => {
  it('lays the demo out on the first start and keeps it, one key a document', async () => {
    const store = await opened();
    expect(store.getState().ready).toBe(true);
    expect(formulasIn(store.getState().docs).length).toBeGreaterThanOrEqual(2);
    expect(Object.keys(await rawEntries())).toEqual(
      expect.arrayContaining(['kitchen', 'formula/formula-honey-thyme']),
    );
  });

  it('lays out a demo that opens where the clock says 1970', async () => {
    const store = createDocumentStore(browserStorage());
    await store.getState().hydrate('1970-01-01T00:03');
    const again = await opened();
    expect(again.getState().aside).toEqual([]);
    expect(runsIn(again.getState().docs).length).toBeGreaterThan(0);
  });

  it('brings back after a reload what was changed, and can still undo it', async () => {
    const first = await opened();
    first.getState().change('Name', { [MINE]: cake('Mine') });
    await settle();
    const second = await opened();
    expect(second.getState().docs[MINE]).toEqual(cake('Mine'));
    second.getState().undo();
    expect(second.getState().docs[MINE]).toBeUndefined();
    await settle();
    expect((await rawEntries())[MINE]).toBeUndefined();
  });

  it('undoes step by step, last first', async () => {
    const store = await opened();
    const { change, undo } = store.getState();
    change('One', { [MINE]: cake('One') });
    change('Two', { [MINE]: cake('Two') });
    undo();
    expect(store.getState().docs[MINE]).toMatchObject({ name: 'One' });
    undo();
    undo();
    expect(store.getState().docs[MINE]).toBeUndefined();
  });

  it('starts empty on request, stays empty after a reload, and can take that back', async () => {
    const store = await opened();
    store.getState().startEmpty();
    await settle();
    expect(runsIn((await opened()).getState().docs)).toEqual([]);
    expect(kitchenIn(store.getState().docs).tins).toHaveLength(1);
    store.getState().undo();
    expect(runsIn(store.getState().docs).length).toBeGreaterThan(0);
  });
});

describe('what is damaged or newer', () => {
  it('is set aside under a name of its own, told, and the rest opens', async () => {
    await opened();
    await damage('run/broken', '{"kind":"run","version":1');
    await damage('run/none', 'null');
    await damage('run/other', JSON.stringify(cake('Under another name')));
    const deep = '{"a":'.repeat(20_000) + '1' + '}'.repeat(20_000);
    await damage('run/deep', `{"kind":"run","version":3,"deep":${deep}}`);
    await browserStorage().putAside('run/number', 7 as unknown as string);
    const store = await opened();
    const { aside, docs } = store.getState();
    expect(aside.map(({ from }) => from).sort()).toEqual([
      'run/broken',
      'run/deep',
      'run/none',
      'run/number',
      'run/other',
    ]);
    expect(aside.every(({ fault }) => fault.length > 5)).toBe(true);
    expect(aside.find(({ from }) => from === 'run/deep')?.fault).toMatch(/nested deeper/);
    expect(aside.find(({ from }) => from === 'run/number')?.fault).toMatch(/no text/);
    expect(formulasIn(docs).length).toBeGreaterThanOrEqual(2);
    const broken = aside.find(({ from }) => from === 'run/broken')?.text;
    store.getState().startEmpty();
    await settle();
    const again = (await opened()).getState().aside.find(({ from }) => from === 'run/broken');
    expect(again?.text).toBe(broken);
  });

  it('of a newer version is left where it is, told, and never written over', async () => {
    await opened();
    const later = JSON.stringify({ ...cake('Later'), id: 'later', version: 7 });
    await damage('formula/later', later);
    const store = await opened();
    expect(store.getState()).toMatchObject({ newer: true, aside: [] });
    store.getState().change('Over it', { 'formula/later': { ...cake('New'), id: 'later' } });
    await settle();
    expect((await rawEntries())['formula/later']).toBe(later);
  });

  it('of a newer version is heard of from another window while this one changes it', async () => {
    const old = await opened();
    old.getState().change('Mine', { [MINE]: cake('Mine') });
    await settle();
    await damage(MINE, JSON.stringify({ ...cake('Theirs'), version: 7 }));
    old.getState().change('Again', { [MINE]: cake('Again') });
    await settle();
    expect(old.getState().newer).toBe(true);
    expect((await rawEntries())[MINE]).toContain('Theirs');
    // What was changed here waits, and goes in once the newer version reads it.
    expect(JSON.stringify({ ...localStorage })).toContain('Again');
  });

  it('leaves a kitchen that can be changed at once, beside one that cannot be read', async () => {
    await opened();
    await damage('kitchen', '{"kind":"kitchen"');
    const store = await opened();
    const { docs, change } = store.getState();
    change('Altitude', { kitchen: { ...kitchenIn(docs), altitudeM: 900 } });
    await settle();
    expect(store.getState().crossings).toEqual([]);
    expect(kitchenIn((await opened()).getState().docs).altitudeM).toBe(900);
  });

  it('is let go only once its document is kept again', async () => {
    await opened();
    await damage('~aside/1/formula/mine', JSON.stringify(cake('Whole')));
    const storage = browserStorage();
    const store = await opened(storage);
    jest.spyOn(storage, 'commit').mockRejectedValue(new Error('refused'));
    expect(store.getState().tryAside('~aside/1/formula/mine')).toBeNull();
    await settle();
    await settle();
    expect((await rawEntries())['~aside/1/formula/mine']).toContain('Whole');
    expect(store.getState().aside).toHaveLength(1);
  });

  it('is read again on request, and goes on request', async () => {
    await opened();
    await damage(MINE, '{');
    const store = await opened();
    const key = store.getState().aside[0]?.key ?? '';
    expect(store.getState().tryAside(key)).toMatch(/broken off/);
    await damage(key, JSON.stringify(cake('Whole')));
    const later = await opened();
    expect(later.getState().tryAside(key)).toBeNull();
    expect(later.getState().docs[MINE]).toEqual(cake('Whole'));
    // The kept text is let go once it has been read back.
    for (let tries = 0; later.getState().aside.length > 0 && tries < 30; tries += 1) await settle();
    expect((await opened()).getState().aside).toEqual([]);
  });

  it('in the history takes no step back', async () => {
    const first = await opened();
    first.getState().change('One', { [MINE]: cake('One') });
    first.getState().change('Two', { [MINE]: cake('Two') });
    await settle();
    const [key] = Object.keys(await rawEntries()).filter((one) => one.startsWith('~undo/'));
    await damage(key ?? '', '{"label":"One","before":{"formula/mine":{"kind":"formula"}}}');
    const { undoable } = (await opened()).getState();
    expect(undoable.map(({ label }) => label)).toEqual(['Two']);
  });
});

describe('a browser that refuses', () => {
  it('to read once is asked again, and nothing is laid over what is there', async () => {
    const first = await opened();
    first.getState().startEmpty();
    await settle();
    jest.spyOn(IDBObjectStore.prototype, 'getAll').mockImplementationOnce(() => {
      throw new Error('busy');
    });
    const store = await opened();
    expect(runsIn(store.getState().docs)).toEqual([]);
    expect(store.getState().unread).toBeNull();
  });

  it('to write keeps all that waits, counts it, says why, and writes it once it can', async () => {
    const store = await opened();
    const full = Object.assign(new Error('no room'), { name: 'QuotaExceededError' });
    const put = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw full;
    });
    store.getState().change('One', { [MINE]: cake('One') });
    store.getState().change('Two', { 'formula/other': { ...cake('Two'), id: 'other' } });
    await settle();
    expect(store.getState().unsaved).toEqual({ count: 2, cause: 'full' });
    put.mockRestore();
    await new Promise((done) => setTimeout(done, 900));
    expect(store.getState().unsaved).toBeNull();
    const { docs } = (await opened()).getState();
    expect([docs[MINE], docs['formula/other']]).toMatchObject([{ name: 'One' }, { name: 'Two' }]);
  });

  it('and lets go of the store while it is open has it written again whole', async () => {
    const store = await opened();
    store.getState().change('One', { [MINE]: cake('One') });
    await settle();
    for (const key of Object.keys(await rawEntries())) await browserStorage().putAside(key, null);
    store.getState().change('Two', { [MINE]: cake('Two') });
    await settle();
    expect(store.getState().lost).toBe('written again');
    const again = (await opened()).getState();
    expect(again.docs[MINE]).toMatchObject({ name: 'Two' });
    expect(again.undoable.length).toBeGreaterThan(0);
  });

  it('and has nothing where something was kept says so, and lays out no demo', async () => {
    await opened();
    indexedDB = new IDBFactory();
    const store = await opened();
    expect(store.getState().lost).toBe('let go');
    expect(runsIn(store.getState().docs)).toEqual([]);
  });
});

describe('two windows', () => {
  it('hear of each other’s changes, and undo is one history', async () => {
    const [a, b] = [await opened(), await opened()];
    a.getState().change('One', { [MINE]: cake('One') });
    await settle();
    expect(b.getState().docs[MINE]).toMatchObject({ name: 'One' });
    b.getState().change('Two', { [MINE]: cake('Two') });
    await settle();
    a.getState().undo();
    await settle();
    expect(b.getState().docs[MINE]).toMatchObject({ name: 'One' });
    b.getState().undo();
    await settle();
    expect(a.getState().docs[MINE]).toBeUndefined();
    expect(a.getState().undoable).toEqual([]);
  });

  it('change different fields of one document at once, and both stand in both', async () => {
    const [a, b] = [await opened(), await opened()];
    a.getState().change('Mine', { [MINE]: cake('Mine') });
    await settle();
    a.getState().change('Name', { [MINE]: { ...cake('Other') } });
    b.getState().change('Oven', { [MINE]: { ...cake('Mine'), ovenC: 190 } });
    await settle();
    await settle();
    for (const store of [a, b, await opened()])
      expect(store.getState().docs[MINE]).toMatchObject({ name: 'Other', ovenC: 190 });
    expect([...a.getState().crossings, ...b.getState().crossings]).toEqual([]);
  });

  it('change the same field at once: one stands in both, and the other is offered', async () => {
    const [a, b] = [await opened(), await opened()];
    a.getState().change('Mine', { [MINE]: cake('Mine') });
    await settle();
    a.getState().change('Name', { [MINE]: cake('From a') });
    b.getState().change('Name', { [MINE]: cake('From b') });
    await settle();
    await settle();
    const name = (store: typeof a) => (store.getState().docs[MINE] as FormulaDoc).name;
    expect(name(a)).toBe(name(b));
    const crossed = [a, b].flatMap((store) => store.getState().crossings.map((one) => ({ store, one })));
    expect(crossed).toHaveLength(1);
    const { store, one } = crossed[0]!;
    expect([one.mine, one.theirs].sort()).toEqual(['From a', 'From b']);
    store.getState().settle(one.id, 'the other');
    await settle();
    expect(name(a)).toBe(one.theirs);
    expect(name(b)).toBe(one.theirs);
  });

  it('take out and change at once: it stays out, and can be put back', async () => {
    const [a, b] = [await opened(), await opened()];
    a.getState().change('Mine', { [MINE]: cake('Mine') });
    await settle();
    a.getState().change('Take out', { [MINE]: null });
    b.getState().change('Name', { [MINE]: cake('Changed') });
    await settle();
    await settle();
    for (const store of [a, b]) expect(store.getState().docs[MINE]).toBeUndefined();
    const [crossing] = b.getState().crossings;
    b.getState().settle(crossing?.id ?? 0, 'the other');
    await settle();
    expect(a.getState().docs[MINE]).toMatchObject({ name: 'Changed' });
  });
});
