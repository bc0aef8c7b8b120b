/**
 * Fits the free parameters of the baking model to three of four typical times, to the curve of the coldest place and to
 * the minutes to pale gold, by least squares of logarithms and shares, and writes them with their residuals, those of
 * the times held back too, to `core/process/bakeModelFit.table.ts`. Takes some minutes.
 */
import { writeFileSync } from 'node:fs';
import { passesAtS } from '../core/process/bakeCurve';
import { bakeModel, type BakeModelFit, type BakeModelResult } from '../core/process/bakeModel';
import {
  TYPICAL_BATTERS,
  TYPICAL_COLOUR,
  TYPICAL_CURVE,
  TYPICAL_TIMES,
  isFitted,
  type TypicalTime,
} from '../core/process/typicalTimes.table';
import { nelderMead } from './nelderMead';

const ROUNDS = Number(process.argv[2] ?? 160);
/** How much a share off the curve counts against a share off a time. */
const CURVE_WEIGHT = 3;
/** What most people bake counts for so many rows. */
const STANDARD_WEIGHT = 8;
/** Nothing is to be further off than that, as a share. */
const WORST = 0.12;
/** Kinetics of the lightness of crust are published at 100 to 120 kJ/mol; a fit that leaves them pays. */
const BROWNING_J = { middle: 110_000, half: 10_000 };

const bake = (typical: TypicalTime, ovenC: number, fit: BakeModelFit, cells: number): BakeModelResult =>
  bakeModel(
    {
      pan: typical.pan,
      massG: typical.massG * (typical.share ?? 1),
      ...TYPICAL_BATTERS[typical.batter],
      lossShare: typical.lossShare,
      airC: ovenC,
      batterC: 21,
    },
    fit,
    cells,
  );
const minutesOf = ({ insideS, colourS }: BakeModelResult) => Math.max(insideS, colourS) / 60;

const STANDARD = TYPICAL_TIMES.find(({ what }) => what === 'standard');
if (!STANDARD) throw new Error('the table has a standard piece');

/** When the standard piece passes the temperatures of the curve, as shares of its whole time. */
function sharesOf(result: BakeModelResult): number[] {
  const timeS = minutesOf(result) * 60;
  const points = { timeS, points: result.curve };
  return TYPICAL_CURVE.map(([temperatureC]) => (passesAtS(points, temperatureC) ?? NaN) / timeS);
}

const START = [14, 0.405, 1.37e-5, 87.6, 0.028, 115_000];
const fitOf = (x: readonly number[]): BakeModelFit => {
  const at = (i: number) => (START[i] ?? NaN) * Math.exp(x[i] ?? NaN);
  return {
    coefficient: at(0),
    conductivity: at(1),
    diffusivity: at(2),
    // A degree of it weighs as a hundredth of the others.
    steamFromC: Math.min(87.6 + 100 * (x[3] ?? NaN), 98),
    browning: at(4),
    browningJ: at(5),
  };
};

function offBy(fit: BakeModelFit): number {
  let sum = 0;
  TYPICAL_TIMES.forEach((typical, i) => {
    if (!isFitted(i) && typical !== STANDARD) return;
    const result = bake(typical, typical.ovenC, fit, 7);
    if (isFitted(i)) {
      const off = Math.log(minutesOf(result) / typical.minutes);
      sum +=
        (typical === STANDARD ? STANDARD_WEIGHT : 1) * off ** 2 +
        20 * Math.max(Math.abs(off) - WORST, 0) ** 2;
    }
    if (typical !== STANDARD) return;
    sharesOf(result).forEach((share, j) => {
      const [, least, most] = TYPICAL_CURVE[j] ?? [0, 0, 0];
      const outside = Math.max(least - share, share - most, 0);
      sum += CURVE_WEIGHT * ((share - (least + most) / 2) ** 2 + 60 * outside ** 2);
    });
  });
  for (const [ovenC, minutes] of TYPICAL_COLOUR)
    sum += Math.log(bake(STANDARD as TypicalTime, ovenC, fit, 7).colourS / 60 / minutes) ** 2;
  const { middle, half } = BROWNING_J;
  // What is known of such things bounds the fit.
  sum += 0.01 * Math.max(76 - fit.steamFromC, 0) ** 2 + 0.05 * Math.max(fit.coefficient - 16, 0) ** 2;
  return sum + 0.01 * Math.max(Math.abs(fit.browningJ - middle) / half - 1, 0) ** 2;
}

const { x } = nelderMead((at) => offBy(fitOf(at)), [0, 0, 0, 0, 0, 0], 0.05, ROUNDS);
const fit = fitOf(x);
const rows = TYPICAL_TIMES.map((typical, i) => {
  const result = bake(typical, typical.ovenC, fit, 9);
  const fitted = minutesOf(result);
  return {
    what: typical.what,
    minutes: typical.minutes,
    fitted,
    off: fitted / typical.minutes - 1,
    waitsFor: result.colourS > result.insideS ? 'colour' : 'inside',
    held: !isFitted(i),
  };
});
const shares = sharesOf(bake(STANDARD, STANDARD.ovenC, fit, 9));

const table = `/** Made by \`npm run fit:oven\`: do not edit. Least squares against typical times, the curve of the middle, and colour. */
export const BAKE_MODEL_FIT = {
  /** Convection and radiation together, W/m²K. */
  coefficient: ${fit.coefficient.toPrecision(4)},
  /** Conductivity of batter and crumb without what vapour adds, W/mK. */
  conductivity: ${fit.conductivity.toPrecision(4)},
  /** Of vapour through the pores, m²/s. */
  diffusivity: ${fit.diffusivity.toExponential(3)},
  /** °C at which a place begins to lose its water. */
  steamFromC: ${fit.steamFromC.toFixed(2)},
  /** Shares of pale gold a second at 150 °C, and J/mol. */
  browning: ${fit.browning.toPrecision(4)},
  browningJ: ${fit.browningJ.toFixed(0)},
} as const;

/** Typical against fitted, minutes, how far off as a share, which test it waits for, and whether the fit has seen it. */
export const BAKE_MODEL_RESIDUALS = [
${rows.map((row) => `  { what: '${row.what}', minutes: ${row.minutes}, fitted: ${row.fitted.toFixed(2)}, off: ${row.off.toFixed(4)}, waitsFor: '${row.waitsFor}', held: ${row.held} },`).join('\n')}
] as const;

/** When the coldest place of the standard piece passes a temperature, °C, as a share of its time; typical least and most. */
export const BAKE_MODEL_CURVE = [
${shares.map((share, i) => `  { temperatureC: ${TYPICAL_CURVE[i]?.[0]}, share: ${share.toFixed(3)}, least: ${TYPICAL_CURVE[i]?.[1]}, most: ${TYPICAL_CURVE[i]?.[2]} },`).join('\n')}
] as const;
`;
writeFileSync('core/process/bakeModelFit.table.ts', table);
process.stdout.write(table);
