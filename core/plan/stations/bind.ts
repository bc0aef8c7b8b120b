import { thirstOf } from '../../process/bind';
import type { AddIn, BinderChoice, CrumbPart } from '../../model/documents';
import {
  AS_IT_IS,
  atLeast,
  measure,
  minus,
  over,
  plus,
  times,
  without,
  type Expr,
  type Ref,
  largerOf,
  smallestOf,
} from '../../figure';
import { LEAST_LOSS } from '../../formula/wholeEggs';
import { BATCH } from './batch.words';
import { PARAMS, scopeOf } from '../../param';
import {
  ADD_IN,
  BINDER_FACTOR,
  BIND_MODEL,
  BIND_SCHOOLS,
  DOUGH_DENSITY,
  FIRST_ADDITION,
  FROSTING_SHARE_SPREAD,
  SCRAPED_KEEPS,
} from '../../process/bind.table';
import { HAND_LOSS } from '../../process/portion';
import type { PlanFigures } from '../figures';
import { supplied, type Supplied } from './count';
import { BIND, CRUMB } from './crumb.words';

/** Parts whose crumb has to be baked first. */
export type BakedPart = Extract<CrumbPart, { from: 'bake' | 'microwave' }>;
export const isBaked = (part: CrumbPart): part is BakedPart =>
  part.from === 'bake' || part.from === 'microwave';
export const kindOf = (part: CrumbPart) => (part.from === 'biscuit' ? 'biscuit' : part.crumb);

export interface DoughLine {
  readonly crumb: readonly CrumbPart[];
  readonly addIns: readonly AddIn[];
  readonly binder: BinderChoice;
}

/** Less binder than this is none, g. */
export const LEAST_BINDER_G = 1;

/** Dough as such, before it is known what is in it. */
export interface DoughKind {
  readonly density: Ref<'g/ml'>;
  readonly handLoss: Ref<'share'>;
}

export function addDoughKind(f: PlanFigures, line: DoughLine): DoughKind {
  const baked = line.crumb.some((part) => part.from !== 'biscuit');
  return {
    density: f.believe(PARAMS.doughDensity, {
      of: [scopeOf('size', baked ? 'baked crumb' : 'no-bake')],
      start: DOUGH_DENSITY[baked ? 'baked' : 'no-bake'],
      sentence: BIND.density(baked),
    }),
    handLoss: f.believe(PARAMS.handLoss, {
      of: [],
      start: { ...HAND_LOSS, basis: 'typical' },
      sentence: BIND.handLoss,
    }),
  };
}

/** Crumb of one source, as far as it is there: what is baked for it follows later. */
export interface Source {
  readonly part: CrumbPart;
  readonly thirst: Ref<'times'>;
  /** Null where it has to be baked first. */
  readonly mass: Ref<'g'> | null;
  readonly cake: Ref<'g'> | null;
  readonly frosting: Ref<'g'> | null;
}

/** What is on the table before anything is baked, and how much binder a gram of moist crumb takes. */
export interface Table {
  readonly kind: Ref<'times'>;
  readonly factor: Ref<'times'>;
  readonly share: Ref<'share'>;
  readonly sources: readonly Source[];
  readonly dry: readonly Ref<'g'>[];
  readonly wet: readonly Ref<'g'>[];
  readonly addIns: readonly Ref<'g'>[];
}

export function addTable(f: PlanFigures, { crumb, addIns, binder }: DoughLine): Table {
  const { name, meaning, share } = BIND_SCHOOLS[binder.school];
  const school = f.given('binder.school', BIND.school(name, meaning), 'share', share, 'typical');
  const kind = f.given('binder.kind', BIND.kind(binder.kind), 'times', BINDER_FACTOR[binder.kind], 'typical');
  const factor = f.believe(PARAMS.bindFactor, {
    of: [scopeOf('binder', binder.kind)],
    start: BIND_MODEL,
    sentence: BIND.factor,
  });
  const binderShare = f.sum('binder.share', BIND.share, 'share', times(school, kind, factor));
  const kinds = crumb.map(kindOf);
  const sources = crumb.map((part, i) =>
    addSource(f, part, `crumb.${i + 1}`, thirstOf(kindOf(part), kinds, binder.kind, binder.school)),
  );
  const added = addIns.map(({ what, massG, wet }, i) =>
    f.believe(PARAMS.addIn, {
      id: `addin.${i + 1}`,
      label: CRUMB.addIn(what, wet).label,
      of: [],
      start: { value: massG, spread: 0, basis: 'stated' },
      sentence: CRUMB.addIn(what, wet).sentence,
    }),
  );
  return {
    kind,
    factor,
    share: binderShare,
    sources,
    addIns: added,
    dry: added.filter((_, i) => addIns[i]?.wet === false),
    wet: added.filter((_, i) => addIns[i]?.wet === true),
  };
}

function addSource(f: PlanFigures, part: CrumbPart, id: string, drinks: number): Source {
  const kind = kindOf(part);
  const thirst = f.given(`${id}.thirst`, CRUMB.thirst(kind), 'times', drinks, 'typical');
  const there = { part, thirst };
  if (isBaked(part)) return { ...there, mass: null, cake: null, frosting: null };
  if (part.from !== 'leftovers') {
    const { label, sentence } = CRUMB.standing(part.from === 'biscuit');
    const mass = f.believe(PARAMS.crumbMass, {
      id,
      label,
      of: [],
      start: { value: part.massG, spread: 0, basis: 'stated' },
      sentence,
    });
    return { ...there, mass, cake: null, frosting: null };
  }
  const cake = f.believe(PARAMS.leftoverMass, {
    id: `${id}.cake`,
    of: [],
    start: { value: part.massG, spread: 0, basis: 'stated' },
    sentence: CRUMB.leftover,
  });
  const share = f.believe(PARAMS.leftoverFrosting, {
    id: `${id}.frostingShare`,
    of: [],
    start: {
      value: part.frostingShare,
      spread: part.frostingShare * FROSTING_SHARE_SPREAD,
      basis: 'stated',
    },
    sentence: CRUMB.frostingShare,
  });
  const most = { pin: { min: 0, max: cake.value } };
  const mass = f.sum(id, CRUMB.ofLeftover, 'g', times(cake, without(share)), {
    pin: { min: 0.1, max: cake.value },
  });
  const all = times(cake, share);
  const frosting = f.sum(
    `${id}.frosting`,
    CRUMB.frosting(part.scraped),
    'g',
    part.scraped ? times(all, SCRAPED_KEEPS) : all,
    most,
  );
  return { ...there, mass, cake, frosting };
}

interface Crumb {
  readonly mass: Ref<'g'>;
  readonly thirst: Ref<'times'>;
}

/** Binder that crumb takes: its thirst drinks, frosting and liquor give. May lie below nought. */
function binderOf(table: Table, crumb: readonly Crumb[]): Expr<'g'> {
  const { drunk, gives } = drunkAndGiven(table, crumb);
  return gives.length === 0 ? drunk : minus(drunk, ...gives);
}

/** What crumb drinks, and what frosting and liquor in it give, g of the binder. */
function drunkAndGiven({ share, kind, sources, dry, wet }: Table, crumb: readonly Crumb[]) {
  const drinks: Expr<'g'>[] = [
    ...crumb.map(({ mass, thirst }) => times(mass, thirst)),
    ...dry.map((mass) => times(mass, ADD_IN.dryFactor)),
  ];
  const [first, ...more] = drinks;
  const drunk: Expr<'g'> = times(share, first ? plus(first, ...more) : NOTHING);
  const gives: Expr<'g'>[] = [
    ...sources.flatMap(({ frosting }) => (frosting ? [times(frosting, kind)] : [])),
    ...wet,
  ];
  return { drunk, gives };
}

/** Frosting and liquor beyond what the crumb takes, and the crumb that would take it up. Null where nothing brings any. */
export interface Excess {
  readonly over: Ref<'g'>;
  readonly cake: Ref<'g'>;
  readonly biscuit: Ref<'g'>;
}

function addExcess(f: PlanFigures, table: Table, crumb: readonly Crumb[]): Excess | null {
  const { drunk, gives } = drunkAndGiven(table, crumb);
  const [first, ...more] = gives;
  if (!first) return null;
  const excess = f.sum('binder.excess', BIND.excess, 'g', atLeast(minus(plus(first, ...more), drunk), 0));
  return {
    over: excess,
    cake: f.sum('excess.cake', BIND.excessCake, 'g', over(excess, table.share)),
    biscuit: f.sum(
      'excess.biscuit',
      BIND.excessBiscuit,
      'g',
      over(excess, times(table.share, ADD_IN.dryFactor)),
    ),
  };
}

/** No crumb drinks nothing; a portion takes a trace of binder, so that no count is divided by nought. */
const NOTHING = measure(0, 'g');
const TRACE = measure(0.001, 'g');

/**
 * Crumb that has to be baked for a dough of so much: what the crumb on the table, its frosting, the add-ins and the
 * binder that all of it takes leave open. `x · (1 + share · thirst) = dough − standing − its binder`.
 * Returns one baked part's crumb; several share the need alike. Null where nothing is baked.
 */
export function addCrumbNeeded(f: PlanFigures, table: Table, needed: Ref<'g'>): Ref<'g'> | null {
  const { sources, dry, wet, share } = table;
  const baked = sources.filter(({ mass }) => mass === null);
  const [first] = baked;
  if (!first) return null;
  const standing = sources.flatMap(({ mass, thirst }) => (mass ? [{ mass, thirst }] : []));
  const fixed = f.sum('binder.fixed', BIND.fixed, 'g', binderOf(table, standing), { signed: true });
  const there = [
    ...standing.map(({ mass }) => mass),
    ...sources.flatMap(({ frosting }) => (frosting ? [frosting] : [])),
    ...dry,
    ...wet,
  ];
  const open = minus(needed, ...there, fixed);
  const each = over(open, plus(1, times(share, first.thirst)));
  return f.sum(
    'crumb.needed',
    BIND.crumbNeeded(baked.length),
    'g',
    atLeast(baked.length === 1 ? each : over(each, baked.length), 0),
  );
}

/** A portion as it was asked for. */
export interface AskedPortion {
  readonly portion: Ref<'g'>;
  readonly wanted: Ref<'pieces'>;
  /** A bake for it breaks an egg fewer than its scale asks for: each portion gives up its share of that. */
  readonly given: boolean;
}

export interface DoughPart {
  /** Dough in one piece. */
  readonly portion: Ref<'g'>;
  /** Crumb of every source, in the order of the line. */
  readonly crumb: readonly Ref<'g'>[];
  readonly crumbTotal: Ref<'g'>;
  /** Null where the crumb brought none. */
  readonly ownFrosting: Ref<'g'> | null;
  readonly need: Ref<'g'>;
  readonly first: Ref<'g'>;
  readonly added: Ref<'g'>;
  readonly total: Ref<'g'>;
  readonly lost: Ref<'g'>;
  readonly ready: Ref<'g'>;
  readonly allows: Ref<'pieces'>;
  readonly binderEach: Ref<'g'>;
  readonly excess: Excess | null;
}

/** Crumb of all parts, the binder it takes, and the dough that comes of it. */
export function addDough(
  f: PlanFigures,
  table: Table,
  crumb: readonly Ref<'g'>[],
  { handLoss }: DoughKind,
  { portion, wanted, given }: AskedPortion,
): DoughPart {
  const { sources, dry, wet } = table;
  const crumbTotal = f.total('crumb.total', BIND.crumb, 'g', crumb);
  const frosting = sources.flatMap((one) => (one.frosting ? [one.frosting] : []));
  const ownFrosting = frosting.length > 0 ? f.total('frosting.own', BIND.ownFrosting, 'g', frosting) : null;
  const thirsty = sources.flatMap(({ thirst }, i) => {
    const mass = crumb[i];
    return mass ? [{ mass, thirst }] : [];
  });
  const need = f.sum('binder.need', BIND.need, 'g', atLeast(binderOf(table, thirsty), 0));
  const excess = addExcess(f, table, thirsty);
  const first = f.sum('binder.first', BIND.first, 'g', times(need, FIRST_ADDITION), {
    decide: { step: 1, how: 'down', said: 'to the gram' },
  });
  const added = f.sum('binder.added', BIND.added, 'g', need, { pin: { min: 0, max: 100_000 } });
  const total = f.total('dough.total', BIND.dough, 'g', [...crumb, ...frosting, ...dry, ...wet, added], {
    min: 1,
    max: 1_000_000,
  });
  const lost = f.sum('dough.lost', BIND.lost, 'g', times(total, handLoss));
  const ready = f.sum('dough.ready', BIND.ready, 'g', minus(total, lost));
  const least = times(1 - LEAST_LOSS, portion);
  const each = given
    ? f.sum(
        'portion.given',
        BATCH.doughPortion,
        'g',
        largerOf<'g'>(least, smallestOf([portion, over(ready, wanted)])),
        { decide: AS_IT_IS },
      )
    : portion;
  const allows = f.sum('count.dough', BIND.allows, 'pieces', over(ready, each), { whole: 'floor' });
  const binderEach = f.sum('binder.each', BIND.each, 'g', atLeast(times(need, over(each, ready)), TRACE));
  return {
    portion: each,
    crumb,
    crumbTotal,
    ownFrosting,
    need,
    first,
    added,
    total,
    lost,
    ready,
    allows,
    binderEach,
    excess,
  };
}

/** What dough and binder allow. */
export function doughSupplies(f: PlanFigures, dough: DoughPart, binder: BinderChoice): Supplied[] {
  return [
    { supply: 'dough', pieces: dough.allows },
    // Crumb that brings its own binder is not limited by what stands beside it.
    ...(dough.need.value < LEAST_BINDER_G ? [] : supplied(f, 'binder', binder.onHandG, dough.binderEach)),
  ];
}
