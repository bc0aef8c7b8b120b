import { AS_IT_IS, minus, ml, over, times, toScale, without, type Ref } from '../../figure';
import type { PortionSize } from '../../model/documents';
import { ballVolume } from '../../piece';
import { PARAMS, scopeOf } from '../../param';
import { SCOOP_FILL, scoopMl } from '../../process/portion';
import type { PlanFigures } from '../figures';
import { PORTION } from './crumb.words';

/** A portion by its diameter, by a scoop's number or by its grams. */
export function addPortion(f: PlanFigures, size: PortionSize, density: Ref<'g/ml'>, stepG: number): Ref<'g'> {
  const weighed = { decide: toScale(stepG), pin: { min: 1, max: 2000 } };
  switch (size.by) {
    case 'diameter': {
      const d = f.given('size.diameter', PORTION.diameter, 'mm', size.mm, 'stated');
      return f.sum('portion.mass', PORTION.byDiameter, 'g', times(ml(ballVolume(d)), density), weighed);
    }
    case 'scoop': {
      const said = PORTION.scoop(size.number);
      const scoop = f.given('size.scoop', said, 'ml', scoopMl(size.number), 'geometry');
      const full = addScoopFill(f, size.number);
      return f.sum('portion.mass', PORTION.byScoop, 'g', times(times(scoop, full), density), weighed);
    }
    case 'mass': {
      const chosen = f.given('size.mass', PORTION.chosen, 'g', size.massG, 'stated');
      return f.sum('portion.mass', PORTION.byMass, 'g', chosen, { ...weighed, decide: AS_IT_IS });
    }
  }
}

/** How full a scoop comes, against what its number says: of some hands it is heaped, and some leave a hollow. */
const addScoopFill = (f: PlanFigures, number: number): Ref<'times'> =>
  f.believe(PARAMS.scoopFill, {
    of: [scopeOf('scoop', String(number))],
    start: { ...SCOOP_FILL, basis: 'typical' },
    sentence: PORTION.scoopFill(number),
  });

/** Dough for all pieces wanted. */
export const addDoughNeeded = (
  f: PlanFigures,
  wanted: Ref<'pieces'>,
  portion: Ref<'g'>,
  handLoss: Ref<'share'>,
): Ref<'g'> => f.sum('dough.needed', PORTION.needed, 'g', over(times(wanted, portion), without(handLoss)));

/** Dough in portions and left over. */
export interface PortionsPart {
  readonly total: Ref<'g'>;
  readonly left: Ref<'g'>;
}

export function addPortionTotals(
  f: PlanFigures,
  made: Ref<'pieces'>,
  portion: Ref<'g'>,
  ready: Ref<'g'>,
): PortionsPart {
  const total = f.sum('portions.total', PORTION.total, 'g', times(made, portion));
  return { total, left: f.sum('dough.left', PORTION.left, 'g', minus(ready, total)) };
}
