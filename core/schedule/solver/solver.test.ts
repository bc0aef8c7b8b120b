import fc from 'fast-check';
import {
  backwards,
  breachesOf,
  firstBackwards,
  forwards,
  makespanS,
  triesFor,
  type Job,
  type Problem,
} from '.';
import { largeDay, smallDay } from './test-utils/instances';

const job = (id: string, lengthS: number, told: Partial<Job> = {}): Job => ({
  id,
  lengthS,
  holds: [],
  after: [],
  onFeet: false,
  fresh: 0,
  ...told,
});
const hands = (units = 1) => ({ id: 'hands', units, changeS: 0, closed: [] });
const BY_HAND = [{ resource: 0, units: 1 }];
const few = { seed: 3, tries: 60 };

describe('a day planned backwards', () => {
  it('puts each chore as late as what comes after it allows', () => {
    // Mix 10, bake 20, frost 5, a gap of 30 before frosting: by hand 65 min before the end.
    const problem: Problem = {
      jobs: [
        job('mix', 600),
        job('bake', 1200, { after: [{ job: 0, leastS: 0, mostS: null }] }),
        job('frost', 300, { after: [{ job: 1, leastS: 1800, mostS: null }] }),
      ],
      resources: [],
      spans: [],
    };
    expect(backwards(problem, few)?.starts).toEqual([-3900, -3300, -300]);
  });

  it('gives two tasks of one pair of hands their turns, and both at once to two', () => {
    const two = [job('a', 600, { holds: BY_HAND }), job('b', 600, { holds: BY_HAND })];
    const day = (units: number) => backwards({ jobs: two, resources: [hands(units)], spans: [] }, few);
    expect(day(1)?.worth.spanS).toBe(1200);
    expect(day(2)?.worth.spanS).toBe(600);
  });

  it('lets no two heats into an oven at once, and none before it has changed', () => {
    const bake = (id: string, mode: number) => job(id, 1200, { holds: [{ resource: 0, units: 1, mode }] });
    const oven = { id: 'oven', units: 2, changeS: 900, closed: [] };
    const span = (second: number) =>
      backwards({ jobs: [bake('a', 170), bake('b', second)], resources: [oven], spans: [] }, few)?.worth
        .spanS;
    expect(span(170)).toBe(1200);
    expect(span(150)).toBe(1200 + 900 + 1200);
  });

  it('opens an oven on nothing that has not set: in together, or one after the other has', () => {
    // Shut from two minutes after it went in until seven tenths are over.
    const door = (lengthS: number) => ({ opens: [0, lengthS], quiet: [[120, lengthS * 0.7] as const] });
    const bake = (id: string, lengthS: number) =>
      job(id, lengthS, { holds: [{ resource: 0, units: 1, mode: 170, door: door(lengthS) }] });
    const oven = { id: 'oven', units: 2, changeS: 900, closed: [] };
    const day = (...lengths: number[]) => {
      const jobs = lengths.map((lengthS, i) => bake(`bake ${i}`, lengthS));
      const problem: Problem = { jobs, resources: [oven], spans: [] };
      const found = backwards(problem, few);
      expect(found && breachesOf(problem, found.starts)).toEqual([]);
      return found?.worth.spanS;
    };
    expect(day(1200, 1200)).toBe(1200);
    // In together: the first comes out at 18 of 24 minutes, three quarters.
    expect(day(1080, 1440)).toBe(1440);
    // 20 minutes beside 40: at no time can both be in, but for two minutes.
    expect(day(1200, 2400)).toBe(3600 - 120);
    // 6 minutes beside 20: in once the other has set, and out with it.
    expect(day(360, 1200)).toBe(1200);
  });

  it('holds a tin from filling to turning out', () => {
    const load = (k: number): Job[] => [
      job(`fill-${k}`, 300),
      job(`bake-${k}`, 1200, { after: [{ job: 2 * k, leastS: 0, mostS: null }] }),
    ];
    const tin = { id: 'tin', units: 1, changeS: 0, closed: [] };
    const hold = { resource: 0, units: 1 };
    const problem: Problem = {
      jobs: [...load(0), ...load(1)],
      resources: [tin],
      spans: [
        { hold, jobs: [0, 1] },
        { hold, jobs: [2, 3] },
      ],
    };
    expect(backwards(problem, few)?.worth.spanS).toBe(3000);
  });

  it('keeps a longest gap though hands are wanted elsewhere', () => {
    const problem: Problem = {
      jobs: [
        job('mix', 600, { holds: BY_HAND }),
        job('fill', 300, { holds: BY_HAND, after: [{ job: 0, leastS: 0, mostS: 300 }] }),
        job('other', 3600, { holds: BY_HAND }),
      ],
      resources: [hands()],
      spans: [],
    };
    const found = backwards(problem, few);
    expect(found && breachesOf(problem, found.starts)).toEqual([]);
    expect(found?.worth.spanS).toBe(4500);
  });

  it('leaves the night alone', () => {
    const problem: Problem = {
      jobs: [job('a', 3000, { holds: BY_HAND }), job('b', 3000, { holds: BY_HAND })],
      resources: [{ ...hands(), closed: [[-4000, -3000]] }],
      spans: [],
    };
    expect(
      backwards(problem, few)
        ?.starts.map((at) => at)
        .sort((a, b) => a - b),
    ).toEqual([-7000, -3000]);
  });

  it('comes to nothing where a chore wants more than there is', () => {
    const problem: Problem = {
      jobs: [job('a', 600, { holds: [{ resource: 0, units: 3 }] })],
      resources: [hands(2)],
      spans: [],
    };
    expect(backwards(problem, few)).toBeNull();
  });

  it('can be worked, whatever the day', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), fc.boolean(), (seed, large) => {
        const problem = large ? largeDay(seed, 4) : smallDay(seed);
        for (const found of [firstBackwards(problem), backwards(problem, few)])
          expect(found && breachesOf(problem, found.starts)).toEqual([]);
      }),
      { numRuns: 40 },
    );
  });

  it('is the same for the same input and seed', () => {
    const problem = largeDay(5, 4);
    expect(backwards(problem, few)).toEqual(backwards(problem, few));
  });

  it('is never later with more of something, begun from the day that stood', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), fc.integer({ min: 0, max: 2 }), (seed, more) => {
        const problem = smallDay(seed);
        const before = backwards(problem, few);
        const resources = problem.resources.map((one, r) =>
          r === more ? { ...one, units: one.units + 1 } : one,
        );
        const spanOnly = { ...few, by: (worth: { readonly spanS: number }) => worth.spanS };
        const after = before && backwards({ ...problem, resources }, { ...spanOnly, from: before.starts });
        expect(after?.worth.spanS ?? Infinity).toBeLessThanOrEqual(before?.worth.spanS ?? 0);
      }),
      { numRuns: 25 },
    );
  });

  it('is no shorter than the work of its hands, nor than its longest way', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
        const problem = smallDay(seed);
        const found = backwards(problem, few);
        const work = problem.jobs.reduce((sum, { lengthS, onFeet }) => sum + (onFeet ? lengthS : 0), 0);
        expect(found?.worth.spanS).toBeGreaterThanOrEqual(work);
        expect(found && makespanS(problem, found.starts)).toBeCloseTo(found?.worth.spanS ?? 0, 6);
      }),
      { numRuns: 25 },
    );
  });

  it('tries fewer orders of a longer day', () => {
    expect(triesFor(20)).toBe(3000);
    expect(triesFor(160)).toBeLessThan(1000);
    expect(triesFor(4000)).toBe(300);
  });
});

describe('what is left of a day', () => {
  it('goes round what has begun', () => {
    const problem: Problem = {
      jobs: [
        job('begun', 600, { holds: BY_HAND, fixedS: 0 }),
        job('next', 300, { holds: BY_HAND }),
        job('late', 300, { holds: BY_HAND, notBeforeS: 2000 }),
      ],
      resources: [hands()],
      spans: [],
    };
    expect(forwards(problem, few)?.starts).toEqual([0, 600, 2000]);
  });
});

describe('the checker', () => {
  const problem = smallDay(11);
  const starts = backwards(problem, few)?.starts ?? [];
  const kinds = (moved: readonly number[]) => breachesOf(problem, moved).map(({ breach }) => breach);

  it('finds nothing in a day that can be worked', () => {
    expect(kinds(starts)).toEqual([]);
  });

  it('finds whatever is moved out of its place', () => {
    problem.jobs.forEach(({ after }, i) => {
      if (after.length === 0) return;
      const early = starts.map((at, j) => (j === i ? at - 40_000 : at));
      expect(kinds(early)).toContain('too soon');
    });
  });

  it('finds too much at once, two heats, a closed hour, a missing job and one that was held', () => {
    expect(kinds(starts.map(() => 0))).toContain('too many');
    expect(kinds(starts.slice(1))).not.toEqual(undefined);
    const one: Problem = {
      jobs: [
        job('a', 600, { holds: [{ resource: 0, units: 1, mode: 1 }], fixedS: 0 }),
        job('b', 600, { holds: [{ resource: 0, units: 1, mode: 2 }] }),
      ],
      resources: [{ id: 'oven', units: 2, changeS: 300, closed: [[5000, 6000]] }],
      spans: [],
    };
    const of = (...at: number[]) => breachesOf(one, at).map(({ breach }) => breach);
    expect(of(0, 900)).toEqual([]);
    expect(of(0, 700)).toEqual(['two settings']);
    expect(of(100, 2000)).toEqual(['moved']);
    expect(of(0, 5500)).toEqual(['closed']);
    expect(of(0, NaN)).toEqual(['missing']);
  });

  it('finds a door that is opened on what has not set', () => {
    const bake = (id: string, lengthS: number) =>
      job(id, lengthS, {
        holds: [
          { resource: 0, units: 1, mode: 170, door: { opens: [0, lengthS], quiet: [[120, lengthS * 0.7]] } },
        ],
      });
    const two: Problem = {
      jobs: [bake('a', 1200), bake('b', 600)],
      resources: [{ id: 'oven', units: 2, changeS: 0, closed: [] }],
      spans: [],
    };
    const of = (at: number) => breachesOf(two, [0, at]).map(({ breach }) => breach);
    // In at 840, out at 1440: the first comes out in the middle of it.
    expect(of(840)).toEqual(['door']);
    expect(of(600)).toEqual(['door']);
    // Out at 1200 with the other, and in at half of it; in with it, and out at half.
    expect(of(100)).toEqual(['door']);
    expect(of(1100)).toEqual([]);
    expect(of(1200)).toEqual([]);
  });
});
