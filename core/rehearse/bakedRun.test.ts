import { clocksIn } from '../bench/clocksIn';
import { FAMILY_FILES } from '../../demo/families';
import { runSchema, type RunFile } from '../model/documents';
import { evidenceOf } from '../learn';
import { planWhole } from '../plan';
import { chanceOf } from '../schedule/solver';
import { bakedRun, type Hands } from './bakedRun';

const EVENING = FAMILY_FILES.evening as RunFile;
const only = (id: string): RunFile => ({
  ...EVENING,
  run: { ...EVENING.run, lines: EVENING.run.lines.filter((line) => line.id === id) },
});
const STEADY: Hands = { pace: 1, scatter: 0.02, drift: 0, spoilt: 0 };
const TRUE = {
  ovenOffK: 0,
  bakeFactor: 1,
  thirst: 1,
  coatThick: 1,
  sets: 1.2,
  rises: 1.05,
  loss: 0,
  sticks: false,
  warmRoom: false,
  more: null,
};
const baked = (file: RunFile, over: Partial<typeof TRUE> = {}, hands = STEADY, seed = 5) =>
  bakedRun(file, { ...TRUE, ...over }, hands, chanceOf(seed));
const factor = (file: RunFile, param: string, over: Partial<typeof TRUE>): number => {
  // Over several batches: a single one has its noise.
  const all = [1, 2, 3, 4, 5, 6, 7, 8, 9].flatMap((seed) => {
    const run = baked(file, over, STEADY, seed);
    return evidenceOf({ ...file, run }, Date.UTC(2026, 10, 28))
      .filter((one) => one.param === param)
      .map(({ low, high, start }) => ((low ?? high ?? 0) + (high ?? low ?? 0)) / 2 / start.value);
  });
  expect(all.length).toBeGreaterThan(5);
  return all.reduce((sum, one) => sum + one, 0) / all.length;
};

describe('a run baked in the simulated kitchen', () => {
  const POPS = only('pops-fresh');

  it('is the same for the same chance, and a run like any other', () => {
    const run = baked(POPS);
    expect(baked(POPS)).toEqual(run);
    expect(runSchema.safeParse(run).success).toBe(true);
    expect(run.closed).toBeNull();
    const times = (run.log ?? []).map(({ at }) => at);
    expect(times).toEqual([...times].sort((a, b) => a - b));
    const ids = (run.log ?? []).map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
  });

  it.each(EVENING.run.lines.map(({ id }) => id))(
    '%s: every load is out, and its looks lead up to it',
    (id) => {
      const run = baked(only(id));
      for (const { startedAt, endedAt, looks } of clocksIn(run)) {
        expect(endedAt).toBeGreaterThan(startedAt);
        expect(looks.at(-1)?.result).toMatch(/^(done|over)$/);
        expect(looks.at(-1)?.at).toBe(endedAt);
      }
      // What is measured is what the plan can be held against.
      for (const [line] of [planWhole({ ...only(id), run }).lines]) expect(line?.planned).toBe(true);
    },
  );

  it('says of its kitchen what is true of it, give or take a batch’s noise', () => {
    expect(factor(POPS, 'bake.factor', { bakeFactor: 1.2 })).toBeGreaterThan(1.12);
    expect(factor(POPS, 'bake.factor', { bakeFactor: 0.85 })).toBeLessThan(0.93);
    expect(Math.abs(factor(POPS, 'bind.factor', { thirst: 1.3 }) - 1.3)).toBeLessThan(0.13);
    expect(Math.abs(factor(POPS, 'coat.mm', { coatThick: 1.25 }) - 1.25)).toBeLessThan(0.1);
    expect(factor(POPS, 'bake.lossShare', { loss: 0.03 })).toBeGreaterThan(1.15);
  });

  it('takes longer by slow hands, and loses what they spoil', () => {
    const end = (hands: Hands) => Math.max(...(baked(POPS, {}, hands).log ?? []).map(({ at }) => at));
    expect(end({ ...STEADY, pace: 1.5 })).toBeGreaterThan(end(STEADY) + 600_000);
    const lost = baked(POPS, {}, { ...STEADY, spoilt: 10 }).log?.find(({ what }) => what === 'lost');
    expect(lost).toMatchObject({ pieces: expect.any(Number) as number });
    expect(lost?.what === 'lost' ? lost.pieces : 0).toBeGreaterThanOrEqual(4);
  });

  it('grows heavier in the hand where the hand tires', () => {
    const weights = (hands: Hands) =>
      (baked(POPS, {}, hands).log ?? []).flatMap((event) =>
        event.what === 'weighed' && event.of === 'portion' ? [event.massG] : [],
      );
    const mean = (some: readonly number[]) => some.reduce((sum, one) => sum + one, 0) / some.length;
    const tired = weights({ ...STEADY, drift: 0.2 });
    expect(mean(tired.slice(-6))).toBeGreaterThan(mean(tired.slice(0, 6)) * 1.08);
  });

  it('with the door open takes as much longer', () => {
    const CAKES = only('cupcakes-plain');
    const took = (bakes: number) => {
      const clocks = clocksIn(bakedRun(CAKES, TRUE, STEADY, chanceOf(3), { bakes }));
      return clocks.reduce((sum, { startedAt, endedAt }) => sum + (endedAt ?? startedAt) - startedAt, 0);
    };
    expect(took(1.35) / took(1)).toBeGreaterThan(1.2);
  });
});
