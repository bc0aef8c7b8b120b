import { lookOf, nextLookAt } from '../bench/clock';
import { clocksIn } from '../bench/clocksIn';
import { localOf, minutesOf } from '../model/localTime';
import type { ChoreDoes } from '../model/choreDoes';
import type { BenchEvent, Line, RunDoc, RunFile } from '../model/documents';
import { BOWL, PORTION } from '../bench/portioningOf';
import { planWhole, type FinishKind, type LinePlan, type RunPlan } from '../plan';
import { finishOf } from '../plan/finish';
import { nextBinderG } from '../process/bind';
import { withoutLearned } from '../learn/beliefs';
import { SEEING } from '../learn/learn.table';
import { Beliefs, KITCHEN, PARAMS, scopeOf } from '../param';
import { stageOf } from '../process/stages';
import { asStep } from '../schedule/chores/chore';
import { dayOfFile, type Timed } from '../schedule/chores';
import { toEnd, type Chance } from '../schedule/solver';
import type { Hidden } from './hidden';
import { SEEN, trueBakeS } from './scenes';

/** How one pair of hands works, that nobody has written down. */
export interface Hands {
  /** Time that a step takes against what the day has for it, as a factor. */
  readonly pace: number;
  /** Pieces as they are portioned, as a standard deviation of the logarithm, and how much heavier the last is than the first. */
  readonly scatter: number;
  readonly drift: number;
  /** Of a hundred pieces, so many are spoilt or eaten. */
  readonly spoilt: number;
}

/** What else is true of a kitchen, beside what rehearsals have. */
export interface Unwritten {
  /** What baking loses beyond what is reckoned, as a share of the batter. */
  readonly loss: number;
  /** How long things take to set, and how high cake rises, against what is reckoned. */
  readonly sets: number;
  readonly rises: number;
}

/** How pieces that bake in wells end in such a kitchen; gently domed where none do. */
export function endedHow(file: Pick<RunFile, 'run' | 'formulas' | 'kitchen'>, rises: number): FinishKind {
  const share = (of: typeof file) => {
    const plan = planWhole(of).lines.find((one) => one.planned && one.parts.finish !== null);
    return plan?.planned
      ? { finish: plan.figure('finish.share').value, portion: plan.parts.portion?.value ?? 1 }
      : null;
  };
  const [given, started] = [share(file), share({ ...file, kitchen: withoutLearned(file.kitchen) })];
  return given && started
    ? finishOf((started.finish * given.portion * rises) / started.portion).kind
    : 'gentle';
}

/** A batch of which something was not as it should be. */
export interface Mishap {
  /** The oven's door stood open: a load takes so much longer. */
  readonly bakes?: number;
}

/**
 * A run as it comes out of the simulated kitchen: baked by its own plan, looked at when its clocks say so, squeezed, weighed
 * and coated, with the kitchen's hidden true values behind every answer. It is not closed.
 * @param hidden what is true of the kitchen
 */
export function bakedRun(
  file: RunFile,
  hidden: Hidden & Unwritten,
  hands: Hands,
  chance: Chance,
  mishap: Mishap = {},
): RunDoc {
  const { run } = file;
  const log: BenchEvent[] = [];
  const day = toEnd(dayOfFile(file, 4, 60));
  if (!day) throw new Error('invariant: a run that is baked has a day');
  const { timeOf, tell } = diary(log, run.readyAt);
  const noise = (param: string) => (SEEING[param]?.noise ?? 0) * chance.normal();
  const lines = run.lines.map((line): Line => {
    const measured = { ...line.measured };
    const planned = (kitchen = file.kitchen): LinePlan => {
      const whole = planWhole({ ...file, kitchen, run: { ...run, lines: [{ ...line, measured }] } });
      const [plan] = whole.lines;
      if (!plan?.planned) throw new Error('invariant: a run that is baked can be planned');
      return plan;
    };
    const plan = planned();
    // What is true does not move with what was learned of it.
    const started = () => planned(withoutLearned(file.kitchen));
    const mine = day.chores.filter(({ chore }) => chore.lineIds.includes(line.id));
    const atOf = (does: ChoreDoes) => {
      const found = mine.find(({ chore }) => chore.does === does);
      return found ? { step: asStep(found.chore), at: timeOf(found.endAt) } : null;
    };
    log.push(
      ...bakedLoads(
        plan,
        trueBakeS(started(), hidden),
        noise,
        mishap,
        mine
          .filter(({ chore }) => (['load', 'bake', 'group'] as readonly ChoreDoes[]).includes(chore.does))
          .map(({ startAt }) => timeOf(startAt)),
      ),
    );
    const [bake] = plan.parts.crumbBakes;
    if (bake) {
      const lost = hidden.loss + noise('bake.lossShare');
      measured[bake.bowl.own.id] = Math.round(bake.bowl.own.value);
      const [fresh] = started().parts.crumbBakes;
      const kept = fresh ? fresh.crumb.value / fresh.bowl.own.value : 0;
      measured[bake.crumb.id] = Math.round(bake.bowl.own.value * (kept - lost));
    }
    const bowl = planned();
    const { dough } = bowl.parts;
    const bound = atOf('bind');
    if (dough && bound) {
      const needG = (started().parts.dough?.need.value ?? 0) * hidden.thirst * Math.exp(noise('bind.factor'));
      let addedG = dough.first.value;
      let at = bound.at - 600_000;
      for (let spoons = 0; addedG < needG && spoons < 40; spoons += 1) {
        tell(at, { what: 'answered', ...bound.step, to: 'squeeze', answer: 'crumbles' });
        addedG += nextBinderG(addedG, dough.need.value);
        at += 45_000;
      }
      tell(at, { what: 'answered', ...bound.step, to: 'squeeze', answer: 'holds' });
    }
    portion(bowl, dough ? atOf('roll') : atOf('fill'), hands, chance, tell);
    const { coat } = planned().parts;
    const dipped = atOf('dip');
    if (coat && dipped) {
      const anchorG = coat.taken.value - coat.each.value;
      const thick = hidden.coatThick * Math.exp(noise('coat.mm'));
      for (let i = 0; i < 3; i += 1) {
        const value =
          Math.round(
            ((started().parts.coat?.each.value ?? 0) * thick * Math.exp(0.03 * chance.normal()) + anchorG) *
              10,
          ) / 10;
        tell(dipped.at - (3 - i) * 60_000, {
          what: 'answered',
          ...dipped.step,
          to: 'coat',
          answer: 'weighed',
          value,
        });
      }
    }
    return { ...line, measured };
  });
  worked({ whole: planWhole(file), kitchen: file.kitchen, sets: hidden.sets }, day.chores, hands, chance, {
    timeOf,
    tell,
  });
  const total = lines.reduce((sum, { count }) => sum + count, 0);
  const spoilt = Math.round((total * hands.spoilt) / 100 + 0.4 * Math.abs(chance.normal()));
  const [first] = lines;
  if (spoilt > 0 && first)
    tell(timeOf(run.readyAt) - 600_000, { what: 'lost', lineId: first.id, pieces: spoilt });
  log.sort((a, b) => a.at - b.at);
  return { ...run, lines, log };
}

type Tell = (at: number, event: Telling) => void;
type Telling = { readonly [K in BenchEvent as K['what']]: Omit<K, 'id' | 'at'> }[BenchEvent['what']];

/** Moments of the run's local times, as if its place were at Greenwich, and its log. */
function diary(
  log: BenchEvent[],
  readyAt: string,
): { readonly timeOf: (local: string) => number; readonly tell: Tell } {
  const timeOf = (local: string) => minutesOf(local) * 60_000;
  const prefix = localOf(minutesOf(readyAt)).slice(5, 10).replace('-', '');
  return {
    timeOf,
    tell: (at, event) => {
      const id = `b${prefix}-${log.length + 1}`;
      log.push({ ...event, id, at: Math.round(at) } as unknown as BenchEvent);
    },
  };
}

/** So much longer is waited after a look at what has not set, as a share of the first wait. */
const MORE = 0.2;

/** Steps as these hands do them: each once what stands before it is over and a hand is free, as soon as the day has it. */
function worked(
  {
    whole,
    kitchen,
    sets,
  }: { readonly whole: RunPlan; readonly kitchen: RunFile['kitchen']; readonly sets: number },
  chores: readonly Timed[],
  { pace }: Hands,
  chance: Chance,
  { timeOf, tell }: { readonly timeOf: (local: string) => number; readonly tell: Tell },
): void {
  const beliefs = new Beliefs(kitchen.beliefs);
  const over = new Map<string, number>();
  let free = 0;
  const inOrder = [...chores].sort((a, b) => timeOf(a.startAt) - timeOf(b.startAt));
  for (const { chore, startAt, endAt } of inOrder) {
    const planned = timeOf(endAt) - timeOf(startAt);
    const before = chore.after.map((gap) => (over.get(gap.chore) ?? 0) + gap.leastS * 1000);
    const start = Math.max(timeOf(startAt), ...before, chore.kind === 'hands' ? free : 0);
    const stage = stageOf(chore);
    const known = stage && beliefs.find(PARAMS.workPace.key, [scopeOf('step', stage), KITCHEN]);
    let took = planned;
    if (chore.kind === 'hands') took *= (pace / (known?.mean ?? 1)) * Math.exp(0.15 * chance.normal());
    const usual = settingOf(chore, whole);
    if (usual !== null) {
      const trueMs = usual * 1000 * sets * Math.exp(SETS_NOISE * chance.normal());
      const clock = {
        label: chore.label,
        of: '',
        expectedS: planned / 1000,
        latestS: (planned / 1000) * 1.3,
      };
      tell(start, { what: 'begun', ...asStep(chore), clock });
      for (; took < trueMs; took += planned * MORE)
        tell(start + took, { what: 'not yet', ...asStep(chore), moreS: (planned * MORE) / 1000 });
    }
    const end = start + took;
    over.set(chore.id, end);
    if (chore.kind === 'hands') free = end;
    tell(end, { what: 'done', ...asStep(chore) });
  }
}

const SETS_NOISE = SEEING['set.usual']?.noise ?? 0;

/** What a wait for something to set takes with nothing learned, s; null for what waits for something else. */
function settingOf({ kind, lineIds, takes }: Timed['chore'], whole: RunPlan): number | null {
  const { figureId } = takes;
  if (kind !== 'wait' || figureId === null) return null;
  const plan = whole.lines.find((one) => one.planned && lineIds.includes(one.line.id));
  if (!plan?.planned || !plan.has(`${figureId}.usual`)) return null;
  const usual = plan.figure(`${figureId}.usual`);
  const started = usual.expected?.value ?? usual.value;
  return (plan.figure(figureId).value * started) / usual.value;
}

/** Every load, looked at as its clock says until it is done. */
function bakedLoads(
  plan: LinePlan,
  trueS: number | null,
  noise: (param: string) => number,
  mishap: Mishap,
  starts: readonly number[],
): BenchEvent[] {
  const { clocked, micro } = plan.parts;
  if (!clocked || trueS === null || starts.length === 0) return [];
  const today = Math.exp(noise(micro ? 'micro.factor' : 'bake.factor')) * (mishap.bakes ?? 1);
  let free = 0;
  return clocked.sizes.flatMap((pieces, i) => {
    const ofLoad = i === clocked.sizes.length - 1 && clocked.last ? clocked.last.time : clocked.time;
    const times = {
      firstLookS: clocked.firstLook.value * (ofLoad.value / clocked.time.value),
      expectedS: ofLoad.value,
      latestS: ofLoad.high,
    };
    const doneS = (trueS * ofLoad.value * today) / clocked.time.value;
    const at = Math.max(free, starts[i] ?? starts.at(-1) ?? 0);
    const id = `c${i + 1}-${plan.line.id}`;
    const told: BenchEvent[] = [
      { id, at, what: 'load in', lineId: plan.line.id, load: i + 1, pieces, ...times },
    ];
    for (;;) {
      const [clock] = clocksIn({ log: [...told] });
      if (!clock) throw new Error('invariant: what went in has a clock');
      free = (clock.endedAt ?? at) + 120_000;
      if (clock.endedAt !== null) return told;
      // Eyes come a little after the clock.
      const next = nextLookAt(clock) + 5_000;
      const share = (next - at) / 1000 / doneS;
      const saw =
        share >= SEEN.brown ? 'brown' : share >= SEEN.clean ? 'clean' : share > SEEN.wet ? 'crumbs' : 'wet';
      told.push({ id: `${id}-look${told.length}`, at: Math.round(next), ...lookOf(clock, saw) });
    }
  });
}

/** Pieces on the scale, one after another, heavier as the hand tires. */
function portion(
  plan: LinePlan,
  step: { readonly step: ReturnType<typeof asStep>; readonly at: number } | null,
  hands: Hands,
  chance: Chance,
  tell: Tell,
): void {
  const { dough, portion: each, count } = plan.parts;
  const aim = dough ? dough.portion.value : each?.value;
  if (!step || aim === undefined) return;
  const n = Math.min(24, Math.round(count.made.value));
  if (dough)
    tell(step.at - (n + 1) * 20_000, {
      what: 'weighed',
      ...step.step,
      of: BOWL,
      massG: Math.round(dough.ready.value),
    });
  for (let i = 0; i < n; i += 1) {
    const massG = Math.round(aim * (1 + (hands.drift * i) / n) * Math.exp(hands.scatter * chance.normal()));
    tell(step.at - (n - i) * 20_000, { what: 'weighed', ...step.step, of: PORTION, massG });
  }
}
