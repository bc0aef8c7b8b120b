import { backwards, simulated, type Doubt, type Problem } from '.';
import { largeDay } from './test-utils/instances';

const options = { seed: 2, days: 4000, sure: 0.9 };
const job = (
  id: string,
  lengthS: number,
  after: Problem['jobs'][number]['after'] = [],
  holds: Problem['jobs'][number]['holds'] = [],
) => ({
  id,
  lengthS,
  holds,
  after,
  onFeet: false,
  fresh: 0,
});
const sure: Doubt = { cause: null, shared: 0, own: 0 };

describe('days that go as days go', () => {
  it('are all in time where nothing is in doubt', () => {
    const problem: Problem = { jobs: [job('a', 600)], resources: [], spans: [] };
    const sim = simulated(problem, [-600], [sure], options);
    expect(sim.marginS).toBe(0);
    expect(sim.inTime(0)).toBe(1);
    expect(sim.eaters).toEqual([]);
  });

  it('need what nine in ten of one doubtful job take more', () => {
    const problem: Problem = { jobs: [job('a', 3600)], resources: [], spans: [] };
    const { marginS, inTime } = simulated(problem, [-3600], [{ cause: null, shared: 0, own: 0.1 }], options);
    // The ninth decile of a logarithm of spread 0.1 is 0.12816: exp of it, times an hour, less the hour.
    expect(marginS / (3600 * (Math.exp(0.12816) - 1))).toBeCloseTo(1, 1);
    expect(inTime(marginS)).toBeCloseTo(0.9, 2);
    expect(inTime(0)).toBeCloseTo(0.5, 1);
  });

  it('need more where doubt is shared than where each has its own', () => {
    const jobs = Array.from({ length: 6 }, (_, i) =>
      job(`j${i}`, 1200, i === 0 ? [] : [{ job: i - 1, leastS: 0, mostS: null }]),
    );
    const problem: Problem = { jobs, resources: [], spans: [] };
    const starts = jobs.map((_, i) => -7200 + 1200 * i);
    const margin = (doubt: Doubt) =>
      simulated(
        problem,
        starts,
        jobs.map(() => doubt),
        options,
      ).marginS;
    expect(margin({ cause: 'oven', shared: 0.1, own: 0 })).toBeGreaterThan(
      1.8 * margin({ cause: null, shared: 0, own: 0.1 }),
    );
  });

  it('say what eats the margin', () => {
    const jobs = [job('bake', 3600), job('frost', 600, [{ job: 0, leastS: 0, mostS: null }])];
    const sim = simulated(
      { jobs, resources: [], spans: [] },
      [-4200, -600],
      [
        { cause: 'oven', shared: 0.2, own: 0 },
        { cause: null, shared: 0, own: 0.05 },
      ],
      options,
    );
    expect(sim.eaters.map(({ of }) => of)).toEqual(['oven', 'frost']);
    expect(sim.eaters.reduce((sum, { part }) => sum + part, 0)).toBeCloseTo(1, 6);
  });

  it('wait for hands that are late', () => {
    const by = [{ resource: 0, units: 1 }];
    const problem: Problem = {
      jobs: [job('a', 600, [], by), job('b', 600, [], by)],
      resources: [{ id: 'hands', units: 1, changeS: 0, closed: [] }],
      spans: [],
    };
    const late = { cause: 'hands', shared: 0.3, own: 0 };
    const one = simulated(problem, [-1200, -600], [late, sure], options).marginS;
    const apart = simulated(
      { ...problem, resources: [], jobs: [job('a', 600), job('b', 600)] },
      [-1200, -600],
      [late, sure],
      options,
    ).marginS;
    expect(one).toBeGreaterThan(apart);
  });

  it('are the same for the same seed, and hold on other days', () => {
    const problem = largeDay(3, 4);
    const found = backwards(problem, { seed: 1, tries: 40 });
    const doubts = problem.jobs.map(({ onFeet }): Doubt => ({
      cause: onFeet ? 'hands' : 'oven',
      shared: 0.1,
      own: 0.12,
    }));
    const sim = simulated(problem, found?.starts ?? [], doubts, { ...options, days: 1000 });
    expect(simulated(problem, found?.starts ?? [], doubts, { ...options, days: 1000 }).marginS).toBe(
      sim.marginS,
    );
    const other = simulated(problem, found?.starts ?? [], doubts, { seed: 99, days: 2000, sure: 0.9 });
    expect(other.inTime(sim.marginS)).toBeGreaterThan(0.87);
    expect(other.inTime(sim.marginS)).toBeLessThan(0.93);
  });
});
