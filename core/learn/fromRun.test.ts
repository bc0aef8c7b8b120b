import { FAMILY_FILES } from '../../demo/families';
import { nextLookAt } from '../bench/clock';
import type { BakeClock } from '../bench/clocksIn';
import { eventsOf, recordLook, startClock } from '../bench/test-utils/loads';
import { bakedAfterwards } from '../bench/afterwards';
import type { BenchEvent, Line, LookSaw, RunFile } from '../model/documents';
import { runSchema } from '../model/documents';
import { planWhole, type LinePlan } from '../plan';
import { inStyle } from '../quantity';
import { withLearned } from './beliefs';
import { doneBetween, evidenceOf } from './fromRun';
import { lessonsOf } from './lessons';

const EVENING = FAMILY_FILES.evening as RunFile;
const AT = Date.UTC(2026, 10, 28, 16);
const only = (id: string): RunFile => ({
  ...EVENING,
  run: { ...EVENING.run, lines: EVENING.run.lines.filter((line) => line.id === id) },
});
const CAKES = only('cupcakes-plain');
const POPS = only('pops-fresh');

function plan(file: RunFile): LinePlan {
  const [line] = planWhole(file).lines;
  if (!line?.planned) throw new Error(line?.fault.fault ?? 'no line');
  return line;
}

/** A load that was looked at after these shares of what was expected, and seen so. */
function load(file: RunFile, ...looks: readonly (readonly [share: number, saw: LookSaw])[]): BakeClock {
  const { line, parts } = plan(file);
  const expectedS = parts.clocked?.time.value ?? 1;
  const times = { firstLookS: expectedS * 0.85, expectedS, latestS: expectedS * 1.3 };
  const clock = startClock('c', line.id, 1, parts.clocked?.sizes[0] ?? 1, times, AT - 7_200_000);
  return looks.reduce(
    (now, [share, saw]) => recordLook(now, saw, now.startedAt + share * expectedS * 1000),
    clock,
  );
}
const closedWith = (file: RunFile, over: Partial<RunFile['run']>): RunFile => {
  const run = { ...file.run, ...over };
  const evidence = evidenceOf({ ...file, run }, AT);
  return { ...file, run: { ...run, closed: { at: AT, made: 12, finish: 'gentle', note: '', evidence } } };
};
/** The file as it is planned next, with what this one taught. */
const next = (file: RunFile, taught: RunFile): RunFile => ({
  ...file,
  kitchen: withLearned(file.kitchen, [taught.run], AT),
});
const wide = (one: LinePlan, id: string) => {
  const { value, low, high } = one.figure(id);
  return (high - low) / value;
};

describe('a load of the oven', () => {
  it('was done between the last look that was not and the first that was', () => {
    const clock = load(CAKES, [0.85, 'wet'], [1.05, 'crumbs'], [1.15, 'clean']);
    const expected = clock.expectedS;
    const [low, high] = doneBetween(clock);
    expect(low).toBeCloseTo(expected * 1.05, 6);
    expect(high).toBeCloseTo(expected * 1.15, 6);
    // Done at the first look that was told: not long before, or it would be too brown.
    const [from, to] = doneBetween(load(CAKES, [0.96, 'clean']));
    expect(to).toBeCloseTo(expected * 0.96, 6);
    expect(from).toBeCloseTo(expected * 0.8, 6);
    expect(doneBetween(load(CAKES, [1.1, 'brown']))[0]).toBeNull();
  });

  it('teaches the factor of its oven: the next plan bakes longer, and is surer', () => {
    const taught = closedWith(CAKES, {
      log: eventsOf(load(CAKES, [0.9, 'wet'], [1.11, 'crumbs'], [1.16, 'clean'])),
    });
    expect(runSchema.safeParse(taught.run).success).toBe(true);
    const [one] = taught.run.closed?.evidence ?? [];
    expect(one).toMatchObject({ param: 'bake.factor', taken: 'yes' });
    expect(one?.low).toBeCloseTo(1.11, 6);
    expect(one?.high).toBeCloseTo(1.16, 6);
    const [before, after] = [plan(CAKES), plan(next(CAKES, taught))];
    const time = before.parts.clocked?.time.id ?? '';
    expect(after.figure(time).value).toBeGreaterThan(before.figure(time).value * 1.03);
    expect(after.figure(time).value).toBeLessThan(before.figure(time).value * 1.16);
    expect(wide(after, time)).toBeLessThan(wide(before, time));
  });

  it('and another of the same batch are one outcome: no oven is fast for loads that took longer than was reckoned', () => {
    const second = { ...load(CAKES, [1.06, 'clean']), id: 'd', load: 1 };
    const taught = closedWith(CAKES, { log: eventsOf(load(CAKES, [1.14, 'clean']), second) });
    const all = taught.run.closed?.evidence ?? [];
    expect(all).toHaveLength(1);
    // Nobody looked before: about their middle, a little sooner, and no surer than one of them.
    expect(all[0]?.low).toBeCloseTo(Math.sqrt(1.14 * 1.06) * 0.985, 6);
    expect(all[0]?.high).toBe(all[0]?.low);
    expect(all[0]?.doubt).toBeGreaterThan(0.02);
    const [lesson] = lessonsOf(taught, [taught.run], AT);
    expect(lesson?.words[0]).not.toMatch(/fast/);
  });

  it('says the same whatever was learned before: no lesson feeds on itself', () => {
    const clocks = [load(CAKES, [0.9, 'wet'], [1.11, 'crumbs'], [1.16, 'clean'])];
    const first = closedWith(CAKES, { log: eventsOf(...clocks) });
    const second = closedWith(next(CAKES, first), { log: eventsOf(...clocks) });
    const [one, two] = [first, second].map(({ run }) => run.closed?.evidence?.[0]);
    // Each is told with what it was held against: all of it counted back to the start, both are one outcome.
    const told = (of: typeof one) =>
      Math.log(of?.low ?? NaN) +
      (of?.beside ?? []).reduce((sum, { param, was, start, per }) => {
        const plain = ['bake.lossShare', 'bowl.lossShare', 'oven.offset', 'cake.done'].includes(param);
        return sum + per * (plain ? was - start.value : Math.log(was / start.value));
      }, 0);
    expect(two?.low).toBeLessThan(1.1);
    expect(Math.abs(told(two) - told(one))).toBeLessThan(0.006);
    expect(two?.start).toEqual(one?.start);
    expect(two?.seen?.expected).toBeGreaterThan(one?.seen?.expected ?? Infinity);
  });

  it('that always takes the same comes to be planned so, from looks or only as it came out', () => {
    for (const told of ['looks', 'out'] as const)
      for (const share of [0.88, 0.95, 1.06, 1.12]) {
        const trueS = (plan(CAKES).parts.clocked?.time.value ?? 0) * share;
        const runs: RunFile['run'][] = [];
        const offs: number[] = [];
        for (let batch = 0; batch < 7; batch += 1) {
          const file = { ...CAKES, kitchen: withLearned(CAKES.kitchen, runs, AT + batch * 86_400_000) };
          const { line, parts } = plan(file);
          const time = parts.clocked?.time ?? { value: 1, low: 1, high: 1 };
          offs.push(Math.log(time.value / trueS));
          if (batch === 6) {
            expect(trueS).toBeGreaterThan(time.low);
            expect(trueS).toBeLessThan(time.high);
          }
          const times = {
            firstLookS: parts.clocked?.firstLook.value ?? 1,
            expectedS: time.value,
            latestS: time.high,
          };
          let clock = startClock('c', line.id, 1, 12, times, AT + batch * 86_400_000);
          while (clock.endedAt === null) {
            const asked = (nextLookAt(clock) - clock.startedAt) / 1000;
            const atS = told === 'out' ? trueS : asked;
            const saw =
              atS >= trueS * 1.2 ? 'brown' : atS >= trueS ? 'clean' : atS > trueS * 0.9 ? 'crumbs' : 'wet';
            clock = recordLook(clock, saw, clock.startedAt + atS * 1000);
          }
          const run = { ...file.run, id: `run-${batch}`, log: eventsOf(clock) };
          const evidence = evidenceOf({ ...file, run }, AT + batch * 86_400_000 + 3_600_000);
          runs.push({ ...run, closed: { at: AT, made: 12, finish: 'gentle', note: '', evidence } });
        }
        const off = offs.map(Math.abs);
        // Looks bound it between two of them; who takes it out when it is done says when.
        expect(off[6]).toBeLessThan(told === 'out' ? 0.03 : 0.045);
        expect(off[6]).toBeLessThan((off[0] ?? 0) * 0.75);
      }
  });

  it('of a slip of the finger teaches nothing until somebody says that it is true', () => {
    expect(closedWith(CAKES, { log: eventsOf(load(CAKES, [0.1, 'clean'])) }).run.closed?.evidence).toEqual(
      [],
    );
  });
});

describe('a run that was baked without the app', () => {
  const remembered = (inside: 'wet' | 'right' | 'dry' | 'burnt', share: number) => {
    const one = plan(POPS);
    const { clocked, dough, coat } = one.parts;
    const told = {
      lineId: one.line.id,
      bakedS: (clocked?.time.value ?? 0) * share,
      inside,
      binderG: (dough?.need.value ?? 0) * 1.2,
      coatG: (coat?.taken.value ?? 0) * 1.1,
    };
    const run = bakedAfterwards(POPS.run, [one], [told], AT, () => 'clock-1');
    expect(runSchema.safeParse(run).success).toBe(true);
    return evidenceOf({ ...POPS, run }, AT);
  };
  const factor = (all: ReturnType<typeof remembered>) => all.find(({ param }) => param === 'bake.factor');

  it('teaches by how it was inside: done before it came out, or not yet', () => {
    expect(factor(remembered('right', 1))?.high).toBeCloseTo(0.97, 6);
    expect(factor(remembered('right', 1))?.doubt).toBeCloseTo(0.03, 6);
    expect(factor(remembered('dry', 1))?.high).toBeLessThan(1);
    expect(factor(remembered('wet', 1))).toMatchObject({ high: null });
    expect(factor(remembered('burnt', 1.2))).toMatchObject({ low: null });
  });

  it('teaches binder and coat as they were weighed', () => {
    const all = remembered('right', 1);
    expect(all.find(({ param }) => param === 'bind.factor')?.low).toBeCloseTo(1.2, 2);
    expect(all.find(({ param }) => param === 'coat.mm')?.low).toBeGreaterThan(
      (all.find(({ param }) => param === 'coat.mm')?.start.value ?? 9) * 1.05,
    );
  });
});

describe('what is squeezed and weighed', () => {
  const told = (
    does: 'bind' | 'dip',
    to: string,
    answer: string,
    value?: number,
    practice?: boolean,
  ): BenchEvent => ({
    id: `e${Math.random()}`,
    at: AT,
    what: 'answered',
    chore: 'any name',
    does,
    lineIds: ['pops-fresh'],
    to,
    answer,
    value,
    practice,
  });

  it('teaches how much binder the crumb takes', () => {
    const { dough } = plan(POPS).parts;
    const need = dough?.need.value ?? 0;
    // Spoon after spoon until a third more than was reckoned is in.
    const log: BenchEvent[] = [];
    for (let added = dough?.first.value ?? 0; added < need * 1.3; added += added + 15 > need * 0.9 ? 5 : 15)
      log.push(told('bind', 'squeeze', 'crumbles'));
    log.push(told('bind', 'squeeze', 'holds'));
    const taught = closedWith(POPS, { log });
    const one = (taught.run.closed?.evidence ?? []).find(({ param }) => param === 'bind.factor');
    expect(one?.high).toBeGreaterThanOrEqual(1.29);
    expect((one?.high ?? 0) - (one?.low ?? 0)).toBeCloseTo(5 / need, 2);
    expect(plan(next(POPS, taught)).parts.dough?.need.value).toBeGreaterThan(need * 1.15);
  });

  it('teaches the thickness of a coat, and nothing where it was read off a practice scale', () => {
    const each = plan(POPS).parts.coat?.taken.value ?? 0;
    const weighed = (practice: boolean) =>
      closedWith(POPS, { log: [told('dip', 'coat', 'weighed', each * 1.25, practice)] });
    expect(weighed(true).run.closed?.evidence).toEqual([]);
    const taught = weighed(false);
    const after = plan(next(POPS, taught)).parts.coat;
    expect(after?.taken.value).toBeGreaterThan(each * 1.12);
    const [lesson] = lessonsOf(taught, [taught.run], AT);
    expect(inStyle(lesson?.words[0] ?? '')).toMatch(/^The coat comes out \d+ % thicker/);
    expect(inStyle(lesson?.words[1] ?? '')).toMatch(/^From now on \d+(\.\d)? g on a piece, \d+ g to melt\.$/);
  });

  it('teaches what baking loses where crumb was weighed', () => {
    const [bake] = plan(POPS).parts.crumbBakes;
    const crumbG = bake?.crumb.value ?? 0;
    const line = { ...POPS.run.lines[0], measured: { [bake?.crumb.id ?? '']: crumbG * 0.97 } } as Line;
    const taught = closedWith(POPS, { lines: [line] });
    const one = (taught.run.closed?.evidence ?? []).find(({ param }) => param === 'bake.lossShare');
    expect(one?.low).toBeGreaterThan(one?.start.value ?? 1);
    // The same gram of crumb now asks for more batter.
    const batter = (file: RunFile) => plan(file).parts.crumbBakes[0]?.bowl.own.value ?? 0;
    expect(batter(next(POPS, taught))).toBeGreaterThan(batter(POPS));
  });
});

describe('lessons', () => {
  it('are said with their figure, and change nothing once refused', () => {
    const taught = closedWith(CAKES, {
      log: eventsOf(load(CAKES, [0.9, 'wet'], [1.11, 'crumbs'], [1.16, 'clean'])),
    });
    const [lesson] = lessonsOf(taught, [taught.run], AT);
    expect(inStyle(lesson?.words.join(' ') ?? '')).toMatch(
      /takes \d+ % longer for this than first reckoned\. From now on \d+.*min instead of \d+.*min, look at \d+.*min/,
    );
    const { closed } = taught.run;
    const refused = {
      ...taught.run,
      closed: closed && {
        ...closed,
        evidence: closed.evidence?.map((one) => ({ ...one, taken: 'no' as const })),
      },
    };
    expect(withLearned(CAKES.kitchen, [refused], AT)).toEqual(CAKES.kitchen);
  });

  it('leave alone what somebody has set by hand, and what was begun afresh', () => {
    const taught = closedWith(CAKES, {
      log: eventsOf(load(CAKES, [0.9, 'wet'], [1.11, 'crumbs'], [1.16, 'clean'])),
    });
    const of = taught.run.closed?.evidence?.[0]?.of[0] ?? '';
    const stated = { param: 'bake.factor', of, mean: 0.9, spread: 0, seen: 1, since: null };
    const kitchen = { ...CAKES.kitchen, beliefs: [...CAKES.kitchen.beliefs, stated] };
    const ofOven = (some: typeof kitchen) =>
      some.beliefs.filter((one) => one.of === of && one.param === 'bake.factor');
    expect(ofOven(withLearned(kitchen, [taught.run], AT))).toEqual([stated]);
    const anew = { ...CAKES.kitchen, anew: { [`bake.factor@${of}`]: AT + 1 } };
    expect(withLearned(anew, [taught.run], AT).beliefs).toEqual(CAKES.kitchen.beliefs);
  });
});

describe('an oven whose air is read', () => {
  const READ_K = 24;
  /** Nobody has measured its oven yet. */
  const UNREAD: RunFile = {
    ...CAKES,
    kitchen: { ...CAKES.kitchen, ovens: CAKES.kitchen.ovens.map((one) => ({ ...one, offsetC: null })) },
  };
  const line = plan(UNREAD);
  const [setC, timeS] = [line.figure('oven.setting').value, line.parts.clocked?.time.value ?? 0];
  const oven = (file: RunFile) => plan(file).figure('bake.factor').value;
  /** By how much time is shorter in an oven hotter by so many K, by the model itself. */
  const hot = (byK: number) => {
    // The dial held where it was: as hot as a formula that asks for so much more.
    const asked = { ...UNREAD.run.lines[0], ovenC: setC + byK } as Line;
    return (
      (plan({ ...UNREAD, run: { ...UNREAD.run, lines: [asked] } }).parts.clocked?.time.value ?? 0) / timeS
    );
  };
  const quick = load(UNREAD, [hot(READ_K) * 0.97, 'crumbs'], [hot(READ_K), 'clean']);
  const with_ = (...runs: readonly RunFile[]): RunFile => ({
    ...UNREAD,
    kitchen: withLearned(
      UNREAD.kitchen,
      runs.map(({ run }) => run),
      AT,
    ),
  });

  it('is set lower from then on, and its time is as the formula has it: no lesson is counted twice', () => {
    const unread = closedWith(UNREAD, { id: 'run-a', log: eventsOf(quick) });
    // A hot oven that nobody has read is a quick one.
    expect(oven(with_(unread))).toBeLessThan(0.97);
    const read = closedWith(UNREAD, { id: 'run-b', log: eventsOf({ ...quick, airC: setC + READ_K }) });
    const then = with_(unread, read);
    const now = plan(then);
    expect(now.figure('oven.offset').value).toBeGreaterThan(READ_K * 0.7);
    expect(now.figure('oven.offset').value).toBeLessThan(READ_K);
    expect(now.figure('oven.setting').value).toBeLessThanOrEqual(setC - 15);
    // Quick by its air, and that is taken off the dial: hardly quick any more.
    expect(oven(then)).toBeGreaterThan(oven(with_(unread)) + 0.02);
    expect(Math.abs(oven(then) - 1)).toBeLessThan(0.04);
    expect(lessonsOf(read, [unread.run, read.run], AT).flatMap(({ words }) => words)).toContain(
      `From now on set it to {${now.figure('oven.setting').value} °C}.`,
    );
  });

  it('changes nothing of its time where it is read to be right', () => {
    const fair = load(UNREAD, [0.97, 'crumbs'], [1, 'clean']);
    const read = closedWith(UNREAD, { id: 'run-c', log: eventsOf({ ...fair, airC: setC }) });
    const now = plan(with_(read));
    expect(now.figure('oven.setting').value).toBe(setC);
    expect((now.parts.clocked?.time.value ?? 0) / timeS).toBeCloseTo(1, 1);
    expect(wide(now, 'bake.time')).toBeLessThan(wide(line, 'bake.time'));
  });

  it('as Kitchen says it afterwards takes what was learned without it along', () => {
    const unread = closedWith(UNREAD, { id: 'run-d', log: eventsOf(quick) });
    const ovens = UNREAD.kitchen.ovens.map((one) => ({ ...one, offsetC: READ_K }));
    const said = { ...UNREAD, kitchen: withLearned({ ...UNREAD.kitchen, ovens }, [unread.run], AT) };
    expect(plan(said).figure('oven.setting').value).toBeLessThan(setC - 15);
    expect(oven(said)).toBeGreaterThan(oven(with_(unread)) + 0.02);
  });
});
