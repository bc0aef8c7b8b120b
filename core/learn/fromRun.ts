import { nextBinderG } from '../process/bind';
import { hurried, nextLookAt } from '../bench/clock';
import { WET_UNTIL } from '../bench/looks';
import { benchStateOf, type BenchState } from '../bench/log';
import { FROSTING_EACH } from '../bench/leftOver';
import { clocksIn, type BakeClock } from '../bench/clocksIn';
import type { Inside, Line, RunDoc, RunFile } from '../model/documents';
import type { Evidence } from '../model/evidence';
import { planWhole, type FinishKind, type LinePlan } from '../plan';
import { workOf } from '../schedule/chores';
import { PARAMS, scopeOf } from '../param';
import { airKnown } from '../process/oven.table';
import { ovenOf } from '../bench/places';
import { withoutLearned } from './beliefs';
import { handsPaced, portioned, racked, risen, settled } from './fromBench';
import { isOfLine } from '../process/stages';
import { SEEING } from './learn.table';
import { Seen, type Bounds } from './seen';

type File = Pick<RunFile, 'run' | 'formulas' | 'kitchen'>;

/** Crumb on the table, by its bake. */
const CRUMB = /^crumb\.\d+$/;

/** Figures that say what came of a thing: what was measured of them is held against what was expected. */
const OUTCOMES = new Set(['binder.added', 'coat.each', FROSTING_EACH]);

/**
 * What a closed run says of its kitchen: each outcome against what the plan of that day expected, and with what that expected it
 * from. What was read off practice instruments teaches nothing.
 * @param at ms since the epoch: when it was closed
 */
export function evidenceOf(file: File, at: number): Evidence[] {
  const { run } = file;
  const asMeasured = planWhole(file);
  const bare = planWhole({ ...file, run: withoutOutcomes(run, asMeasured.lines) });
  const state = benchStateOf(run.log ?? []);
  // As planned before a gram was on the table: only asked for where crumb was weighed.
  const weighedCrumb = run.lines.some(({ measured }) => Object.keys(measured).some((id) => CRUMB.test(id)));
  const unmeasured = weighedCrumb
    ? planWhole({ ...file, run: { ...run, lines: run.lines.map((line) => ({ ...line, measured: {} })) } })
    : null;
  const whole = (lineId: string): LinePlan | null => {
    const found = unmeasured?.lines.find((one) => one.line.id === lineId);
    return found?.planned ? found : null;
  };
  const told = (run.log ?? []).length > 0;
  // What hands took is held against the usual: how fast they are is itself all that is learned of them.
  const chores = told ? workOf(bare, withoutLearned(file.kitchen)) : [];
  const domed = endedAs(run, state, bare.lines);
  let handsTold = !told;
  return bare.lines.flatMap((plan): Evidence[] => {
    if (!plan.planned) return [];
    const line = run.lines.find(({ id }) => id === plan.line.id);
    if (!line) return [];
    const seen = new Seen(plan, run.id, at);
    const given = asMeasured.lines.find((one) => one.line.id === line.id);
    const setC = given?.planned ? settingOf(given) : null;
    baked(seen, plan, clocksIn(run), setC);
    aired(seen, line, clocksIn(run), setC, file.kitchen);
    // Hands are the day's, not a line's: they are told with the first.
    if (!handsTold) handsPaced(seen, run, chores);
    handsTold = true;
    settled(
      seen,
      plan,
      chores.filter(({ lineIds }) => lineIds.includes(line.id)),
      state,
    );
    portioned(seen, plan, run.log, file.kitchen.scaleStepG);
    racked(seen, line, clocksIn(run), file.kitchen, doneBetween);
    const kind = domed.get(line.id);
    if (kind && given?.planned) risen(seen, plan, kind, given.parts.portion?.value ?? 0);
    const frosted = line.measured[FROSTING_EACH];
    if (frosted !== undefined)
      seen.through(FROSTING_EACH, PARAMS.frostingStyle.key, [frosted, frosted], frosted);
    const unweighed = whole(plan.line.id);
    if (unweighed) crumbed(new Seen(unweighed, run.id, at, seen.all), unweighed, line);
    bound(seen, plan, line, state);
    coated(seen, plan, line, run);
    for (const [figureId, value] of Object.entries(line.measured)) {
      const known = plan.has(figureId) ? plan.figure(figureId).known : null;
      if (known?.keep && SEEING[known.param]) seen.direct(figureId, value);
    }
    return seen.all;
  });
}

/** How each line that bakes in wells ended: as it was closed by itself, or as the run was, where that was asked of it. */
function endedAs(
  { closed }: Pick<RunDoc, 'closed'>,
  { closedLines }: BenchState,
  plans: ReturnType<typeof planWhole>['lines'],
): ReadonlyMap<string, FinishKind> {
  const out = new Map<string, FinishKind>();
  const domed = plans.flatMap((plan) => (plan.planned && plan.parts.finish ? [plan.line.id] : []));
  const open = domed.filter((id) => !closedLines.has(id));
  for (const id of domed) {
    const own = closedLines.get(id)?.finish ?? null;
    if (own) out.set(id, own);
  }
  // Asked once: it is told of one line only where there is no other.
  const [only] = open;
  if (closed?.finishTold === true && only !== undefined && open.length === 1) out.set(only, closed.finish);
  return out;
}

/** The run as it was planned: nothing of it measured that is an outcome, or that is learned itself. */
function withoutOutcomes(run: RunDoc, plans: ReturnType<typeof planWhole>['lines']): RunDoc {
  const lines = run.lines.map((line): Line => {
    const plan = plans.find((one) => one.line.id === line.id);
    const kept = Object.entries(line.measured).filter(([id]) => {
      if (OUTCOMES.has(id)) return false;
      const known = plan?.planned && plan.has(id) ? plan.figure(id).known : null;
      return !(known?.keep && SEEING[known.param]);
    });
    return { ...line, measured: Object.fromEntries(kept) };
  });
  return { ...run, lines };
}

/** When a load was done, as shares of what it was given, by how it was inside. Basis: the shares at which cake is raw, dry, burnt. */
const INSIDE: Readonly<Record<Inside, Bounds>> = {
  wet: [1.02, null],
  right: [0.92, 1],
  dry: [0.8, 0.92],
  burnt: [null, 0.8],
};

/** From this share of its time on a load is too brown, and would be told so. Basis: as rehearsals have it; judgement. */
const BROWN_FROM = 1.2;

/** A look that came at once after a piece was too brown: it was done so much earlier at the least, as a share. */
const OVER_SHARE = 0.96;

/** Between which times a load was done, s: after the looks that say that it was not, and before the one that says it was. */
export function doneBetween({ looks, startedAt, endedAt, inside }: BakeClock): Bounds {
  if (endedAt === null) return [null, null];
  if (inside) {
    const tookS = (endedAt - startedAt) / 1000;
    const [low, high] = INSIDE[inside];
    return [low === null ? null : tookS * low, high === null ? null : tookS * high];
  }
  const last = looks.at(-1);
  const took = (endedAt - startedAt) / 1000;
  // A middle that was wet still had some way to go: left out, what is learned would lag behind every slow oven.
  const lows = looks
    .filter(({ result }) => result === 'not yet' || result === 'nearly')
    .map(({ at, saw }) => (at - startedAt) / 1000 / (saw === 'wet' ? WET_UNTIL : 1));
  if (last?.result === 'over') {
    const high = took * OVER_SHARE;
    return [lows.length > 0 ? Math.min(high, Math.max(...lows)) : null, high];
  }
  // Found clean, and not too brown: it had not been done for long, also where nobody told of a look before.
  return [Math.min(took, Math.max(took / BROWN_FROM, ...lows)), took];
}

/** When a load was done, as one outcome: between bounds, or about then. */
interface Timed {
  readonly low: number | null;
  readonly high: number | null;
  /** Of what was told without a look before: a standard deviation, as a share. */
  readonly doubt: number;
  readonly figureId: string;
}

/**
 * Out it came when no clock had asked for a look: somebody saw or smelt that it was done, and may have come late. It took about
 * as long, less by so much. As shares. Basis: judgement.
 */
const LATE = { by: 0.015, doubt: 0.03 } as const;
/** A look from so long before to so long after its clock rang was asked for by it, ms. */
const ASKED_MS = { before: 10_000, after: 75_000 } as const;
/** Two looks so close together say more than when the second was, as a share. */
const CLOSE = 0.05;

/** Whether the look that ended a load came when its clock asked for one. */
function askedFor(clock: BakeClock): boolean {
  const last = clock.looks.at(-1);
  if (!last) return false;
  const asked = nextLookAt({ ...clock, looks: clock.looks.slice(0, -1), endedAt: null });
  return last.at >= asked - ASKED_MS.before && last.at <= asked + ASKED_MS.after;
}

/** It was right inside as it came out. */
const RIGHT = { by: 0.03, doubt: 0.03 } as const;

function timed(clock: BakeClock): Omit<Timed, 'figureId'> {
  const [low, high] = doneBetween(clock);
  const { looks, inside, endedAt, startedAt } = clock;
  const over = looks.at(-1)?.result === 'over';
  const close = low !== null && high !== null && high - low <= CLOSE * high + 1e-9;
  const came = inside === 'right' ? RIGHT : inside || over || close || askedFor(clock) ? null : LATE;
  if (!came || endedAt === null) return { low, high, doubt: 0 };
  // Never before a look that said "not yet".
  const at = Math.max(low ?? 0, ((endedAt - startedAt) / 1000) * (1 - came.by));
  return { low: at, high: at, doubt: came.doubt };
}

/** How much an outcome leaves open: what is told about then, as wide as bounds of the same standard deviation. */
const widthOf = ({ low, high, doubt }: Omit<Timed, 'figureId'>): number =>
  low === null || high === null ? Infinity : high - low + doubt * high * Math.sqrt(12);

/** Loads of an oven or a microwave: of each kind the one that says most. */
function baked(seen: Seen, plan: LinePlan, clocks: readonly BakeClock[], setC: number | null): void {
  const { clocked, micro } = plan.parts;
  if (!clocked) return;
  const loads = clocks.flatMap((clock) => {
    if (clock.lineId !== plan.line.id || clock.endedAt === null || hurried(clock)) return [];
    const told = timed(clock);
    if (told.low === null && told.high === null) return [];
    const time = clock.load === clocked.sizes.length && clocked.last ? clocked.last.time : clocked.time;
    return [{ ...told, figureId: time.id }];
  });
  const [narrowest] = loads.sort((a, b) => widthOf(a) - widthOf(b));
  const best = narrowest && together(narrowest, loads);
  if (best)
    seen.through(
      best.figureId,
      micro ? PARAMS.microFactor.key : PARAMS.bakeFactor.key,
      [best.low, best.high],
      best.low === null || best.high === null ? (best.low ?? best.high ?? 0) : (best.low + best.high) / 2,
      { airK: airSaid(plan, setC), ...(best.doubt > 0 ? { doubt: best.doubt } : {}) },
    );
}

/** What the dial stood at, °C; null where nothing bakes in an oven. */
const settingOf = (plan: LinePlan): number | null =>
  plan.has('oven.setting') ? plan.figure('oven.setting').value : null;

/** By how many K the air was taken to be above what the dial stood at; null where nothing bakes in an oven. */
const airSaid = (plan: LinePlan, setC: number | null): number | null =>
  setC === null || !plan.has('oven.setting') || !plan.has('oven.offset')
    ? null
    : plan.figure('oven.setting').value + plan.figure('oven.offset').value - setC;

/** A thermometer that was read while loads baked, against the dial: one outcome of a batch. */
function aired(
  seen: Seen,
  line: Line,
  clocks: readonly BakeClock[],
  setC: number | null,
  kitchen: File['kitchen'],
): void {
  const oven = ovenOf(line, kitchen);
  const read = clocks.flatMap(({ lineId, airC }) => (lineId === line.id && airC !== undefined ? [airC] : []));
  if (!oven || setC === null || read.length === 0) return;
  const airC = read.reduce((sum, one) => sum + one, 0) / read.length;
  const { value, spread } = airKnown(oven);
  seen.of(
    PARAMS.ovenOffset.key,
    [scopeOf('oven', oven.id)],
    [airC - setC, airC - setC],
    { value, spread },
    { figureId: 'oven.setting', expected: setC, came: airC },
  );
}

/** Crumb that was weighed, against what its bowl was to give: what baking loses. */
function crumbed(seen: Seen, plan: LinePlan, line: Line): void {
  for (const { crumb, bowl } of plan.parts.crumbBakes) {
    const came = line.measured[crumb.id];
    // Of a bowl that was weighed as well, what it gave has to be told for as much.
    const mixed = line.measured[bowl.own.id] ?? bowl.own.value;
    const forAsMuch = came === undefined ? undefined : (came * bowl.own.value) / mixed;
    if (forAsMuch !== undefined && came !== undefined)
      seen.through(crumb.id, PARAMS.bakeLoss.key, [forAsMuch, forAsMuch], came);
  }
}

/** Loads of one batch in one oven are one outcome: where their bounds overlap, it lies in what they have in common. */
function together(first: Timed, loads: readonly Timed[]): Timed {
  const alike = loads.filter(({ figureId }) => figureId === first.figureId);
  if (first.doubt > 0) {
    // Told about then, all of them by the same person: their middle, and no surer.
    const told = alike.flatMap(({ doubt, high }) => (doubt > 0 && high !== null ? [Math.log(high)] : []));
    const middle = Math.exp(told.reduce((sum, one) => sum + one, 0) / told.length);
    return { ...first, low: middle, high: middle };
  }
  return alike.reduce((so, { low, high, doubt }) => {
    if (doubt > 0) return so;
    const [from, to] = [
      Math.max(so.low ?? -Infinity, low ?? -Infinity),
      Math.min(so.high ?? Infinity, high ?? Infinity),
    ];
    return from <= to
      ? { ...so, low: Number.isFinite(from) ? from : null, high: Number.isFinite(to) ? to : null }
      : so;
  }, first);
}

/** Binder that was worked in until the squeeze held. */
function bound(seen: Seen, plan: LinePlan, line: Line, state: BenchState): void {
  const { dough } = plan.parts;
  if (!dough) return;
  const stated = line.measured['binder.added'];
  const answers = [...state.answers.values()]
    .flat()
    .filter((one) => isOfLine(one, line.id) && one.does === 'bind' && one.to === 'squeeze');
  const last = answers.at(-1);
  const need = dough.need.id;
  if (last?.answer === 'holds') {
    let [added, before] = [dough.first.value, 0];
    for (const { answer } of answers) {
      if (answer !== 'crumbles') continue;
      before = added;
      added += nextBinderG(added, dough.need.value);
    }
    // Where the first addition held at once, only that it takes no more is known.
    seen.through(need, PARAMS.bindFactor.key, [before > 0 ? before : null, added], added);
  } else if (stated !== undefined) seen.through(need, PARAMS.bindFactor.key, [stated, stated], stated);
}

/** Coat on pieces that were weighed, less its anchor. */
function coated(seen: Seen, plan: LinePlan, line: Line, run: RunDoc): void {
  const { coat } = plan.parts;
  if (!coat) return;
  const weighed = (run.log ?? []).flatMap((event) =>
    event.what === 'answered' &&
    isOfLine(event, line.id) &&
    event.to === 'coat' &&
    event.answer === 'weighed' &&
    event.value !== undefined &&
    event.practice !== true
      ? [event.value]
      : [],
  );
  const anchorG = coat.taken.value - coat.each.value;
  const pinned = line.measured['coat.each'];
  const each =
    weighed.length > 0 ? weighed.reduce((sum, one) => sum + one, 0) / weighed.length - anchorG : pinned;
  if (each !== undefined && each > 0)
    seen.through(coat.each.id, PARAMS.coatThickness.key, [each, each], each);
}
