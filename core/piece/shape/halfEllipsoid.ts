import { PI, asDimension, bare, cm2, ml, over, plus, power, times, type Expr } from '../../figure';
import { ellipse } from '../outline';
import type { CavityShape } from './cavityShape';

/** Half of an ellipsoid's surface, by the usual approximation with this power: within 1.1 %. */
const P = 1.6075;

export const halfEllipsoid: CavityShape = {
  kind: 'half-ellipsoid',
  title: 'half a ball or an egg',
  detail: 'Also one half of a pair.',
  opening: ({ length, width }) => over(times(PI, times(length, width)), 4),
  volume: ({ length, width, depth }) => ml(over(times(PI, times(times(length, width), depth)), 6)),
  wall: ({ length, width, depth }) => {
    const part = (a: Expr<'mm'>, b: Expr<'mm'>, by: number) => power(bare(over(times(a, b), by)), P);
    const mean = power(
      over(plus(part(length, width, 4), part(length, depth, 2), part(width, depth, 2)), 3),
      over(1, P),
    );
    return cm2(asDimension<'mm²'>(times(2, PI, mean)));
  },
  outline: (halfMm, depthMm, insetMm, topMm) => {
    const b = depthMm - insetMm;
    // The opening is on top: the lower half of an ellipse, cut off under the back plate.
    const reach = Math.asin(Math.min((depthMm - topMm) / b, 1)) / (2 * Math.PI);
    return ellipse(halfMm - insetMm, b, { x: 0, y: depthMm }, 0.5 + reach, 1 - reach);
  },
};
