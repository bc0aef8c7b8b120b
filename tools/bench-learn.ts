/**
 * What kitchens learn: simulated ones in which all that a plan doubts is hidden and drawn, two ovens, two tins and a sheet, four
 * batters, crumb that is bound and coated; batch after batch through the same plans, looks and squeezes as a person's. Beside
 * it two simpler ways. `npm run bench:learn [kitchens] [batches]`.
 */
import { FAMILY_FILES } from '../demo/families';
import { DEMO_FORMULAS } from '../demo';
import { lookOf, nextLookAt } from '../core/bench';
import { clocksIn } from '../core/bench/clocksIn';
import type { ChoreDoes } from '../core/model/choreDoes';
import { evidenceOf, learn, TENTH } from '../core/learn';
import { withLearned } from '../core/learn/beliefs';
import { SEEING } from '../core/learn/learn.table';
import { kindOf } from '../core/learn/mention';
import type { Belief, Evidence, KitchenDoc, Line, RunDoc, RunFile } from '../core/model/documents';
import { planWhole, type LinePlan } from '../core/plan';
import { nextBinderG } from '../core/process/bind';
import { SEEN } from '../core/rehearse/scenes';
import { chanceOf } from '../core/schedule/solver';

const KITCHENS = Number(process.argv[2] ?? 60);
const BATCHES = Number(process.argv[3] ?? 21);
const STAGES = [0, 1, 3, 5, 20, 40].filter((stage) => stage < BATCHES);
const SLIP = { chance: 1 / 30, off: 0.35 };
/** How outcomes are told: by looks, only that it is out, or not at all. */
const TOLD = { looks: 2 / 3, nothing: 0.1 } as const;
/** Who only tells that it is out comes late by so much, on average, as a share. */
const LATE = 0.03;
const DAY_MS = 86_400_000;
const T0 = Date.UTC(2026, 0, 1);

const EVENING = FAMILY_FILES.evening as RunFile;
const lineOf = (id: string): Line => {
  const found = EVENING.run.lines.find((line) => line.id === id);
  if (!found) throw new Error(`invariant: the evening has ${id}`);
  return found;
};
const BATTERS = ['formula-honey-thyme', 'formula-plum-rye', 'formula-beetroot-ginger', 'formula-pumpkin-oat'];

const WHATS = ['baking time', 'yield', 'binder', 'coat'] as const;
type What = (typeof WHATS)[number];
const NOISE: Readonly<Record<What, string>> = {
  'baking time': 'bake.factor',
  yield: 'bake.lossShare',
  binder: 'bind.factor',
  coat: 'coat.mm',
};

const planOf = (kitchen: KitchenDoc, line: Line): LinePlan => {
  const run = { ...EVENING.run, lines: [line] };
  const [plan] = planWhole({ ...EVENING, formulas: [...DEMO_FORMULAS], kitchen, run }).lines;
  if (!plan?.planned) throw new Error(plan?.fault.fault ?? 'invariant: the line can be planned');
  return plan;
};
const FRESH: KitchenDoc = { ...EVENING.kitchen, beliefs: [] };

/** What a plan shows of each thing that is foretold. */
function figuresOf({ parts }: LinePlan): Partial<Record<What, { value: number; low: number; high: number }>> {
  const [bake] = parts.crumbBakes;
  return {
    ...(parts.clocked ? { 'baking time': parts.clocked.time } : {}),
    ...(bake ? { yield: bake.crumb } : {}),
    ...(parts.dough ? { binder: parts.dough.need } : {}),
    ...(parts.coat ? { coat: parts.coat.each } : {}),
  };
}

type Chance = ReturnType<typeof chanceOf>;

/** A kitchen's hidden truth: every parameter that can be learned, drawn the first time that a plan rests on it. */
class Truth {
  private readonly known = new Map<string, { readonly off: number; readonly belief: Belief | null }>();
  constructor(private readonly chance: Chance) {}

  private offOf(key: string, sd: number): number {
    const found = this.known.get(key);
    if (found) return found.off;
    const off = sd * this.chance.normal();
    this.known.set(key, { off, belief: null });
    return off;
  }

  /** The line as it really goes: with what was decided, and the hidden values behind all else. */
  plan(planned: LinePlan, line: Line): LinePlan {
    const beliefs = new Map<string, Belief>();
    let airK = 0;
    for (const { known, expected, value, low, high } of planned.figures) {
      const seeing = known && SEEING[known.param];
      if (!seeing) continue;
      const start = expected ?? { value, low, high };
      const spread = (start.high - start.low) / 2;
      if (spread <= 0) continue;
      const sd = (seeing.on === 'log' ? spread / start.value : spread) / TENTH;
      const [of, kind] = [known.of[0] ?? 'kitchen', kindOf({ of: [...known.of] })];
      const share = of === kind ? 0 : 0.6;
      const off =
        this.offOf(`${known.param}@kind ${kind}`, sd * Math.sqrt(1 - share)) +
        (share > 0 ? this.offOf(`${known.param}@${of}`, sd * Math.sqrt(share)) : 0);
      const mean = seeing.on === 'log' ? start.value * Math.exp(off) : Math.max(1e-3, start.value + off);
      const true_ = known.param === 'oven.offset' ? start.value + off : mean;
      if (known.param === 'oven.offset') airK = true_;
      beliefs.set(`${known.param}@${of}`, {
        param: known.param,
        of,
        mean: true_,
        spread: 0,
        seen: 1,
        since: null,
      });
    }
    // The dial stands where the plan had it set, whatever the air.
    const setC = planned.has('oven.setting') ? planned.figure('oven.setting').value : null;
    const ovenOf = line.family === 'pop' ? line.crumb[0] : line;
    const fan =
      FRESH.ovens.find((one) => ovenOf && 'ovenId' in ovenOf && one.id === ovenOf.ovenId)?.fan === true
        ? 20
        : 0;
    const wantedC = setC === null ? null : setC + airK + fan;
    const measured: Record<string, number> = { ...line.measured };
    for (const { bowl } of planned.parts.crumbBakes) measured[bowl.own.id] ??= bowl.own.value;
    const portion = planned.parts.portion?.value;
    const as: Line =
      line.family === 'pop'
        ? {
            ...line,
            measured,
            crumb: line.crumb.map((part) => (part.from === 'bake' ? { ...part, ovenC: wantedC } : part)),
          }
        : line.family === 'cupcake' && portion !== undefined
          ? { ...line, ovenC: wantedC, fill: { by: 'mass', massG: portion } }
          : line;
    return planOf({ ...FRESH, beliefs: [...beliefs.values()] }, as);
  }
}

/** One prediction held against what came, on logarithms. */
interface Held {
  readonly kitchen: number;
  readonly what: What;
  readonly stage: number;
  readonly off: number;
  readonly offTrue: number;
  readonly fresh: number;
  readonly last: number | null;
  readonly mean: number | null;
  readonly inPlan: boolean;
  readonly newFormula: boolean;
}

/** The nth batch: cupcakes of one of three batters in one of two ovens, or pops of a fourth. */
function batchLine(n: number, chance: Chance): Line {
  const cakes = lineOf('cupcakes-plain');
  const pops = lineOf('pops-fresh');
  if (n % 2 === 0 && pops.family === 'pop') return { ...pops, id: 'line', lots: [], measured: {}, count: 30 };
  if (cakes.family !== 'cupcake') throw new Error('invariant: cupcakes are cupcakes');
  const formulaId = BATTERS[Math.floor(chance.next() * 3)] ?? '';
  const ovenId = chance.next() < 0.75 ? cakes.ovenId : 'oven-fan';
  return { ...cakes, id: 'line', lots: [], measured: {}, count: 12, formulaId, ovenId };
}

function kitchen(seed: number): Held[] {
  const chance = chanceOf(seed);
  const truth = new Truth(chance);
  const runs: Pick<RunDoc, 'closed'>[] = [];
  const out: Held[] = [];
  const baked = new Map<string, number>();
  const points: Record<What, number[]> = { 'baking time': [], yield: [], binder: [], coat: [] };
  const done = { 'baking time': 0, yield: 0, binder: 0, coat: 0 };
  for (let batch = 0; batch < BATCHES; batch += 1) {
    const at = T0 + batch * 5 * DAY_MS;
    const line = batchLine(batch, chance);
    const known = withLearned(FRESH, runs, at);
    const planned = planOf(known, line);
    const real = truth.plan(planned, line);
    const [foretold, came] = [figuresOf(planned), figuresOf(real)];
    const bare = figuresOf(truthless(planned, line));
    const noise = (what: What) => {
      const { noise: sd, on } = SEEING[NOISE[what]] as (typeof SEEING)[string];
      const by = (on === 'log' ? sd : -sd / 0.9) * chance.normal();
      return chance.next() < SLIP.chance ? by + SLIP.off * (chance.next() < 0.5 ? 1 : -1) : by;
    };
    const fair: Partial<Record<What, number>> = {};
    const seen: Partial<Record<What, number>> = {};
    for (const what of WHATS) {
      const value = came[what]?.value;
      if (value === undefined) continue;
      fair[what] = value;
      seen[what] = value * Math.exp(noise(what));
    }
    const of = line.family === 'cupcake' ? line.formulaId : 'pops';
    for (const what of WHATS) {
      const [told, is, true_, start] = [foretold[what], seen[what], fair[what], bare[what]];
      if (!told || is === undefined || true_ === undefined || !start) continue;
      const stage = STAGES.indexOf(what === 'baking time' ? batch : done[what]);
      const past = points[what];
      const guess = (by: number) => Math.abs(Math.log(true_ / start.value) - by);
      if (stage >= 0)
        out.push({
          kitchen: seed,
          what,
          stage: STAGES[stage] ?? 0,
          off: Math.abs(Math.log(is / told.value)),
          offTrue: Math.abs(Math.log(true_ / told.value)),
          fresh: guess(0),
          last: past.length > 0 ? guess(past.at(-1) ?? 0) : null,
          mean: past.length > 0 ? guess(past.reduce((sum, one) => sum + one, 0) / past.length) : null,
          inPlan: is >= told.low && is <= told.high,
          newFormula: (baked.get(of) ?? 0) === 0,
        });
      past.push(Math.log(is / start.value));
      done[what] += 1;
    }
    baked.set(of, (baked.get(of) ?? 0) + 1);
    const evidence = told(known, line, planned, seen, at, chance);
    if (evidence.length > 0) runs.push({ closed: { at, made: 0, finish: 'gentle', note: '', evidence } });
  }
  return out;
}

/** The same with nothing learned, of as much batter. */
function truthless(planned: LinePlan, line: Line): LinePlan {
  const portion = planned.parts.portion?.value;
  const measured: Record<string, number> = {};
  for (const { bowl } of planned.parts.crumbBakes) measured[bowl.own.id] = bowl.own.value;
  return planOf(
    FRESH,
    line.family === 'cupcake' && portion !== undefined
      ? { ...line, fill: { by: 'mass', massG: portion } }
      : { ...line, measured },
  );
}

/** One batch at the bench: its looks, squeezes and weights, and what they say. */
function told(
  known: KitchenDoc,
  line: Line,
  planned: LinePlan,
  seen: Partial<Record<What, number>>,
  at: number,
  chance: Chance,
): Evidence[] {
  const how = chance.next();
  if (how < TOLD.nothing) return [];
  const { clocked, coat } = planned.parts;
  const log: NonNullable<RunDoc['log']> = [];
  if (clocked && seen['baking time'] !== undefined) {
    const doneS = seen['baking time'];
    const times = {
      firstLookS: clocked.firstLook.value,
      expectedS: clocked.time.value,
      latestS: clocked.time.high,
    };
    log.push({
      id: 'c',
      at,
      what: 'load in',
      lineId: line.id,
      load: 1,
      pieces: clocked.sizes[0] ?? 1,
      ...times,
    });
    if (how > TOLD.nothing + TOLD.looks) {
      const [clock] = clocksIn({ log: [...log] });
      const outS = doneS * (1 + LATE * Math.abs(chance.normal()) * 1.25);
      if (clock) log.push({ id: 'out', at: at + outS * 1000, ...lookOf(clock, 'clean') });
    } else
      for (;;) {
        const [clock] = clocksIn({ log: [...log] });
        if (!clock || clock.endedAt !== null) break;
        const next = nextLookAt(clock);
        const share = (next - at) / 1000 / doneS;
        const saw =
          share >= SEEN.brown ? 'brown' : share >= 1 ? 'clean' : share > SEEN.wet ? 'crumbs' : 'wet';
        log.push({ id: `look${log.length}`, at: next, ...lookOf(clock, saw) });
      }
  }
  const measured: Record<string, number> = {};
  const [bake] = planned.parts.crumbBakes;
  if (bake && seen.yield !== undefined) {
    measured[bake.bowl.own.id] = bake.bowl.own.value;
    // No more crumb than there was batter, whatever the scale said.
    measured[bake.crumb.id] = Math.min(seen.yield, bake.bowl.own.value * 0.93);
  }
  const weighed = { ...line, measured };
  const { dough } = bake ? planOf(known, weighed).parts : planned.parts;
  const answer = (
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
  if (dough && seen.binder !== undefined && planned.parts.dough && seen.yield !== undefined && bake) {
    // What the crumb drinks goes by how much of it there is.
    const needG = (seen.binder * seen.yield) / bake.crumb.value;
    let addedG = dough.first.value;
    for (let spoons = 0; addedG < needG && spoons < 200; spoons += 1) {
      answer({ to: 'squeeze', answer: 'crumbles' }, 'bind');
      addedG += nextBinderG(addedG, dough.need.value);
    }
    answer({ to: 'squeeze', answer: 'holds' }, 'bind');
  }
  if (coat && seen.coat !== undefined) {
    const anchorG = coat.taken.value - coat.each.value;
    answer({ to: 'coat', answer: 'weighed', value: seen.coat + anchorG }, 'dip');
  }
  const run: RunDoc = { ...EVENING.run, id: `run-${at}`, lines: [weighed], log };
  return evidenceOf({ run, formulas: [...DEMO_FORMULAS], kitchen: known }, at);
}

const median = (some: readonly number[]): number => [...some].sort((a, b) => a - b)[some.length >> 1] ?? NaN;
const shown = (value: number, n = 6) => (value * 100).toFixed(1).padStart(n);

function main(): void {
  const all = Array.from({ length: KITCHENS }, (_, i) => kitchen(i + 1)).flat();
  process.stdout.write(
    `${KITCHENS} kitchens; medians, per cent\n` +
      'what         batches  off true  of fresh  off came  in plan | last: off true  mean: off true\n',
  );
  for (const what of WHATS)
    for (const stage of STAGES) {
      const some = all.filter((one) => one.what === what && one.stage === stage);
      if (some.length === 0) continue;
      const of = (pick: (one: Held) => number | null) =>
        median(some.map(pick).filter((one): one is number => one !== null));
      process.stdout.write(
        `${what.padEnd(12)} ${String(stage).padStart(7)} ${shown(of((one) => one.offTrue))}  ${(of((one) => one.offTrue) / of((one) => one.fresh)).toFixed(2).padStart(8)}  ${shown(of((one) => one.off))}   ${shown(some.filter((one) => one.inPlan).length / some.length)}  | ${shown(of((one) => one.last))}          ${shown(of((one) => one.mean))}\n`,
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
  for (let i = 0; i < 1000; i += 1) {
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
      `${alarms} of 1000 ovens that stayed were taken for another within twenty\n`,
  );
}

main();
replaced();
