import type { BakeClock } from '../core/bench/clocksIn';
import { lastActOf } from '../core/bench/lastAct';
import { PORTION } from '../core/bench/portioningOf';
import { ovenOf, placeFor, placeWords, timesAt } from '../core/bench/places';
import { benchOf, loadOf, waitsAfter } from '../core/bench/standing';
import type { BenchClock, BenchEvent, Place, RunDoc } from '../core/model/documents';
import type { LinePlan, RunPlan } from '../core/plan';
import { ticksOf, withTicks } from '../core/plan/bowls';
import type { Chore } from '../core/schedule/chores';
import { asStep } from '../core/schedule/chores/chore';
import { steadyNow } from './clock';
import { newId } from './ids';
import { kitchenIn, runsIn } from './documents';
import { changeLines, changeRunOf, useDocuments } from './store';

type Untold = {
  [K in BenchEvent['what']]: Omit<Extract<BenchEvent, { what: K }>, 'id' | 'at'>;
}[BenchEvent['what']];

/** What is told, as the log keeps it. */
export const eventOf = (told: Untold, at = steadyNow()): BenchEvent =>
  ({ ...told, id: newId('event'), at }) as BenchEvent;

/** Puts events into a run's log, as one change. */
export function tell(label: string, runId: string, ...told: readonly Untold[]): void {
  const at = steadyNow();
  changeRunOf(label, runId, (run) => ({
    ...run,
    log: [...(run.log ?? []), ...told.map((one) => eventOf(one, at))],
  }));
}

/** What a chore's clock runs for, kept with it. */
export const clockFor = (chore: Chore, of: string): BenchClock => ({
  label: chore.label,
  of,
  expectedS: Math.round(chore.takes.lengthS),
  latestS: Math.round(
    chore.takes.lengthS * Math.exp(1.2816 * Math.hypot(chore.takes.shared, chore.takes.own)),
  ),
});

/** A chore is done, or left out: what only waits after it begins by itself. */
export function finish(
  run: RunDoc,
  chore: Chore,
  chores: readonly Chore[],
  of: (chore: Chore) => string,
  how: 'done' | 'skipped' = 'done',
): void {
  const waits = waitsAfter(chore, chores, benchOf(run, chores, steadyNow()));
  tell(
    `${chore.label}: ${how}`,
    run.id,
    { what: how, ...asStep(chore) },
    ...waits.map((one): Untold => ({ what: 'begun', ...asStep(one), clock: clockFor(one, of(one)) })),
  );
}

/** A load goes into its oven, where there is room: its clock goes by what the plan expects at this moment. */
export function putIn(runId: string, { line, parts }: LinePlan, load: number, pieces: number): void {
  const { clocked } = parts;
  if (!clocked) return;
  const { docs } = useDocuments.getState();
  const kitchen = kitchenIn(docs);
  const run = runsIn(docs).find(({ id }) => id === runId);
  if (!run) return;
  const { time, firstLook } = load === clocked.sizes.length && clocked.last ? clocked.last : clocked;
  const times = { firstLookS: firstLook.value, expectedS: time.value, latestS: time.high };
  const places = placeFor(run, { lineId: line.id, pieces }, kitchen);
  tell(`Load ${load} in`, runId, {
    what: 'load in',
    lineId: line.id,
    load,
    pieces,
    ...timesAt(times, [], places, ovenOf(line, kitchen), kitchen),
    ...(places.length > 0 ? { places: [...places] } : {}),
  });
}

/** It stands in another place than it was put down for. */
export function standsAt(run: RunDoc, clock: BakeClock, place: Place): void {
  const kitchen = kitchenIn(useDocuments.getState().docs);
  const line = run.lines.find(({ id }) => id === clock.lineId);
  if (!line) return;
  const times = timesAt(clock, clock.places, [place], ovenOf(line, kitchen), kitchen);
  tell(`Load ${clock.load}: ${placeWords([place])}`, run.id, {
    what: 'load at',
    loadId: clock.id,
    places: [place],
    ...times,
  });
}

/** Something goes into the heat, or is begun and left alone: its clock starts. */
export function begin(run: RunDoc, chore: Chore, whole: RunPlan, of: string): void {
  const load = loadOf(chore);
  const plan = whole.lines.find((one) => one.planned && chore.lineIds.includes(one.line.id));
  const clocked = plan?.planned ? plan.parts.clocked : null;
  if (load === null || !plan?.planned || !clocked) {
    // Cake that is only baked for its crumb: its sheet or bowl has a first look of its own.
    const baked = plan?.planned
      ? plan.parts.crumbBakes.find((one) => one.prefix === (chore.bake ?? ''))
      : undefined;
    const firstLook =
      chore.kind === 'oven' ? (baked?.sheet?.bake ?? baked?.microwave?.micro)?.firstLook : undefined;
    const clock = {
      ...clockFor(chore, of),
      ...(firstLook ? { firstLookS: Math.round(firstLook.value) } : {}),
    };
    tell(`${chore.label}: begun`, run.id, { what: 'begun', ...asStep(chore), clock });
    return;
  }
  putIn(run.id, plan, load, chore.pieces ?? clocked.sizes[load - 1] ?? 1);
}

/** What was told never counted: it stays in the log, taken back. */
export const takeBack = (label: string, runId: string, ...events: readonly string[]): void => {
  if (events.length > 0) tell(label, runId, ...events.map((id) => ({ what: 'undone', event: id }) as const));
};

/** Takes back what was told last, of a step or of a load, with what began by itself because of it. */
export function stepBack(run: RunDoc): void {
  takeBack('A step back', run.id, ...lastActOf(run));
}

/** What somebody said of how a thing is, and what was measured of it. */
export const answer = (
  runId: string,
  chore: Pick<Chore, 'id' | 'does' | 'lineIds'>,
  label: string,
  {
    to,
    answer: said,
    value,
    practice = false,
  }: {
    readonly to: string;
    readonly answer: string;
    readonly value?: number | undefined;
    readonly practice?: boolean;
  },
): void =>
  tell(label, runId, {
    what: 'answered',
    ...asStep(chore),
    to,
    answer: said,
    ...(value === undefined ? {} : { value }),
    ...(practice ? { practice } : {}),
  });

/** A piece was put on the scale, or something else that a step weighs. */
export const weigh = (
  runId: string,
  chore: Pick<Chore, 'id' | 'does' | 'lineIds' | 'label'>,
  massG: number,
  { of = PORTION, practice = false }: { readonly of?: string; readonly practice?: boolean } = {},
): void =>
  tell(`${chore.label}: weighed`, runId, {
    what: 'weighed',
    ...asStep(chore),
    of,
    massG,
    ...(practice ? { practice } : {}),
  });

/** A bowl came to so many: the rest of the day is for them. */
export const goOnWith = (runId: string, lineId: string, pieces: number): void =>
  tell(`On with ${pieces}`, runId, { what: 'counted', lineId, pieces });

/** What goes into a bowl was weighed: kept with the step, and ticked off where it is gathered. */
export const weighIn = (
  runId: string,
  chore: Pick<Chore, 'id' | 'does' | 'lineIds' | 'label'>,
  {
    key,
    name,
    massG,
    practice,
  }: {
    readonly key: string;
    readonly name: string;
    readonly massG: number;
    readonly practice: boolean;
  },
): void => {
  const at = steadyNow();
  const told = eventOf(
    { what: 'weighed', ...asStep(chore), of: key, massG, ...(practice ? { practice } : {}) },
    at,
  );
  changeRunOf(`${name}: weighed`, runId, (run) =>
    withTicks({ ...run, log: [...(run.log ?? []), told] }, new Set([...ticksOf(run), key])),
  );
};

/** A figure that the bench has measured: the plan goes on from it. */
export const planOnFrom = (
  runId: string,
  label: string,
  { lineId, figureId, value }: { readonly lineId: string; readonly figureId: string; readonly value: number },
): void =>
  changeLines(`${label}: as measured`, runId, (lines) =>
    lines.map((line) =>
      line.id === lineId ? { ...line, measured: { ...line.measured, [figureId]: value } } : line,
    ),
  );

/** Pieces that do not go on. */
export const lose = (runId: string, lineId: string, pieces: number): void =>
  tell(`${pieces} lost`, runId, { what: 'lost', lineId, pieces });
