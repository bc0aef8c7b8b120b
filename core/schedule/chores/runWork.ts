import type { KitchenDoc } from '../../model/documents';
import type { LinePlan, RunPlan } from '../../plan';
import { Beliefs, KITCHEN, PARAMS, scopeOf } from '../../param';
import { fullLoads } from '../../process/loads';
import { madeLines } from '../../plan/bowls';
import { stageOf } from '../../process/stages';
import { mixableMl } from './limits';
import { mixedOnce, sharedBowls } from './mixedOnce';
import { coldRoomOf } from '../cold';
import type { Chore, ChoreGap } from './chore';
import { componentsWork, type Ahead } from './components';
import { promisedFirst, promiseSteps, type PackedLine } from './promised';
import { cakesicleWork, cutWork, mugWork, popWork, type CraftThings } from './craft';
import { Work } from './lineWork';
import { wellsWork } from './wells';
import { HANDS_DOUBT, HANDS_S, PACE_DOUBT } from './chores.table';
import { CHORE } from './chores.words';

/** What of a run is not done as its plan has it, line by line. */
export interface Grouped {
  /** Pieces by load or round, by line. */
  readonly sizes: ReadonlyMap<string, readonly number[]>;
  /** Formulas that are mixed once for all their lines. */
  readonly mixed: ReadonlySet<string>;
}
export const AS_PLANNED: Grouped = { sizes: new Map(), mixed: new Set() };

/** Another way to group, and what a day must gain for it to be taken, s. */
export interface Regrouping {
  readonly regroup: (now: Grouped) => Grouped;
  readonly worthS: number;
}
/** A bowl less is worth having by itself; loads of one size bake alike, and are given up for minutes only. Basis: judgement. */
const MIXED_WORTH_S = 60;
const SIZES_WORTH_S = 300;

/** Ways to group a run's work otherwise: a bowl for several lines, full loads and rounds first or last. */
export function groupingsOf(whole: RunPlan, kitchen: KitchenDoc): Regrouping[] {
  const mixed = sharedBowls(whole, mixableMl(kitchen)).map(({ key }): Regrouping => ({
    regroup: (now) => ({ ...now, mixed: new Set([...now.mixed, key]) }),
    worthS: MIXED_WORTH_S,
  }));
  const sized = whole.lines.flatMap((plan) => {
    if (!plan.planned) return [];
    const { line, loads } = plan;
    const full = fullFirst(plan, kitchen);
    const even = full.length !== loads.sizes.length || full.every((size, i) => size === loads.sizes[i]);
    if (even) return [];
    return [full, [...full].reverse()].map((sizes): Regrouping => ({
      regroup: (now) => ({ ...now, sizes: new Map(now.sizes).set(line.id, sizes) }),
      worthS: SIZES_WORTH_S,
    }));
  });
  return [...mixed, ...sized];
}

/** Loads or rounds of a line as large as they can be, the rest last; empty where it has none. */
export function fullFirst({ line, loads, parts }: LinePlan, kitchen: KitchenDoc): readonly number[] {
  const mould =
    line.family === 'cakesicle' ? kitchen.moulds?.find(({ id }) => id === line.mouldId) : undefined;
  if (!mould) return parts.loadPlan?.unevened ?? [];
  const all = loads.sizes.reduce((sum, one) => sum + one, 0);
  return fullLoads(all, mould.cavities * mould.owned);
}

/** All chores of a run, from butter out to packed and cold: of each line, and of what lines share. */
export function workOf(
  whole: RunPlan,
  kitchen: KitchenDoc,
  grouped: Grouped = AS_PLANNED,
  ahead: Ahead = {},
): Chore[] {
  const { chores, packed } = runWork(whole, kitchen, grouped, ahead);
  return promisedFirst(chores, packed, ({ part }) => part !== null && (ahead[part.id] ?? 0) > 0);
}

/** The same before what is promised free of something is put first, with the chores that pack its lines. */
export function runWork(
  whole: RunPlan,
  kitchen: KitchenDoc,
  grouped: Grouped = AS_PLANNED,
  ahead: Ahead = {},
): { readonly chores: readonly Chore[]; readonly packed: readonly PackedLine[] } {
  const { chores, beside } = componentsWork(whole, ahead);
  const plans = madeLines(whole);
  const packed: PackedLine[] = [];
  for (const plan of plans) {
    const made = plan.parts.count.made.value;
    const work = new Work(plan.line.id, [plan.line.id]);
    const after = lineWork(work, plan, {
      beside,
      mixableMl: mixableMl(kitchen),
      grouped: grouped.sizes.get(plan.line.id),
      perRack: (id) => kitchen.ovens.find((oven) => oven.id === id)?.tinsPerRack ?? 1,
      coldUnits: coldUnitsOf(plan, kitchen),
    });
    const id = work.hands('pack', CHORE.pack.label, HANDS_S.packOnce + HANDS_S.pack * made, CHORE.packBasis, {
      detail: CHORE.pack.detail,
      pieces: made,
      after,
    });
    packed.push({ plan, lineId: plan.line.id, packId: id });
    chores.push(...promiseSteps(work.chores, plan, plans));
  }
  const once = sharedBowls(whole, mixableMl(kitchen))
    .filter(({ key }) => grouped.mixed.has(key))
    .reduce<readonly Chore[]>(mixedOnce, chores);
  return { chores: once.map(pacedAs(new Beliefs(kitchen.beliefs))), packed };
}

/** Hands at the pace that this kitchen has shown at their stage; all else as it is. */
function pacedAs(beliefs: Beliefs): (chore: Chore) => Chore {
  return (chore) => {
    const stage = chore.kind === 'hands' ? stageOf(chore) : null;
    const pace = stage && beliefs.find(PARAMS.workPace.key, [scopeOf('step', stage), KITCHEN]);
    if (!pace || pace.mean <= 0) return chore;
    const { takes } = chore;
    return {
      ...chore,
      takes: {
        ...takes,
        lengthS: takes.lengthS * pace.mean,
        // The whole day's pace is known by now, but for what one day is off another.
        shared: Math.min(HANDS_DOUBT.shared, takes.shared, PACE_DOUBT),
        basis: [takes.basis, CHORE.paced(pace.mean, pace.learned === true ? pace.seen : null)]
          .filter(Boolean)
          .join(' '),
      },
    };
  };
}

function lineWork(work: Work, plan: LinePlan, things: CraftThings): (string | ChoreGap)[] {
  const { line } = plan;
  const wells = (
    finishing: Parameters<typeof wellsWork>[2]['finishing'],
    on: { readonly tinId: string; readonly ovenId: string },
  ) => wellsWork(work, plan, { ...things, finishing, tinId: on.tinId, ovenId: on.ovenId });
  switch (line.family) {
    case 'cupcake':
      return wells(line, line);
    case 'mini':
      return line.style === 'cubes' ? cutWork(work, plan, line, things) : wells(line, line);
    case 'pop':
      return popWork(work, plan, line, things);
    case 'cakesicle':
      return cakesicleWork(work, plan, line, things);
    case 'mug':
      return mugWork(work, plan, line, things);
  }
}

/** Trays or moulds in the cold at once, no more than there is room for. */
function coldUnitsOf(plan: LinePlan, kitchen: KitchenDoc): number {
  const cold = coldRoomOf(plan, kitchen);
  return cold ? Math.max(1, Math.min(cold.needed, cold.room ?? cold.needed)) : 1;
}
