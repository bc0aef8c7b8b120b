/**
 * Fits the free parameters of the baking time to the typical times, by least squares of the logarithms (so that each
 * time counts by its share), and writes them with their residuals to `core/process/bakeTime.table.ts`.
 */
import { writeFileSync } from 'node:fs';
import { TYPICAL_TIMES } from '../core/process/typicalTimes.table';

const REFERENCE_G = 48;
const BATTER_C = 21;
const DONE_C = 97;

const rows = TYPICAL_TIMES.map(({ massG, ovenC, minutes }) => ({
  x: [1, Math.log(massG / REFERENCE_G), Math.log(Math.log((ovenC - BATTER_C) / (ovenC - DONE_C)))],
  y: Math.log(minutes * 60),
}));

/** Solves the 3×3 normal equations by Gauss elimination. */
function leastSquares(): [number, number, number] {
  const a = [0, 1, 2].map((i) => [
    ...[0, 1, 2].map((j) => rows.reduce((sum, { x }) => sum + (x[i] ?? 0) * (x[j] ?? 0), 0)),
    rows.reduce((sum, { x, y }) => sum + (x[i] ?? 0) * y, 0),
  ]);
  for (let i = 0; i < 3; i += 1) {
    const pivot = a[i]?.[i] ?? 1;
    a[i] = (a[i] ?? []).map((value) => value / pivot);
    for (let k = 0; k < 3; k += 1) {
      if (k === i) continue;
      const factor = a[k]?.[i] ?? 0;
      a[k] = (a[k] ?? []).map((value, j) => value - factor * (a[i]?.[j] ?? 0));
    }
  }
  return [a[0]?.[3] ?? NaN, a[1]?.[3] ?? NaN, a[2]?.[3] ?? NaN];
}

const [logK, p, q] = leastSquares();
const residuals = TYPICAL_TIMES.map(({ what, minutes }, i) => {
  const row = rows[i];
  if (!row) throw new Error('one row a time');
  const fitted = Math.exp(logK + p * (row.x[1] ?? 0) + q * (row.x[2] ?? 0)) / 60;
  return { what, minutes, fitted, off: fitted / minutes - 1 };
});
const worst = Math.max(...residuals.map(({ off }) => Math.abs(off)));

const table = `/** Made by \`npm run fit:bake\`: do not edit. Least squares of the logarithms of the typical times. */
export const BAKE_FIT = {
  /** Reference mass, g. */
  massG: ${REFERENCE_G},
  /** s at the reference mass. */
  k: ${Math.exp(logK).toFixed(2)},
  p: ${p.toFixed(4)},
  q: ${q.toFixed(4)},
} as const;

/** Typical against fitted, minutes, and how far off as a share. Worst: ${(worst * 100).toFixed(1)} %. */
export const BAKE_RESIDUALS = [
${residuals
  .map(
    ({ what, minutes, fitted, off }) =>
      `  { what: '${what}', minutes: ${minutes}, fitted: ${fitted.toFixed(2)}, off: ${off.toFixed(4)} },`,
  )
  .join('\n')}
] as const;
`;
writeFileSync('core/process/bakeTime.table.ts', table);
process.stdout.write(table);
