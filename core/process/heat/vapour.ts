/** Water vapour in the pores of warm crumb. Temperatures in °C, pressures in Pa. */

/** J/kg to make steam of water. Basis: physics. */
const LATENT = 2.257e6;
/** J/kgK, the gas constant of water vapour. Basis: physics. */
const VAPOUR_GAS = 461.5;
/** Pa at sea level. */
const AIR_PA = 101_325;
/** How many times still vapour the streaming of nearly pure vapour may carry, just under boiling. Basis: chosen. */
const MOST_STREAMING = 10;

/** Pressure of vapour over water, Pa, by the Magnus formula: within 1 % from 0 to 100 °C. */
export const saturationPa = (tC: number): number => 611.2 * Math.exp((17.62 * tC) / (243.12 + tC));

/** How fast the density of saturated vapour grows with temperature, kg/m³K: from the ideal gas law. */
export function saturationSlope(tC: number): number {
  const kelvin = tC + 273.15;
  const density = saturationPa(tC) / (VAPOUR_GAS * kelvin);
  return density * ((17.62 * 243.12) / (243.12 + tC) ** 2 - 1 / kelvin);
}

/**
 * What vapour adds to the conductivity of wet crumb, W/mK: it steams off where it is warm, wanders through the pores to
 * where it is cooler and gives its heat up there. L · D · dρ/dT · p / (p − p_sat), the last factor for the air that it
 * carries along, which grows without end at boiling and is held at ten.
 * @param diffusivity of vapour through the pores, m²/s
 */
export function vapourConductivity(tC: number, diffusivity: number): number {
  const t = Math.min(tC, 100);
  const streaming = AIR_PA / Math.max(AIR_PA - saturationPa(t), AIR_PA / MOST_STREAMING);
  return LATENT * diffusivity * saturationSlope(t) * streaming;
}
