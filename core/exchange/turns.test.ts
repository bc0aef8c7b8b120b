import fc from 'fast-check';
import { FAMILY_FILES } from '../../demo/families';
import { clocksIn } from '../bench/clocksIn';
import { benchStateOf } from '../bench/log';
import { eventsOf, startClock } from '../bench/test-utils/loads';
import type { BenchEvent, RunDoc } from '../model/documents';
import { takeTurns, wentOn } from './turns';

const RUN = FAMILY_FILES.pops?.run as RunDoc;
const done = (id: string, at: number): BenchEvent => ({ id, at, what: 'done', chore: `pops-fresh/${id}` });
const with_ = (log: BenchEvent[]): RunDoc => ({ ...RUN, log });
const log = fc
  .uniqueArray(fc.integer({ min: 0, max: 60 }), { maxLength: 20 })
  .map((all) => [...all].sort((a, b) => a - b).map((n) => done(`e${n}`, n * 1000)));

describe('a run on two devices in turns', () => {
  it('goes on where the other left it, and back', () => {
    const a = with_([done('mix', 1), done('bake', 2)]);
    const b = with_([...(a.log ?? []), done('crumble', 3)]);
    expect(wentOn(a, b)).toBe(true);
    const back = takeTurns(a, b);
    expect(back.log?.map(({ id }) => id)).toEqual(['mix', 'bake', 'crumble']);
    expect(wentOn(back, b)).toBe(false);
  });

  it('begins on the other', () => {
    expect(wentOn(RUN, with_([done('mix', 1)]))).toBe(true);
    expect(wentOn(RUN, RUN)).toBe(false);
  });

  it('is another run where nothing is common, or it was made at another time', () => {
    expect(wentOn(with_([done('mix', 1)]), with_([done('bake', 2)]))).toBe(false);
    expect(wentOn(RUN, { ...with_([done('mix', 1)]), createdAt: RUN.createdAt + 1 })).toBe(false);
  });

  it('loses no event of either, whoever takes whose, and comes to the same state', () => {
    fc.assert(
      fc.property(log, log, (mine, theirs) => {
        const [ab, ba] = [takeTurns(with_(mine), with_(theirs)), takeTurns(with_(theirs), with_(mine))];
        const ids = (run: RunDoc) => (run.log ?? []).map(({ id }) => id);
        for (const { id } of [...mine, ...theirs]) expect(ids(ab)).toContain(id);
        expect(new Set(ids(ab)).size).toBe(ids(ab).length);
        expect(benchStateOf(ab.log ?? [])).toEqual(benchStateOf(ba.log ?? []));
        expect(ids(takeTurns(ab, ab))).toEqual(ids(ab));
      }),
    );
  });

  const CLOCK = startClock('c', 'pops-fresh', 1, 1, { firstLookS: 600, expectedS: 900, latestS: 1000 }, 1);
  const told = (id: string, at: number, result: 'not yet' | 'nearly' | 'done'): BenchEvent => ({
    id,
    at,
    what: 'looked',
    loadId: 'c',
    result,
  });

  it('keeps the looks of both at one load, which came out when the first of them says so', () => {
    const [here, there] = [
      [told('a', 5, 'not yet'), told('b', 12, 'done')],
      [told('x', 8, 'nearly'), told('y', 9, 'done')],
    ].map((looks) => with_([...eventsOf(CLOCK), ...looks]));
    if (!here || !there) throw new Error('there are two');
    const [clock] = clocksIn(takeTurns(here, there));
    expect(clock?.looks.map(({ at }) => at)).toEqual([5, 8, 9, 12]);
    expect(clock?.endedAt).toBe(9);
  });

  it('does not bring back from one device a look that was taken back on the other', () => {
    const there = with_([...eventsOf(CLOCK), told('a', 5, 'not yet')]);
    const here = with_([...(there.log ?? []), { id: 'u', at: 6, what: 'undone', event: 'a' }]);
    for (const both of [takeTurns(here, there), takeTurns(there, here)])
      expect(clocksIn(both)[0]?.looks).toEqual([]);
  });

  it('is the same whoever takes whose, in whichever order three come together, and takes nothing twice', () => {
    const looks = fc
      .uniqueArray(fc.integer({ min: 2, max: 40 }), { maxLength: 4 })
      .map((all) => all.sort((x, y) => x - y).map((at) => told(`look${at}`, at, 'not yet')));
    const some = fc
      .tuple(log, looks, fc.option(fc.integer({ min: 50, max: 60 })), fc.nat(3))
      .map(([events, seen, outAt, undo]): RunDoc => {
        const out: BenchEvent[] =
          outAt === null ? [] : [{ id: `out${outAt}`, at: outAt, what: 'load out', loadId: 'c' }];
        const back: BenchEvent[] = seen
          .slice(0, undo)
          .map(({ id, at }) => ({ id: `u-${id}`, at: at + 1, what: 'undone', event: id }));
        return with_([...events, ...eventsOf(CLOCK), ...seen, ...out, ...back]);
      });
    fc.assert(
      fc.property(some, some, some, (a, b, c) => {
        const state = (run: RunDoc) => ({ events: run.log, clocks: clocksIn(run) });
        expect(state(takeTurns(a, b))).toEqual(state(takeTurns(b, a)));
        expect(state(takeTurns(takeTurns(a, b), c))).toEqual(state(takeTurns(a, takeTurns(b, c))));
        expect(state(takeTurns(takeTurns(a, b), b))).toEqual(state(takeTurns(a, b)));
      }),
    );
  });
});
