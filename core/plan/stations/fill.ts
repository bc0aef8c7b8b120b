import type { FillingChoice } from '../../model/documents';
import { PI, atLeast, minus, ml, over, square, times, without, type Ref } from '../../figure';
import { PARAMS, scopeOf } from '../../param';
import { BETWEEN_MM, CORE, FROSTING_DENSITY, INJECTED } from '../../process/frost.table';
import { Unplannable } from '../context';
import type { PlanFigures } from '../figures';
import { supplied, type Supplied } from './count';
import { FILLING } from './fill.words';

/** What goes into a piece: the grams of one, and the crumb that a core leaves. */
export interface FillingPart {
  readonly choice: FillingChoice;
  readonly each: Ref<'g'>;
  /** The cake as the filling leaves it: without its core, or whole. */
  readonly cake: Ref<'g'>;
  readonly density: Ref<'g/ml'> | null;
  readonly core: {
    readonly diameter: Ref<'mm'>;
    readonly depth: Ref<'mm'>;
    readonly removed: Ref<'g'>;
    readonly kept: Ref<'g'>;
  } | null;
  readonly channels: { readonly count: Ref<'pieces'>; readonly each: Ref<'g'> } | null;
  readonly thickness: Ref<'mm'> | null;
  readonly supplies: readonly Supplied[];
}

/** The piece that is filled. */
export interface Filled {
  readonly top: Ref<'mm'>;
  readonly cake: Ref<'g'>;
  readonly crumbDensity: Ref<'g/ml'>;
  /** Narrowest way across and height of the piece, mm; null where nothing can be cored. */
  readonly body: { readonly narrowestMm: number; readonly heightMm: number } | null;
}

/** Wider than this share of the narrowest width, or deeper than that of the height, a core breaks the piece. Basis: typical. */
const CORE_MOST = { width: 0.6, depth: 0.7 } as const;

export function addFilling(f: PlanFigures, choice: FillingChoice, piece: Filled): FillingPart {
  const part = fillingOf(f, choice, piece);
  return { ...part, choice, supplies: supplied(f, 'filling', choice.onHandG, part.each) };
}

type Part = Omit<FillingPart, 'choice' | 'supplies'>;
const BARE = { density: null, core: null, channels: null, thickness: null } as const;

function fillingOf(f: PlanFigures, choice: FillingChoice, piece: Filled): Part {
  switch (choice.how) {
    case 'core':
      return cored(f, choice, piece);
    case 'inject':
      return injected(f, choice, piece);
    case 'between':
      return between(f, choice, piece);
  }
}

/** A core that leaves no wall cannot be cut. */
function checkCore({ coreDiameterMm, coreDepthMm }: FillingChoice, body: Filled['body']): void {
  if (!body) return;
  const widest = CORE_MOST.width * body.narrowestMm;
  const deepest = CORE_MOST.depth * body.heightMm;
  if (coreDiameterMm > widest)
    throw new Unplannable('filling', { code: 'core too wide', coreMm: coreDiameterMm, mostMm: widest });
  if (coreDepthMm > deepest)
    throw new Unplannable('filling', { code: 'core too deep', coreMm: coreDepthMm, mostMm: deepest });
}

function cored(f: PlanFigures, choice: FillingChoice, { cake, crumbDensity, body }: Filled): Part {
  checkCore(choice, body);
  const diameter = f.given('core.diameter', FILLING.corer, 'mm', choice.coreDiameterMm, 'stated');
  const depth = f.given('core.depth', FILLING.coreDepth, 'mm', choice.coreDepthMm, 'stated');
  const plug = f.believe(PARAMS.corePlug, {
    of: [],
    start: { value: CORE.plugShare, spread: 0.08, basis: 'typical' },
    sentence: FILLING.plug,
  });
  const hole = ml(over(times(PI, square(diameter), depth), 4));
  const removed = f.sum('core.removed', FILLING.removed, 'g', times(hole, crumbDensity));
  const kept = f.sum('core.kept', FILLING.kept, 'g', times(removed, without(plug)));
  const density = f.believe(PARAMS.fillingDensity, {
    label: FILLING.densityLabel(choice.what),
    of: [scopeOf('filling', choice.what.toLowerCase())],
    start: { value: CORE.jamDensity, spread: 0.1, basis: 'typical' },
    sentence: FILLING.coreDensity,
  });
  const each = f.sum(
    'filling.each',
    FILLING.inCore(choice.what),
    'g',
    times(times(hole, without(plug)), density),
    { pin: { min: 0, max: 300 } },
  );
  const left = f.sum('cake.cored', FILLING.cored, 'g', atLeast(minus(cake, kept), 0));
  return { ...BARE, each, cake: left, density, core: { diameter, depth, removed, kept } };
}

function injected(f: PlanFigures, { what, channels, eachG }: FillingChoice, { cake }: Filled): Part {
  const count = f.given('filling.channels', FILLING.channels, 'pieces', channels, 'stated');
  const channel = f.believe(PARAMS.fillingChannel, {
    of: [],
    start:
      eachG === null
        ? { ...INJECTED, value: INJECTED.value / channels, spread: INJECTED.spread / channels }
        : { value: eachG, spread: 0, basis: 'stated' },
    sentence: eachG === null ? FILLING.channel : FILLING.channelChosen,
  });
  const each = f.sum('filling.each', FILLING.injected(what), 'g', times(count, channel), {
    pin: { min: 0, max: 300 },
  });
  return { ...BARE, each, cake, channels: { count, each: channel } };
}

function between(f: PlanFigures, { what, eachG }: FillingChoice, { cake, top }: Filled): Part {
  if (eachG !== null) {
    const each = f.believe(PARAMS.fillingEach, {
      label: FILLING.betweenLabel(what),
      of: [],
      start: { value: eachG, spread: 0, basis: 'stated' },
      sentence: FILLING.betweenChosen,
    });
    return { ...BARE, each, cake };
  }
  const thickness = f.believe(PARAMS.fillingThickness, {
    of: [scopeOf('filling', what.toLowerCase())],
    start: { value: BETWEEN_MM, spread: 0.8, basis: 'typical' },
    sentence: FILLING.thickness,
  });
  const density = f.believe(PARAMS.fillingDensity, {
    label: FILLING.densityLabel(what),
    of: [scopeOf('filling', what.toLowerCase())],
    start: { value: FROSTING_DENSITY.buttercream, spread: 0.08, basis: 'typical' },
    sentence: FILLING.betweenDensity,
  });
  const layer = ml(times(times(over(PI, 4), square(top)), thickness));
  const each = f.sum('filling.each', FILLING.between(what), 'g', times(layer, density), {
    pin: { min: 0, max: 300 },
  });
  return { ...BARE, each, cake, density, thickness };
}

/** Filling for all pieces. */
export const addFillingTotal = (
  f: PlanFigures,
  { choice, each }: FillingPart,
  made: Ref<'pieces'>,
): Ref<'g'> => f.sum('filling.needed', FILLING.total(choice.what), 'g', times(made, each));
