import fc from 'fast-check';
import { FAMILY_FILES } from '../../demo/families';
import type { BenchEvent, RunDoc } from '../model/documents';
import { dayLeft, dayOfFile, type DayFile, type RunDay } from '../schedule/chores';
import { asStep } from '../schedule/chores/chore';
import { toEnd } from '../schedule/solver';
import { dayNow } from './dayNow';
import { benchOf, stoodOf } from './standing';

const FILE = FAMILY_FILES.pops as DayFile;
const DAY = toEnd(dayOfFile(FILE, 20, 100)) as RunDay;
/** The wall shows what the clock of the world does. */
const localAt = (ms: number) => new Date(ms).toISOString().slice(0, 16);
const msOf = (local: string) => Date.parse(`${local}:00Z`);

/** The day after its first hands have been done, each so late against the plan, seen as the last of them ends. */
function after(done: number, lateMin: number) {
  const hands = DAY.chores.filter(({ chore }) => chore.kind === 'hands').slice(0, done);
  const log = hands.flatMap(({ chore, startAt, endAt }): BenchEvent[] => [
    { id: `a-${chore.id}`, at: msOf(startAt) + lateMin * 60_000, what: 'begun', ...asStep(chore) },
    { id: `b-${chore.id}`, at: msOf(endAt) + lateMin * 60_000, what: 'done', ...asStep(chore) },
  ]);
  const run: RunDoc = { ...FILE.run, log };
  const nowMs = Math.max(...log.map(({ at }) => at), msOf(DAY.safeStartAt ?? ''));
  const chores = DAY.chores.map(({ chore }) => chore);
  const bench = benchOf(run, chores, nowMs);
  const nowAt = localAt(nowMs);
  const { kitchen } = FILE;
  const left = dayLeft({ day: DAY, kitchen, readyAt: run.readyAt, nowAt, stood: stoodOf(bench, nowMs) });
  return { day: dayNow(DAY, { run, kitchen, bench, left, nowAt, localAt }), bench, left, nowAt, hands };
}

describe('the day as it stands', () => {
  it('by hand: what was begun 25 min late stands 25 min after its hour', () => {
    const { day, hands } = after(1, 25);
    const [first] = hands;
    const stands = day.chores.find(({ chore }) => chore.id === first?.chore.id);
    expect(msOf(stands?.startAt ?? '') - msOf(first?.startAt ?? '')).toBe(25 * 60_000);
    expect((first?.startMin ?? 0) - (stands?.startMin ?? 0)).toBeCloseTo(25, -1);
  });

  it('has all that is done behind it, and begins nothing before now or before what it waits for', () => {
    const most = DAY.chores.filter(({ chore }) => chore.kind === 'hands').length;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: most }), fc.integer({ min: -20, max: 90 }), (done, lateMin) => {
        const { day, bench, left, nowAt } = after(done, lateMin);
        expect(day.chores).toHaveLength(DAY.chores.length);
        const byId = new Map(day.chores.map((timed) => [timed.chore.id, timed]));
        for (const { chore, startAt, endAt, startMin, endMin } of day.chores) {
          expect(endMin).toBeLessThanOrEqual(startMin);
          const is = bench.standing.get(chore.id)?.is;
          if (is === 'ended') expect(endAt <= nowAt).toBe(true);
          if (is !== 'open' || !left) continue;
          expect(startAt >= nowAt).toBe(true);
          for (const { chore: id } of chore.after) {
            const before = byId.get(id);
            // To the minute.
            if (before) expect(before.endMin).toBeGreaterThanOrEqual(startMin - 1.01);
          }
        }
        for (const { at } of day.turns) expect(at >= nowAt).toBe(true);
      }),
      { numRuns: 25 },
    );
  });
});
