/** Constants of the baking model that are not fitted. */
export const BAKE_PHYSICS = {
  /** J/kgK of batter and crumb. Basis: typical. */
  heatCapacity: 2800,
  /** J/kg of steam. Basis: physics. */
  latent: 2.257e6,
  /** °C between which water steams away: from the first wisps to a dry crust. Basis: chosen with the fit. */
  steamFromC: 70,
  steamToC: 103,
  /** °C between which vapour comes to carry heat through the pores. Basis: typical. */
  vapourFromC: 60,
  vapourToC: 95,
  /** Where between batter and cake the piece's height is taken. Basis: chosen with the fit. */
  riseStage: 0.8,
  /** Resistance of a light metal tin with a paper liner, m²K/W: lost in the fitted coefficient. Basis: fitted as 0. */
  wallResistance: 0,
} as const;

export { BAKE_MODEL_FIT, BAKE_MODEL_RESIDUALS } from './bakeModelFit.table';
