/** Made by `npm run fit:oven`: do not edit. Weighted least squares of the logarithms of the typical times. */
export const BAKE_MODEL_FIT = {
  /** Convection and radiation together, W/m²K. */
  coefficient: 26.49,
  /** Conductivity of cool batter part-way up its rise, W/mK. */
  conductivity: 0.4235,
  /** Share of the mass that steams away before a place gets hotter than boiling. */
  steamShare: 0.1828,
  /** By how many times vapour adds to the conductivity once it is hot. */
  vapourGain: 12.02,
} as const;

/** Typical against fitted, minutes, and how far off as a share. */
export const BAKE_MODEL_RESIDUALS = [
  { what: 'mini', minutes: 11, fitted: 11.81, off: 0.0739 },
  { what: 'standard', minutes: 19, fitted: 18.34, off: -0.035 },
  { what: 'standard, cool oven', minutes: 23.5, fitted: 21.57, off: -0.0821 },
  { what: 'standard, hot oven', minutes: 16.5, fitted: 15.98, off: -0.0317 },
  { what: 'large', minutes: 26, fitted: 25.52, off: -0.0183 },
  { what: '20 cm round', minutes: 29, fitted: 28.78, off: -0.0075 },
  { what: '23 × 33 cm sheet', minutes: 33, fitted: 31.93, off: -0.0324 },
  { what: '900 g loaf', minutes: 60, fitted: 64.78, off: 0.0797 },
] as const;
