import fc from 'fast-check';
import { localOf, minutesOf } from '../model/localTime';
import { thinnedOut, type Ageing } from './thinning';

const NOW = '2026-11-25T10:00';
const ROOM = { most: 1e9, used: 0 };
const ago = (days: number, why: Ageing['why'] = 'the day', letters = 10, documents = 5): Ageing => {
  const at = `${localOf(minutesOf(NOW) - Math.round(days * 1440))}:00`;
  return { key: `${at}|${why}`, at, why, letters, documents };
};
const left = (all: readonly Ageing[], gone: readonly Ageing[]) => all.filter((one) => !gone.includes(one));

describe('snapshots as they grow older', () => {
  it('thin out to one a day, a week and a month', () => {
    // Two a day for two years; by hand: 4 to 5 of two days, 13 days, some 8 weeks, some 22 months.
    const all = Array.from({ length: 1460 }, (_, i) => ago(i / 2));
    const stay = left(all, thinnedOut(all, NOW, ROOM));
    const between = (from: number, to: number) =>
      stay.filter(({ at }) => {
        const days = (minutesOf(NOW) - minutesOf(at.slice(0, 16))) / 1440;
        return days >= from && days < to;
      }).length;
    expect(between(0, 2)).toBe(4);
    expect(between(2, 15)).toBeGreaterThanOrEqual(13);
    expect(between(2, 15)).toBeLessThanOrEqual(14);
    expect(between(15, 70)).toBeGreaterThanOrEqual(8);
    expect(between(15, 70)).toBeLessThanOrEqual(9);
    expect(between(70, 800)).toBeGreaterThanOrEqual(21);
    expect(between(70, 800)).toBeLessThanOrEqual(23);
  });

  it('never take the place of one that was kept for another reason, nor an emptied kitchen that of a full one', () => {
    const full = ago(5, 'before starting empty', 10, 25);
    const later = ago(4.99, 'before starting empty', 10, 1);
    const all = [full, later, ago(4.98), ago(4.97, 'before the demo', 10, 1), ago(0)];
    const stay = left(all, thinnedOut(all, NOW, ROOM)).map(({ key }) => key);
    expect(stay).toContain(full.key);
    expect(stay).not.toContain(later.key);
    expect(stay).toHaveLength(4);
  });

  it('go oldest first where there is no room, but never the newest, nor the one that is gone back to', () => {
    const all = Array.from({ length: 8 }, (_, i) => ago(i / 8, 'by hand', 100));
    const gone = thinnedOut(all, NOW, { most: 250, used: 800 }, all[7]?.key);
    expect(left(all, gone).map(({ key }) => key)).toEqual([all[0]?.key, all[7]?.key]);
    expect(thinnedOut([ago(0, 'by hand', 1e12)], NOW, { most: 1, used: 1e12 })).toEqual([]);
  });

  it('keep the newest and the spared one, and let nothing go twice, whatever there is', () => {
    const some = fc.array(
      fc.tuple(fc.double({ min: 0, max: 900, noNaN: true }), fc.integer({ min: 0, max: 1000 })),
      { minLength: 1, maxLength: 60 },
    );
    fc.assert(
      fc.property(some, fc.integer({ min: 0, max: 20_000 }), (list, most) => {
        const all = list.map(([days, letters]) => ago(days, 'the day', letters));
        const used = all.reduce((sum, one) => sum + one.letters, 0);
        const spared = all[all.length - 1]?.key ?? '';
        const gone = thinnedOut(all, NOW, { most, used }, spared);
        expect(new Set(gone).size).toBe(gone.length);
        expect(gone.map(({ key }) => key)).not.toContain(spared);
        const newest = [...all].sort((a, b) => (a.key < b.key ? 1 : -1))[0];
        expect(gone).not.toContain(newest);
      }),
    );
  });
});
