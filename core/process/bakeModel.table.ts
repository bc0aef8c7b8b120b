/** Constants of the baking model that are not fitted. */
export const BAKE_PHYSICS = {
  /** J/kgK of batter and crumb. Basis: typical. */
  heatCapacity: 2800,
  /** J/kg of steam. Basis: physics. */
  latent: 2.257e6,
  /** °C by which a place has given off the share of its water that it loses: a dry crust. Basis: typical. */
  steamToC: 110,
  /** °C of the piece's mean between which it rises from batter to cake. Basis: typical. */
  risesFromC: 35,
  risesToC: 88,
  /** What is left of the batter's own conductivity once gas takes up half of it. Basis: typical of porous crumb. */
  poreShare: 0.5,
  /** °C between which crumb dries to crust, and how much of its conductivity is left. Basis: typical. */
  driesFromC: 99,
  driesToC: 114,
  dryShare: 0.6,
  /** Conductance of the outermost crust that browns, W/m²K: two millimetres of dry crumb. Basis: typical. */
  crust: 50,
  /** Share of the surface coefficient that is rising air and not radiation, and the width it is given for, m. Basis: typical. */
  stillAirShare: 0.3,
  usualAcrossM: 0.07,
  /** Pieces about so narrow, m, and narrower are taken out paler than wide ones. Basis: typical. */
  paleAcrossM: 0.05,
  /** °C at which the rate of browning is given. */
  browningAtC: 150,
} as const;

export { BAKE_MODEL_FIT, BAKE_MODEL_CURVE, BAKE_MODEL_RESIDUALS } from './bakeModelFit.table';
