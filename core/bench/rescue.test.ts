import { FAMILY_FILES } from '../../demo/families';
import { runSchema, type RunFile } from '../model/documents';
import { planRun, type LinePlan } from '../plan';
import { inStyle } from '../quantity';
import { rescue, type Trouble } from './rescue';

const EVENING = FAMILY_FILES.evening as RunFile;
const NOW = Date.UTC(2026, 10, 28, 12);

const go = (lineId: string, trouble: Trouble) => rescue(EVENING, lineId, trouble, NOW);
function planned(file: RunFile, lineId: string): LinePlan {
  const line = planRun(file).find((one) => one.line.id === lineId);
  if (!line?.planned) throw new Error(line?.fault.fault ?? 'no line');
  return line;
}
const after = (lineId: string, trouble: Trouble, of = lineId) =>
  planned({ ...EVENING, run: go(lineId, trouble).run }, of);
const v = (plan: LinePlan, id: string) => plan.figure(id).value;

describe('rescues', () => {
  it('turns cupcakes that stuck into pops, by hand: 300 g × 1.18 × 0.985 ÷ 25 = 13', () => {
    const { run, words, sums } = go('cupcakes-plain', {
      kind: 'stuck',
      pieces: 6,
      crumbG: 300,
      vesselId: 'vessel-jug',
    });
    expect(run.lines.map(({ id, count }) => [id, count])).toContainEqual(['cupcakes-plain', 12]);
    expect(run.lines.map(({ id, count }) => [id, count])).toContainEqual(['cupcakes-plain-pops', 13]);
    expect(sums.find(({ what }) => /bind/.test(what))?.massG).toBeCloseTo(54, 6);
    expect(inStyle(words[0] ?? '')).toMatch(
      /^300 g of crumb makes 13 pops of 25 g: 32 g of buttercream first/,
    );
  });

  it('goes on from a bowl that came out short', () => {
    const plan = after('cupcakes-frosted', { kind: 'batter short', bowlG: 900 });
    expect(v(plan, 'batter.mixed')).toBe(900);
    expect(v(plan, 'count.made')).toBeLessThan(24);
  });

  it('chills a dough that is too wet, then takes crumb by the spoonful, less of it where it is biscuit; nothing more is baked', () => {
    const before = planned(EVENING, 'pops-fresh');
    const wet = go('pops-fresh', { kind: 'binder overdone', addedG: 260, mend: 'crumb' });
    expect(wet.words[0]).toMatch(/fridge first.+\{15 g\} at a time/);
    const after = planned({ ...EVENING, run: wet.run }, 'pops-fresh');
    expect(v(after, 'batter.mixed')).toBeCloseTo(v(before, 'batter.mixed'), 6);
    expect(after.batches).toHaveLength(before.batches.length);
    const sum = (mend: 'crumb' | 'biscuit') =>
      go('pops-fresh', { kind: 'binder overdone', addedG: 260, mend }).sums[0]?.massG ?? 0;
    expect(sum('biscuit')).toBeLessThan(sum('crumb'));
    expect(go('pops-fresh', { kind: 'binder overdone', addedG: 50, mend: 'crumb' }).words[0]).toMatch(
      /Chill/,
    );
  });

  it('thins a thick coat by 2 % and no further than 6 %', () => {
    const { run, sums } = go('pops-fresh', { kind: 'coat thick' });
    const before = planned(EVENING, 'pops-fresh');
    expect(sums[0]?.massG).toBeCloseTo(v(before, 'pot.1.melt') * 0.02, 6);
    const twice = rescue({ ...EVENING, run }, 'pops-fresh', { kind: 'coat thick' }, NOW);
    const thrice = rescue({ ...EVENING, run: twice.run }, 'pops-fresh', { kind: 'coat thick' }, NOW);
    expect(thrice.words[0]).toMatch(/as much fat as it should/);
  });

  it('goes on with 20 of 24, or bakes the four again in a bowl of their own', () => {
    const without = go('cupcakes-plain', { kind: 'some lost', pieces: 4, then: 'do without' });
    const made = v(planned(EVENING, 'cupcakes-plain'), 'count.made');
    expect(without.run.lines.find(({ id }) => id === 'cupcakes-plain')?.count).toBe(made - 4);
    const again = go('cupcakes-plain', { kind: 'some lost', pieces: 4, then: 'bake again' });
    const line = again.run.lines.find(({ id }) => id === 'cupcakes-plain-again');
    expect(line).toMatchObject({ count: 4, measured: {}, ticks: [] });
    const after = planned({ ...EVENING, run: again.run }, 'cupcakes-plain-again');
    expect(v(after, 'count.made')).toBe(4);
    // The bowl that was baked is as it was; those four have their own, and no more than they need.
    const bowl = (file: RunFile, id: string) => v(planned(file, id), 'batter.mixed');
    expect(v(after, 'batter.mixed')).toBeLessThan(bowl(EVENING, 'cupcakes-plain') / 2);
    // And once more: a second misfortune has a line of its own.
    const trouble = { kind: 'some lost', pieces: 2, then: 'bake again' } as const;
    const twice = rescue({ ...EVENING, run: again.run }, 'cupcakes-plain', trouble, NOW);
    expect(runSchema.safeParse(twice.run).success).toBe(true);
  });

  it('lets the count follow a coat or a frosting that runs short', () => {
    expect(v(after('pops-fresh', { kind: 'coat short', leftG: 250 }), 'count.made')).toBeLessThan(40);
    expect(v(after('cupcakes-frosted', { kind: 'frosting short', leftG: 500 }), 'count.made')).toBeLessThan(
      24,
    );
    expect(go('pops-fresh', { kind: 'coat short', leftG: 100 }).sums[0]?.massG).toBeGreaterThan(300);
  });

  it('chills a runny frosting in a warm kitchen, sugars it by 5 % in a cool one', () => {
    const trouble = { kind: 'frosting runny', bowlG: 600 } as const;
    expect(go('cupcakes-frosted', { ...trouble, roomC: 27 }).sums).toEqual([]);
    expect(go('cupcakes-frosted', { ...trouble, roomC: 20 }).sums[0]?.massG).toBe(30);
    expect(go('cupcakes-frosted', { ...trouble, kind: 'frosting stiff', roomC: 20 }).sums[0]?.massG).toBe(6);
  });

  it('fills less after an overflow; a sunk load is not cured by filling more', () => {
    const before = v(planned(EVENING, 'cupcakes-plain'), 'portion.mass');
    expect(v(after('cupcakes-plain', { kind: 'overflowed' }), 'portion.mass')).toBeLessThan(before);
    expect(v(after('cupcakes-plain', { kind: 'sunk' }), 'portion.mass')).toBe(before);
    expect(go('cupcakes-plain', { kind: 'sunk' }).words[0]).toMatch(/door.+raising agent/);
  });

  it('patches cracked shells with the grams of a second coat each', () => {
    const each = v(planned(EVENING, 'sicles-plum'), 'shell.second');
    expect(go('sicles-plum', { kind: 'shell cracked', pieces: 4 }).sums[0]?.massG).toBeCloseTo(4 * each, 9);
    expect(v(after('sicles-plum', { kind: 'shell cracked', pieces: 4 }), 'patch.share')).toBeCloseTo(0.2, 9);
  });

  it('makes cream of seized chocolate and melts anew', () => {
    const melt = v(planned(EVENING, 'pops-fresh'), 'pot.1.melt');
    const { sums, run } = go('pops-fresh', { kind: 'coat seized' });
    expect(sums.map(({ massG }) => massG)).toEqual([melt / 2, melt]);
    expect(run.lines).toEqual(EVENING.run.lines);
  });

  it('says how much binder is likely still missing, and goes on from what is in', () => {
    const need = v(planned(EVENING, 'pops-fresh'), 'binder.need');
    const { sums } = go('pops-fresh', { kind: 'binder short', addedG: 60 });
    expect(sums[0]?.massG).toBeCloseTo(need - 60, 6);
    expect(v(after('pops-fresh', { kind: 'binder short', addedG: 60 }), 'binder.added')).toBe(60);
  });

  it('keeps what happened before when something happens again', () => {
    const once = go('cupcakes-plain', { kind: 'sunk' });
    const twice = rescue(
      { ...EVENING, run: once.run },
      'cupcakes-plain',
      { kind: 'domed', trimmedG: 40 },
      NOW + 1,
    );
    expect(twice.run.events?.map(({ kind }) => kind)).toEqual(['sunk', 'domed']);
  });

  it('dips a frozen piece fridge-firm once its coat has cracked', () => {
    const mm = (plan: LinePlan) => v(plan, 'coat.mm');
    expect(mm(planned(EVENING, 'pops-microwave'))).toBe(1.8);
    expect(mm(after('pops-microwave', { kind: 'coat cracked' }))).toBe(1.2);
  });

  it('puts what was lost in the mould back into the dough, chocolate and all', () => {
    const plan = planned(EVENING, 'sicles-plum');
    const { sums } = go('sicles-plum', { kind: 'lost in the mould', pieces: 2 });
    expect(sums[0]?.massG).toBeCloseTo(2 * (v(plan, 'portion.mass') + v(plan, 'shell.taken')), 6);
  });

  it.each<[string, Trouble, RegExp]>([
    ['mugs-apple', { kind: 'shell cracked', pieces: 1 }, /no shell/],
    ['mugs-apple', { kind: 'sunk' }, /no well/],
    ['cupcakes-plain', { kind: 'coat short', leftG: 10 }, /no coat/],
    ['pops-fresh', { kind: 'frosting short', leftG: 10 }, /no frosting/],
    ['cupcakes-plain', { kind: 'binder overdone', addedG: 10, mend: 'crumb' }, /no dough/],
  ])('of %s: says when a line has no such thing, and changes nothing of it', (id, trouble, words) => {
    const { run, words: said } = go(id, trouble);
    expect(said.join()).toMatch(words);
    expect(run.lines).toEqual(EVENING.run.lines);
  });

  const all: [string, Trouble][] = [
    ['cupcakes-plain', { kind: 'stuck', pieces: 3, crumbG: 120, vesselId: 'vessel-jug' }],
    ['cupcakes-plain', { kind: 'broken', pieces: 18, crumbG: 700, vesselId: 'vessel-glass' }],
    ['cupcakes-plain', { kind: 'batter over', bowlG: 2000 }],
    ['pops-fresh', { kind: 'binder short', addedG: 60 }],
    ['pops-fresh', { kind: 'coat seized' }],
    ['pops-microwave', { kind: 'coat cracked' }],
    ['sicles-plum', { kind: 'coat dull' }],
    ['cupcakes-frosted', { kind: 'frosting curdled', bowlG: 500, roomC: 21 }],
    ['cupcakes-plain', { kind: 'domed', trimmedG: 90 }],
    ['cupcakes-plain', { kind: 'raw inside', load: 1 }],
    ['sicles-plum', { kind: 'lost in the mould', pieces: 2 }],
    ['mugs-apple', { kind: 'coat thick' }],
  ];
  it.each(all)(
    'of %s, $kind: leaves a run that fits its schema, can be planned, and says what happened',
    (id, trouble) => {
      const { run, words, sums } = go(id, trouble);
      expect(runSchema.safeParse(run).success).toBe(true);
      expect(planRun({ ...EVENING, run }).every((line) => line.planned)).toBe(true);
      expect(run.events?.at(-1)).toMatchObject({ at: NOW, lineId: id, kind: trouble.kind });
      expect(words.join(' ').length).toBeGreaterThan(20);
      for (const { massG } of sums) expect(massG).toBeGreaterThanOrEqual(0);
    },
  );
});
