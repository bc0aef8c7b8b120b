import { IDBFactory } from 'fake-indexeddb';
import type { Commit } from './ahead';
import { cake } from './test-utils/cake';
import { tellApart } from './landing';
import { browserStorage, rawEntries, type DocStorage } from './storage';

const AHEAD = 'carnelian-ahead/';
const NOTE = (name: string) => JSON.stringify(cake(name));

let number = 0;
const commit = (storage: DocStorage, key: string, base: string | null, next: string | null): Commit => ({
  window: storage.window,
  number: (number += 1),
  texts: { [key]: { base, next } },
  step: { id: `step-${number}`, label: 'A change' },
  undoes: null,
});
const textsIn = async () => tellApart(await rawEntries()).documents;

beforeEach(() => {
  localStorage.clear();
  indexedDB = new IDBFactory();
});

async function laid(texts: Readonly<Record<string, string>> = {}): Promise<DocStorage> {
  const storage = browserStorage();
  await storage.layOut(texts);
  return storage;
}

describe('documents in the browser', () => {
  it('come back as written, and go when they are taken out', async () => {
    const storage = await laid({ 'formula/mine': NOTE('a') });
    await storage.commit(commit(storage, 'formula/mine', NOTE('a'), NOTE('b')));
    expect(await textsIn()).toEqual({ 'formula/mine': NOTE('b') });
    await storage.commit(commit(storage, 'formula/mine', NOTE('b'), null));
    expect(await textsIn()).toEqual({});
  });

  it('are laid out only where there is nothing', async () => {
    await laid({ 'formula/mine': NOTE('a') });
    expect(await browserStorage().layOut({ 'formula/mine': NOTE('demo') })).toBe(false);
    expect(await textsIn()).toEqual({ 'formula/mine': NOTE('a') });
  });

  it('come back though the window went while they were being written', async () => {
    const gone = await laid({ 'formula/mine': NOTE('a') });
    gone.ahead([commit(gone, 'formula/mine', NOTE('a'), NOTE('b'))]);
    const { documents } = await browserStorage().read();
    expect(documents).toEqual({ 'formula/mine': NOTE('b') });
    expect(Object.keys(localStorage).filter((key) => key.startsWith(AHEAD))).toEqual([]);
  });

  it('are never replaced by an older copy that a crash brought back', async () => {
    const gone = await laid({ 'formula/mine': NOTE('a') });
    const old = commit(gone, 'formula/mine', NOTE('a'), NOTE('b'));
    await gone.commit(old);
    await gone.commit(commit(gone, 'formula/mine', NOTE('b'), NOTE('c')));
    gone.ahead([old]);
    expect((await browserStorage().read()).documents).toEqual({ 'formula/mine': NOTE('c') });
  });

  it('do without what was written ahead and cannot be read', async () => {
    await laid({ 'formula/mine': NOTE('a') });
    for (const odd of ['not JSON', '{}', '[1,null,{"window":"x"}]']) {
      localStorage.setItem(`${AHEAD}odd`, odd);
      expect((await browserStorage().read()).documents).toEqual({ 'formula/mine': NOTE('a') });
    }
  });

  it('take what a version of before had on its way', async () => {
    await laid({ 'formula/mine': NOTE('a') });
    localStorage.setItem('carnelian-pending', JSON.stringify({ 'formula/mine': NOTE('b') }));
    expect((await browserStorage().read()).documents).toEqual({ 'formula/mine': NOTE('b') });
  });

  it('of a version of before are taken over with their history', async () => {
    const storage = await laid({});
    await storage.putAside('~store', null);
    const step = { id: 's', label: 'Name', before: { 'formula/mine': null } };
    await storage.adopt([step]);
    expect((await storage.read()).steps.map((text) => JSON.parse(text) as unknown)).toEqual([step]);
  });

  it('that cannot be read are set aside, and nothing is written over them', async () => {
    const storage = await laid({ 'formula/mine': '{"kind":' });
    await storage.commit(commit(storage, 'formula/mine', null, NOTE('b')));
    const { documents, aside } = await storage.read();
    expect(documents).toEqual({ 'formula/mine': NOTE('b') });
    expect(Object.values(aside)).toEqual([{ from: 'formula/mine', text: '{"kind":' }]);
  });

  it('keep forty steps of the history, the last ones', async () => {
    const storage = await laid({ 'formula/mine': NOTE('0') });
    for (let i = 0; i < 45; i += 1)
      await storage.commit(commit(storage, 'formula/mine', NOTE(String(i)), NOTE(String(i + 1))));
    const { steps } = await storage.read();
    expect(steps).toHaveLength(40);
    expect(JSON.parse(steps.at(-1) ?? '')).toMatchObject({ before: { 'formula/mine': { name: '44' } } });
  });
});
