import { bringIn } from '../core/exchange/bringIn';
import { SNAPSHOT_REASONS } from '../core/exchange/snapshot';
import { runsIn } from './documents';
import {
  goBackTo,
  keepDaily,
  keepNow,
  keptOf,
  loadSnapshot,
  overBudget,
  putBack,
  snapshotText,
  startEmpty,
  useSnapshots,
  type Kept,
} from './snapshots';
import { useDocuments } from './store';

const NOW = new Date(2026, 10, 25, 9, 30).getTime();
const kept = (i: number, why: Kept['why'], letters = 1000): Kept => {
  const at = `2026-11-${String(1 + (i % 28)).padStart(2, '0')}T10:00:${String(i).padStart(2, '0')}`;
  return { key: `${at}|${why}|3|${letters}`, at, why, documents: 3, letters };
};
const names = (list: readonly Kept[]) => list.map(({ key }) => key).sort();

describe('what is kept of other days', () => {
  beforeAll(async () => {
    jest.spyOn(Date, 'now').mockReturnValue(NOW);
    await useDocuments.getState().hydrate('2026-11-25T09:30');
  });

  it('says all of itself in its name', () => {
    for (const why of SNAPSHOT_REASONS) expect(keptOf(kept(3, why).key)).toEqual(kept(3, why));
    expect(keptOf('something else')).toBeNull();
  });

  it('goes oldest first when there are too many days, too many others, or no room', () => {
    const days = Array.from({ length: 6 }, (_, i) => kept(i, 'the day'));
    const others = Array.from({ length: 3 }, (_, i) => kept(10 + i, 'by hand'));
    const budget = { days: 4, others: 2, letters: 1e9 };
    expect(names(overBudget([...days, ...others], budget))).toEqual(names([days[0]!, days[1]!, others[0]!]));
    expect(names(overBudget(days, { days: 9, others: 9, letters: 2500 }))).toEqual(names(days.slice(0, 4)));
    // The newest stays, whatever its size.
    expect(overBudget([kept(1, 'by hand', 1e12)])).toEqual([]);
  });

  it('is kept once a day', async () => {
    await keepDaily();
    await keepDaily();
    const { list } = useSnapshots.getState();
    expect(list.filter(({ why }) => why === 'the day')).toHaveLength(1);
  });

  it('comes back whole, or one document of it', async () => {
    const before = useDocuments.getState().docs;
    startEmpty();
    await new Promise((done) => setTimeout(done, 50));
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
