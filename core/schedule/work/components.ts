import { readSteps } from '../../formula';
import type { Batch, RunPlan } from '../../plan';
import { byHand, byUsual, type ChoreGap } from './chore';
import { Work, within, type Beside } from './lineWork';
import { HANDS_S, MAKE_MIN } from './work.table';
import { CHORE } from './work.words';

/** Words of a step that is waited for, not worked at. */
const WAITS = /\b(chill|cool|rest|set|stand|freeze|refrigerate|soak|steep|infuse|prove|overnight|leave)/i;

/** Fillings, frostings, coats and binders that the run makes once, each before what it goes into. */
export function componentsWork(whole: RunPlan): { readonly chores: Work['chores']; readonly beside: Beside } {
  const batches = whole.components?.batches ?? [];
  const ready = new Map<string, ChoreGap>();
  const chores: Work['chores'] = [];
  // What is part of another stands after it in the list: it is made first.
  for (const batch of [...batches].reverse()) {
    const work = new Work(`made:${batch.id}`, batch.lineIds);
    ready.set(batch.formula.id, madeWork(work, batch, ready));
    chores.push(...work.chores);
  }
  return { chores, beside: { made: (id) => (id ? (ready.get(id) ?? null) : null) } };
}

function madeWork(work: Work, batch: Batch, ready: ReadonlyMap<string, ChoreGap>): ChoreGap {
  const { formula, ingredients, parts } = batch;
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
    takes: byHand(weighMin * 60 + makeMin * 60, CHORE.madeBasis(weighMin, Math.round(makeMin))),
    after: parts.flatMap(({ formulaId }) => ready.get(formulaId) ?? []),
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
