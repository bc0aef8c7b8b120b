import fc from 'fast-check';
import { amountsOf } from '../bench/amounts';
import { loadOf } from '../bench/standing';
import { planWhole, type LinePlan, type PlanFile, type RunPlan } from '../plan';
import { bowlsOf, madeLines } from '../plan/bowls';
import { someFile } from '../plan/test-utils/runs';
import { groupingsOf, workOf, type Chore } from '../schedule/chores';
import { mixesOf } from '../schedule/mixes';
import { needsOf } from '../schedule/shopping';

/** `DRAWS=50000` looks at as many, as `npm run torture` does. */
const DRAWS = Number(process.env.DRAWS ?? 150);
/** More is no one day's work, and what agrees of fewer agrees of more. */
const MOST_LOADS = 60;
const MOST_CHORES = 300;

const isSmall = ({ lines }: RunPlan) =>
  lines.every((line) => !line.planned || line.loads.sizes.length <= MOST_LOADS);

interface Work {
  readonly file: PlanFile;
  readonly whole: RunPlan;
  /** In the grouping that it is worked in. */
  readonly chores: readonly Chore[];
}

const SEED = Number(process.env.SEED ?? Date.now() % 1_000_000_007);

/** Runs as they are planned, each in one of the groupings in which it can be worked. */
const WORKS: readonly Work[] = fc
  .sample(fc.tuple(someFile, fc.nat(20)), { numRuns: DRAWS, seed: SEED })
  .flatMap(([file, n]) => {
    const whole = planWhole(file);
    if (!isSmall(whole)) return [];
    const ways = groupingsOf(whole, file.kitchen);
    const grouped = ways[n % (ways.length + 1)]?.regroup({ sizes: new Map(), mixed: new Set() });
    const chores = workOf(whole, file.kitchen, grouped);
    return chores.length > MOST_CHORES ? [] : [{ file, whole, chores }];
  });

function holds(law: (work: Work) => void): void {
  WORKS.forEach((work, i) => {
    try {
      law(work);
    } catch (fault) {
      throw new Error(`draw ${i} of SEED=${SEED} DRAWS=${DRAWS}: ${String(fault)}`, { cause: fault });
    }
  });
}

/** Grams by name, of some weighed lists. */
function gramsOf(
  lists: readonly {
    readonly ingredients: LinePlan['batches'][number]['ingredients'];
    readonly share: number;
  }[],
) {
  const out = new Map<string, number>();
  for (const { ingredients, share } of lists)
    for (const { name, mass } of ingredients) out.set(name, (out.get(name) ?? 0) + mass.value * share);
  return new Map([...out].filter(([, g]) => g > 1e-9));
}

function expectSame(told: ReadonlyMap<string, number>, listed: ReadonlyMap<string, number>): void {
  expect([...told.keys()].sort()).toEqual([...listed.keys()].sort());
  for (const [name, g] of listed) expect(Math.abs((told.get(name) ?? 0) - g)).toBeLessThan(1e-6 * g + 1e-3);
}

describe('all that tells of one run', () => {
  it('weighs out in the steps of its day what Gather lists, however its pieces are grouped', () => {
    holds(({ file, whole, chores }) => {
      const steps = chores.flatMap((chore) =>
        amountsOf(chore, chores, whole).batches.map(({ batch, share }) => ({ ...batch, share })),
      );
      const listed = bowlsOf(file.run, whole).map(({ batch }) => ({ ...batch, share: 1 }));
      expectSame(gramsOf(steps), gramsOf(listed));
    });
  });

  it('mixes in the steps of its day all that each list weighs out, whatever is promised free first', () => {
    holds(({ file, whole, chores }) => {
      const timed = chores.map((chore) => ({ chore, startAt: '' }));
      for (const bowl of bowlsOf(file.run, whole)) {
        const { batch, lineId } = bowl;
        if (lineId === null || batch.into !== undefined) continue;
        const mixes = mixesOf(bowl, whole, timed);
        const mixedG = mixes.reduce((sum, one) => sum + one.massG, 0);
        expect([batch.formula.id, mixedG / batch.mixed.value]).toEqual([
          batch.formula.id,
          expect.closeTo(1, 6),
        ]);
      }
    });
  });

  it('asks in no warning for what the work does already', () => {
    holds(({ whole }) => {
      for (const { warnings } of madeLines(whole))
        for (const { mend } of warnings) expect(mend).not.toMatch(/^Mix it in/);
    });
  });

  it('buys what is weighed, and nothing for pieces that are not made', () => {
    holds(({ file, whole }) => {
      const weighed = [
        ...gramsOf(bowlsOf(file.run, whole).map(({ batch }) => ({ ...batch, share: 1 }))).values(),
      ];
      const all = needsOf(file.run, whole);
      if (madeLines(whole).length === 0) expect(all).toEqual([]);
      for (const need of all) expect(need.amount).toBeGreaterThan(0);
      const eggs = all.filter(({ key, by }) => by === 'pieces' && key === 'egg');
      expect(eggs.length).toBeLessThanOrEqual(1);
      if (weighed.length > 0) expect(all.length).toBeGreaterThan(0);
    });
  });

  it('bakes every piece in one load, and says who it is for', () => {
    holds(({ whole, chores }) => {
      const plans = new Map(madeLines(whole).map((plan) => [plan.line.id, plan]));
      const loads = new Map<string, number[]>();
      for (const chore of chores) {
        const [lineId = ''] = chore.lineIds;
        if (loadOf(chore) !== null && chore.pieces !== null)
          loads.set(lineId, [...(loads.get(lineId) ?? []), chore.pieces]);
      }
      for (const [id, sizes] of loads) {
        const planned = plans.get(id)?.loads.sizes ?? [];
        const sum = (some: readonly number[]) => some.reduce((all, one) => all + one, 0);
        if (planned.length > 0) expect(sum(sizes)).toBe(sum(planned));
      }
    });
  });

  it('packs each line once, after all else of it', () => {
    holds(({ whole, chores }) => {
      const ids = new Set(chores.map(({ id }) => id));
      expect(ids.size).toBe(chores.length);
      for (const { line, parts } of madeLines(whole)) {
        const packs = chores.filter(({ id }) => id === `${line.id}/pack`);
        expect(packs).toHaveLength(1);
        expect(packs[0]?.pieces).toBe(parts.count.made.value);
      }
      for (const { after, holds: held } of chores) {
        for (const { chore } of after) expect(ids.has(chore)).toBe(true);
        for (const { until } of held) if (until !== undefined) expect(ids.has(until)).toBe(true);
      }
    });
  });

  it('tells of a line what each of its lots holds, and no more', () => {
    holds(({ whole }) => {
      for (const { lots, holds: all } of madeLines(whole)) {
        if (lots.length === 0) continue;
        const union = new Set(lots.flatMap((lot) => lot.holds.allergens));
        expect([...union].sort()).toEqual([...all.allergens].sort());
      }
    });
  });
});
