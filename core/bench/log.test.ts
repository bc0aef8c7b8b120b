import fc from 'fast-check';
import { benchEventSchema, type BenchEvent } from '../model/benchEvent';
import { FAMILY_FILES } from '../../demo/families';
import { planWhole } from '../plan';
import { workOf, type DayFile } from '../schedule/chores';
import { benchStateOf, counted, lastOf } from './log';
import { benchOf, waitsAfter } from './standing';

const FILE = FAMILY_FILES.minis as DayFile;
const CHORES = workOf(planWhole(FILE), FILE.kitchen);
const T0 = 1_764_000_000_000;
const chore = fc.constantFrom(...CHORES.map(({ id }) => id));
const lineId = fc.constantFrom(...FILE.run.lines.map(({ id }) => id));

type Untimed = {
  [K in BenchEvent['what']]: Omit<Extract<BenchEvent, { what: K }>, 'id' | 'at'>;
}[BenchEvent['what']];
const what: fc.Arbitrary<Untimed> = fc.oneof(
  fc.record({
    what: fc.constant('begun' as const),
    chore,
    clock: fc.record({
      label: fc.constant('Cool'),
      of: fc.constant(''),
      expectedS: fc.integer({ min: 60, max: 4000 }),
      latestS: fc.constant(5000),
    }),
  }),
  fc.record({ what: fc.constant('done' as const), chore }),
  fc.record({ what: fc.constant('skipped' as const), chore }),
  fc.record({ what: fc.constant('not yet' as const), chore, moreS: fc.integer({ min: 0, max: 900 }) }),
  fc.record({
    what: fc.constant('weighed' as const),
    chore,
    of: fc.constant('portion'),
    massG: fc.integer({ min: 1, max: 400 }),
  }),
  fc.record({
    what: fc.constant('answered' as const),
    chore,
    to: fc.constantFrom('squeeze', 'coat'),
    answer: fc.constantFrom('crumbles', 'holds', 'thick'),
  }),
  fc.record({ what: fc.constant('lost' as const), lineId, pieces: fc.integer({ min: 1, max: 9 }) }),
  fc.record({ what: fc.constant('counted' as const), lineId, pieces: fc.integer({ min: 1, max: 60 }) }),
  fc.record({ what: fc.constant('line closed' as const), lineId, made: fc.integer({ min: 0, max: 60 }) }),
  fc.record({ what: fc.constant('handed' as const), lineId, away: fc.boolean() }),
  fc.record({ what: fc.constantFrom('paused' as const, 'resumed' as const) }),
  fc.record({
    what: fc.constant('undone' as const),
    event: fc.integer({ min: 0, max: 40 }).map((i) => `e${i}`),
  }),
);
const log: fc.Arbitrary<BenchEvent[]> = fc
  .array(what, { maxLength: 40 })
  .map((all) => all.map((one, i) => ({ ...one, id: `e${i}`, at: T0 + i * 60_000 }) as BenchEvent));
const undo = (event: string, at: number): BenchEvent => ({ id: 'u', at, what: 'undone', event });

describe('the log of a bench', () => {
  it('comes to the same state whenever it is read, also after being written out', () => {
    fc.assert(
      fc.property(log, (events) => {
        const kept = (JSON.parse(JSON.stringify(events)) as unknown[]).map((one) =>
          benchEventSchema.parse(one),
        );
        expect(benchStateOf(kept)).toEqual(benchStateOf(events));
      }),
    );
  });

  it('is whole after every event of it', () => {
    fc.assert(
      fc.property(log, fc.nat(), (events, n) => {
        const prefix = events.slice(0, n % (events.length + 1));
        const bench = benchOf({ log: prefix }, CHORES, T0 + 3_600_000);
        expect(bench.standing.size).toBe(CHORES.length);
        for (const { id } of bench.ready) expect(bench.standing.get(id)?.is).toBe('open');
        for (const one of CHORES)
          if (bench.standing.get(one.id)?.is !== 'open')
            for (const { chore: before } of one.after) expect(bench.standing.get(before)?.is).toBe('ended');
      }),
    );
  });

  it('stands as before once its last event is taken back, and as after once that is taken back', () => {
    fc.assert(
      fc.property(log, (events) => {
        const last = lastOf(events);
        if (!last) return;
        const back = [...events, undo(last.id, T0)];
        const without = events.filter(({ id }) => id !== last.id);
        expect(benchStateOf(back)).toEqual(benchStateOf(without));
        const again = [...back, { ...undo('u', T0), id: 'v' }];
        expect(benchStateOf(again)).toEqual(benchStateOf(events));
        expect(counted(back).length).toBe(counted(events).length - 1);
      }),
    );
  });
});

describe('the bench', () => {
  const begun = (id: string, min: number, expectedS: number): BenchEvent => ({
    id: `b-${id}`,
    at: T0 + min * 60_000,
    what: 'begun',
    chore: id,
    clock: { label: '', of: '', expectedS, latestS: expectedS },
  });
  const done = (id: string, min: number): BenchEvent => ({
    id: `d-${id}`,
    at: T0 + min * 60_000,
    what: 'done',
    chore: id,
  });
  const at = (min: number) => T0 + min * 60_000;
  const line = 'plums-below';

  it('takes what comes before for done once something after it has begun', () => {
    const bench = benchOf({ log: [done(`${line}/fill-1`, 30)] }, CHORES, at(30));
    expect(bench.standing.get(`${line}/mix`)).toEqual({ is: 'ended', endedAt: at(30) });
    expect(bench.ready.map(({ id }) => id)).toContain(`${line}/load-1`);
  });

  it('begins a wait as what it waits for is done, and ends it by itself', () => {
    const chores = CHORES.filter(({ lineIds }) => lineIds.includes(line));
    const out = chores.find(({ id }) => id === `${line}/out-1`);
    if (!out) throw new Error('the line is turned out of its tin');
    const run = { log: [done(`${line}/load-1`, 50), done(out.id, 60)] };
    expect(
      waitsAfter(out, chores, benchOf({ log: [done(`${line}/load-1`, 50)] }, chores, at(60))).map(
        ({ id }) => id,
      ),
    ).toEqual([`${line}/cool-1`]);
    const cool = chores.find(({ id }) => id === `${line}/cool-1`);
    expect(benchOf(run, chores, at(61)).standing.get(cool?.id ?? '')).toMatchObject({
      is: 'running',
      begunAt: at(60),
    });
    expect(benchOf(run, chores, at(60 + (cool?.takes.lengthS ?? 0) / 60)).ready.map(({ id }) => id)).toEqual([
      `${line}/pack`,
    ]);
  });

  it('gives a clock that was looked at so much longer as was said', () => {
    const id = `${line}/cool-1`;
    const events: BenchEvent[] = [
      begun(id, 0, 600),
      { id: 'n', at: at(10), what: 'not yet', chore: id, moreS: 300 },
    ];
    expect(benchOf({ log: events }, CHORES, at(14)).standing.get(id)).toEqual({
      is: 'running',
      begunAt: at(0),
      readyAt: at(15),
    });
    expect(benchOf({ log: events }, CHORES, at(16)).standing.get(id)?.is).toBe('ended');
  });

  it('leaves lines that somebody else works at alone', () => {
    const away: BenchEvent = { id: 'a', at: at(0), what: 'handed', lineId: line, away: true };
    const ready = (events: BenchEvent[]) =>
      benchOf({ log: events }, CHORES, at(0)).ready.flatMap(({ lineIds }) => lineIds);
    expect(ready([])).toContain(line);
    expect(ready([away])).not.toContain(line);
    expect(ready([away, { ...away, id: 'b', away: false }])).toContain(line);
  });
});

describe('a line that is closed while others go on', () => {
  it('leaves no work of its own, and that of the others as it was', () => {
    const [first, second] = FILE.run.lines.map(({ id }) => id);
    if (!first || !second) throw new Error('two lines');
    const log: BenchEvent[] = [{ id: 'c', at: T0, what: 'line closed', lineId: first, made: 9 }];
    const [before, after] = [[], log].map((events) => benchOf({ log: events }, CHORES, T0 + 1));
    expect(after?.state.closedLines.get(first)).toEqual({ made: 9, at: T0, finish: null });
    const own = CHORES.filter(({ lineIds }) => lineIds.length === 1 && lineIds[0] === first);
    expect(own.length).toBeGreaterThan(3);
    for (const { id } of own) expect(after?.standing.get(id)?.is).toBe('ended');
    for (const { id } of CHORES.filter(({ lineIds }) => lineIds.includes(second) && !lineIds.includes(first)))
      expect([id, after?.standing.get(id)?.is]).toEqual([id, before?.standing.get(id)?.is]);
  });
});
