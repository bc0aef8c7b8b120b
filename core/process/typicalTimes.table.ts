import type { PanShape } from './bakeModel';

/** Typical oven times that the baking models are fitted to. Still oven, batter at 21 °C, done at 97 °C. Basis: typical. */
export interface TypicalTime {
  readonly what: string;
  /** Single pieces are held to 10 %; wide and thick ones, which no axisymmetric model draws well, to 20 %. */
  readonly kind: 'piece' | 'cake';
  readonly pan: PanShape;
  readonly massG: number;
  readonly lossShare: number;
  readonly ovenC: number;
  readonly minutes: number;
  /** How much it counts in the fit. The mini is the end of the range and would else be let go. */
  readonly weight: number;
}

const well = (baseMm: number, topMm: number, depthMm: number): PanShape => ({
  baseRadiusM: baseMm / 2000,
  topRadiusM: topMm / 2000,
  depthM: depthMm / 1000,
});
const MINI = well(32, 46, 23);
const STANDARD = well(52, 70, 36);
const LARGE = well(70, 89, 42);
const ROUND = well(200, 200, 50);
/** 23 × 33 cm as the disc of the same area; a loaf tin of 21 × 11 cm by area over half its girth. */
const SHEET: PanShape = { baseRadiusM: 0.1554, topRadiusM: 0.1554, depthM: 0.05 };
const LOAF: PanShape = { baseRadiusM: 0.0722, topRadiusM: 0.0722, depthM: 0.07 };

// One row a time, so that the table can be read as one.
// prettier-ignore
export const TYPICAL_TIMES: readonly TypicalTime[] = [
  { what: 'mini', kind: 'piece', pan: MINI, massG: 14, lossShare: 0.13, ovenC: 175, minutes: 11, weight: 2 },
  { what: 'standard', kind: 'piece', pan: STANDARD, massG: 48, lossShare: 0.1, ovenC: 175, minutes: 19, weight: 1 },
  { what: 'standard, cool oven', kind: 'piece', pan: STANDARD, massG: 48, lossShare: 0.1, ovenC: 160, minutes: 23.5, weight: 1 },
  { what: 'standard, hot oven', kind: 'piece', pan: STANDARD, massG: 48, lossShare: 0.1, ovenC: 190, minutes: 16.5, weight: 1 },
  { what: 'large', kind: 'piece', pan: LARGE, massG: 115, lossShare: 0.09, ovenC: 175, minutes: 26, weight: 1 },
  { what: '20 cm round', kind: 'cake', pan: ROUND, massG: 450, lossShare: 0.09, ovenC: 175, minutes: 29, weight: 0.5 },
  { what: '23 × 33 cm sheet', kind: 'cake', pan: SHEET, massG: 1150, lossShare: 0.09, ovenC: 175, minutes: 33, weight: 0.5 },
  { what: '900 g loaf', kind: 'cake', pan: LOAF, massG: 900, lossShare: 0.09, ovenC: 167, minutes: 60, weight: 0.5 },
];

/**
 * Typical times that the model was not fitted to: what it says of them is a test of it. A finger's tin is reckoned as the
 * round one that conducts alike, `share` of its batter in it. The half-ball is for a metal tin; in silicone, by the factor
 * for it, the model says some 20 min, which is at the long end of what is usual.
 */
export const HELD_OUT_TIMES: readonly (TypicalTime & { readonly share: number })[] = [
  {
    what: 'finger',
    kind: 'piece',
    pan: { baseRadiusM: 0.0236, topRadiusM: 0.0286, depthM: 0.03 },
    share: 0.645,
    massG: 45,
    lossShare: 0.1,
    ovenC: 175,
    minutes: 15,
    weight: 0,
  },
  {
    what: 'half-ball',
    kind: 'piece',
    pan: { shape: 'bowl', baseRadiusM: 0, topRadiusM: 0.035, depthM: 0.035 },
    share: 1,
    massG: 45,
    lossShare: 0.1,
    ovenC: 175,
    minutes: 17,
    weight: 0,
  },
];
