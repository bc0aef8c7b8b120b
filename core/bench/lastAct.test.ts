import type { BenchEvent } from '../model/documents';
import { clocksIn } from './clocksIn';
import { lastActOf } from './lastAct';
import { benchStateOf } from './log';
import { expectedEndS } from './looks';
import { eventsOf, recordLook, startClock } from './test-utils/loads';

const MIN = 60_000;
const clock = startClock('c', 'l', 1, 6, { firstLookS: 900, expectedS: 1200, latestS: 1400 }, 100 * MIN);
const done = (id: string, at: number): BenchEvent => ({ id, at, what: 'done', chore: `l/${id}` });
/** The log once the last thing is taken back. */
const back = (log: readonly BenchEvent[]): BenchEvent[] => [
  ...log,
  ...lastActOf({ log }).map((id): BenchEvent => ({
    id: `u-${id}`,
    at: 500 * MIN,
    what: 'undone',
    event: id,
  })),
];

describe('a step back', () => {
  it('takes back what was told last, of a load or of a step', () => {
    expect(lastActOf({ log: [done('mix', 99 * MIN), ...eventsOf(clock)] })).toEqual(['c']);
    expect(lastActOf({ log: [...eventsOf(clock), done('mix', 101 * MIN)] })).toEqual(['mix']);
    expect(lastActOf({ log: [] })).toEqual([]);
  });

  it('undoes a load act by act: out, looked at, in', () => {
    const looked = recordLook(clock, 'wet', 115 * MIN);
    const out = recordLook(looked, 'clean', 121 * MIN);
    expect(out.endedAt).toBe(121 * MIN);
    const [once, twice, thrice] = [1, 2, 3].map((n) => {
      let log: BenchEvent[] = eventsOf(out);
      for (let i = 0; i < n; i += 1) log = back(log);
      return clocksIn({ log });
    });
    expect(once).toEqual([looked]);
    expect(twice).toEqual([clock]);
    expect(thrice).toEqual([]);
  });

  it('takes the waits that began by themselves with the step that began them', () => {
    const wait: BenchEvent = { id: 'w', at: 99 * MIN, what: 'begun', chore: 'l/cool' };
    const log = back([done('mix', 98 * MIN), done('out', 99 * MIN), wait]);
    expect([...benchStateOf(log).chores.keys()]).toEqual(['l/mix']);
  });
});

describe('a load that is told of twice', () => {
  it('was out when the first of them said so, and stands where it was told last', () => {
    const places = [{ rack: 2, racks: 2, tin: 1, tins: 1 }];
    const log: BenchEvent[] = [
      ...eventsOf(clock),
      { id: 'a', at: 122 * MIN, what: 'load out', loadId: 'c' },
      { id: 'b', at: 121 * MIN, what: 'load out', loadId: 'c' },
      {
        id: 'p',
        at: 123 * MIN,
        what: 'load at',
        loadId: 'c',
        places,
        firstLookS: 1,
        expectedS: 2,
        latestS: 3,
      },
      { id: 'x', at: 124 * MIN, what: 'load out', loadId: 'of nothing' },
    ];
    expect(clocksIn({ log })).toMatchObject([{ endedAt: 121 * MIN, places, expectedS: 2 }]);
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
