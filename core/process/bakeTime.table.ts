/** Made by `npm run fit:bake`: do not edit. Least squares of the logarithms of the typical times. */
export const BAKE_FIT = {
  /** Reference mass, g. */
  massG: 48,
  /** s at the reference mass. */
  k: 1847.15,
  p: 0.414,
  q: 1.2734,
} as const;

/** Typical against fitted, minutes, and how far off as a share. Worst: 4.1 %. */
export const BAKE_RESIDUALS = [
  { what: 'mini', minutes: 11, fitted: 11.32, off: 0.0288 },
  { what: 'standard', minutes: 19, fitted: 18.85, off: -0.008 },
  { what: 'standard, cool oven', minutes: 23.5, fitted: 22.85, off: -0.0276 },
  { what: 'standard, hot oven', minutes: 16.5, fitted: 15.97, off: -0.032 },
  { what: 'large', minutes: 26, fitted: 27.06, off: 0.0409 },
] as const;
