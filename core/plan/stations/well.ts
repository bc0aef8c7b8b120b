import { AS_IT_IS, atLeast, calls, minus, over, says, times, toScale, without, type Ref } from '../../figure';
import { PARAMS, scopeOf, type Scope } from '../../param';
import {
  cakeAboveRimMm,
  heightForVolumeMm,
  sidesOf,
  wellShapeOf,
  wellVolumeMl,
  type Side,
  type Sides,
  type Well,
  type WellShape,
} from '../../piece';
import type { BaseLayer, Fill, TinDoc } from '../../model/documents';
import { FINISHES, TIN_RULER_MM, WELL_SIZES, bakeLossStart, type Start } from '../../process/batter.table';
import type { KnownFormula } from '../context';
import type { PlanFigures } from '../figures';
import { addDensities, batterScopes, type Densities } from './batch';
import { WELL } from './well.words';

/** A well, and the batter that goes into it. */
export interface WellPart {
  readonly tin: TinDoc;
  readonly shape: WellShape;
  /** Its measures; those that its shape does not have are left out. */
  readonly sides: Partial<Record<Side, Ref<'mm'>>>;
  readonly volume: Ref<'ml'>;
  readonly densities: Densities;
  readonly loss: Ref<'share'>;
  /** What that belongs to, and what it starts from. */
  readonly losing: Losing;
  readonly rise: Ref<'times'>;
  /** What lies below the batter; null where nothing does. */
  readonly layer: { readonly mass: Ref<'g'>; readonly density: Ref<'g/ml'>; readonly what: string } | null;
  readonly portion: Ref<'g'>;
  readonly filled: Ref<'share'>;
  readonly finish: Ref<'share'>;
}

interface Losing {
  readonly of: readonly Scope[];
  readonly start: Start;
  /** What wells of this size are called. */
  readonly size: string;
}

/** Measures of a well as the shape asks for them: it never asks for one that it has not. */
export const sidesFor = ({ sides }: Pick<WellPart, 'sides'>): Sides => sides as Sides;

/** The well, how the batter rises in it, and what goes into one. */
export function addWell(
  f: PlanFigures,
  tin: TinDoc,
  formula: KnownFormula,
  fill: Fill,
  baseLayer: BaseLayer | null,
  stepG: number,
): WellPart {
  const shape = wellShapeOf(tin);
  const { sides, volume } = addHollow(f, tin, shape);
  const densities = addDensities(f, formula);
  const losing = lossOf(tin, volume.value, formula);
  const loss = f.believe(PARAMS.bakeLoss, { ...losing, sentence: WELL.loss(losing.size) });
  const rise = f.sum(
    'rise',
    WELL.rise,
    'times',
    over(times(without(loss), densities.batter), densities.cake),
  );
  const layer = baseLayer ? addLayer(f, baseLayer) : null;
  const room = layer
    ? // Never less than a twentieth of the well: a layer that fills it is told by the finish, not by a failure.
      f.sum(
        'well.free',
        WELL.free,
        'ml',
        atLeast(minus(volume, over(layer.mass, layer.density)), times(0.05, volume)),
      )
    : volume;
  const portion = addPortion(f, fill, { room, rise, densities }, stepG, formula.doc.name);
  const filled = f.sum('fill.share', WELL.filled, 'share', over(portion, times(room, densities.batter)));
  const finish = f.sum(
    'finish.share',
    WELL.finish,
    'share',
    over(times(portion, without(loss)), times(densities.cake, room)),
  );
  return { tin, shape, sides, volume, densities, loss, losing, rise, layer, portion, filled, finish };
}

function addHollow(f: PlanFigures, tin: TinDoc, shape: WellShape): Pick<WellPart, 'sides' | 'volume'> {
  const mm = sidesOf(tin);
  const sides: Partial<Record<Side, Ref<'mm'>>> = {};
  for (const { side, label } of shape.fields)
    sides[side] = f.root({
      id: `well.${side}`,
      words: WELL.side(label, tin.name),
      unit: 'mm',
      value: mm[side],
      spread: TIN_RULER_MM,
      basis: 'geometry',
      key: `well.${side}@tin:${tin.id}`,
    });
  const volume = f.sum(
    'well.volume',
    WELL.volume(shape.volumeSays),
    'ml',
    shape.volume(sidesFor({ sides })),
    {
      pin: { min: 1, max: 5000 },
    },
  );
  return { sides, volume };
}

/** Bake loss by the size of the well: the kitchen may know it for the tin, or for the batter. */
function lossOf(tin: TinDoc, volumeMl: number, formula: KnownFormula): Losing {
  const size = WELL_SIZES.find(({ belowMl }) => volumeMl < belowMl);
  if (!size) throw new Error('invariant: the last class of wells has no end');
  return {
    of: [scopeOf('tin', tin.id), ...batterScopes(formula).slice(0, 1), scopeOf('size', size.name)],
    start: bakeLossStart(volumeMl),
    size: size.name,
  };
}

function addLayer(f: PlanFigures, { what, massG, density }: BaseLayer): NonNullable<WellPart['layer']> {
  return {
    what,
    mass: f.given('layer.mass', WELL.layerMass(what), 'g', massG, 'stated'),
    density: f.given('layer.density', WELL.layerDensity(what), 'g/ml', density, 'stated'),
  };
}

interface Room {
  readonly room: Ref<'ml'>;
  readonly rise: Ref<'times'>;
  readonly densities: Densities;
}

function addPortion(
  f: PlanFigures,
  fill: Fill,
  { room, rise, densities }: Room,
  stepG: number,
  formula: string,
): Ref<'g'> {
  const weighed = { decide: toScale(stepG), pin: { min: 1, max: 5000 } };
  switch (fill.by) {
    case 'finish': {
      const { name, meaning, share } = FINISHES[fill.finish];
      const aim = f.given('finish.aim', WELL.finishAim(name, meaning), 'share', share, 'stated');
      const wanted = f.sum(
        'portion.aim',
        WELL.portionAim,
        'g',
        times(times(over(aim, rise), room), densities.batter),
      );
      return f.sum('portion.mass', WELL.byFinish(name), 'g', wanted, weighed);
    }
    case 'share': {
      const rule = f.given('fill.rule', WELL.rule, 'share', fill.share, 'stated');
      return f.sum('portion.mass', WELL.byRule, 'g', times(times(rule, room), densities.batter), weighed);
    }
    case 'mass': {
      const chosen = f.given('portion.stated', WELL.chosen(formula), 'g', fill.massG, 'stated');
      return f.sum('portion.mass', WELL.byMass, 'g', chosen, { ...weighed, decide: AS_IT_IS });
    }
  }
}

/** The well as a water test has it: as deep as it holds. */
export function wellAsItHolds(volumeMl: number, topMm: number, baseMm: number, depthMm: number): Well {
  return { topMm, baseMm, depthMm: (depthMm * volumeMl) / wellVolumeMl(topMm, baseMm, depthMm) };
}

/** How batter and cake stand against the rim of a well that is a cone. */
export interface Heights {
  readonly belowRim: Ref<'mm'>;
  readonly aboveRim: Ref<'mm'>;
}

/** Heights of batter and cake; null for a shape that is not drawn as a cone. */
export function addHeights(f: PlanFigures, well: WellPart): Heights | null {
  const { shape, volume, filled, finish } = well;
  const { top, base, depth } = well.sides;
  if (!shape.domes || !top || !base || !depth) return null;
  const inputs = { volume, top, base, depth };
  const inTheWell = says`${volume} in the well (${top} × ${base} × ${depth})`;
  const said = (before: Ref<'share'>, after: string) => ({
    strings: ['height of ', ' of ', ...inTheWell.strings.slice(1, -1), `)${after}`],
    said: [before, ...inTheWell.said],
  });
  return {
    belowRim: f.sum(
      'fill.belowRim',
      WELL.belowRim,
      'mm',
      calls(
        'mm',
        (v) => {
          const hollow = wellAsItHolds(v.volume, v.top, v.base, v.depth);
          return hollow.depthMm - heightForVolumeMm(hollow, v.share * v.volume);
        },
        { share: filled, ...inputs },
        said(filled, ', from the rim down'),
      ),
      { signed: true },
    ),
    aboveRim: f.sum(
      'finish.aboveRim',
      WELL.aboveRim,
      'mm',
      calls(
        'mm',
        (v) => cakeAboveRimMm(wellAsItHolds(v.volume, v.top, v.base, v.depth), v.share * v.volume),
        { share: finish, ...inputs },
        said(finish, ', as a dome'),
      ),
      { signed: true },
    ),
  };
}
