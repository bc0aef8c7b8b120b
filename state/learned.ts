import type { Closed, Evidence, KitchenDoc, RunDoc } from '../core/model/documents';
import type { Lesson, Taught } from '../core/learn';
import { withBelief } from '../core/param';
import { kitchenIn, runIn, runsIn, runKey, KITCHEN_KEY, type Docs } from './documents';
import { fileOf, usePlanner } from './plans';
import { change, onceWhole, useDocuments } from './store';
import { localNow } from './time';

/** The kitchen as its closed runs teach it, with one run as it is to be, or without it; the kitchen itself where the planner is not in yet. */
function taught(docs: Docs, run: RunDoc | null, kitchen: KitchenDoc, now: number, gone?: string): KitchenDoc {
  const { planner } = usePlanner.getState();
  const runs = runsIn(docs)
    .filter(({ id }) => id !== gone)
    .map((one) => (one.id === run?.id ? run : one));
  return planner ? planner.withLearned(kitchen, runs, now) : kitchen;
}

/**
 * Closes a run: what it says of the kitchen is kept with it and taken to heart. One change, which undo takes back whole.
 * @param first what else becomes of it as it is closed
 */
export function closeRun(
  label: string,
  runId: string,
  closed: Closed,
  first: (run: RunDoc) => RunDoc = (run) => run,
): void {
  onceWhole(() => close(label, runId, closed, first));
}

function close(label: string, runId: string, closed: Closed, first: (run: RunDoc) => RunDoc): void {
  const { docs } = useDocuments.getState();
  const found = runIn(docs, runId);
  const { planner } = usePlanner.getState();
  if (!found) return;
  const run = first(found);
  const evidence = planner?.evidenceOf(fileOf({ ...run, closed }, docs, 0), closed.at) ?? [];
  const next: RunDoc = { ...run, closed: { ...closed, ...(evidence.length > 0 ? { evidence } : {}) } };
  change(label, {
    [runKey(runId)]: next,
    ...(evidence.length > 0 ? { [KITCHEN_KEY]: taught(docs, next, kitchenIn(docs), closed.at) } : {}),
  });
}

/** A lesson is taken to heart, kept for later, or refused. */
export function takeLesson(runId: string, { evidence, words }: Lesson, taken: Evidence['taken']): void {
  const { docs } = useDocuments.getState();
  const run = runIn(docs, runId);
  if (!run?.closed) return;
  const mine = new Set(evidence);
  const next: RunDoc = {
    ...run,
    closed: {
      ...run.closed,
      evidence: (run.closed.evidence ?? []).map((one) => (mine.has(one.id) ? { ...one, taken } : one)),
    },
  };
  change(words[0] ?? 'A lesson', {
    [runKey(runId)]: next,
    [KITCHEN_KEY]: taught(docs, next, kitchenIn(docs), Date.now()),
  });
}

/** What a thing was learned is let go: a new oven of the same name, another flour. Outcomes from now on count. */
export const startAfresh = (label: string, param: string, of: string): void =>
  onceWhole(() => {
    const { docs } = useDocuments.getState();
    const kitchen = kitchenIn(docs);
    const now = Date.now();
    const anew = { ...kitchen.anew, [`${param}@${of}`]: now };
    change(`${label}: afresh`, { [KITCHEN_KEY]: taught(docs, null, { ...kitchen, anew }, now) });
  });

type Planner = NonNullable<ReturnType<typeof usePlanner.getState>['planner']>;
/** What all runs taught, for the documents as they stand: many batches ask for it, one after another. */
let known: { readonly docs: Docs; readonly runs: RunDoc[]; readonly taught: Taught } | null = null;

function taughtIn(docs: Docs, planner: Planner) {
  if (known?.docs === docs) return known;
  const runs = runsIn(docs);
  const lastAt = Math.max(0, ...runs.map(({ closed }) => closed?.at ?? 0));
  known = { docs, runs, taught: planner.taughtBy(runs, kitchenIn(docs), lastAt) };
  return known;
}

/** The lessons of a closed run; null while the planner is not in. */
export function lessonsFor(run: RunDoc, docs: Docs, planner: Planner | null): readonly Lesson[] | null {
  if (!planner) return null;
  const { runs, taught } = taughtIn(docs, planner);
  return planner.lessonsOf(fileOf(run, docs, 0), runs, run.closed?.at ?? 0, taught);
}

/** The kitchen with what was said of a thing by hand; taken back, what its batches taught stands there again. */
export function withSaid(
  kitchen: KitchenDoc,
  param: string,
  of: string,
  belief: Parameters<typeof withBelief>[3],
): KitchenDoc {
  const said = { ...kitchen, beliefs: withBelief(kitchen.beliefs, param, of, belief) };
  return belief === null ? taught(useDocuments.getState().docs, null, said, Date.now()) : said;
}

/** What was said of a thing by hand is taken back, or said. */
export const sayOfThing = (label: string, param: string, of: string, mean: number | null): void =>
  onceWhole(() => {
    const kitchen = kitchenIn(useDocuments.getState().docs);
    const belief =
      mean === null ? null : { mean, spread: 0, seen: 1, since: localNow(Date.now()).slice(0, 10) };
    change(label, { [KITCHEN_KEY]: withSaid(kitchen, param, of, belief) });
  });

/** One outcome of one batch counts, or is left out. */
export function countOutcome(label: string, runId: string, evidenceId: string, counts: boolean): void {
  const { docs } = useDocuments.getState();
  const run = runIn(docs, runId);
  if (!run?.closed) return;
  const evidence = (run.closed.evidence ?? []).map((one) =>
    one.id === evidenceId ? { ...one, taken: counts ? ('yes' as const) : ('no' as const) } : one,
  );
  const next: RunDoc = { ...run, closed: { ...run.closed, evidence } };
  change(label, {
    [runKey(runId)]: next,
    [KITCHEN_KEY]: taught(docs, next, kitchenIn(docs), Date.now()),
  });
}

/** Takes a run out, and with a closed one what it taught. */
export const takeOutRun = ({ id, name, closed }: RunDoc): void =>
  onceWhole(() => {
    const { docs } = useDocuments.getState();
    const any = (closed?.evidence ?? []).length > 0;
    change(`Take out ${name}`, {
      [runKey(id)]: null,
      ...(any ? { [KITCHEN_KEY]: taught(docs, null, kitchenIn(docs), Date.now(), id) } : {}),
    });
  });
