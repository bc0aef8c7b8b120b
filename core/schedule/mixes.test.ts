import { FAMILY_FILES } from '../../demo/families';
import { amountsOf } from '../bench/amounts';
import { planWhole } from '../plan';
import { bowlsOf } from '../plan/bowls';
import { inStyle } from '../quantity';
import { dayOfRun, workOf, type DayFile } from './chores';
import { gatherOf, preparationsOf } from './gather';
import { mixesWords } from './gather.words';
import { mixesOf } from './mixes';
import { needsOf } from './shopping';

const EVENING = FAMILY_FILES.evening as DayFile;
const CUPCAKES: DayFile = {
  ...EVENING,
  run: { ...EVENING.run, lines: EVENING.run.lines.filter(({ family }) => family === 'cupcake').slice(0, 1) },
};
const many = (count: number, volumeMl: number): DayFile => ({
  ...CUPCAKES,
  kitchen: { ...CUPCAKES.kitchen, bowls: [{ id: 'b', name: 'Bowl', owned: 1, volumeMl }] },
  run: { ...CUPCAKES.run, lines: CUPCAKES.run.lines.map((line) => ({ ...line, count })) },
});

describe('what is weighed out by one list and mixed in several bowls', () => {
  const file = many(96, 2500);
  const whole = planWhole(file);
  const day = dayOfRun({ whole, kitchen: file.kitchen, readyAt: file.run.readyAt }, { tries: 4 });
  const bowl = gatherOf(file.run, whole, day).find(({ stage }) => stage === 'batter');

  it('says how many there are, when, and what each takes: as many as the steps have, and all of the list', () => {
    if (!day || !bowl?.bowl) throw new Error('there is a day and a bowl');
    const steps = day.chores.filter(({ chore }) => chore.does === 'mix');
    expect(bowl.mixes.map(({ startAt }) => startAt)).toEqual(steps.map(({ startAt }) => startAt).sort());
    const massG = bowl.mixes.reduce((sum, one) => sum + one.massG, 0);
    expect(massG).toBeCloseTo(bowl.bowl.batch.mixed.value, 6);
    const words = mixesWords(
      bowl.mixes,
      (at) => at.slice(11),
      () => '',
    );
    const bowls = bowl.mixes.reduce((sum, one) => sum + one.bowls, 0);
    expect(bowls).toBeGreaterThan(2);
    expect(words?.head).toMatch(new RegExp(`in ${bowls} bowls`));
    expect(inStyle(words?.each[0] ?? '')).toMatch(/^\d\d:\d\d: .*\d+ g$/);
  });

  it('is weighed for each bowl at its own step: the first apart, the others as they are mixed', () => {
    const chores = workOf(whole, file.kitchen);
    const steps = chores.flatMap((chore) =>
      ['weigh-out', 'mix'].includes(chore.does)
        ? [{ does: chore.does, parts: amountsOf(chore, chores, whole).batches.map(({ share }) => share) }]
        : [],
    );
    const mixed = steps.filter(({ does }) => does === 'mix');
    expect(mixed.length).toBeGreaterThan(1);
    const [weighed] = steps.filter(({ does }) => does === 'weigh-out');
    expect(weighed?.parts).toHaveLength(1);
    expect(mixed[0]?.parts).toEqual([]);
    for (const { parts } of mixed.slice(1)) expect(parts).toHaveLength(1);
    const all = steps.flatMap(({ parts }) => parts).reduce((sum, one) => sum + one, 0);
    expect(all).toBeCloseTo(1, 9);
  });

  it('says nothing where one bowl holds it all', () => {
    const few = many(24, 20_000);
    const chores = workOf(planWhole(few), few.kitchen).map((chore) => ({ chore, startAt: '' }));
    const [only] = bowlsOf(few.run, planWhole(few));
    if (!only) throw new Error('something is weighed out');
    const mixes = mixesOf(only, planWhole(few), chores);
    expect(mixes).toMatchObject([{ bowls: 1 }]);
    expect(
      mixesWords(
        mixes,
        () => '',
        () => '',
      ),
    ).toBeNull();
  });
});

describe('butter that stands out before it is beaten', () => {
  const whole = planWhole(EVENING);

  it('is that of the frosting too, each with its weight and its name', () => {
    const butter = preparationsOf(whole, EVENING.kitchen)
      .filter(({ words }) => words.startsWith('Butter out'))
      .map(({ words }) => inStyle(words));
    const made = (whole.components?.batches ?? []).filter(({ makes }) => makes === 'frosting');
    expect(made.length).toBeGreaterThan(0);
    for (const { formula } of made)
      expect(butter.filter((words) => words.includes(formula.name))).toHaveLength(1);
    for (const words of butter) expect(words).toMatch(/^Butter out\. \d+ g for .+\. Soft at/);
  });
});

describe('a frosting without a formula', () => {
  it('is neither bought beside a step that makes it, nor made beside a list that buys it', () => {
    const line = CUPCAKES.run.lines[0];
    if (line?.family !== 'cupcake') throw new Error('they are cupcakes');
    const frosting = { kind: 'buttercream', style: 'swirl', formulaId: null, onHandG: null } as const;
    const run = { ...CUPCAKES.run, lines: [{ ...line, frosting }] };
    const whole = planWhole({ ...CUPCAKES, run });
    const step = workOf(whole, CUPCAKES.kitchen).find(({ does }) => does === 'frosting');
    expect(step?.label).toBe('Have the buttercream ready');
    expect(step?.detail).toMatch(/^Bought, or made/);
    expect(needsOf(run, whole).map(({ name }) => name)).toContain('buttercream, bought or made');
  });
});
