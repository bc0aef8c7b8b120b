import { IDBFactory } from 'fake-indexeddb';
import { browserStorage, type Elsewhere } from './storage';
import { cake } from './test-utils/cake';
import { closePage, openPage } from './test-utils/servedPage';

const NOTE = (name: string) => JSON.stringify(cake(name));
const page = globalThis as Record<string, unknown>;

/** A channel that is heard by all others of its name, in this one window. */
class Channel extends EventTarget {
  static readonly open = new Set<Channel>();
  onmessage: ((event: MessageEvent) => void) | null = null;
  constructor() {
    super();
    Channel.open.add(this);
    this.addEventListener('message', (event) => this.onmessage?.(event as MessageEvent));
  }
  postMessage(data: unknown): void {
    for (const other of Channel.open)
      if (other !== this) other.dispatchEvent(new MessageEvent('message', { data }));
  }
}

beforeEach(() => {
  localStorage.clear();
  indexedDB = new IDBFactory();
  Channel.open.clear();
  page['BroadcastChannel'] = Channel;
});
afterEach(() => {
  closePage();
  delete page['BroadcastChannel'];
});

const commitOf = (window: string, base: string | null, next: string) => ({
  window,
  number: 1,
  texts: { 'formula/mine': { base, next } },
  step: null,
  undoes: null,
});

describe('what the served page reads ahead', () => {
  it('is what stands, and is taken once', async () => {
    const before = browserStorage();
    await before.layOut({ 'formula/mine': NOTE('a') });
    openPage();
    await page['carnelianTexts'];
    const storage = browserStorage();
    // Another window writes after the page has read.
    await before.commit(commitOf(before.window, NOTE('a'), NOTE('b')));
    const heard: Elsewhere[] = [];
    storage.listen((news) => heard.push(news));
    expect((await storage.read()).documents).toEqual({ 'formula/mine': NOTE('a') });
    expect(heard.map(({ texts }) => texts)).toEqual([{ 'formula/mine': NOTE('b') }]);
    expect((await storage.read()).documents).toEqual({ 'formula/mine': NOTE('b') });
  });

  it('goes on being heard of, once each', async () => {
    const before = browserStorage();
    await before.layOut({});
    openPage();
    const storage = browserStorage();
    const heard: Elsewhere[] = [];
    storage.listen((news) => heard.push(news));
    await before.commit(commitOf(before.window, null, NOTE('a')));
    expect(heard).toHaveLength(1);
    expect(page['carnelianHeard']).toEqual([]);
  });

  it('is not trusted where a window that is gone had left something on its way', async () => {
    const gone = browserStorage();
    await gone.layOut({ 'formula/mine': NOTE('a') });
    gone.ahead([commitOf(gone.window, NOTE('a'), NOTE('b'))]);
    openPage();
    expect((await browserStorage().read()).documents).toEqual({ 'formula/mine': NOTE('b') });
  });

  it('is read again where the page could not', async () => {
    await browserStorage().layOut({ 'formula/mine': NOTE('a') });
    openPage();
    page['carnelianTexts'] = Promise.reject(new Error('no'));
    expect((await browserStorage().read()).documents).toEqual({ 'formula/mine': NOTE('a') });
  });

  it('leaves closed runs for later, which come whole when they are asked for', async () => {
    const texts = {
      'formula/a': NOTE('a'),
      'run/closed-1': NOTE('b'),
      'run/closed-2': NOTE('c'),
      'run/open': NOTE('d'),
      'run/zz-closed': NOTE('e'),
    };
    await browserStorage().layOut(texts);
    const closed = ['run/closed-1', 'run/closed-2', 'run/zz-closed', 'run/of-another-day'];
    localStorage.setItem('carnelian-closed', JSON.stringify(closed));
    openPage();
    const storage = browserStorage();
    const { documents, later } = await storage.read();
    expect(documents).toEqual({ 'formula/a': texts['formula/a'], 'run/open': texts['run/open'] });
    expect([...later].sort()).toEqual(closed.slice(0, 3));
    expect({ ...documents, ...(await storage.readLater(later)) }).toEqual(texts);
  });

  it('reads all of it where the index says nothing that can be read', async () => {
    await browserStorage().layOut({ 'run/closed': NOTE('a') });
    localStorage.setItem('carnelian-closed', '{');
    openPage();
    const found = await browserStorage().read();
    expect(found.documents).toEqual({ 'run/closed': NOTE('a') });
    expect(found.later).toEqual([]);
  });

  it('finds nothing on a first visit', async () => {
    openPage();
    expect((await browserStorage().read()).documents).toEqual({});
  });
});
