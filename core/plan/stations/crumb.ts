import type { CrumbPart } from '../../model/documents';
import { atLeast, measure, minus, over, times, without, type Ref } from '../../figure';
import { PARAMS, scopeOf } from '../../param';
import { METHODS, MUG_LOSS } from '../../process/batter.table';
import { BREAKAGE } from '../../process/bind.table';
import { middleMm } from '../../process/microwave';
import { MICROWAVE } from '../../process/microwave.table';
import { COOLING_MUG, CRUMBLE_C } from '../../process/oven.table';
import { WEIGH_MIN } from '../../process/hands.table';
import type { BatterNeed, Batch } from '../emitted';
import type { KnownFormula, RunContext } from '../context';
import type { PlanFigures } from '../figures';
import { addBatch, addBowlLoss, addDensities, batchOf, batterScopes, type BowlPart } from './batch';
import { BATCH } from './batch.words';
import { isBaked, type BakedPart, type Source } from './bind';
import { addCooling, type CoolPart } from './cool';
import { CRUMB } from './crumb.words';
import { addMicrowave, addMicroOven, type MicroPart } from './microwave';
import {
  addSheet,
  addSheetBake,
  addSheetCount,
  type SheetBakePart,
  type SheetCount,
  type SheetPart,
  type SheetSpec,
} from './sheet';

/** A bake for its crumb, before it is known how much of it is wanted. */
interface Planned {
  readonly part: BakedPart;
  /** Place among the sources of crumb, from 0. */
  readonly at: number;
  /** The first bake of a line bears the plain ids. */
  readonly prefix: string;
  readonly formula: KnownFormula;
  readonly sheet: { readonly spec: SheetSpec; readonly part: SheetPart } | null;
  readonly loss: Ref<'share'>;
  readonly bowlLoss: Ref<'share'>;
  readonly trim: Ref<'share'>;
  readonly breakage: Ref<'share'>;
  readonly needed: Ref<'g'>;
}

/** What every bake loses on its way from batter to crumb, and the batter that it needs. */
export function addBatterNeeded(
  figures: PlanFigures,
  run: RunContext,
  crumb: readonly CrumbPart[],
  crumbNeeded: Ref<'g'>,
): { readonly planned: readonly Planned[]; readonly needs: readonly BatterNeed[] } {
  const planned: Planned[] = [];
  crumb.forEach((part, at) => {
    if (!isBaked(part)) return;
    const prefix = planned.length === 0 ? '' : `bake${planned.length + 1}.`;
    const f = figures.within(prefix);
    const formula = run.formula(part.formulaId);
    const sheet = part.from === 'bake' ? sheetOf(f, run, part, formula) : null;
    const loss = sheet
      ? sheet.part.loss
      : f.believe(PARAMS.bakeLoss, {
          label: 'Lost as steam',
          of: [...batterScopes(formula).slice(0, 1), scopeOf('size', 'bowl')],
          start: MUG_LOSS,
          sentence: CRUMB.lossInMicrowave,
        });
    const bowlLoss = addBowlLoss(f);
    const trim = f.believe(PARAMS.trimShare, {
      of: [],
      start: { value: part.trimShare, spread: 0, basis: 'stated' },
      sentence: CRUMB.trim,
    });
    const breakage = f.believe(PARAMS.breakage, { of: [], start: BREAKAGE, sentence: CRUMB.breakage });
    const kept = times(without(trim), without(breakage), without(loss), without(bowlLoss));
    const needed = f.sum('batter.needed', CRUMB.batterNeeded, 'g', over(crumbNeeded, kept));
    planned.push({ part, at, prefix, formula, sheet, loss, bowlLoss, trim, breakage, needed });
  });
  return {
    planned,
    needs: planned.map(({ part, needed }) => ({ formulaId: part.formulaId, massG: needed.value })),
  };
}

function sheetOf(
  f: PlanFigures,
  run: RunContext,
  part: Extract<BakedPart, { from: 'bake' }>,
  formula: KnownFormula,
): NonNullable<Planned['sheet']> {
  const spec = {
    sheet: run.thing('sheet', part.sheetId),
    oven: run.thing('oven', part.ovenId),
    ovenC: part.ovenC,
    formula,
  };
  return { spec, part: addSheet(f, spec) };
}

/** Nobody mixes and bakes for less batter than this, g: a spoonful. */
const LEAST_BATTER_G = 10;

/** A bake for its crumb: the bowl, the oven or the microwave, and what of the cake becomes crumb. */
export interface CrumbBake {
  /** Place among the sources of crumb, from 0. */
  readonly at: number;
  readonly prefix: string;
  readonly part: BakedPart;
  readonly formula: KnownFormula;
  readonly batch: Batch;
  readonly bowl: BowlPart;
  readonly ready: Ref<'g'>;
  readonly mixing: Ref<'s'>;
  readonly sheet: (SheetCount & { readonly spec: SheetSpec; readonly bake: SheetBakePart }) | null;
  readonly microwave: {
    readonly id: string;
    readonly micro: MicroPart;
    readonly bowls: Ref<'pieces'>;
    readonly inABowl: Ref<'g'>;
  } | null;
  readonly cool: CoolPart;
  readonly cake: Ref<'g'>;
  readonly crumb: Ref<'g'>;
  readonly aside: Ref<'g'>;
}

/** Crumb of every source, and the bakes that some of it takes. */
export interface CrumbsPart {
  readonly crumb: readonly Ref<'g'>[];
  readonly bakes: readonly CrumbBake[];
}

/** Batters, bakes and their crumb. */
export function addCrumbBakes(
  figures: PlanFigures,
  run: RunContext,
  sources: readonly Source[],
  planned: readonly Planned[],
  lineId: string,
  others: ReadonlyMap<string, number>,
): CrumbsPart {
  const bakes: CrumbBake[] = [];
  const baked = new Map<number, Ref<'g'>>();
  // Beside crumb that is there already, a spoonful of batter is not worth a bowl and an oven.
  const least = sources.some(({ mass }) => mass !== null && mass.value > 0) ? LEAST_BATTER_G : 0;
  for (const one of planned) {
    if (one.needed.value <= least) {
      baked.set(one.at, figures.given(`crumb.${one.at + 1}`, CRUMB.nothing, 'g', 0, 'counted'));
      continue;
    }
    const bake = addCrumbBake(figures, run, one, lineId, others.get(one.formula.doc.id) ?? 0);
    bakes.push(bake);
    baked.set(one.at, bake.crumb);
  }
  const crumb = sources.map(({ mass }, i) => {
    const own = mass ?? baked.get(i);
    if (!own) throw new Error('invariant: crumb is there or has been baked');
    return own;
  });
  return { crumb, bakes };
}

function addCrumbBake(
  figures: PlanFigures,
  run: RunContext,
  planned: Planned,
  lineId: string,
  othersG: number,
): CrumbBake {
  const { part, at, prefix, formula, needed, bowlLoss, sheet } = planned;
  const f = figures.within(prefix);
  const method = METHODS[formula.doc.method];
  const bowl = addBatch(f, {
    formula,
    eggs: part.eggs,
    needed,
    othersG,
    mixed: { id: 'batter.mixed', label: BATCH.inTheBowl },
  });
  const bowlLost = f.sum('batter.bowlLoss', BATCH.lost, 'g', times(bowl.own, bowlLoss));
  const ready = f.sum('batter.ready', CRUMB.ready, 'g', minus(bowl.own, bowlLost));
  const mixing = f.given('day.mix', CRUMB.mixing, 's', (method.mixMin + WEIGH_MIN) * 60, 'typical');
  const inSheets = sheet ? addSheets(f, run, sheet, ready) : null;
  const inBowls = part.from === 'microwave' ? addBowls(f, run, part, formula, ready) : null;
  const cool = inSheets?.bake.cool ?? inBowls?.cool;
  if (!cool) throw new Error('invariant: crumb is baked in an oven or in a microwave');
  return {
    at,
    prefix,
    part,
    formula,
    batch: batchOf(bowl, formula, lineId, prefix),
    bowl,
    ready,
    mixing,
    sheet: inSheets,
    microwave: inBowls,
    cool,
    ...addCrumbOf(figures, planned, ready),
  };
}

function addSheets(
  f: PlanFigures,
  run: RunContext,
  { spec, part }: NonNullable<Planned['sheet']>,
  ready: Ref<'g'>,
): NonNullable<CrumbBake['sheet']> {
  const count = addSheetCount(f, part, ready);
  const bake = addSheetBake(f, run, spec, part, count, CRUMBLE_C, CRUMB.untilCrumbled);
  return { ...count, spec, bake };
}

function addBowls(
  f: PlanFigures,
  run: RunContext,
  part: Extract<BakedPart, { from: 'microwave' }>,
  formula: KnownFormula,
  ready: Ref<'g'>,
): NonNullable<CrumbBake['microwave']> & { readonly cool: CoolPart } {
  const bowls = f.sum('micro.bowls', CRUMB.bowls, 'pieces', over(ready, measure(MICROWAVE.mostBowlG, 'g')), {
    decide: { step: 1, how: 'up', least: 1 },
  });
  const inABowl = f.sum('bowl.mass', CRUMB.inABowl, 'g', over(ready, bowls));
  const microwave = run.thing('microwave', part.microwaveId);
  const { batter: density } = addDensities(f, formula);
  // A deep bowl on full power is dry at its rim before its middle has set.
  const deep = middleMm('bowl', inABowl.value / density.value, 0) > MICROWAVE.reachMm;
  const oven = addMicroOven(f, microwave, run.kitchen, deep ? MICROWAVE.deepPower : 1, {
    vessel: 'bowl',
    mass: inABowl,
    density,
    widthMm: 0,
  });
  const micro = addMicrowave(f, oven, inABowl);
  const cool = addCooling(f, {
    kind: 'mug',
    thing: scopeOf('microwave', microwave.id),
    massG: inABowl.value,
    constant: COOLING_MUG,
    toC: CRUMBLE_C,
    until: CRUMB.untilCrumbled,
  });
  return { id: microwave.id, micro, bowls, inABowl, cool };
}

/** Cake, what is trimmed and broken off it, and its crumb. More crumb than cake cannot be weighed. */
function addCrumbOf(
  f: PlanFigures,
  { at, loss, trim, breakage }: Planned,
  ready: Ref<'g'>,
): Pick<CrumbBake, 'cake' | 'crumb' | 'aside'> {
  const id = `crumb.${at + 1}`;
  const cake = f.sum(`${id}.cake`, CRUMB.cake, 'g', times(ready, without(loss)), {
    pin: { min: 1, max: ready.high },
  });
  const crumb = f.sum(id, CRUMB.ofCake, 'g', times(cake, without(trim), without(breakage)), {
    pin: { min: 0, max: cake.pinned ? cake.value : ready.high },
  });
  return { cake, crumb, aside: f.sum(`${id}.aside`, CRUMB.aside, 'g', atLeast(minus(cake, crumb), 0)) };
}
