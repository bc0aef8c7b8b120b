/** Made by `npm run fit:oven`: do not edit. Least squares against typical times, the curve of the middle, and colour. */
export const BAKE_MODEL_FIT = {
  /** Convection and radiation together, W/m²K. */
  coefficient: 13.97,
  /** Conductivity of batter and crumb without what vapour adds, W/mK. */
  conductivity: 0.3938,
  /** Of vapour through the pores, m²/s. */
  diffusivity: 1.388e-5,
  /** °C at which a place begins to lose its water. */
  steamFromC: 87.52,
  /** Shares of pale gold a second at 150 °C, and J/mol. */
  browning: 0.02869,
  browningJ: 113015,
} as const;

/** Typical against fitted, minutes, how far off as a share, which test it waits for, and whether the fit has seen it. */
export const BAKE_MODEL_RESIDUALS = [
  { what: 'mini', minutes: 11, fitted: 12.16, off: 0.1052, waitsFor: 'inside', held: false },
  { what: 'bun', minutes: 14.5, fitted: 14.42, off: -0.0056, waitsFor: 'colour', held: false },
  { what: 'half-ball', minutes: 17, fitted: 18.25, off: 0.0737, waitsFor: 'colour', held: false },
  { what: 'finger', minutes: 15.5, fitted: 15.29, off: -0.0136, waitsFor: 'colour', held: true },
  { what: 'standard', minutes: 19, fitted: 18.07, off: -0.049, waitsFor: 'colour', held: false },
  { what: 'standard, cool oven', minutes: 23.5, fitted: 23.01, off: -0.021, waitsFor: 'colour', held: false },
  { what: 'standard, hot oven', minutes: 16.5, fitted: 15.78, off: -0.0435, waitsFor: 'inside', held: false },
  { what: 'standard, filled well', minutes: 21, fitted: 19.87, off: -0.0539, waitsFor: 'inside', held: true },
  { what: 'large', minutes: 26, fitted: 24.7, off: -0.0499, waitsFor: 'inside', held: false },
  { what: 'small loaf', minutes: 29, fitted: 29.59, off: 0.0203, waitsFor: 'inside', held: false },
  { what: '15 cm round', minutes: 28, fitted: 29.57, off: 0.0561, waitsFor: 'inside', held: false },
  { what: 'thin whisked sheet', minutes: 12, fitted: 12.81, off: 0.0673, waitsFor: 'colour', held: true },
  { what: '20 cm round', minutes: 29, fitted: 27.92, off: -0.0372, waitsFor: 'inside', held: false },
  { what: '23 cm round', minutes: 32, fitted: 32.73, off: 0.0228, waitsFor: 'inside', held: false },
  { what: '20 cm square', minutes: 34, fitted: 34.84, off: 0.0247, waitsFor: 'inside', held: false },
  { what: '23 cm round, deep', minutes: 38, fitted: 42.65, off: 0.1223, waitsFor: 'inside', held: true },
  { what: '900 g loaf', minutes: 60, fitted: 68.45, off: 0.1409, waitsFor: 'inside', held: false },
  { what: '23 × 33 cm sheet', minutes: 33, fitted: 31.24, off: -0.0532, waitsFor: 'inside', held: false },
] as const;

/** When the coldest place of the standard piece passes a temperature, °C, as a share of its time; typical least and most. */
export const BAKE_MODEL_CURVE = [
  { temperatureC: 30, share: 0.175, least: 0.16, most: 0.2 },
  { temperatureC: 50, share: 0.387, least: 0.32, most: 0.38 },
  { temperatureC: 60, share: 0.465, least: 0.41, most: 0.48 },
  { temperatureC: 70, share: 0.525, least: 0.49, most: 0.56 },
  { temperatureC: 80, share: 0.579, least: 0.58, most: 0.66 },
  { temperatureC: 90, share: 0.715, least: 0.71, most: 0.79 },
  { temperatureC: 95, share: 0.908, least: 0.83, most: 0.9 },
] as const;
