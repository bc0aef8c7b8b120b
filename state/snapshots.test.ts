import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { bringIn } from '../core/exchange/bringIn';
import { SNAPSHOT_REASONS } from '../core/exchange/snapshot';
import { runsIn } from './documents';
import {
  goBackTo,
  keepDaily,
  keepNow,
  keptOf,
  loadSnapshot,
  putBack,
  snapshotText,
  startEmpty,
  useSnapshots,
  type Kept,
} from './snapshots';
import { dropSnapshots } from './snapshotStore';
import { useDocuments } from './store';

const NOW = new Date(2026, 10, 25, 9, 30).getTime();
const kept = (i: number, why: Kept['why'], letters = 1000): Kept => {
  const at = `2026-11-${String(1 + (i % 28)).padStart(2, '0')}T10:00:${String(i).padStart(2, '0')}`;
  return { key: `${at}|${why}|3|${letters}`, at, why, documents: 3, letters };
};

describe('what is kept of other days', () => {
  beforeAll(async () => {
    jest.spyOn(Date, 'now').mockReturnValue(NOW);
    await useDocuments.getState().hydrate('2026-11-25T09:30');
  });

  it('says all of itself in its name', () => {
    for (const why of SNAPSHOT_REASONS) expect(keptOf(kept(3, why).key)).toEqual(kept(3, why));
    expect(keptOf('something else')).toBeNull();
  });

  it('is kept once a day', async () => {
    await keepDaily();
    await keepDaily();
    const { list } = useSnapshots.getState();
    expect(list.filter(({ why }) => why === 'the day')).toHaveLength(1);
  });

  it('keeps a document once, however many days hold it, and clears away what none holds any more', async () => {
    const store = createAsyncStorage('carnelian-snapshots');
    const contents = async () => (await store.getAllKeys()).filter((key) => key.startsWith('doc|')).length;
    const documents = Object.keys(useDocuments.getState().docs).length;
    expect(await contents()).toBe(documents);
    jest.spyOn(Date, 'now').mockReturnValue(NOW + 5000);
    await keepNow('by hand');
    expect(await contents()).toBe(documents);
    const { list } = useSnapshots.getState();
    await dropSnapshots(list.map(({ key }) => key));
    expect(await contents()).toBe(0);
    jest.spyOn(Date, 'now').mockReturnValue(NOW);
    await keepDaily();
  });

  it('opens what was kept as one text before', async () => {
    const store = createAsyncStorage('carnelian-snapshots');
    const old = '2026-11-01T10:00:00|by hand|1|99';
    await store.setItem(
      old,
      snapshotText(runsIn(useDocuments.getState().docs).slice(0, 1), 'by hand', '2026-11-01T10:00:00'),
    );
    expect((await loadSnapshot(old))?.docs).toHaveLength(1);
    await store.removeItem(old);
  });

  it('comes back whole, or one document of it', async () => {
    const before = useDocuments.getState().docs;
    await startEmpty();
    const [last] = useSnapshots.getState().list.filter(({ why }) => why === 'before starting empty');
    const snapshot = await loadSnapshot(last?.key ?? '');
    expect(snapshot).toMatchObject({ unread: 0 });
    const [run] = runsIn(before);
    if (!snapshot || !run) throw new Error('the demo has runs');
    putBack(run);
    expect(runsIn(useDocuments.getState().docs)).toEqual([run]);
    goBackTo(snapshot);
    expect(useDocuments.getState().docs).toEqual(before);
    useDocuments.getState().undo();
    expect(runsIn(useDocuments.getState().docs)).toEqual([run]);
  });

  it('is a file that can be brought in, also when something of it is damaged', async () => {
    const docs = [...Object.values(useDocuments.getState().docs), { kind: 'run', version: 2 }];
    const read = bringIn(snapshotText(docs, 'by hand', '2026-11-25T09:30'));
    expect(read).toMatchObject({ ok: true, what: 'snapshot', snapshot: { unread: 1 } });
    await keepNow('by hand');
    expect(useSnapshots.getState().refused).toBe(false);
  });
});
