import { IDBFactory } from 'fake-indexeddb';
import type { RunDoc } from '../core/model/documents';
import { CLOSED_INDEX, indexedAsClosed } from './closedIndex';
import { createDocumentStore, runIn, runsIn } from './documents';
import { browserStorage } from './storage';
import { closePage, openPage } from './test-utils/servedPage';

async function started() {
  openPage();
  const store = createDocumentStore(browserStorage());
  await store.getState().hydrate('2026-11-25T09:30');
  return store;
}
const whole = async (store: Awaited<ReturnType<typeof started>>) => {
  store.getState().askWhole();
  for (let i = 0; i < 100 && !store.getState().whole; i += 1)
    await new Promise((done) => setTimeout(done, 20));
  return store.getState();
};

beforeEach(() => {
  localStorage.clear();
  indexedDB = new IDBFactory();
});
afterEach(closePage);

async function closeOne(): Promise<string> {
  const first = await started();
  const { docs } = await whole(first);
  const [run] = runsIn(docs);
  if (!run) throw new Error('the demo has a run');
  const closed: RunDoc = {
    ...run,
    closed: { at: 1, made: 3, finish: 'gentle', note: '' },
  };
  first.getState().change('Close', { [`run/${run.id}`]: closed });
  await new Promise((done) => setTimeout(done, 300));
  return run.id;
}

describe('the index of closed runs', () => {
  it('is made anew at each start, and what it names comes after the rest', async () => {
    const id = await closeOne();
    await whole(await started());
    expect(indexedAsClosed()).toContain(`run/${id}`);
    const store = await started();
    expect(store.getState().whole).toBe(false);
    expect(runIn(store.getState().docs, id)).toBeNull();
    expect(runIn((await whole(store)).docs, id)?.closed?.made).toBe(3);
  });

  it('loses nothing where it is wrong: an open run that it names is there a moment later, and is no more in it', async () => {
    const before = await whole(await started());
    const open = runsIn(before.docs).filter(({ closed }) => closed === null);
    localStorage.setItem(CLOSED_INDEX, JSON.stringify(open.map(({ id }) => `run/${id}`)));
    const { docs } = await whole(await started());
    expect(Object.keys(docs).sort()).toEqual(Object.keys(before.docs).sort());
    expect(indexedAsClosed()).not.toContain(`run/${open[0]?.id}`);
  });

  it('leaves what was changed before the rest came as it was changed', async () => {
    const id = await closeOne();
    await whole(await started());
    const store = await started();
    const other = Object.values(store.getState().docs).find((doc) => doc.kind === 'formula');
    if (!other) throw new Error('the demo has a formula');
    store.getState().change('Rename', { [`formula/${other.id}`]: { ...other, name: 'Changed meanwhile' } });
    const { docs } = await whole(store);
    expect(docs[`formula/${other.id}`]?.name).toBe('Changed meanwhile');
    expect(runIn(docs, id)).not.toBeNull();
  });
});
