/**
 * Fits the free parameters of the baking model to the typical times, by weighted least squares of the logarithms, and
 * writes them with their residuals to `core/process/bakeModelFit.table.ts`. Takes about a minute.
 */
import { writeFileSync } from 'node:fs';
import { bakeModel, type BakeModelFit } from '../core/process/bakeModel';
import { TYPICAL_TIMES, type TypicalTime } from '../core/process/typicalTimes.table';
import { nelderMead } from './nelderMead';

const ROUNDS = 90;

const minutesOf = (typical: TypicalTime, fit: BakeModelFit, cells: number) =>
  bakeModel(
    {
      pan: typical.pan,
      massG: typical.massG,
      batterDensity: 0.9,
      cakeDensity: 0.43,
      lossShare: typical.lossShare,
      airC: typical.ovenC,
      batterC: 21,
      doneC: 97,
    },
    fit,
    cells,
  ).timeS / 60;

const fitOf = (x: readonly number[]): BakeModelFit => {
  const [coefficient = NaN, conductivity = NaN, steamShare = NaN, vapourGain = NaN] = x.map(Math.exp);
  return { coefficient, conductivity, steamShare, vapourGain };
};

const { x } = nelderMead(
  (at) =>
    TYPICAL_TIMES.reduce(
      (sum, typical) =>
        sum + typical.weight * Math.log(minutesOf(typical, fitOf(at), 7) / typical.minutes) ** 2,
      0,
    ),
  [26, 0.5, 0.15, 8].map(Math.log),
  0.3,
  ROUNDS,
);
const fit = fitOf(x);
const rows = TYPICAL_TIMES.map((typical) => {
  const fitted = minutesOf(typical, fit, 9);
  return { what: typical.what, minutes: typical.minutes, fitted, off: fitted / typical.minutes - 1 };
});

const table = `/** Made by \`npm run fit:oven\`: do not edit. Weighted least squares of the logarithms of the typical times. */
export const BAKE_MODEL_FIT = {
  /** Convection and radiation together, W/m²K. */
  coefficient: ${fit.coefficient.toPrecision(4)},
  /** Conductivity of cool batter part-way up its rise, W/mK. */
  conductivity: ${fit.conductivity.toPrecision(4)},
  /** Share of the mass that steams away before a place gets hotter than boiling. */
  steamShare: ${fit.steamShare.toPrecision(4)},
  /** By how many times vapour adds to the conductivity once it is hot. */
  vapourGain: ${fit.vapourGain.toPrecision(4)},
} as const;

/** Typical against fitted, minutes, and how far off as a share. */
export const BAKE_MODEL_RESIDUALS = [
${rows.map((row) => `  { what: '${row.what}', minutes: ${row.minutes}, fitted: ${row.fitted.toFixed(2)}, off: ${row.off.toFixed(4)} },`).join('\n')}
] as const;
`;
writeFileSync('core/process/bakeModelFit.table.ts', table);
process.stdout.write(table);
