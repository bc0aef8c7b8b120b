import type { MugDoc, MugLine } from '../../model/documents';
import { AS_IT_IS, over, square, times, toScale, without, PI, cm2, type Ref } from '../../figure';
import { PARAMS, scopeOf } from '../../param';
import { MUG_LOSS } from '../../process/batter.table';
import { MUG_TOP_MM } from '../../process/frost.table';
import type { KnownFormula } from '../context';
import type { PlanFigures } from '../figures';
import { addDensities, batterScopes, type Densities } from './batch';
import { LOT } from './lots.words';
import { MUG } from './microwave.words';

/** A mug, and the batter that goes into it. */
export interface MugPart {
  readonly volume: Ref<'ml'>;
  readonly densities: Densities;
  readonly loss: Ref<'share'>;
  readonly portion: Ref<'g'>;
  readonly filled: Ref<'share'>;
  readonly finish: Ref<'share'>;
}

export function addMug(
  f: PlanFigures,
  mug: MugDoc,
  formula: KnownFormula,
  fill: MugLine['fill'],
  stepG: number,
): MugPart {
  const ofMug = scopeOf('mug', mug.id);
  const volume = f.believe(PARAMS.mugVolume, {
    of: [ofMug],
    start: { value: mug.volumeMl, spread: 0, basis: 'stated' },
    sentence: MUG.volume(mug.name),
  });
  const densities = addDensities(f, formula);
  const loss = f.believe(PARAMS.bakeLoss, {
    label: 'Lost as steam',
    of: [ofMug, ...batterScopes(formula).slice(0, 1), scopeOf('size', 'mug')],
    start: MUG_LOSS,
    sentence: MUG.loss,
  });
  const weighed = { decide: toScale(stepG), pin: { min: 1, max: 3000 } };
  let portion: Ref<'g'>;
  if (fill.by === 'share') {
    const rule = f.given('fill.rule', MUG.rule, 'share', fill.share, 'stated');
    portion = f.sum('portion.mass', MUG.byRule, 'g', times(times(rule, volume), densities.batter), weighed);
  } else {
    const chosen = f.given('portion.stated', MUG.chosen, 'g', fill.massG, 'stated');
    portion = f.sum('portion.mass', MUG.byMass, 'g', chosen, { ...weighed, decide: AS_IT_IS });
  }
  return {
    volume,
    densities,
    loss,
    portion,
    filled: f.sum('fill.share', MUG.filled, 'share', over(portion, times(volume, densities.batter))),
    finish: f.sum(
      'finish.share',
      MUG.finish,
      'share',
      over(times(portion, without(loss)), times(densities.cake, volume)),
    ),
  };
}

/** The top of a mug, and what a topping can cover of it. */
export const addMugTop = (f: PlanFigures, mug: MugDoc): Ref<'mm'> =>
  f.believe(PARAMS.mugTop, {
    of: [scopeOf('mug', mug.id)],
    start: { value: MUG_TOP_MM, spread: 0, basis: 'typical' },
    sentence: MUG.top,
  });

export const addMugArea = (f: PlanFigures, top: Ref<'mm'>): Ref<'cm²'> =>
  f.sum('piece.area', LOT.mugTop, 'cm²', cm2(times(over(PI, 4), square(top))));
