import type { FormulaDoc } from '../core/model/documents';
import { createDocumentStore, formulaKey, formulasIn, runsIn, kitchenIn } from './documents';
import type { DocStorage } from './storage';

const NOW = '2026-11-25T10:00';

function memory(): DocStorage & { held: Record<string, string>; failing: boolean } {
  const storage = {
    held: {} as Record<string, string>,
    failing: false,
    readAll: () => Promise.resolve({ ...storage.held }),
    write: (entries: Readonly<Record<string, string | null>>) => {
      if (storage.failing) return Promise.reject(new Error('full'));
      for (const [key, text] of Object.entries(entries)) {
        if (text === null) delete storage.held[key];
        else storage.held[key] = text;
      }
      return Promise.resolve();
    },
  };
  return storage;
}

const settle = () => new Promise((resolve) => setTimeout(resolve, 0));

const cake = (name: string): FormulaDoc => ({
  kind: 'formula',
  version: 1,
  id: 'mine',
  name,
  text: '100 g flour',
  measures: 'us',
  method: 'creamed',
  ovenC: 175,
  takenFor: {},
  steps: '',
});

async function opened(storage: DocStorage) {
  const store = createDocumentStore(storage);
  await store.getState().hydrate(NOW);
  return store;
}

describe('the document store', () => {
  it('lays the demo out on the first start and keeps it, one key a document', async () => {
    const storage = memory();
    const store = await opened(storage);
    expect(store.getState().ready).toBe(true);
    expect(formulasIn(store.getState().docs).length).toBeGreaterThanOrEqual(2);
    await settle();
    expect(Object.keys(storage.held)).toEqual(
      expect.arrayContaining(['kitchen', 'formula/formula-honey-thyme']),
    );
  });

  it('brings back after a reload what was changed, and can still undo it', async () => {
    const storage = memory();
    const first = await opened(storage);
    first.getState().change('Name', { [formulaKey('mine')]: cake('Mine') });
    await settle();
    const second = await opened(storage);
    expect(second.getState().docs[formulaKey('mine')]).toEqual(cake('Mine'));
    second.getState().undo();
    expect(second.getState().docs[formulaKey('mine')]).toBeUndefined();
    await settle();
    expect(storage.held[formulaKey('mine')]).toBeUndefined();
  });

  it('undoes step by step, last first', async () => {
    const store = await opened(memory());
    const { change, undo } = store.getState();
    change('One', { [formulaKey('mine')]: cake('One') });
    change('Two', { [formulaKey('mine')]: cake('Two') });
    undo();
    expect(store.getState().docs[formulaKey('mine')]).toMatchObject({ name: 'One' });
    undo();
    undo();
    expect(store.getState().docs[formulaKey('mine')]).toBeUndefined();
  });

  it('starts empty on request, stays empty after a reload, and can take that back', async () => {
    const storage = memory();
    const store = await opened(storage);
    store.getState().startEmpty();
    await settle();
    expect(runsIn((await opened(storage)).getState().docs)).toEqual([]);
    expect(kitchenIn(store.getState().docs).tins).toHaveLength(1);
    store.getState().undo();
    expect(runsIn(store.getState().docs).length).toBeGreaterThan(0);
  });

  it('leaves a damaged document as it is, says so, and opens the rest', async () => {
    const storage = memory();
    await opened(storage);
    await settle();
    storage.held['run/broken'] = '{"kind":"run","version":1';
    storage.held['formula/later'] = JSON.stringify({ ...cake('Later'), version: 7 });
    const store = await opened(storage);
    expect([...store.getState().damaged].sort()).toEqual(['formula/later', 'run/broken']);
    expect(formulasIn(store.getState().docs).length).toBeGreaterThanOrEqual(2);
    expect(storage.held['run/broken']).toBe('{"kind":"run","version":1');
  });

  it('says when the browser keeps nothing, and takes it back once it does', async () => {
    const storage = memory();
    const store = await opened(storage);
    await settle();
    storage.failing = true;
    store.getState().change('Name', { [formulaKey('mine')]: cake('Mine') });
    await settle();
    expect(store.getState().saveFault).toMatch(/did not keep/);
    storage.failing = false;
    store.getState().change('Name', { [formulaKey('mine')]: cake('Mine 2') });
    await settle();
    expect(store.getState().saveFault).toBeNull();
  });
});
