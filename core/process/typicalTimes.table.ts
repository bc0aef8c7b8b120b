import type { PanShape } from './bakeModel';

/**
 * Typical oven times that the baking model is fitted to and tested on. Still oven, batter at 21 °C; the later of the two
 * tests, done inside and pale gold. In the order of their mass; every fourth is held back from the fit. Basis: typical.
 */
export interface TypicalTime {
  readonly what: string;
  readonly pan: PanShape;
  /** g in all, and the share of it in the round tin that conducts alike; 1 if left out. */
  readonly massG: number;
  readonly share?: number;
  readonly batter: 'creamed' | 'whisked';
  readonly lossShare: number;
  readonly ovenC: number;
  readonly minutes: number;
}

/** g/ml of batter and of cake, and °C at which the inside is done. */
export const TYPICAL_BATTERS = {
  creamed: { batterDensity: 0.9, cakeDensity: 0.43, doneC: 97 },
  whisked: { batterDensity: 0.48, cakeDensity: 0.26, doneC: 95 },
} as const;

const well = (baseMm: number, topMm: number, depthMm: number): PanShape => ({
  baseRadiusM: baseMm / 2000,
  topRadiusM: topMm / 2000,
  depthM: depthMm / 1000,
});
const round = (acrossMm: number) => well(acrossMm, acrossMm, 50);
const MINI = well(32, 46, 23);
const BUN = well(44, 62, 26);
const STANDARD = well(52, 70, 36);
const LARGE = well(70, 89, 42);
/** A sheet as the disc of the same area; a loaf tin of 21 × 11 cm, and a small one of 10 × 6, by area over half the girth. */
const disc = (lengthMm: number, widthMm: number) => round(2 * Math.sqrt((lengthMm * widthMm) / Math.PI));
const LOAF: PanShape = { baseRadiusM: 0.0722, topRadiusM: 0.0722, depthM: 0.07 };
const SMALL_LOAF: PanShape = { baseRadiusM: 0.0375, topRadiusM: 0.0375, depthM: 0.045 };
/** A finger's tin as the round one that conducts alike. */
const FINGER: PanShape = { baseRadiusM: 0.0236, topRadiusM: 0.0286, depthM: 0.03 };
/** In a metal tin. */
const HALF_BALL: PanShape = { shape: 'bowl', baseRadiusM: 0, topRadiusM: 0.035, depthM: 0.035 };

// One row a time, so that the table can be read as one.
// prettier-ignore
export const TYPICAL_TIMES: readonly TypicalTime[] = [
  { what: 'mini', pan: MINI, massG: 14, batter: 'creamed', lossShare: 0.13, ovenC: 175, minutes: 11 },
  { what: 'bun', pan: BUN, massG: 30, batter: 'creamed', lossShare: 0.11, ovenC: 180, minutes: 14.5 },
  { what: 'half-ball', pan: HALF_BALL, massG: 45, batter: 'creamed', lossShare: 0.1, ovenC: 175, minutes: 17 },
  { what: 'finger', pan: FINGER, share: 0.645, massG: 45, batter: 'creamed', lossShare: 0.1, ovenC: 175, minutes: 15.5 },
  { what: 'standard', pan: STANDARD, massG: 48, batter: 'creamed', lossShare: 0.1, ovenC: 175, minutes: 19 },
  { what: 'standard, cool oven', pan: STANDARD, massG: 48, batter: 'creamed', lossShare: 0.1, ovenC: 160, minutes: 23.5 },
  { what: 'standard, hot oven', pan: STANDARD, massG: 48, batter: 'creamed', lossShare: 0.1, ovenC: 190, minutes: 16.5 },
  { what: 'standard, filled well', pan: STANDARD, massG: 60, batter: 'creamed', lossShare: 0.1, ovenC: 175, minutes: 21 },
  { what: 'large', pan: LARGE, massG: 115, batter: 'creamed', lossShare: 0.09, ovenC: 175, minutes: 26 },
  { what: 'small loaf', pan: SMALL_LOAF, massG: 150, batter: 'creamed', lossShare: 0.09, ovenC: 175, minutes: 29 },
  { what: '15 cm round', pan: round(150), massG: 300, batter: 'creamed', lossShare: 0.09, ovenC: 175, minutes: 28 },
  { what: 'thin whisked sheet', pan: disc(330, 230), massG: 400, batter: 'whisked', lossShare: 0.1, ovenC: 190, minutes: 12 },
  { what: '20 cm round', pan: round(200), massG: 450, batter: 'creamed', lossShare: 0.09, ovenC: 175, minutes: 29 },
  { what: '23 cm round', pan: round(230), massG: 680, batter: 'creamed', lossShare: 0.09, ovenC: 175, minutes: 32 },
  { what: '20 cm square', pan: disc(200, 200), massG: 700, batter: 'creamed', lossShare: 0.09, ovenC: 175, minutes: 34 },
  { what: '23 cm round, deep', pan: round(230), massG: 850, batter: 'creamed', lossShare: 0.09, ovenC: 170, minutes: 38 },
  { what: '900 g loaf', pan: LOAF, massG: 900, batter: 'creamed', lossShare: 0.09, ovenC: 167, minutes: 60 },
  { what: '23 × 33 cm sheet', pan: disc(330, 230), massG: 1150, batter: 'creamed', lossShare: 0.09, ovenC: 175, minutes: 33 },
];

/** Whether the fit has seen a row: three of four. */
export const isFitted = (index: number): boolean => index % 4 !== 3;

/**
 * When the coldest place of the standard piece passes a temperature, as a share of its time in the oven: least and most.
 * Basis: typical of a probe in the middle.
 */
export const TYPICAL_CURVE: readonly (readonly [temperatureC: number, least: number, most: number])[] = [
  [30, 0.16, 0.2],
  [50, 0.32, 0.38],
  [60, 0.41, 0.48],
  [70, 0.49, 0.56],
  [80, 0.58, 0.66],
  [90, 0.71, 0.79],
  [95, 0.83, 0.9],
];

/** Minutes to pale gold of the standard piece, by the oven. Basis: typical. */
export const TYPICAL_COLOUR: readonly (readonly [ovenC: number, minutes: number])[] = [
  [160, 25],
  [175, 19],
  [190, 16],
];
