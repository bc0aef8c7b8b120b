import { newBand, solveBand } from './band';
import type { Body, Face } from './body';

/** What a piece is made of, as far as heat goes. Temperatures in °C. */
export interface Material {
  /** Heat held, J/m³, counted from 0 °C. Rises with temperature without a step back. */
  readonly enthalpy: (tC: number) => number;
  /** Derivative of the same, J/m³K. */
  readonly capacity: (tC: number) => number;
  /** W/mK. */
  readonly conductivity: (tC: number) => number;
}

/** The surroundings of one face: air at a temperature, through a surface coefficient, W/m²K. 0 lets nothing through. */
export interface Surroundings {
  readonly airC: number;
  readonly coefficient: number;
}

export interface HeatProblem {
  readonly body: Body;
  readonly material: Material;
  readonly faces: Readonly<Record<Face, Surroundings>>;
  readonly startC: number;
  /** Time step, s. */
  readonly stepS: number;
  /** Stop once this is true of the coldest and the mean temperature, or at `mostS`. */
  readonly until: (coldestC: number, meanC: number) => boolean;
  readonly mostS: number;
}

export interface HeatMoment {
  readonly timeS: number;
  readonly coldestC: number;
  readonly meanC: number;
}

export interface HeatSolution {
  readonly moments: readonly HeatMoment[];
  /** Temperature of every cell at the end, °C. */
  readonly cellsC: Float64Array;
  /** Heat that came in through the faces and heat that the body gained, J: equal but for what iteration leaves. */
  readonly inJ: number;
  readonly gainedJ: number;
}

/** Rounds of Picard iteration a step may take, and the change at which it ends, K. */
const MOST_ROUNDS = 12;
const SETTLED_K = 1e-3;

/**
 * Heat conduction in a body of revolution by finite volumes, implicit in time (backward Euler). Heat capacity enters as
 * the secant of the enthalpy over the step, so that latent heat is neither lost nor counted twice and energy is
 * conserved once the step has settled. Unconditionally stable; first order in the step.
 */
export function solveHeat(problem: HeatProblem): HeatSolution {
  const { body, material, faces, startC, stepS, until, mostS } = problem;
  const n = body.cells.length;
  let old: Float64Array = new Float64Array(n).fill(startC);
  let now: Float64Array = old.slice();
  const startJ = heldJ(body, material, old);
  const moments: HeatMoment[] = [{ timeS: 0, coldestC: startC, meanC: startC }];
  let inJ = 0;
  let timeS = 0;
  while (timeS < mostS) {
    for (let round = 0; round < MOST_ROUNDS; round += 1) {
      const next = stepOnce(body, material, faces, old, now, stepS);
      let change = 0;
      for (let i = 0; i < n; i += 1)
        change = Math.max(change, Math.abs((next[i] as number) - (now[i] as number)));
      now = next;
      if (change < SETTLED_K) break;
    }
    inJ += stepS * inflowW(body, material, faces, now);
    timeS += stepS;
    const moment = { timeS, coldestC: now.reduce((a, b) => Math.min(a, b)), meanC: meanOf(body, now) };
    moments.push(moment);
    old = now.slice();
    if (until(moment.coldestC, moment.meanC)) break;
  }
  return { moments, cellsC: now, inJ, gainedJ: heldJ(body, material, now) - startJ };
}

const heldJ = (body: Body, material: Material, t: Float64Array): number =>
  body.cells.reduce((sum, cell, i) => sum + cell.volumeM3 * material.enthalpy(t[i] as number), 0);

const meanOf = (body: Body, t: Float64Array): number =>
  body.cells.reduce((sum, cell, i) => sum + cell.volumeM3 * (t[i] as number), 0) / body.volumeM3;

/** W/K from the middle of a cell through a patch of its surface to the air. */
function patchConductance(areaM2: number, distanceM: number, k: number, coefficient: number): number {
  return coefficient <= 0 ? 0 : areaM2 / (distanceM / k + 1 / coefficient);
}

function inflowW(body: Body, material: Material, faces: HeatProblem['faces'], t: Float64Array): number {
  let sum = 0;
  body.cells.forEach((cell, i) => {
    const k = material.conductivity(t[i] as number);
    for (const { face, areaM2, distanceM } of cell.patches) {
      const { airC, coefficient } = faces[face];
      sum += patchConductance(areaM2, distanceM, k, coefficient) * (airC - (t[i] as number));
    }
  });
  return sum;
}

/** One linear solve: properties at the last guess, secant heat capacity between the step's start and that guess. */
function stepOnce(
  body: Body,
  material: Material,
  faces: HeatProblem['faces'],
  old: Float64Array,
  guess: Float64Array,
  stepS: number,
): Float64Array {
  const n = body.cells.length;
  const band = newBand(n, body.width);
  const stride = body.width + 1;
  const right = new Float64Array(n);
  const k = new Float64Array(n);
  for (let i = 0; i < n; i += 1) {
    const t0 = old[i] as number;
    const t1 = guess[i] as number;
    const cell = body.cells[i] as Body['cells'][number];
    const secant =
      Math.abs(t1 - t0) > 1e-6
        ? (material.enthalpy(t1) - material.enthalpy(t0)) / (t1 - t0)
        : material.capacity(t0);
    const stored = (cell.volumeM3 * secant) / stepS;
    k[i] = material.conductivity(t1);
    let diagonal = stored;
    let sum = stored * t0;
    for (const { face, areaM2, distanceM } of cell.patches) {
      const { airC, coefficient } = faces[face];
      const g = patchConductance(areaM2, distanceM, k[i] as number, coefficient);
      diagonal += g;
      sum += g * airC;
    }
    band.cells[i * stride + body.width] = diagonal;
    right[i] = sum;
  }
  for (const { a, b, areaM2, distanceM } of body.links) {
    const ka = k[a] as number;
    const kb = k[b] as number;
    const g = (areaM2 / distanceM) * ((2 * ka * kb) / (ka + kb));
    band.cells[a * stride + body.width] = (band.cells[a * stride + body.width] as number) + g;
    band.cells[b * stride + body.width] = (band.cells[b * stride + body.width] as number) + g;
    const at = b * stride + body.width - (b - a);
    band.cells[at] = (band.cells[at] as number) - g;
  }
  solveBand(band, right);
  return right;
}
