import { IDBFactory } from 'fake-indexeddb';
import { createDocumentStore, formulaKey, formulasIn } from './documents';
import { readSeals, sealSoon, sumOf } from './seals';
import { browserStorage, rawEntries } from './storage';
import { cake } from './test-utils/cake';

const NOW = '2026-11-25T10:00';
const MINE = formulaKey('mine');
const settle = () => new Promise((resolve) => setTimeout(resolve, 200));

/** The page of a build: it is known by its scripts. */
function pageOf(build: string): void {
  document.head.innerHTML = `<script src="/js/entry-1-${build}.js"></script>`;
}

async function opened() {
  const store = createDocumentStore(browserStorage());
  await store.getState().hydrate(NOW);
  return store;
}

/** Has all that is kept read whole and sealed, without waiting. */
async function sealed(): Promise<Readonly<Record<string, string>>> {
  const texts = await rawEntries();
  jest.useFakeTimers();
  sealSoon(texts);
  jest.runAllTimers();
  jest.useRealTimers();
  return readSeals();
}

beforeEach(() => {
  localStorage.clear();
  indexedDB = new IDBFactory();
  pageOf('one');
});
afterEach(() => (document.head.innerHTML = ''));

describe('seals', () => {
  it('are given to documents that were read whole, and to nothing else', async () => {
    const store = await opened();
    store.getState().change('Name', { [MINE]: cake('Mine') });
    await settle();
    await browserStorage().putAside('formula/broken', '{"kind":"formula"');
    const keys = Object.keys(await sealed());
    expect(keys).toEqual(expect.arrayContaining(['kitchen', MINE]));
    expect(keys.every((key) => key === 'kitchen' || /^(formula|run)\//.test(key))).toBe(true);
    expect(keys).not.toContain('formula/broken');
  });

  it('open the same kitchen, with its history a moment later', async () => {
    const first = await opened();
    first.getState().change('Name', { [MINE]: cake('Mine') });
    await settle();
    await sealed();
    const second = await opened();
    expect(second.getState().docs).toEqual(first.getState().docs);
    await settle();
    expect(second.getState().undoable.map(({ label }) => label)).toEqual(['Name']);
    second.getState().undo();
    expect(formulasIn(second.getState().docs).some(({ id }) => id === 'mine')).toBe(false);
  });

  it('do not hold for a text that was changed since, by whatever', async () => {
    const first = await opened();
    first.getState().change('Name', { [MINE]: cake('Mine') });
    await settle();
    await sealed();
    const text = (await rawEntries())[MINE] ?? '';
    await browserStorage().putAside(MINE, text.replace('"name":"Mine"', '"name":7'));
    const { aside, docs } = (await opened()).getState();
    expect(aside.map(({ from }) => from)).toEqual([MINE]);
    expect(docs[MINE]).toBeUndefined();
  });

  it('of another build, or written over, are worth nothing', async () => {
    await opened();
    expect(Object.keys(await sealed()).length).toBeGreaterThan(0);
    pageOf('two');
    expect(readSeals()).toEqual({});
    pageOf('one');
    for (const odd of ['7', 'null', '{"build":', '{"sums":[]}']) {
      localStorage.setItem('carnelian-seals', odd);
      expect(readSeals()).toEqual({});
    }
  });

  it('differ for texts that differ in a letter, its place or their length', () => {
    const texts = ['', 'a', 'b', 'ab', 'ba', 'aab', 'aba', 'baa', '{"g":12}', '{"g":21}', '{"g":120}'];
    expect(new Set(texts.map(sumOf)).size).toBe(texts.length);
  });
});
