import type { ChoreDoes } from '../model/choreDoes';
import type { KitchenDoc, RunDoc } from '../model/documents';
import type { Bowl, LinePlan, Material, RunPlan, TaskDoes, Use, Warning } from '../plan';
import { holdsOfLine } from '../quantity/allergens';
import { bowlsOf, madeLines } from '../plan/bowls';
import { warning } from '../plan/warnings.words';
import { coldRoomOf } from './cold';
import { dayOf, type TimedStep } from './day';
import { mixesOf, type Mix } from './mixes';
import { workOf, type RunDay } from './chores';
import { coldWords, GATHER_TITLES, materialWords, preparationWords } from './gather.words';

/** A thing to set out that no bowl of a formula holds: chocolate to melt, sprinkles, sticks. */
export interface Thing {
  /** Under this key it is ticked off. */
  readonly key: string;
  readonly lineId: string;
  readonly figureId: string;
  readonly what: string;
  readonly note: string;
}

export type GatherStage = Use | 'batter' | 'shared';

/** What is needed at one time in one place. */
export interface GatherGroup {
  readonly id: string;
  readonly stage: GatherStage;
  readonly title: string;
  /** Local time from which it is needed; null where the day does not say. */
  readonly at: string | null;
  readonly bowl: Bowl | null;
  /** How the day mixes it, step by step; empty until the day is known, and for what is made at once. */
  readonly mixes: readonly Mix[];
  readonly things: readonly Thing[];
}

/** Something to do before the work starts. */
export interface Preparing {
  readonly id: string;
  readonly kind: 'warm up' | 'thaw' | 'wash' | 'line' | 'cold';
  readonly words: string;
  readonly at: string | null;
}

type Does = TaskDoes['does'];
const COOLS: readonly Does[] = ['cool load', 'cool to crumble', 'cool to cut', 'cool to frost'];

/** What is done with the things of each stage: they are needed when the first of it begins. */
const USED_BY: Readonly<Record<GatherStage, ReadonlySet<Does>>> = {
  'set out': new Set<Does>([
    'weigh out and line',
    'fill wells',
    'bind and roll',
    'shell coats',
    'fill shells',
  ]),
  batter: new Set<Does>([
    'weigh out and line',
    'weigh out and mix',
    'mix',
    'stir',
    'bake',
    'microwave bowls',
    'fill wells',
    'fill shells',
  ]),
  crumb: new Set<Does>(['bind and roll', 'fill shells']),
  shared: new Set<Does>(['bind and roll', 'fill wells', 'fill shells', 'fill and frost', ...COOLS]),
  melt: new Set<Does>(['sticks in', 'dip', 'shell coats']),
  fill: new Set<Does>(['fill shells', ...COOLS]),
  finish: new Set<Does>(['dip', 'back plates', 'turn out', ...COOLS]),
};

function beginsAt(steps: readonly TimedStep[], stage: GatherStage): string | null {
  const found = steps.filter(({ does }) => USED_BY[stage].has(does)).map(({ startAt }) => startAt);
  return found.sort()[0] ?? null;
}

const thingOf = ({ line }: LinePlan, { what, amount }: Material): Thing => {
  const { what: name, note } = materialWords(what);
  return { key: `${line.id}:${amount.id}`, lineId: line.id, figureId: amount.id, what: name, note };
};

/** When things of a stage are first used by any of those lines, as the run's day has it. */
function usedAt(day: RunDay, ids: readonly string[], stage: GatherStage): string | null {
  const found = day.chores.filter(
    ({ chore }) => chore.uses.includes(stage) && chore.lineIds.some((id) => ids.includes(id)),
  );
  return found.map(({ startAt }) => startAt).sort()[0] ?? null;
}

/**
 * One list for the whole run: bowls once, loose things by when they are needed.
 * @param day of the run; until it is known, each line tells its hours as if it were alone
 */
export function gatherOf(run: RunDoc, whole: RunPlan, day: RunDay | null = null): GatherGroup[] {
  const plans = madeLines(whole);
  const days = new Map<string, readonly TimedStep[]>();
  // A line's day by itself is worked out only where the run's says nothing.
  const alone = (id: string): readonly TimedStep[] => {
    const plan = plans.find(({ line }) => line.id === id);
    const steps = days.get(id) ?? (plan ? dayOf(plan).steps : []);
    days.set(id, steps);
    return steps;
  };
  const at = (ids: readonly string[], stage: GatherStage) =>
    (day && usedAt(day, ids, stage)) ?? beginsAt(ids.flatMap(alone), stage);
  const bowls = bowlsOf(run, whole).map((bowl): GatherGroup => {
    const stage: GatherStage = bowl.lineId === null ? 'shared' : 'batter';
    return {
      id: `bowl-${bowl.batch.tickPrefix}${bowl.batch.formula.id}`,
      stage,
      title: bowl.batch.formula.name,
      at: at(bowl.batch.lineIds, stage),
      bowl,
      mixes: day && bowl.lineId !== null ? mixesOf(bowl, whole, day.chores) : [],
      things: [],
    };
  });
  const loose = plans.flatMap((plan) =>
    plan.materials.map((material) => ({ use: material.use, thing: thingOf(plan, material) })),
  );
  const group = (use: Use): GatherGroup[] => {
    const things = loose.filter((one) => one.use === use).map(({ thing }) => thing);
    if (things.length === 0) return [];
    const lineIds = things.map(({ lineId }) => lineId);
    return [
      { id: use, stage: use, title: GATHER_TITLES[use], at: at(lineIds, use), bowl: null, mixes: [], things },
    ];
  };
  return [
    ...group('set out'),
    ...bowls.filter(({ stage }) => stage === 'batter'),
    ...bowls.filter(({ stage }) => stage === 'shared'),
    ...group('crumb'),
    ...group('melt'),
    ...group('fill'),
    ...group('finish'),
  ];
}

const KINDS = {
  thaw: 'thaw',
  'wash mould': 'wash',
  'line trays': 'line',
  'cases into tin': 'line',
  'grease and flour': 'line',
  'grease well': 'line',
  'line sheets': 'line',
  'cold bowl for cream': 'cold',
} as const;

/** Steps that are begun ahead of the work so that something is warm by then. */
const WARMS_UP: ReadonlySet<ChoreDoes> = new Set<ChoreDoes>(['butter-out', 'eggs-out']);

/** Times as they are written. */
const inOrder = (a: string, b: string) => (a < b ? -1 : Number(a > b));

/**
 * What to bring to room temperature, to thaw, to wash warm, to line, to make cold.
 * @param day of the run; until it is known, each line tells its hours as if it were alone
 */
export function preparationsOf(whole: RunPlan, kitchen: KitchenDoc, day: RunDay | null = null): Preparing[] {
  const out = new Map<string, Preparing>();
  const add = (kind: Preparing['kind'], words: string, at: string | null) => {
    const id = `${kind}:${words}`;
    const known = out.get(id);
    if (!known || (at !== null && (known.at === null || at < known.at))) out.set(id, { id, kind, words, at });
  };
  const chores = day ? day.chores : workOf(whole, kitchen).map((chore) => ({ chore, startAt: null }));
  for (const { chore, startAt } of chores)
    if (WARMS_UP.has(chore.does) && chore.ofRun === undefined)
      add('warm up', `${chore.label}. ${chore.detail}`, startAt);
  for (const plan of madeLines(whole)) {
    const own = chores.filter(({ chore }) => chore.lineIds.includes(plan.line.id));
    const startBy = own.flatMap(({ startAt }) => startAt ?? []).sort()[0] ?? dayOf(plan).startBy;
    for (const preparation of plan.preparations)
      add(KINDS[preparation.do], preparationWords(preparation), startBy);
    const cold = coldRoomOf(plan, kitchen);
    if (cold) add('cold', coldWords(cold), startBy);
  }
  return [...out.values()].sort((a, b) => inOrder(a.at ?? '', b.at ?? ''));
}

/** A promise of one line that another line endangers: a bowl that both take from, or a vessel that both dip in. */
export function sharedPromiseWarnings(run: RunDoc, whole: RunPlan): Warning[] {
  const plans = madeLines(whole);
  const vessels = ({ pots }: LinePlan) => pots.flatMap(({ vesselId }) => vesselId ?? []);
  const bowls = bowlsOf(run, whole).filter(({ batch }) => batch.lineIds.length > 1);
  return plans.flatMap((plan) =>
    plan.promises.flatMap(({ name, of }): Warning[] => {
      for (const other of plans) {
        const held = of.filter((one) => other.holds.allergens.includes(one));
        if (other.line.id === plan.line.id || held.length === 0) continue;
        const shared = bowls.find(
          ({ batch }) =>
            batch.lineIds.includes(plan.line.id) &&
            batch.lineIds.includes(other.line.id) &&
            // A base that is parted before these go in is free of them itself.
            (batch.parts.length > 0 ||
              batch.ingredients.some(({ line }) =>
                holdsOfLine(line).allergens.some((one) => held.includes(one)),
              )),
        );
        if (shared)
          return [warning({ code: 'promise shares bowl', name, of: held, bowl: shared.batch.formula.name })];
        if (vessels(plan).some((id) => vessels(other).includes(id)))
          return [warning({ code: 'promise shares vessel', name, of: held })];
      }
      return [];
    }),
  );
}
