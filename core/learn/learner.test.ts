import fc from 'fast-check';
import type { Evidence } from '../model/evidence';
import { chanceOf } from '../schedule/solver';
import { learn, TENTH, type Learned } from './learner';
import { normalCdf } from '../numeric/normal';
import { meetBounds, meetMeasure } from './meet';

const DAY = 86_400_000;
const T0 = Date.UTC(2026, 8, 1);
const slip = { share: 0.05, noise: 0.3 };

/** An outcome of an oven's factor, the nth of its kind, a week apart. */
const saw = (
  n: number,
  low: number | null,
  high: number | null,
  oven = 'a',
  over: Partial<Evidence> = {},
): Evidence => ({
  id: `e${n}-${oven}`,
  param: 'bake.factor',
  of: [`oven:${oven}`, 'kitchen'],
  at: T0 + n * 7 * DAY,
  lineId: 'line',
  low,
  high,
  start: { value: 1, spread: 0.11 },
  taken: 'yes',
  ...over,
});
const exactly = (n: number, value: number, oven = 'a') => saw(n, value, value, oven);
const of = (all: readonly Learned[], oven: string): Learned => {
  const one = all.find((learned) => learned.of === oven);
  if (!one) throw new Error(`nothing of ${oven}`);
  return one;
};
const NOW = T0 + 200 * DAY;

describe('a belief that meets an outcome', () => {
  it('moves by its share, by hand: prior 0 ± 0.1, measured 0.2 ± 0.1, half way', () => {
    const after = meetMeasure({ mean: 0, variance: 0.01 }, 0.2, 0.1, { share: 0, noise: 1 });
    expect(after.mean).toBeCloseTo(0.1, 12);
    expect(after.variance).toBeCloseTo(0.005, 12);
  });

  it('goes by bounds as by a measure where they are close, and to one side where one is open', () => {
    const before = { mean: 0, variance: 0.01 };
    const none = { share: 0, noise: 1 };
    const near = meetBounds(before, 0.149, 0.151, 0.05, none);
    expect(near.mean).toBeCloseTo(meetMeasure(before, 0.15, 0.05, none).mean, 3);
    expect(meetBounds(before, 0.1, null, 0.05, none).mean).toBeGreaterThan(0.08);
    expect(meetBounds(before, null, -0.1, 0.05, none).mean).toBeLessThan(-0.08);
    expect(meetBounds(before, null, null, 0.05, none)).toBe(before);
    // What was expected anyway teaches little.
    expect(Math.abs(meetBounds(before, -0.4, null, 0.05, none).mean)).toBeLessThan(0.002);
  });

  it('is moved by a slip less than by a fair outcome nearer by', () => {
    const before = { mean: 0, variance: 0.0074 };
    const by = (at: number) => meetMeasure(before, at, 0.05, slip).mean;
    expect(by(0.2)).toBeGreaterThan(0.1);
    expect(by(1.5)).toBeLessThan(by(0.2));
    expect(by(1e9)).toBeLessThan(0.001);
  });

  it('is never less sure after bounds, and its distribution function is one', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.5, max: 0.5, noNaN: true }),
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        (low, width) => {
          const before = { mean: 0, variance: 0.01 };
          expect(meetBounds(before, low, low + width, 0.05, slip).variance).toBeLessThanOrEqual(
            before.variance,
          );
        },
      ),
    );
    expect(normalCdf(0)).toBeCloseTo(0.5, 7);
    expect(normalCdf(TENTH)).toBeCloseTo(0.9, 4);
    expect(normalCdf(-3) + normalCdf(3)).toBeCloseTo(1, 12);
  });
});

describe('a kitchen that learns', () => {
  it('knows an oven better with each bake, and ends where the oven is', () => {
    const all = Array.from({ length: 12 }, (_, i) => exactly(i, 1.12));
    const after = (n: number) => of(learn(all.slice(0, n), NOW), 'oven:a');
    for (let n = 1; n < 12; n += 1) expect(after(n + 1).spread).toBeLessThan(after(n).spread);
    expect(after(1).mean).toBeGreaterThan(1.03);
    expect(after(12).mean).toBeGreaterThan(1.1);
    expect(after(12).mean).toBeLessThan(1.12);
    expect(after(12)).toMatchObject({ seen: 12, start: { value: 1, spread: 0.11 }, changedAt: null });
  });

  it('starts an oven that it never baked in from what its others have in common', () => {
    const all = [
      ...[0, 1, 2].map((i) => exactly(i, 1.15, 'a')),
      ...[0, 1, 2].map((i) => exactly(i, 1.14, 'b')),
    ];
    const kind = of(learn(all, NOW), 'kitchen');
    expect(kind.mean).toBeGreaterThan(1.02);
    expect(kind.mean).toBeLessThan(1.12);
    // Not as sure as of an oven that was seen.
    expect(kind.spread).toBeGreaterThan(of(learn(all, NOW), 'oven:a').spread);
    expect(kind.seen).toBe(6);
  });

  it('learns the same in whatever order it is told, and nothing of what is left out', () => {
    const all = [exactly(0, 1.1), saw(1, 1.02, null), saw(2, 1.05, 1.15), exactly(3, 1.2, 'b')];
    expect(learn([...all].reverse(), NOW)).toEqual(learn(all, NOW));
    const left = learn(
      [...all, { ...exactly(4, 1.6), taken: 'no' }, { ...exactly(5, 1.6), taken: 'wait' }],
      NOW,
    );
    expect(left).toEqual(learn(all, NOW));
    expect(learn([], NOW)).toEqual([]);
  });

  it('is moved by one outlier by no more than its share', () => {
    const fair = Array.from({ length: 6 }, (_, i) => exactly(i, 1.05));
    const without = of(learn(fair, NOW), 'oven:a').mean;
    for (const wild of [1.9, 0.55, 1.5])
      expect(Math.abs(of(learn([...fair, exactly(6, wild)], NOW), 'oven:a').mean / without - 1)).toBeLessThan(
        0.02,
      );
  });

  it('finds out within three bakes that an oven is another one', () => {
    const fair = Array.from({ length: 8 }, (_, i) => exactly(i, 0.95));
    const other = [8, 9, 10].map((i) => exactly(i, 1.25));
    const found = of(learn([...fair, ...other], NOW), 'oven:a');
    expect(found.changedAt).not.toBeNull();
    expect(found.mean).toBeGreaterThan(1.12);
    expect(of(learn(fair, NOW), 'oven:a').changedAt).toBeNull();
  });

  it('tells ovens that were replaced from ovens that stayed, by noisy bakes with a slip among them', () => {
    const chance = chanceOf(8);
    const bake = (i: number, factor: number) =>
      exactly(i, factor * Math.exp(0.05 * chance.normal() + (chance.next() < 0.02 ? 0.4 : 0)));
    let [found, taken] = [0, 0];
    for (let oven = 0; oven < 100; oven += 1) {
      const stayed = Array.from({ length: 15 }, (_, i) => bake(i, 0.95));
      const since = of(learn(stayed, NOW), 'oven:a').changedAt;
      if (since !== null) taken += 1;
      const other = [15, 16, 17].map((i) => bake(i, oven % 2 === 0 ? 1.2 : 0.75));
      const { changedAt } = of(learn([...stayed, ...other], NOW), 'oven:a');
      if (changedAt !== null && changedAt !== since) found += 1;
    }
    expect(found).toBeGreaterThanOrEqual(97);
    expect(taken).toBeLessThanOrEqual(2);
  });

  it('forgets slowly: what was sure a year ago is less so, and not gone', () => {
    const all = Array.from({ length: 8 }, (_, i) => exactly(i, 1.12));
    const soon = of(learn(all, T0 + 60 * DAY), 'oven:a');
    const late = of(learn(all, T0 + 760 * DAY), 'oven:a');
    expect(late.spread).toBeGreaterThan(soon.spread);
    expect(late.spread).toBeLessThan(0.11);
    expect(late.mean).toBeCloseTo(soon.mean, 6);
  });
});

describe('a kitchen that has baked for years', () => {
  it('counts all its batches, and learns from the last of each thing what it would from all', () => {
    const value = (n: number) => 1.1 + 0.04 * Math.sin(n * 2.7);
    const years = (n: number) => Array.from({ length: n }, (_, i) => exactly(i, value(i)));
    const at = T0 + 400 * 7 * DAY;
    const found = of(learn(years(400), at), 'oven:a');
    expect(found.seen).toBe(400);
    // Beside the mean of all: nearer than a fifth of the noise of one outcome.
    expect(Math.abs(Math.log(found.mean / 1.1))).toBeLessThan(0.01);
    // And as sure as sixty batches make it.
    const sixty = of(learn(years(400).slice(-60), at), 'oven:a');
    expect(found.mean).toBeCloseTo(sixty.mean, 9);
  });
});
