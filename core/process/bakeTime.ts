import { BAKE_FIT } from './bakeTime.table';

export interface BakeInput {
  /** Batter in one well, g. 2 to 400. */
  readonly massG: number;
  /** Air temperature that the piece feels in a still oven, °C. Above the doneness temperature by at least 15. */
  readonly airC: number;
  /** Batter as it goes in, °C. */
  readonly batterC: number;
  /** Centre temperature at which it is done, °C. */
  readonly doneC: number;
}

/**
 * Time for one individual piece in the oven, s: a closed form fitted to typical times.
 *
 *   t = k · (m / 48 g)^p · ln((T − T₀) / (T − T_d)) ^ q
 *
 * The logarithm is the warming time of a lump of cake in air at T, in time constants; the powers p and q stand for how
 * the constant grows with size and how evaporation stretches the cooler ovens. Time grows with mass and with the
 * doneness temperature, and falls with oven and batter temperature.
 *
 * Valid for single pieces of 10 to 150 g at 150 to 210 °C in a light metal tin. Free parameters and residuals are in
 * `bakeTime.table.ts`, remade by `npm run fit:bake`. Basis: typical times.
 */
export function bakeTimeS({ massG, airC, batterC, doneC }: BakeInput): number {
  if (massG <= 0) throw new Error('invariant: a piece has mass');
  // Close to the doneness temperature the form runs away; cooler ovens than this dry a piece rather than bake it.
  const air = Math.max(airC, doneC + 15);
  const start = Math.min(batterC, doneC - 1);
  const warming = Math.log((air - start) / (air - doneC));
  return BAKE_FIT.k * (massG / BAKE_FIT.massG) ** BAKE_FIT.p * warming ** BAKE_FIT.q;
}
