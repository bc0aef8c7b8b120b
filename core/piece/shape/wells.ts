import { measure, reckon } from '../../figure';
import type { WellShapeKind } from '../../model/kinds';
import type { TinDoc } from '../../model/kitchenDoc';
import { bar } from './bar';
import { bowl } from './bowl';
import { cone } from './cone';
import { ring } from './ring';
import { SIDE_FIELDS, type Side, type SideMm, type Sides, type WellShape } from './wellShape';

/** Every shape of wells. */
export const WELL_SHAPES: Readonly<Record<WellShapeKind, WellShape>> = { frustum: cone, bowl, bar, ring };

type Measured = Pick<TinDoc, 'shape' | (typeof SIDE_FIELDS)[Side]>;

export const wellShapeOf = (tin: { readonly shape?: WellShapeKind | undefined }): WellShape =>
  WELL_SHAPES[tin.shape ?? 'frustum'];

const SIDES = Object.keys(SIDE_FIELDS) as Side[];

/** All measures of a tin's well, mm: as stated, or as usual for its shape. */
export function sidesOf(tin: Measured): SideMm {
  const shape = wellShapeOf(tin);
  const mm = Object.fromEntries(
    SIDES.map((side) => [side, tin[SIDE_FIELDS[side]] ?? shape.usualMm(side, tin.topMm)]),
  ) as Record<Side, number>;
  return shape.inOrder?.(mm) ?? mm;
}

/** A well to the brim by measures, ml. */
export function shapeVolumeMl(shape: WellShape, mm: SideMm): number {
  const of = Object.fromEntries(SIDES.map((side) => [side, measure(mm[side], 'mm')])) as unknown as Sides;
  return reckon(shape.volume(of));
}

/** A well of a tin to the brim by its measures, ml. */
export const wellMlOf = (tin: Measured): number => shapeVolumeMl(wellShapeOf(tin), sidesOf(tin));
