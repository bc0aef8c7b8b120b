import { FAMILY_FILES } from '../../demo/families';
import { runSchema, type RunFile } from '../model/documents';
import { inStyle } from '../quantity';
import { planWhole, type LinePlan, type RunPlan } from '../plan';
import { bowlsOf, tickKey } from '../plan/bowls';
import { dayOfFile, type DayFile, type RunDay } from '../schedule/chores';
import { toEnd } from '../schedule/solver';
import { overOf, waysToMore, type More } from './more';
import { benchOf } from './standing';

const NOW = Date.UTC(2026, 10, 28, 12);

/** The first line of a family, with what has been done of it by these steps. */
function at(family: string, ...done: readonly string[]) {
  const file = FAMILY_FILES[family] as RunFile;
  const day = toEnd(dayOfFile(file as DayFile, 5, 20)) as RunDay;
  const chores = day.chores.map(({ chore }) => chore);
  const whole = planWhole(file);
  const plan = planned(whole, file.run.lines[0]?.id ?? '');
  const log = chores
    .filter((chore) => chore.lineIds.includes(plan.line.id) && done.includes(chore.does))
    .map(({ id }, i) => ({ id: `e${i}`, at: NOW + i, what: 'done' as const, chore: id }));
  const ways = (pieces: number): More[] =>
    waysToMore(file, plan, benchOf({ log }, chores, NOW + 1000), chores, pieces);
  return { file, plan, whole, ways };
}

function planned(whole: RunPlan, id: string): LinePlan {
  const line = whole.lines.find((one) => one.line.id === id);
  if (!line?.planned) throw new Error(line?.fault.fault ?? 'no line');
  return line;
}
const wayOf = (ways: readonly More[], id: More['id']) => ways.find((one) => one.id === id);
const v = (plan: LinePlan, id: string) => plan.figure(id).value;

describe('so many more, while the day is on', () => {
  it('come from a larger first bowl as long as nothing is weighed', () => {
    const { file, plan, ways } = at('pops');
    const found = ways(6);
    expect(found.map(({ id }) => id)).toEqual(['grow']);
    const run = found[0]?.run ?? file.run;
    const after = planned(planWhole({ ...file, run }), plan.line.id);
    expect(after.line.count).toBe(plan.line.count + 6);
    expect(v(after, 'dough.ready')).toBeGreaterThan(v(plan, 'dough.ready'));
  });

  it('come of the same dough once it is bound: no gram more, each of them smaller', () => {
    const { file, plan, ways } = at('pops', 'weigh-out', 'mix', 'crumble', 'bind');
    const smaller = wayOf(ways(4), 'smaller');
    const after = planned(planWhole({ ...file, run: smaller?.run ?? file.run }), plan.line.id);
    const [made, before] = [v(after, 'count.made'), v(plan, 'count.made')];
    expect(made).toBe(before + 4);
    const each = (one: LinePlan) => one.parts.dough?.portion.value ?? 0;
    expect(each(after) * made).toBeLessThanOrEqual(each(plan) * before + 0.5);
    expect(each(after) * made).toBeGreaterThan(each(plan) * before * 0.97);
    expect(inStyle(smaller?.words ?? '')).toMatch(/^4 more of the same bowl, each \d+(\.\d)? g instead of/);
  });

  it('are not made so small that nobody is glad of them', () => {
    const { ways } = at('pops', 'weigh-out', 'mix', 'crumble', 'bind');
    expect(wayOf(ways(40), 'smaller')).toBeUndefined();
    expect(wayOf(ways(40), 'apart')).toBeDefined();
  });

  it('are a small bowl of their own once all is portioned; the first bowl and its ticks stay', () => {
    for (const family of ['evening', 'minis', 'mugs', 'cakesicles']) {
      const { file, plan, whole, ways } = at(family, 'weigh-out', 'mix', 'fill', 'coat-a', 'melt', 'group');
      const found = ways(3);
      const apart = wayOf(found, 'apart');
      if (!apart) throw new Error(`${family}: no way`);
      expect(wayOf(found, 'smaller')).toBeUndefined();
      expect(runSchema.safeParse(apart.run).success).toBe(true);
      const after = planWhole({ ...file, run: apart.run });
      const more = planned(after, apart.run.lines.at(-1)?.id ?? '');
      expect(v(more, 'count.made')).toBeGreaterThanOrEqual(3);
      // What was mixed for the others is the same to the gram.
      for (const line of whole.lines) {
        if (!line.planned || !line.parts.bowl) continue;
        expect(v(planned(after, line.line.id), line.parts.bowl.mixed.id)).toBeCloseTo(
          line.parts.bowl.mixed.value,
          6,
        );
      }
      // What is ticked off of the one bowl is not ticked off of the other.
      const keys = bowlsOf(apart.run, after).flatMap(({ batch }) =>
        batch.ingredients.map((item) => tickKey(batch, item)),
      );
      expect(new Set(keys).size).toBe(keys.length);
      expect(plan.line.apart).toBeUndefined();
    }
  });

  it('tells what is over already', () => {
    const { plan } = at('evening');
    expect(overOf(plan, 0)).toBe(Math.max(0, Math.floor(v(plan, 'count.made')) - plan.line.count));
    expect(overOf(plan, 1000)).toBe(0);
  });
});
