/**
 * What kitchens learn: simulated ones with hidden true values, batch after batch through the same plans, looks and squeezes
 * as a person's. Beside it two simpler ways. `npm run bench:learn [kitchens]`.
 */
import { FAMILY_FILES } from '../demo/families';
import { lookOf, nextLookAt } from '../core/bench';
import { clocksIn } from '../core/bench/clocksIn';
import type { ChoreDoes } from '../core/model/choreDoes';
import { learn, evidenceOf, TENTH, type Learned } from '../core/learn';
import { SEEING } from '../core/learn/learn.table';
import type { Evidence, RunDoc, RunFile } from '../core/model/documents';
import { planWhole, type LinePlan } from '../core/plan';
import { nextBinderG } from '../core/process/bind';
import { SEEN, trueBakeS } from '../core/rehearse/scenes';
import { chanceOf } from '../core/schedule/solver';
import { withLearned } from '../core/learn/beliefs';

const KITCHENS = Number(process.argv[2] ?? 200);
const BATCHES = 21;
const STAGES = [0, 1, 5, 20];
const SLIP = { chance: 0.03, off: 0.5 };
const DAY_MS = 86_400_000;

const base = FAMILY_FILES.pops as RunFile;
const FILE: RunFile = {
  ...base,
  run: { ...base.run, lines: base.run.lines.filter(({ id }) => id === 'pops-fresh') },
};
const WHAT = {
  'baking time': 'bake.factor',
  yield: 'bake.lossShare',
  binder: 'bind.factor',
  coat: 'coat.mm',
} as const;
type What = keyof typeof WHAT;
const WHATS = Object.keys(WHAT) as What[];

const only = (file: RunFile): LinePlan => {
  const [line] = planWhole(file).lines;
  if (!line?.planned) throw new Error('invariant: the pops can be planned');
  return line;
};

/** One prediction held against what came. */
interface Held {
  readonly what: What;
  readonly stage: number;
  /** Off from what came, and from what was true but for the batch's own noise, on the scale that it is learned on. */
  readonly off: Readonly<Record<'learned' | 'last' | 'mean', number>>;
  readonly ofTrue: Readonly<Record<'learned' | 'last' | 'mean', number>>;
  readonly noise: number;
  /** Whether it came between the 10th and the 90th percentile of what was learned, and of the plan's own figure. */
  readonly within: boolean;
  readonly inPlan: boolean;
}

function kitchen(seed: number): Held[] {
  const chance = chanceOf(seed);
  const start = only(FILE);
  const figure = (plan: LinePlan, param: string) => {
    const found = plan.figures.find(({ known }) => known?.param === param);
    if (!found) throw new Error(`invariant: pops rest on ${param}`);
    return found;
  };
  const of = (param: string) => {
    const { value, high, low } = figure(start, param);
    return { value, sd: (high - low) / 2 / TENTH };
  };
  const [oven, factor, bind, coat, loss] = [
    { sd: (start.figure('oven.offset').high - start.figure('oven.offset').value) / TENTH },
    of(WHAT['baking time']),
    of(WHAT.binder),
    of(WHAT.coat),
    of(WHAT.yield),
  ];
  const hidden = {
    ovenOffK: oven.sd * chance.normal(),
    bakeFactor: Math.exp(factor.sd * chance.normal()),
    thirst: Math.exp((bind.sd / bind.value) * chance.normal()),
    coat: Math.exp((coat.sd / coat.value) * chance.normal()),
    loss: loss.value + loss.sd * chance.normal(),
  };
  // What else the plan doubts of its time and a kitchen has always: its cake's doneness, its tin, and what steams off.
  const beside = besideOf(start).reduce(
    (sum, { ofTime, param }) =>
      sum + ofTime * (param === WHAT.yield ? (hidden.loss - loss.value) / loss.sd : chance.normal()),
    0,
  );
  const trueS = trueBakeS(start, { ...hidden, coatThick: 1, sticks: false, warmRoom: false, more: null });
  if (trueS === null) throw new Error('invariant: pops bake in an oven');
  const startS = start.parts.clocked?.time.value ?? 0;
  /** What is true of each, on the scale of its parameter. */
  const truth: Record<What, number> = {
    'baking time': Math.log(trueS / startS) + beside,
    yield: hidden.loss - loss.value,
    binder: Math.log(hidden.thirst),
    coat: Math.log(hidden.coat),
  };
  const evidence: Evidence[] = [];
  const out: Held[] = [];
  for (let batch = 0; batch < BATCHES; batch += 1) {
    const at = Date.UTC(2026, 0, 1) + batch * 5 * DAY_MS;
    const noise = (what: What) => {
      const slips = chance.next() < SLIP.chance;
      const { noise: sd, on } = SEEING[WHAT[what]] as (typeof SEEING)[string];
      const by = sd * chance.normal();
      return slips ? by + (on === 'log' ? SLIP.off : 0.08) * (chance.next() < 0.5 ? 1 : -1) : by;
    };
    const came = Object.fromEntries(WHATS.map((what) => [what, truth[what] + noise(what)])) as Record<
      What,
      number
    >;
    if (STAGES.includes(batch)) out.push(...held(batch, evidence, at, truth, came, start));
    evidence.push(...baked(evidence, at, came, loss.value));
  }
  return out;
}

/** Parameters of a kitchen, beside its oven's own, that move its time; each by so much of it for one standard deviation. */
function besideOf(plan: LinePlan): { readonly param: string; readonly ofTime: number }[] {
  const time = plan.parts.clocked?.time;
  if (!time) return [];
  const always = ['cake.done', 'tin.factor', WHAT.yield];
  return plan
    .movesOf(time.id)
    .map(({ key, up, down }) => ({
      param: key.split('@')[0] ?? '',
      ofTime: (up - down) / 2 / time.value / TENTH,
    }))
    .filter(({ param }) => always.includes(param));
}

/** Predictions by what was learned so far, by the last value, and by the plain mean of all. */
function held(
  stage: number,
  evidence: readonly Evidence[],
  at: number,
  truth: Readonly<Record<What, number>>,
  came: Readonly<Record<What, number>>,
  start: LinePlan,
): Held[] {
  const learned = learn(evidence, at);
  return WHATS.map((what) => {
    const param = WHAT[what];
    const { noise, on } = SEEING[param] as (typeof SEEING)[string];
    const seen = evidence.filter((one) => one.param === param);
    const scaled = (value: number, from: number) => (on === 'log' ? Math.log(value / from) : value - from);
    const points = seen.map((one) => {
      const value =
        one.low === null ? (one.high ?? 0) : one.high === null ? one.low : (one.low + one.high) / 2;
      return scaled(value, one.start.value);
    });
    const first = (one: Learned) => one.param === param && one.of === seen[0]?.of[0];
    const found = learned.find(first);
    const guess = {
      learned: found ? scaled(found.mean, found.start.value) : 0,
      last: points.at(-1) ?? 0,
      mean: points.length > 0 ? points.reduce((sum, one) => sum + one, 0) / points.length : 0,
    };
    const by = (from: number) => ({
      learned: Math.abs(guess.learned - from),
      last: Math.abs(guess.last - from),
      mean: Math.abs(guess.mean - from),
    });
    const spread = found
      ? on === 'log'
        ? found.spread / found.mean
        : found.spread
      : startSpread(start, what);
    const range = TENTH * Math.hypot(spread / TENTH, noise);
    return {
      what,
      stage,
      off: by(came[what]),
      ofTrue: by(truth[what]),
      noise: Math.abs(came[what] - truth[what]),
      within: Math.abs(guess.learned - came[what]) <= range,
      inPlan: inPlan(what, what === 'baking time' ? evidence : seen, at, came[what], start),
    };
  });
}

/** Whether the figure that a plan shows holds what came, in a kitchen that has learned of this alone. */
function inPlan(what: What, seen: readonly Evidence[], at: number, came: number, start: LinePlan): boolean {
  const closed = { at, made: 0, finish: 'gentle' as const, note: '', evidence: [...seen] };
  const plan = only({ ...FILE, kitchen: withLearned(FILE.kitchen, [{ closed }], at) });
  const figureOf = ({ parts }: LinePlan) => {
    const [bake] = parts.crumbBakes;
    const found = {
      'baking time': parts.clocked?.time,
      // Of as much batter, whatever is mixed.
      yield: bake?.crumb,
      binder: parts.dough?.need,
      coat: parts.coat?.each,
    }[what];
    if (!found) throw new Error(`invariant: pops have a ${what}`);
    return { ...found, of: what === 'yield' ? (bake?.bowl.own.value ?? 1) : 1 };
  };
  // Of as much batter in its sheets.
  const [bowl] = plan.parts.crumbBakes.map((bake) => bake.bowl.own);
  const asMuch =
    what === 'baking time' && bowl
      ? only({
          ...FILE,
          run: { ...FILE.run, lines: [{ ...plan.line, measured: { [bowl.id]: bowl.value } }] },
        })
      : start;
  const [shown, bare] = [figureOf(plan), figureOf(asMuch)];
  const loss = start.figures.find(({ known }) => known?.param === WHAT.yield)?.value ?? 0;
  const true_ =
    what === 'yield'
      ? ((bare.value / bare.of) * (1 - loss - came)) / (1 - loss)
      : (bare.value / bare.of) * Math.exp(came);
  return true_ >= shown.low / shown.of && true_ <= shown.high / shown.of;
}

/** How sure the starting belief is, on the scale that it is learned on; of the oven with what nobody has measured of its air. */
function startSpread(plan: LinePlan, what: What): number {
  const time = plan.parts.clocked?.time;
  const param = WHAT[what];
  const root = plan.figures.find(({ known }) => known?.param === param);
  if (!root || !time) return 0;
  const spread = (root.high - root.low) / 2;
  if (what === 'yield') return spread;
  if (what !== 'baking time') return spread / root.value;
  const moves = plan.movesOf(time.id).filter(({ key }) => /oven\.offset/.test(key));
  return moves.reduce(
    (sum, { up, down }) => Math.hypot(sum, (up - down) / 2 / time.value),
    spread / root.value,
  );
}

/** One batch at the bench, by the plan as the kitchen has it by now: its looks, squeezes and weights, and what they say. */
function baked(
  evidence: readonly Evidence[],
  at: number,
  came: Readonly<Record<What, number>>,
  lossStart: number,
): Evidence[] {
  const closed = { at, made: 0, finish: 'gentle' as const, note: '', evidence: [...evidence] };
  const now = { ...FILE, kitchen: withLearned(FILE.kitchen, [{ closed }], at) };
  const plan = only(now);
  const { clocked, dough, coat, crumbBakes } = plan.parts;
  if (!clocked || !dough || !coat) throw new Error('invariant: pops are baked, bound and coated');
  // What the crumb weighs, and then what it drinks.
  const [bake] = crumbBakes;
  if (!bake) throw new Error('invariant: the crumb is baked');
  const lost = lossStart + came.yield;
  const bare = only(FILE).parts.crumbBakes[0]?.crumb.value ?? 0;
  const crumbG =
    ((bare * (1 - lost)) / (1 - lossStart)) *
    (bake.bowl.own.value / (only(FILE).parts.crumbBakes[0]?.bowl.own.value ?? 1));
  const line = {
    ...plan.line,
    measured: { [bake.bowl.own.id]: bake.bowl.own.value, [bake.crumb.id]: crumbG },
  };
  const bound = only({ ...FILE, run: { ...FILE.run, lines: [line] } });
  // Looks by the app's own clock: wet, a few crumbs, clean.
  // More batter in its sheets takes longer, whatever was learned.
  const doneS = (bound.parts.clocked?.time.value ?? 0) * Math.exp(came['baking time']);
  const times = {
    firstLookS: clocked.firstLook.value,
    expectedS: clocked.time.value,
    latestS: clocked.time.high,
  };
  const load: NonNullable<RunDoc['log']> = [
    { id: 'c', at, what: 'load in', lineId: plan.line.id, load: 1, pieces: clocked.sizes[0] ?? 1, ...times },
  ];
  for (;;) {
    const [clock] = clocksIn({ log: [...load] });
    if (!clock || clock.endedAt !== null) break;
    const next = nextLookAt(clock);
    const share = (next - at) / 1000 / doneS;
    const saw = share >= SEEN.brown ? 'brown' : share >= 1 ? 'clean' : share > SEEN.wet ? 'crumbs' : 'wet';
    load.push({ id: `look${load.length}`, at: next, ...lookOf(clock, saw) });
  }
  const needG = (bound.parts.dough?.need.value ?? 0) * Math.exp(came.binder);
  const log: NonNullable<RunDoc['log']> = [];
  const tell = (
    event: { readonly to: string; readonly answer: string; readonly value?: number },
    does: ChoreDoes,
  ) =>
    log.push({
      ...event,
      id: `e${log.length}`,
      at: at + log.length,
      what: 'answered',
      chore: `${line.id}/${does}`,
      does,
      lineIds: [line.id],
    });
  const need = bound.parts.dough?.need.value ?? 0;
  let addedG = bound.parts.dough?.first.value ?? 0;
  while (addedG < needG && log.length < 200) {
    tell({ to: 'squeeze', answer: 'crumbles' }, 'bind');
    addedG += nextBinderG(addedG, need);
  }
  tell({ to: 'squeeze', answer: 'holds' }, 'bind');
  const bareCoat = only(FILE).parts.coat;
  if (!bareCoat) throw new Error('invariant: pops are coated');
  // Coat on a piece goes nearly with its thickness: by the model itself, with the hidden one put in its place.
  const thick = bareCoat.thickness.value * Math.exp(came.coat);
  const weighed = only({
    ...FILE,
    run: { ...FILE.run, lines: [{ ...plan.line, measured: { [bareCoat.thickness.id]: thick } }] },
  }).parts.coat?.taken.value;
  tell({ to: 'coat', answer: 'weighed', value: weighed ?? 0 }, 'dip');
  const run: RunDoc = { ...FILE.run, id: `run-${at}`, lines: [line], log: [...load, ...log] };
  return evidenceOf({ ...now, run }, at);
}

const median = (some: readonly number[]): number => [...some].sort((a, b) => a - b)[some.length >> 1] ?? NaN;

function main(): void {
  const all = Array.from({ length: KITCHENS }, (_, i) => kitchen(i + 1)).flat();
  const shown = (value: number) => (value * 100).toFixed(1).padStart(6);
  process.stdout.write(
    `${KITCHENS} kitchens; per cent (yield: points of a per cent), medians\n` +
      'what         batches  off true  of start  off came  /noise  in range  in plan | last: off true  mean: off true\n',
  );
  for (const what of WHATS)
    for (const stage of STAGES) {
      const some = all.filter((one) => one.what === what && one.stage === stage);
      const start = median(
        all.filter((one) => one.what === what && one.stage === 0).map(({ ofTrue }) => ofTrue.learned),
      );
      const offTrue = median(some.map(({ ofTrue }) => ofTrue.learned));
      const off = median(some.map((one) => one.off.learned));
      const noise = median(all.filter((one) => one.what === what).map((one) => one.noise));
      const within = some.filter((one) => one.within).length / some.length;
      process.stdout.write(
        `${what.padEnd(12)} ${String(stage).padStart(7)} ${shown(offTrue)}  ${(offTrue / start).toFixed(2).padStart(8)}  ${shown(off)}    ${(off / noise).toFixed(2).padStart(6)}  ${shown(within)}   ${shown(some.filter((one) => one.inPlan).length / some.length)}  | ${shown(median(some.map(({ ofTrue }) => ofTrue.last)))}          ${shown(median(some.map(({ ofTrue }) => ofTrue.mean)))}\n`,
      );
    }
}

/** Ovens that are another one after some bakes: how soon that is found out, and how often it is where nothing changed. */
function replaced(): void {
  const chance = chanceOf(4711);
  const { noise } = SEEING['bake.factor'] as (typeof SEEING)[string];
  const saw = (n: number, x: number): Evidence => {
    const value = Math.exp(x + noise * chance.normal());
    const at = Date.UTC(2026, 0, 1) + n * 5 * DAY_MS;
    return {
      id: `e${String(n).padStart(3, '0')}`,
      param: 'bake.factor',
      of: ['oven:a', 'kitchen'],
      at,
      lineId: 'line',
      low: value * 0.97,
      high: value * 1.03,
      start: { value: 1, spread: 0.15 },
      taken: 'yes',
    };
  };
  const changed = (all: readonly Evidence[]) =>
    learn(all, Date.UTC(2027, 0, 1)).some(({ of, changedAt }) => of === 'oven:a' && changedAt !== null);
  let [found, ovens, alarms] = [0, 0, 0];
  for (let i = 0; i < KITCHENS; i += 1) {
    const [first, second] = [0.117 * chance.normal(), 0.117 * chance.normal()];
    const before = Array.from({ length: 20 }, (_, n) => saw(n, first));
    if (changed(before)) alarms += 1;
    if (Math.abs(second - first) < 3 * noise) continue;
    ovens += 1;
    const after = [20, 21, 22].map((n) => saw(n, second));
    if (changed([...before, ...after]) && !changed(before)) found += 1;
  }
  process.stdout.write(
    `ovens replaced by one that differs by three times the noise or more: ${found} of ${ovens} found out within three bakes; ` +
      `${alarms} of ${KITCHENS} ovens that stayed were taken for another within twenty\n`,
  );
}

main();
replaced();
