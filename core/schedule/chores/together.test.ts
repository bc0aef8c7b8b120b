import {
  dayOfFile,
  dayOfRun,
  groupingsOf,
  workOf,
  type Chore,
  type DayFile,
  type RunDay,
  type Timed,
} from '.';
import { FAMILY_FILES } from '../../../demo/families';
import { planWhole } from '../../plan';
import { toEnd } from '../solver';
import { amountsOf } from '../../bench/amounts';
import { handsOf, mixableMl } from './limits';
import { dayOf as foundDay, file, inKitchen } from './test-utils/days';
import { sharedBowls } from './mixedOnce';
import { AS_PLANNED } from './runWork';

const dayOf = (of: DayFile, tries = 6): RunDay => foundDay(of, tries, 200);
/** The most of these that are going on at once. */
const atOnce = (some: readonly Timed[]): number =>
  Math.max(
    0,
    ...some.map(
      ({ startMin }) =>
        some.filter((one) => one.startMin >= startMin - 0.01 && one.endMin < startMin - 0.02).length,
    ),
  );

describe('two runs of one day', () => {
  const pops = file('pops');
  const minis: DayFile = {
    ...file('minis'),
    run: { ...file('minis').run, readyAt: `${pops.run.readyAt.slice(0, 11)}12:00` },
  };
  const ofPops = dayOf({ ...pops, beside: [minis] });
  const ofMinis = dayOf({ ...minis, beside: [pops] });

  it('are laid on the same hands, each in time', () => {
    const hands = [...ofPops.chores, ...ofPops.beside].filter(({ chore }) => chore.kind === 'hands');
    expect(atOnce(hands)).toBe(1);
    expect(ofPops.breaches).toEqual([]);
    // Noon is four hours before the other's hour.
    for (const { endMin } of ofPops.beside) expect(endMin).toBeGreaterThanOrEqual(240 - 0.01);
  });

  it('are the same day whichever of them is asked about', () => {
    const seen = new Map(ofMinis.beside.map(({ chore, startAt }) => [chore.id, startAt]));
    for (const { chore, startAt } of ofPops.chores)
      expect(seen.get(`${pops.run.id}:${chore.id}`)).toBe(startAt);
    expect(ofMinis.chores.length).toBe(ofPops.beside.length);
  });

  it('tell their own safe start, and begin no later than alone', () => {
    expect((ofMinis.safeStartAt ?? '') <= (dayOf(minis).safeStartAt ?? '')).toBe(true);
    expect(ofPops.chores.every(({ chore }) => chore.ofRun === undefined)).toBe(true);
  });
});

describe('what hands can do', () => {
  const of = inKitchen(file('minis'), {
    hands: 2,
    handsCan: [['bake', 'finish', 'chocolate', 'plain'], ['plain']],
  });

  it('bounds what goes on at once', () => {
    const day = dayOf(of);
    const hands = day.chores.filter(({ chore }) => chore.kind === 'hands');
    expect(day.breaches).toEqual([]);
    expect(atOnce(hands)).toBe(2);
    expect(atOnce(hands.filter(({ chore }) => chore.skill !== 'plain'))).toBe(1);
  });

  it('says what nobody can', () => {
    const none = inKitchen(of, { handsCan: [['bake', 'plain'], ['plain']] });
    const day = toEnd(dayOfFile(none, 4));
    expect(day?.lacking.some(({ skills, has }) => has === 0 && skills?.includes('finish'))).toBe(true);
  });

  it('is everything for one pair by itself', () => {
    expect(handsOf({ ...of.kitchen, hands: 1, handsCan: [['plain']] })).toEqual([
      ['bake', 'finish', 'chocolate', 'plain'],
    ]);
  });

  it('is named for every chore of hands', () => {
    for (const name of Object.keys(FAMILY_FILES)) {
      const skills = (stem: RegExp) =>
        new Set(
          workOf(planWhole(file(name)), file(name).kitchen).flatMap(({ id, skill }) =>
            stem.test(id) ? [skill] : [],
          ),
        );
      expect([...skills(/\/(mix|weigh-out|load)/)].every((skill) => skill !== 'chocolate')).toBe(true);
      for (const skill of skills(/\/(dip|melt|coat-[ab])/))
        expect(skill === 'chocolate' || skill === 'plain').toBe(true);
    }
  });
});

describe('bowls', () => {
  const bowl = (id: string, volumeMl: number) => ({ id, name: id, owned: 1, volumeMl });
  const mixes = ({ chores }: RunDay) =>
    chores.filter(({ chore }) => chore.holds.some(({ of }) => of.kind === 'bowl'));

  it('of which one alone is large enough are held by one batter at a time', () => {
    const largest = Math.max(
      ...mixes(dayOf(file('minis'))).flatMap(({ chore }) => chore.holds.map(({ ml = 0 }) => ml)),
    );
    const of = inKitchen(file('minis'), {
      hands: 3,
      bowls: [bowl('a', largest / 0.6 + 50), bowl('b', 200), bowl('c', 200)],
    });
    const day = dayOf(of);
    const large = mixes(day).filter(({ chore }) => chore.holds.some(({ ml = 0 }) => ml > 120));
    expect(large.length).toBeGreaterThan(1);
    expect(atOnce(large)).toBe(1);
    expect(day.breaches).toEqual([]);
  });

  it('that are small are filled more often', () => {
    const of = file('minis');
    const time = (kitchen: DayFile['kitchen']) =>
      workOf(planWhole({ ...of, kitchen }), kitchen)
        .filter(({ id }) => /\/mix/.test(id))
        .reduce((sum, { takes }) => sum + takes.lengthS, 0);
    const small = { ...of.kitchen, bowls: [bowl('a', 300)] };
    expect(time(small)).toBeGreaterThan(time({ ...of.kitchen, bowls: [bowl('a', 8000)] }));
  });
});

describe('bench room', () => {
  const trays = ({ chores }: RunDay) =>
    chores.filter(({ chore }) => chore.holds.some(({ of }) => of.kind === 'bench'));

  it('limits what stands there at once, once somebody has counted it', () => {
    const free = dayOf(inKitchen(file('minis'), { hands: 3 }));
    const tight = dayOf(inKitchen(file('minis'), { hands: 3, benchTrays: 1 }));
    expect(trays(free).length).toBeGreaterThan(2);
    expect(atOnce(trays(tight))).toBe(1);
    expect(tight.breaches).toEqual([]);
  });
});

describe('pieces grouped otherwise', () => {
  const of = file('cakesicles');

  it('are as many, in as many rounds, none of more than the mould holds', () => {
    const whole = planWhole(of);
    const all = groupingsOf(whole, of.kitchen);
    expect(all.length).toBeGreaterThan(0);
    for (const { sizes } of all.map(({ regroup }) => regroup(AS_PLANNED)))
      for (const [lineId, own] of sizes) {
        const plan = whole.lines.find(({ line }) => line.id === lineId);
        const planned = plan?.planned ? plan.loads.sizes : [];
        const sum = (some: readonly number[]) => some.reduce((all_, one) => all_ + one, 0);
        expect(own.length).toBe(planned.length);
        expect(sum(own)).toBe(sum(planned));
      }
  });

  it('are taken only where the day gains by it', () => {
    const whole = planWhole(of);
    const grouped = dayOfRun({ whole, kitchen: of.kitchen, readyAt: of.run.readyAt }, { tries: 40 });
    const pieces = (line: string) =>
      (grouped?.chores ?? [])
        .filter(({ chore }) => chore.id.startsWith(`${line}/coat-a-`))
        .reduce((sum, { chore }) => sum + (chore.pieces ?? 0), 0);
    for (const line of whole.lines)
      if (line.planned && line.line.family === 'cakesicle')
        expect(pieces(line.line.id)).toBe(line.parts.count.made.value);
    expect(grouped?.breaches).toEqual([]);
  });
});

describe('a bowl that lines share', () => {
  const of = file('evening');
  const whole = planWhole(of);
  const [bowl] = sharedBowls(whole, mixableMl(of.kitchen));

  it('is mixed once for all of them, and nothing waits for a chore that is gone', () => {
    if (!bowl) throw new Error('the evening has lines of one formula');
    const before = workOf(whole, of.kitchen);
    const after = workOf(whole, of.kitchen, { ...AS_PLANNED, mixed: new Set([bowl.key]) });
    const mixes = (chores: typeof before) =>
      chores.filter(
        ({ id, lineIds }) => /\/mix$/.test(id) && lineIds.some((line) => bowl.lineIds.includes(line)),
      );
    expect(mixes(before).length).toBe(bowl.lineIds.length);
    expect(mixes(after).map(({ lineIds }) => lineIds)).toEqual([bowl.lineIds]);
    const ids = new Set(after.map(({ id }) => id));
    for (const { after: gaps, holds } of after) {
      for (const { chore } of gaps) expect(ids).toContain(chore);
      for (const { until } of holds) if (until) expect(ids).toContain(until);
    }
  });

  it('is told in parts where it is mixed apart, whole where it is mixed once', () => {
    if (!bowl) throw new Error('the evening has lines of one formula');
    const mass = (chores: readonly Chore[]) =>
      chores
        .filter(({ lineIds }) => lineIds.some((line) => bowl.lineIds.includes(line)))
        .flatMap((chore) => amountsOf(chore, chores, whole).batches)
        .filter(({ batch }) => batch.formula.id === bowl.key)
        .reduce((sum, { batch, share }) => sum + batch.mixed.value * share, 0);
    const line = whole.lines.find(({ line: { id } }) => id === bowl.lineIds[0]);
    const mixed = line?.planned ? (line.parts.bowl?.mixed.value ?? 0) : 0;
    expect(mass(workOf(whole, of.kitchen))).toBeCloseTo(mixed, 3);
    expect(mass(workOf(whole, of.kitchen, { ...AS_PLANNED, mixed: new Set([bowl.key]) }))).toBeCloseTo(
      mixed,
      3,
    );
  });
});

describe('another line in a run', () => {
  it('takes away nothing that bounds the chores of the others', () => {
    const of = file('minis');
    const [first, ...others] = of.run.lines;
    if (!first) throw new Error('the run has lines');
    const chores = (lines: typeof of.run.lines) =>
      workOf(planWhole({ ...of, run: { ...of.run, lines } }), of.kitchen);
    const more = new Map(chores(of.run.lines).map((chore) => [chore.id, chore]));
    for (const { id, after, holds } of chores(others).filter((one) => !one.id.startsWith('made:'))) {
      const same = more.get(id);
      for (const { chore, mostS } of after)
        expect(same?.after.find((gap) => gap.chore === chore)?.mostS).toBe(mostS);
      expect(same?.holds.map(({ of: thing }) => thing)).toEqual(holds.map(({ of: thing }) => thing));
    }
  });
});

describe('a coat', () => {
  it('is melted anew for each lot that it stays workable for', () => {
    const of = file('minis');
    const lines = of.run.lines
      .filter(({ id }) => id === 'cubes-dipped')
      .map((line) => ({ ...line, count: 300 }));
    const chores = workOf(planWhole({ ...of, run: { ...of.run, lines } }), of.kitchen);
    const dips = chores.filter(({ id }) => /\/dip-\d+$/.test(id));
    expect(dips.length).toBeGreaterThan(1);
    expect(chores.filter(({ id }) => /\/melt-\d+$/.test(id)).length).toBe(dips.length);
    for (const { takes } of dips) expect(takes.lengthS).toBeLessThanOrEqual(3600);
  });
});

describe('a mixer', () => {
  const of = inKitchen(file('minis'), { hands: 3 });
  const mixed = (mixers: number | undefined) =>
    dayOf(inKitchen(of, mixers === undefined ? {} : { mixers })).chores.filter(({ chore }) =>
      chore.holds.some(({ of: thing }) => thing.kind === 'mixer'),
    );

  it('beats one batter at a time, and two where there are two', () => {
    expect(mixed(undefined).length).toBeGreaterThan(2);
    expect(atOnce(mixed(undefined))).toBe(1);
    expect(atOnce(mixed(2))).toBeLessThanOrEqual(2);
  });

  it('is not waited for where all is beaten by hand', () => {
    const begins = (mixers: number) =>
      Math.max(...dayOf(inKitchen(of, { mixers })).chores.map(({ startMin }) => startMin));
    expect(begins(0)).toBeLessThanOrEqual(begins(1) + 0.1);
  });
});
