import fc from 'fast-check';
import type { Evidence } from '../model/evidence';
import { chanceOf } from '../schedule/solver';
import { Joint } from './joint';
import { SEEING, SLIPS, SLIP_TIMES, KIND_SHARE } from './learn.table';
import { learn, TENTH } from './learner';
import { normalCdf } from '../numeric/normal';

const T0 = Date.UTC(2026, 8, 1);

/** A load's outcome in a tin: what it says of the oven's factor, with the tin's own beside it. */
const load = (
  n: number,
  [low, high]: readonly [number, number],
  tin = 'a',
  over: Partial<Evidence> = {},
): Evidence => ({
  id: `e${String(n).padStart(2, '0')}`,
  param: 'bake.factor',
  of: ['oven:o', 'kitchen'],
  at: T0,
  lineId: 'line',
  low,
  high,
  start: { value: 1, spread: 0.11 },
  beside: [
    { param: 'tin.own', of: [`tin:${tin}`, 'kitchen'], was: 1, start: { value: 1, spread: 0.08 }, per: 1 },
  ],
  taken: 'yes',
  ...over,
});
const found = (all: ReturnType<typeof learn>, key: string) => {
  const one = all.find(({ param, of }) => `${param}@${of}` === key);
  if (!one) throw new Error(`nothing of ${key}`);
  return one;
};

describe('a joint belief', () => {
  it('by hand: two alike share what is seen of their sum, and are tied against each other', () => {
    const joint = new Joint();
    const sum = [joint.add(1), joint.add(1)].map((place) => ({ place, weight: 1 }));
    const before = joint.expected(sum);
    expect(before).toEqual({ mean: 0, variance: 2 });
    // Measured as 1 with a noise of variance 2: half way, and half as wide.
    joint.update(sum, before, { mean: 0.5, variance: 1 }, new Set());
    for (const part of sum) expect(joint.expected([part])).toEqual({ mean: 0.25, variance: 0.75 });
    expect(joint.between([sum[0] as never], [sum[1] as never])).toBeCloseTo(-0.25, 12);
    expect(joint.expected(sum).variance).toBeCloseTo(1, 12);
  });

  it('moves nothing of what is held, though its doubt counts; and learns the rest all the slower', () => {
    const [free, fixed] = [new Joint(), new Joint()];
    const of = (joint: Joint) => [joint.add(1), joint.add(1)].map((place) => ({ place, weight: 1 }));
    const [a, b] = [of(free), of(fixed)];
    free.update(a, free.expected(a), { mean: 0.5, variance: 1 }, new Set());
    fixed.update(b, fixed.expected(b), { mean: 0.5, variance: 1 }, new Set([1]));
    expect(fixed.expected([b[1] as never])).toEqual({ mean: 0, variance: 1 });
    expect(fixed.expected([b[0] as never])).toEqual(free.expected([a[0] as never]));
  });

  it('is never less sure of anything, and its covariance stays one', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(4), fc.nat(4), fc.double({ min: -2, max: 2, noNaN: true })), {
          maxLength: 25,
        }),
        (seen) => {
          const joint = new Joint();
          const places = [1, 0.5, 2, 0.1, 1].map((variance) => joint.add(variance));
          for (const [i, j, weight] of seen) {
            const sum = [
              { place: i, weight: 1 },
              { place: j, weight },
            ];
            const before = joint.expected(sum);
            const was = places.map((place) => joint.expected([{ place, weight: 1 }]).variance);
            const gain = before.variance / (before.variance + 0.3);
            joint.update(
              sum,
              before,
              { mean: before.mean + gain, variance: before.variance * (1 - gain) },
              new Set(),
            );
            for (const [at, place] of places.entries())
              expect(joint.expected([{ place, weight: 1 }]).variance).toBeLessThanOrEqual(
                (was[at] ?? 0) + 1e-9,
              );
          }
          for (const a of places)
            for (const b of places) {
              const [x, y] = [
                { place: a, weight: 1 },
                { place: b, weight: 1 },
              ];
              const both = joint.between([x], [y]) ** 2;
              expect(both).toBeLessThanOrEqual(
                joint.expected([x]).variance * joint.expected([y]).variance + 1e-9,
              );
            }
        },
      ),
    );
  });
});

describe('what is learned of several together', () => {
  it('is surer of their product than of either, and told so by a tie', () => {
    const all = learn(
      [1, 2, 3, 4].map((n) => load(n, [1.1, 1.1])),
      T0,
    );
    const [oven, tin] = [found(all, 'bake.factor@oven:o'), found(all, 'tin.own@tin:a')];
    expect(oven.mean * tin.mean).toBeGreaterThan(1.08);
    expect(oven.mean * tin.mean).toBeLessThan(1.1);
    expect(tin.by).toBe('others');
    const tie = oven.ties['tin.own@tin:a'] ?? tin.ties['bake.factor@oven:o'] ?? 0;
    expect(tie).toBeLessThan(-0.3);
    const product = Math.sqrt(oven.spread ** 2 + tin.spread ** 2 + 2 * tie * oven.spread * tin.spread);
    expect(product).toBeLessThan(Math.min(oven.spread, tin.spread));
  });

  it('tells a slow oven from a slow tin once two tins have been in it', () => {
    const inBoth = [1, 2, 3].flatMap((n) => [load(n, [1.12, 1.12]), load(n + 10, [1, 1], 'b')]);
    const all = learn(inBoth, T0);
    expect(found(all, 'tin.own@tin:a').mean).toBeGreaterThan(1.02);
    expect(found(all, 'tin.own@tin:b').mean).toBeLessThan(0.99);
  });

  it('says the same of an outcome whatever it was held against', () => {
    const bare = learn([load(1, [1.1, 1.14])], T0);
    const other = load(1, [1.1 / 1.03, 1.14 / 1.03], 'a', {
      beside: [
        { param: 'tin.own', of: ['tin:a', 'kitchen'], was: 1.03, start: { value: 1, spread: 0.08 }, per: 1 },
      ],
    });
    for (const key of ['bake.factor@oven:o', 'tin.own@tin:a'])
      expect(found(learn([other], T0), key).mean).toBeCloseTo(found(bare, key).mean, 9);
  });

  it('is as the exact answer has it, by weighing draws from the start: means within a tenth of a spread, spreads within a tenth', () => {
    const seen = [
      load(1, [1.06, 1.14]),
      load(2, [1.04, 1.1]),
      load(3, [0.97, 1.05], 'b'),
      load(4, [1.45, 1.5]),
      load(5, [1.02, 1.12], 'b'),
      load(6, [1.07, 1.07], 'a', { doubt: 0.03 }),
    ];
    const all = learn(seen, T0);
    const chance = chanceOf(5);
    const sd = { oven: 0.11 / TENTH, tin: 0.08 / TENTH };
    const { noise } = SEEING['bake.factor'] ?? { noise: NaN };
    const sums = { oven: [0, 0], a: [0, 0], b: [0, 0] };
    let weights = 0;
    for (let draw = 0; draw < 60_000; draw += 1) {
      // The oven is the only one of its kind; of two tins, part is in common.
      const [oven, common] = [sd.oven, sd.tin * Math.sqrt(KIND_SHARE)].map((by) => by * chance.normal());
      const ovenOwn = Math.sqrt(1 - KIND_SHARE) * sd.oven * chance.normal();
      const factor = Math.sqrt(KIND_SHARE) * (oven ?? 0) + ovenOwn;
      const own = () => (common ?? 0) + Math.sqrt(1 - KIND_SHARE) * sd.tin * chance.normal();
      const tins = { a: own(), b: own() };
      let weight = 1;
      for (const { low, high, beside, doubt = 0 } of seen) {
        const at = factor + (beside?.[0]?.of[0] === 'tin:a' ? tins.a : tins.b);
        const [from, to] = [Math.log(low ?? 1), Math.log(high ?? 1)];
        const likely = (by: number) =>
          from === to
            ? Math.exp(-(((from - at) / by) ** 2) / 2) / by
            : normalCdf((to - at) / by) - normalCdf((from - at) / by);
        const by = Math.hypot(noise, doubt);
        weight *= (1 - SLIPS) * likely(by) + SLIPS * likely(by * SLIP_TIMES);
      }
      weights += weight;
      for (const [key, value] of [
        ['oven', factor],
        ['a', tins.a],
        ['b', tins.b],
      ] as const) {
        sums[key][0] = (sums[key][0] ?? 0) + weight * value;
        sums[key][1] = (sums[key][1] ?? 0) + weight * value * value;
      }
    }
    for (const [key, name] of [
      ['oven', 'bake.factor@oven:o'],
      ['a', 'tin.own@tin:a'],
      ['b', 'tin.own@tin:b'],
    ] as const) {
      const mean = (sums[key][0] ?? 0) / weights;
      const spread = TENTH * Math.sqrt((sums[key][1] ?? 0) / weights - mean * mean);
      const one = found(all, name);
      expect(Math.abs(Math.log(one.mean) - mean) / spread).toBeLessThan(0.1);
      expect(Math.abs(one.spread / one.mean / spread - 1)).toBeLessThan(0.1);
    }
  });
});
