import { FAMILY_FILES } from '../../demo/families';
import type { BakeClock } from '../bench/clocksIn';
import { eventsOf, recordLook, startClock } from '../bench/test-utils/loads';
import { bakedAfterwards } from '../bench/afterwards';
import { placeWords, placesOf, timesAt } from '../bench/places';
import { runSchema } from '../model/documents';
import type { BenchEvent, KitchenDoc, LookSaw, Place, RunFile } from '../model/documents';
import type { Evidence } from '../model/evidence';
import { planWhole, type LinePlan } from '../plan';
import { workOf } from '../schedule/chores';
import { withLearned } from './beliefs';
import { evidenceOf } from './fromRun';
import { learn } from './learner';
import { lessonsOf } from './lessons';

const EVENING = FAMILY_FILES.evening as RunFile;
const AT = Date.UTC(2026, 10, 28, 16);
const T0 = AT - 6 * 3_600_000;
const only = (id: string, over: object = {}, kitchen: Partial<KitchenDoc> = {}): RunFile => ({
  ...EVENING,
  kitchen: { ...EVENING.kitchen, ...kitchen },
  run: {
    ...EVENING.run,
    lines: EVENING.run.lines.filter((line) => line.id === id).map((line) => ({ ...line, ...over })),
  },
});
const POPS = only('pops-fresh');
const CAKES = only('cupcakes-plain');
const plan = (file: RunFile): LinePlan => {
  const [line] = planWhole(file).lines;
  if (!line?.planned) throw new Error(line?.fault.fault ?? 'no line');
  return line;
};
const choresOf = (file: RunFile) => workOf(planWhole(file), file.kitchen);

type Told = { readonly [K in BenchEvent as K['what']]: Omit<K, 'id' | 'at'> }[BenchEvent['what']];
const logOf = (...told: readonly (readonly [minute: number, event: Told])[]): BenchEvent[] =>
  told.map(([minute, event], i) => ({ ...event, id: `e${i}`, at: T0 + minute * 60_000 }) as BenchEvent);
const taught = (file: RunFile, over: Partial<RunFile['run']>): Evidence[] =>
  evidenceOf({ ...file, run: { ...file.run, ...over } }, AT);
const of = (all: readonly Evidence[], param: string): Evidence[] => all.filter((one) => one.param === param);
/** The file as it is planned next. */
const next = (file: RunFile, evidence: readonly Evidence[], times = 1): RunFile => {
  const closed = (i: number) => ({
    at: AT,
    made: 1,
    finish: 'gentle' as const,
    note: '',
    evidence: evidence.map((one) => ({ ...one, id: `${i}-${one.id}`.slice(0, 100), at: AT + i })),
  });
  const runs = Array.from({ length: times }, (_, i) => ({ closed: closed(i) }));
  return { ...file, kitchen: withLearned(file.kitchen, runs, AT) };
};

describe('a wait for something to set', () => {
  const wait = choresOf(POPS).find(({ does }) => does === 'firm');
  if (!wait) throw new Error('pops firm up');
  const minutes = wait.takes.lengthS / 60;
  const clock = { label: 'Firm', of: '', expectedS: minutes * 60, latestS: minutes * 80 };
  const begun = [0, { what: 'begun', chore: wait.id, clock }] as const;
  const done = (at: number) => [at, { what: 'done', chore: wait.id }] as const;

  it('lay between the look that said "not yet" and the one that said it was', () => {
    const log = logOf(begun, [minutes, { what: 'not yet', chore: wait.id, moreS: 300 }], done(minutes + 5));
    const [one] = of(taught(POPS, { log }), 'set.usual');
    expect(one?.of[0]).toMatch(/^stage:/);
    // A ball of this weight takes other than the usual one: told for the usual one, in the same proportion.
    expect((one?.high ?? 0) / (one?.low ?? 1)).toBeCloseTo((minutes + 5) / minutes, 6);
    const after = plan(next(POPS, [one as Evidence], 4));
    expect(after.figure('set.firm').value).toBeGreaterThan(plan(POPS).figure('set.firm').value * 1.05);
  });

  it('that was tapped away as its clock rang says little, and sooner than that says it is quicker', () => {
    const high = (at: number) => of(taught(POPS, { log: logOf(begun, done(at)) }), 'set.usual')[0];
    const [rang, soon] = [high(minutes), high(minutes * 0.6)];
    expect(rang?.low).toBeNull();
    expect((rang?.high ?? 0) / (soon?.high ?? 1)).toBeCloseTo(1.15 / 0.6, 6);
    const usual = plan(POPS).figure('set.firm').value;
    const after = (one: Evidence | undefined) => plan(next(POPS, [one as Evidence])).figure('set.firm').value;
    expect(after(rang)).toBeGreaterThan(usual * 0.93);
    expect(after(soon)).toBeLessThan(usual * 0.9);
  });

  it('of one stage is nothing that another stage is planned by', () => {
    const log = logOf(begun, [minutes, { what: 'not yet', chore: wait.id, moreS: 300 }], done(minutes + 5));
    const kitchen = next(POPS, of(taught(POPS, { log }), 'set.usual')).kitchen;
    const two = (id: string) =>
      [POPS, { ...POPS, kitchen }].map((file) => plan(file).figure(`${id}.usual`).value);
    const [before, after] = two('set.anchor');
    expect(after).toBe(before);
  });
});

describe('hands from tap to tap', () => {
  const hands = choresOf(POPS).filter(
    ({ kind, does }) => kind === 'hands' && ['crumble', 'bind', 'roll'].includes(does),
  );
  /** All steps of a stage, each so many times its usual length after the one before. */
  const told = (pace: number, pause = 0): BenchEvent[] => {
    let at = 0;
    const events: (readonly [number, Told])[] = [[0, { what: 'done', chore: 'weigh-out' }]];
    for (const { id, takes } of hands) {
      at += (takes.lengthS / 60) * pace + pause;
      events.push([at, { what: 'done', chore: id }]);
    }
    return logOf(...events);
  };

  it('say the pace of their stage, and the next day is planned by it', () => {
    const [one] = of(taught(POPS, { log: told(1.3) }), 'work.pace');
    expect(one).toMatchObject({ of: ['step:dough', 'kitchen'] });
    expect(one?.low).toBeCloseTo(1.3, 6);
    const file = next(POPS, [one as Evidence], 6);
    const lengths = (of: RunFile) =>
      choresOf(of)
        .filter(({ does, kind }) => kind === 'hands' && ['crumble', 'bind', 'roll'].includes(does))
        .reduce((sum, { takes }) => sum + takes.lengthS, 0);
    const slower = lengths(file) / lengths(POPS);
    expect(slower).toBeGreaterThan(1.15);
    expect(slower).toBeLessThan(1.3);
    expect(choresOf(file).find(({ does }) => does === 'roll')?.takes.basis).toMatch(
      /% longer than usual, by 6/,
    );
  });

  it('leave out who went away, and what was tapped off afterwards', () => {
    expect(of(taught(POPS, { log: told(1, 240) }), 'work.pace')).toEqual([]);
    const atOnce = hands.map(({ id }, i) => [i * 0.01, { what: 'done', chore: id }] as const);
    expect(of(taught(POPS, { log: logOf(...atOnce) }), 'work.pace')).toEqual([]);
  });
});

describe('pieces on the scale', () => {
  const roll = { chore: 'any name', does: 'roll' as const, lineIds: ['pops-fresh'] };
  const weighed = (bowlG: number | null, ...some: readonly number[]) =>
    logOf(
      ...(bowlG === null ? [] : [[0, { what: 'weighed', ...roll, of: 'bowl', massG: bowlG }] as const]),
      ...some.map((massG, i) => [i + 1, { what: 'weighed', ...roll, of: 'portion', massG }] as const),
    );

  it('say what a scoop gives here, and what that costs in pieces', () => {
    const scooped = only('pops-fresh', { size: { by: 'scoop', number: 40 } });
    const said = plan(scooped).figure('portion.mass').value;
    const log = weighed(null, said * 1.12, said * 1.1, said * 1.14, said * 1.12);
    const [one] = of(taught(scooped, { log }), 'scoop.fill');
    expect(one?.of[0]).toBe('scoop:40');
    expect(one?.low).toBeCloseTo(1.12, 1);
    const run = {
      ...scooped.run,
      log,
      closed: { at: AT, made: 9, finish: 'gentle' as const, note: '', evidence: [one as Evidence] },
    };
    const [lesson] = lessonsOf({ ...scooped, run }, [run], AT);
    expect(lesson?.words[0]).toMatch(/^Scoop 40 gives \{\d+ g\} here, not \{\d+ g\}\.$/);
    expect(lesson?.words[1]).toMatch(/pieces? fewer\.$/);
    expect(plan(next(scooped, [one as Evidence], 3)).figure('portion.mass').value).toBeGreaterThan(said);
  });

  it('say how even they are: by hand, 20 ± 1 in turns is a scatter of 1.28 × 1.095 ÷ 20', () => {
    // Six pieces, three a gram over and three a gram under: the deviation is √(6 ÷ 5) = 1.095.
    const [one] = of(taught(POPS, { log: weighed(null, 21, 19, 21, 19, 21, 19) }), 'portion.scatter');
    expect(one?.low).toBeCloseTo((1.2816 * 1.0954) / 20, 4);
    expect(of(taught(POPS, { log: weighed(null, 21, 19, 21) }), 'portion.scatter')).toEqual([]);
  });

  it('and the bowl that they came of, what stays on the hands', () => {
    const { dough, count } = plan(POPS).parts;
    const each = dough?.portion.value ?? 0;
    const n = Math.round(count.made.value);
    const total = n * each;
    const log = weighed(total + each * 0.8, ...Array.from({ length: n }, () => each));
    const [one] = of(taught(POPS, { log }), 'hand.lossShare');
    expect(one?.high).toBeCloseTo((each * 0.8) / (total + each * 0.8), 6);
    expect(one?.low).toBeCloseTo((each * 0.3) / (total + each * 0.8), 6);
    // Two pieces' worth that is left was left for something else.
    const more = weighed(total + each * 2, ...Array.from({ length: n }, () => each));
    expect(of(taught(POPS, { log: more }), 'hand.lossShare')).toEqual([]);
  });
});

describe('how pieces ended in their wells', () => {
  const closed = (finish: 'sunk' | 'flat' | 'gentle' | 'high' | 'over') => ({
    at: AT,
    made: 12,
    finish,
    note: '',
    finishTold: true,
  });
  const density = (finish: Parameters<typeof closed>[0], file = CAKES) =>
    of(taught(file, { closed: closed(finish) }), 'cake.density')[0];

  it('says how much the batter rises: high-domed where a gentle dome was planned is a lighter crumb', () => {
    const start = plan(CAKES).figure('cake.density').value;
    const share = plan(CAKES).figure('finish.share').value;
    const one = density('high');
    // By hand: as high as 1.14 to 1.3 of the well, where the plan had `share`.
    expect(one?.high).toBeCloseTo((start * share) / 1.14, 3);
    expect(one?.low).toBeCloseTo((start * share) / 1.3, 3);
    expect(density('sunk')).toBeUndefined();
    // Left as the plan had it, nobody said so.
    const left = { ...closed('high'), finishTold: false };
    expect(of(taught(CAKES, { closed: left }), 'cake.density')).toEqual([]);
    const after = plan(next(CAKES, [one as Evidence], 3));
    expect(after.figure('cake.density').value).toBeLessThan(start);
  });

  it('goes by what really went in: no lesson feeds on itself', () => {
    const first = density('high') as Evidence;
    const after = next(CAKES, [first], 3);
    const [before, less] = [CAKES, after].map((file) => plan(file).figure('portion.mass').value);
    expect(less).toBeLessThan(before ?? 0);
    // As gently domed as planned, of less batter: it rises more than it began.
    const gentle = density('gentle', after);
    const mid = ((gentle?.low ?? 0) + (gentle?.high ?? 0)) / 2;
    expect(mid).toBeLessThan(((density('gentle')?.low ?? 0) + (density('gentle')?.high ?? 0)) / 2);
  });
});

describe('two tins of one load', () => {
  const oven = EVENING.kitchen.ovens.find(
    ({ id }) => id === ('ovenId' in CAKES.run.lines[0]! ? CAKES.run.lines[0].ovenId : ''),
  );
  if (!oven) throw new Error('the cupcakes have an oven');
  const two = { ...oven, racks: 2, tinsPerRack: 1 };
  const file = only(
    'cupcakes-plain',
    {},
    {
      ovens: EVENING.kitchen.ovens.map((one) => (one.id === oven.id ? two : one)),
    },
  );
  const load = (place: Place, ...looks: readonly (readonly [number, LookSaw])[]): BakeClock =>
    looks.reduce<BakeClock>((clock, [minute, saw]) => recordLook(clock, saw, T0 + minute * 60_000), {
      ...startClock(
        placeWords([place]).replace(' ', '-'),
        'cupcakes-plain',
        1,
        12,
        { firstLookS: 1100, expectedS: 1300, latestS: 1600 },
        T0,
      ),
      places: [place],
    });

  const [upper, lower] = placesOf({ racks: 2, tinsPerRack: 1 }) as [Place, Place];

  it('say by how much the top is ahead of the bottom; the next clocks go by it', () => {
    const clocks = [load(upper, [17, 'crumbs'], [19, 'clean']), load(lower, [19, 'crumbs'], [22, 'clean'])];
    const [one] = of(taught(file, { log: eventsOf(...clocks) }), 'oven.racks');
    // Done between 17 and 19 min above, between 19 and 22 below.
    expect(one?.low).toBeCloseTo(17 / 22, 6);
    expect(one?.high).toBeCloseTo(19 / 19, 6);
    const { kitchen } = next(file, [one as Evidence], 4);
    const times = { firstLookS: 1000, expectedS: 1200, latestS: 1500 };
    const [above, below] = [upper, lower].map((to) => timesAt(times, [], [to], two, kitchen).expectedS);
    expect(above).toBeLessThan(1180);
    expect(below).toBeGreaterThan(1220);
    // Carried from the top to the bottom it has the bottom's times, and back again its own.
    const moved = timesAt({ ...times, expectedS: above ?? 0 }, [upper], [lower], two, kitchen);
    expect(moved.expectedS).toBeCloseTo(below ?? 0, 9);
    expect(timesAt(times, [], [upper, lower], two, kitchen)).toEqual(times);
  });

  it('one after the other say nothing of it', () => {
    const later = load(lower, [19, 'crumbs'], [22, 'clean']);
    const clocks = [load(upper, [19, 'clean']), { ...later, startedAt: T0 + 600_000 }];
    expect(of(taught(file, { log: eventsOf(...clocks) }), 'oven.racks')).toEqual([]);
  });
});

describe('frosting that was weighed', () => {
  it('is learned by kind and style', () => {
    const frosted = EVENING.run.lines.find((line) => 'frosting' in line && line.frosting !== null);
    if (!frosted) throw new Error('something is frosted');
    const file = only(frosted.id);
    const usual = plan(file).figure('frosting.each').value;
    const weighed = only(frosted.id, { measured: { ...frosted.measured, 'frosting.each': usual * 1.3 } });
    const [one] = of(taught(weighed, {}), 'frosting.style');
    expect(one?.of).toHaveLength(3);
    expect((one?.low ?? 0) / (one?.start.value ?? 1)).toBeCloseTo(1.3, 2);
    expect(learn([one as Evidence], AT)[0]?.mean).toBeGreaterThan(one?.start.value ?? 0);
  });
});

describe('a batch that was baked without the app', () => {
  it('teaches by how high it ended and what a piece took of its frosting, where somebody remembers', () => {
    const frosted = only('cupcakes-frosted');
    const one = plan(frosted);
    const each = one.figure('frosting.each').value;
    const told = { lineId: one.line.id, bakedS: null, inside: null, binderG: null, coatG: null };
    let n = 0;
    const baked = (over: object) =>
      bakedAfterwards(frosted.run, [one], [{ ...told, ...over }], AT, () => `id-${(n += 1)}`);
    const learned = (over: object) => taught(frosted, baked(over)).map(({ param }) => param);
    expect(learned({})).toEqual([]);
    expect(learned({ finish: 'high', made: 20 })).toEqual(['cake.density']);
    expect(learned({ frostingG: each * 1.2 })).toEqual(['frosting.style']);
    expect(runSchema.safeParse(baked({ finish: 'high', made: 20, frostingG: 9 })).success).toBe(true);
  });
});
