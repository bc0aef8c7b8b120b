import { readSteps } from '../../formula';
import type { FrostingChoice, Line } from '../../model/documents';
import type { FrostingKind } from '../../model/kinds';
import type { Batch, RunPlan } from '../../plan';
import { madeComponents } from '../../plan/bowls';
import { firmFatG } from '../../plan/tasks';
import { METHODS } from '../../process/batter.table';
import { byHand, byUsual, fixedTime, type ChoreGap } from './chore';
import { HANDS, Work, one, within, type Beside } from './lineWork';
import {
  FROSTING_KEEPS_DAYS,
  FROSTING_OUT_S,
  FROSTING_TIMES,
  HANDS_S,
  MAKE_MIN,
  PART_KEEPS_DAYS,
} from './chores.table';
import { CHORE, PART } from './chores.words';

/** Parts that are made so many days before, by their id. */
export type Ahead = Readonly<Record<string, number>>;

/** Words of a step that is waited for, not worked at. */
const WAITS = /\b(chill|cool|rest|set|stand|freeze|refrigerate|soak|steep|infuse|prove|overnight|leave)/i;

/** Fillings, frostings, coats and binders that the run makes once, each before what it goes into. */
export function componentsWork(
  whole: RunPlan,
  ahead: Ahead = {},
): { readonly chores: Work['chores']; readonly beside: Beside } {
  const batches = madeComponents(whole);
  const ready = new Map<string, ChoreGap>();
  const soft = new Map<string, number>();
  const chores: Work['chores'] = [];
  // What is part of another stands after it in the list: it is made first.
  for (const batch of [...batches].reverse()) {
    const work = new Work(`made:${batch.id}`, batch.lineIds, batch.id);
    work.part = PART.made(work.partOf('all'), batch.formula.name, keepsDays(batch, whole));
    const within = softWithinS(batch, whole);
    if (within !== null) soft.set(batch.formula.id, within);
    const made = madeWork(work, batch, whole, ready);
    const kept = (ahead[work.part.id] ?? 0) > 0 && within !== null;
    ready.set(batch.formula.id, kept ? softenWork(work, batch.formula.name, made) : made);
    chores.push(...work.chores);
  }
  return {
    chores,
    beside: {
      made: (id) => (id ? (ready.get(id) ?? null) : null),
      softS: (id) => (id ? (soft.get(id) ?? null) : null),
    },
  };
}

const frostingOf = (line: Line): FrostingChoice | null =>
  ('frosting' in line && (line.frosting as FrostingChoice | null)) || null;

/** As what frostings of the run something is made. */
const kindsOf = ({ formula, lineIds }: Batch, whole: RunPlan): FrostingKind[] =>
  whole.lines.flatMap(({ line }) => {
    const frosting = lineIds.includes(line.id) ? frostingOf(line) : null;
    return frosting?.formulaId === formula.id ? [frosting.kind] : [];
  });

/** How long a frosting can be spread after it is made or beaten again, s; null for what is none, or stays as it is. */
function softWithinS(batch: Batch, whole: RunPlan): number | null {
  const kinds = kindsOf(batch, whole);
  if (kinds.length === 0 && batch.makes !== 'frosting') return null;
  const times = (kinds.length > 0 ? kinds : (['buttercream'] as const)).flatMap(
    (kind) => FROSTING_TIMES[kind].withinS ?? [],
  );
  return times.length > 0 ? Math.min(...times) : null;
}

/** What comes from the fridge stands until it gives, and is beaten soft: on the day, whenever it was made. */
function softenWork(work: Work, name: string, made: ChoreGap): ChoreGap {
  work.part = null;
  const out = CHORE.frostingOut(name);
  const stands = work.add('frosting-out', {
    kind: 'ahead',
    label: out.label,
    detail: out.detail,
    takes: fixedTime(FROSTING_OUT_S, out.basis),
    after: [made],
  });
  const told = CHORE.soften(name);
  return within(
    work.hands('soften', told.label, HANDS_S.beatBought, told.basis, {
      detail: CHORE.frostingThere.detail,
      after: [stands],
    }),
    null,
  );
}

/** Days that something made keeps, by the shortest of what it is used as. */
const keepsDays = (batch: Batch, whole: RunPlan): number =>
  Math.min(PART_KEEPS_DAYS[batch.makes], ...kindsOf(batch, whole).map((kind) => FROSTING_KEEPS_DAYS[kind]));

/** Frostings whose butter is beaten soft: it stands out of the fridge before. */
const OF_SOFT_BUTTER: ReadonlySet<FrostingKind> = new Set<FrostingKind>([
  'buttercream',
  'meringue buttercream',
  'soft cheese',
]);

function madeWork(work: Work, batch: Batch, whole: RunPlan, ready: ReadonlyMap<string, ChoreGap>): ChoreGap {
  const { formula, ingredients, parts } = batch;
  const butterG = kindsOf(batch, whole).some((kind) => OF_SOFT_BUTTER.has(kind)) ? firmFatG(ingredients) : 0;
  const soft =
    butterG > 0
      ? [
          work.add('butter-out', {
            kind: 'ahead',
            ...CHORE.butterOut(butterG, formula.name),
            takes: fixedTime(METHODS.creamed.butterOutMin * 60, CHORE.usual),
          }),
        ]
      : [];
  const steps = readSteps(
    formula.steps ?? '',
    ingredients.map(({ line }) => line),
  );
  const minutes = (waited: boolean) =>
    steps
      .filter(({ text, minutes: stated }) => stated !== null && WAITS.test(text) === waited)
      .reduce((sum, one) => sum + ((one.minutes?.low ?? 0) + (one.minutes?.high ?? 0)) / 2, 0);
  const makeMin = Math.max(MAKE_MIN[batch.makes], minutes(false));
  const weighMin = Math.round((HANDS_S.weigh * ingredients.length) / 60);
  const made = work.add('make', {
    kind: 'hands',
    label: CHORE.made(formula.name),
    detail: CHORE.madeDetail,
    uses: ['shared'],
    holds: batch.makes === 'frosting' ? [HANDS, one({ kind: 'mixer' })] : [HANDS],
    takes: byHand(weighMin * 60 + makeMin * 60, CHORE.madeBasis(weighMin, Math.round(makeMin))),
    after: [...soft, ...parts.flatMap(({ formulaId }) => ready.get(formulaId) ?? [])],
    fresh: 0.5,
  });
  const restMin = minutes(true);
  if (restMin === 0) return within(made, null);
  return within(
    work.add('rests', {
      kind: 'wait',
      label: CHORE.rests(formula.name),
      takes: byUsual(restMin * 60, 'room', CHORE.restBasis),
      after: [made],
    }),
    null,
  );
}
