import fc from 'fast-check';
import { FAMILY_FILES } from '../../demo/families';
import { benchStateOf } from '../bench/log';
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

  const CLOCK = {
    id: 'c',
    lineId: 'pops-fresh',
    load: 1,
    pieces: 1,
    startedAt: 1,
    firstLookS: 600,
    expectedS: 900,
    latestS: 1000,
    looks: [],
    endedAt: null,
  };
  const of = (...clocks: RunDoc['clocks']): RunDoc => ({ ...RUN, clocks });

  it('keeps the looks of both at one load, which came out when the first of them says so', () => {
    const here = { ...CLOCK, looks: [{ at: 5, result: 'not yet' as const }], endedAt: 12 };
    const there = { ...CLOCK, looks: [{ at: 8, result: 'nearly' as const }], endedAt: 9 };
    const [clock] = takeTurns(of(here), of(there)).clocks;
    expect(clock?.looks.map(({ at }) => at)).toEqual([5, 8]);
    expect(clock?.endedAt).toBe(9);
    expect(takeTurns(of({ ...CLOCK, endedAt: 9 }), of(CLOCK)).clocks[0]?.endedAt).toBe(9);
  });

  it('is the same whoever takes whose, in whichever order three come together, and takes nothing twice', () => {
    const looks = fc
      .uniqueArray(fc.integer({ min: 2, max: 40 }), { maxLength: 4 })
      .map((all) => all.sort((a, b) => a - b).map((at) => ({ at, result: 'not yet' as const })));
    const clock = fc
      .record({
        id: fc.constantFrom('c', 'd'),
        looks,
        endedAt: fc.option(fc.integer({ min: 50, max: 60 })),
      })
      .map((over) => ({ ...CLOCK, ...over }));
    const some = fc
      .tuple(log, fc.uniqueArray(clock, { maxLength: 2, selector: ({ id }) => id }))
      .map(([events, clocks]): RunDoc => ({ ...with_(events), clocks }));
    fc.assert(
      fc.property(some, some, some, (a, b, c) => {
        const told = ({ log: events = [], clocks }: RunDoc) => ({ events, clocks });
        expect(told(takeTurns(a, b))).toEqual(told(takeTurns(b, a)));
        expect(told(takeTurns(takeTurns(a, b), c))).toEqual(told(takeTurns(a, takeTurns(b, c))));
        expect(told(takeTurns(takeTurns(a, b), b))).toEqual(told(takeTurns(a, b)));
      }),
    );
  });
});
