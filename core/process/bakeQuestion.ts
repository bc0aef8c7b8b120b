import type { PanShape } from '../piece';
import { BAKE_MODEL_FIT, BAKE_PHYSICS } from './bakeModel.table';

export type { PanShape };

/** What the baking model and its quick form both go by: the pan, the question, and the warming of a lump. */

/** A loaf tin as the round one with the same shortest way to its middle: radius of area over half the girth. */
export function loafAs(lengthM: number, widthM: number, depthM: number): PanShape {
  const radius = (lengthM * widthM) / (lengthM + widthM);
  return { baseRadiusM: radius, topRadiusM: radius, depthM };
}

export interface BakeModelInput {
  readonly pan: PanShape;
  readonly massG: number;
  /** g/ml of the batter and of the baked cake. */
  readonly batterDensity: number;
  readonly cakeDensity: number;
  /** Share of the batter's mass that leaves as steam. */
  readonly lossShare: number;
  readonly airC: number;
  readonly batterC: number;
  readonly doneC: number;
  /** Whether its colour tells that it is done; a dark or a pale batter's does not. */
  readonly byColour?: boolean;
  /** Factor on the surface coefficient; 1.4 with a fan. */
  readonly coefficientFactor?: number;
  /** Thermal resistance of tin and liner at base and sides, m²K/W. */
  readonly wallResistance?: number;
}

/** Free parameters of the model, fitted to typical times. */
export interface BakeModelFit {
  /** Convection and radiation together, W/m²K. */
  readonly coefficient: number;
  /** Conductivity of batter and crumb without what vapour adds, W/mK. */
  readonly conductivity: number;
  /** Of vapour through the pores of the crumb, m²/s. */
  readonly diffusivity: number;
  /** °C at which a place begins to lose its water. */
  readonly steamFromC: number;
  /** Shares of pale gold that a dry surface gains in a second at 150 °C, and the energy of its Arrhenius law, J/mol. */
  readonly browning: number;
  readonly browningJ: number;
}

/**
 * Time that a lump of batter without inner resistance would take, in units of mass over surface and coefficient, K·J/kgK
 * over K: the integral of its heat capacity, steam and all, over the distance to the air's temperature.
 */
export function lumpedWarming(batterC: number, doneC: number, airC: number, lossShare: number): number {
  const { heatCapacity, latent, steamToC } = BAKE_PHYSICS;
  const slices = 24;
  const width = (doneC - batterC) / slices;
  let sum = 0;
  for (let i = 0; i < slices; i += 1) {
    const t = batterC + (i + 0.5) * width;
    sum +=
      ((heatCapacity + latent * lossShare * ramp(t, BAKE_MODEL_FIT.steamFromC, steamToC).slope) /
        (airC - t)) *
      width;
  }
  return sum;
}

/** Rises from 0 to 1 between two temperatures, smoothly at both ends, and its slope, 1/K. */
export function ramp(t: number, from: number, to: number): { value: number; slope: number } {
  if (t <= from) return { value: 0, slope: 0 };
  if (t >= to) return { value: 1, slope: 0 };
  const x = (t - from) / (to - from);
  return { value: x * x * (3 - 2 * x), slope: (6 * x * (1 - x)) / (to - from) };
}

/** Air that rises past a small piece takes hold of it better, by the quarter root of its width; radiation does not care. */
export function sizeFactor({ pan }: Pick<BakeModelInput, 'pan'>): number {
  const { stillAirShare, usualAcrossM } = BAKE_PHYSICS;
  return 1 - stillAirShare + stillAirShare * ((2 * pan.topRadiusM) / usualAcrossM) ** -0.25;
}

/** The dose of browning at which a piece is taken out: a small one is taken paler, before it dries. */
export const goldWanted = ({ pan }: Pick<BakeModelInput, 'pan'>): number =>
  -Math.expm1(-(((2 * pan.topRadiusM) / BAKE_PHYSICS.paleAcrossM) ** 2));
