import { PI, asDimension, cm2, minus, ml, over, plus, square, times } from '../../figure';
import { rounded } from '../outline';
import type { CavityShape, CavitySides } from './cavityShape';

/** A flat floor with rounded edges. */
export const flatFloor: CavityShape['outline'] = (halfMm, _, insetMm, topMm) =>
  rounded(halfMm - insetMm, insetMm, topMm, Math.max(3 - insetMm, 0.5));

/** A stick mould: round ends, a flat floor, upright walls with a rounded edge. */
const girthOf = ({ length, width }: CavitySides) => plus(times(2, minus(length, width)), times(PI, width));
const stadiumOpening = ({ length, width }: CavitySides) =>
  plus(times(minus(length, width), width), over(times(PI, square(width)), 4));

export const stickMould: CavityShape = {
  kind: 'stadium',
  title: 'a bar with round ends',
  detail: 'As for pieces on a flat stick.',
  opening: stadiumOpening,
  // The rounded edge takes (1 − π/4)·r² off the section all round.
  volume: (of, edgeMm) =>
    ml(
      minus(
        times(stadiumOpening(of), of.depth),
        times(girthOf(of), asDimension<'mm²'>(times(minus(1, over(PI, 4)), edgeMm * edgeMm))),
      ),
    ),
  wall: (of, edgeMm) =>
    cm2(
      minus(
        plus(stadiumOpening(of), times(girthOf(of), of.depth)),
        times(girthOf(of), asDimension<'mm'>(times(minus(2, over(PI, 2)), edgeMm))),
      ),
    ),
  outline: flatFloor,
};
