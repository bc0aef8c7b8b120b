import type { BenchEvent, ClockDoc } from '../model/documents';
import { expectedEndS } from './looks';
import { recordLook, startClock } from './clock';
import { clocksWithout, lastActOf } from './lastAct';

const MIN = 60_000;
const clock = startClock('c', 'l', 1, 6, { firstLookS: 900, expectedS: 1200, latestS: 1400 }, 100 * MIN);
const done = (id: string, at: number): BenchEvent => ({ id, at, what: 'done', chore: `l/${id}` });
const back = (clocks: ClockDoc[]) => {
  const last = lastActOf({ clocks });
  return last?.of === 'clock' ? clocksWithout(clocks, last) : clocks;
};

describe('a step back', () => {
  it('takes back what was told last, of a load or of a step', () => {
    const log = [done('mix', 99 * MIN)];
    expect(lastActOf({ clocks: [clock], log })).toMatchObject({ of: 'clock', clockId: 'c' });
    expect(lastActOf({ clocks: [clock], log: [done('mix', 101 * MIN)] })).toMatchObject({ of: 'log' });
    expect(lastActOf({ clocks: [], log: [] })).toBeNull();
  });

  it('undoes a load act by act: out, looked at, in', () => {
    const looked = recordLook(clock, 'wet', 115 * MIN);
    const out = recordLook(looked, 'clean', 121 * MIN);
    expect(out.endedAt).toBe(121 * MIN);
    expect(back([out])).toEqual([looked]);
    expect(back([looked])).toEqual([clock]);
    expect(back([clock])).toEqual([]);
  });
});

describe('the end of a load that has been looked at', () => {
  it('moves on with every wet look, and never lies behind one', () => {
    expect(expectedEndS(clock)).toBe(1200);
    const wetLate = recordLook(clock, 'wet', clock.startedAt + 1250 * 1000);
    // A wet middle is at most 88 % of the way: 1250 / 0.88 = 1420 s at the least.
    expect(expectedEndS(wetLate)).toBeGreaterThan(1420);
    expect(expectedEndS(wetLate)).toBeLessThan(1700);
    const crumbs = recordLook(clock, 'crumbs', clock.startedAt + 1190 * 1000);
    expect(expectedEndS(crumbs)).toBeGreaterThan(1190);
    expect(expectedEndS(crumbs)).toBeLessThan(expectedEndS(wetLate));
  });
});
