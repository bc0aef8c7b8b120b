import { newBand, solveBand, type Band } from './band';
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
  /** Stop once this is true of a moment, or at `mostS`. */
  readonly until: (moment: HeatMoment) => boolean;
  readonly mostS: number;
  /**
   * Height as a share of the body's own, by its mean temperature, °C, for a body that rises as it warms; 1 if left out.
   * Every cell keeps its mass: heat is held by the volumes of the body as it stands at its full height.
   */
  readonly heightShare?: (meanC: number) => number;
  /** Conductance of the outermost crust, W/m²K, between the cells beneath it and the surface itself; the cells' own if left out. */
  readonly crust?: number;
}

export interface HeatMoment {
  readonly timeS: number;
  readonly coldestC: number;
  readonly meanC: number;
  /** Mean temperature of the top surface itself, °C. */
  readonly topC: number;
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
const SETTLED_K = 2e-3;

/**
 * Heat conduction in a body of revolution by finite volumes, implicit in time (backward Euler). Heat capacity enters as
 * the secant of the enthalpy over the step, so that latent heat is neither lost nor counted twice and energy is
 * conserved once the step has settled. Unconditionally stable; first order in the step.
 */
export function solveHeat(problem: HeatProblem): HeatSolution {
  const { body, material, startC, stepS, until, mostS, heightShare } = problem;
  const n = body.cells;
  const work = newWork(problem);
  const old = new Float64Array(n).fill(startC);
  const now = old.slice();
  const startJ = heldJ(body, material, old);
  const moments: HeatMoment[] = [{ timeS: 0, coldestC: startC, meanC: startC, topC: startC }];
  let meanC = startC;
  let inJ = 0;
  let timeS = 0;
  while (timeS < mostS) {
    for (let i = 0; i < n; i += 1) work.oldJ[i] = material.enthalpy(old[i] as number);
    if (heightShare) raise(work, body, heightShare(meanC));
    let change = Infinity;
    for (let round = 0; round < MOST_ROUNDS && change > SETTLED_K; round += 1) {
      stepOnce(problem, work, old, now);
      change = 0;
      for (let i = 0; i < n; i += 1) {
        const next = work.right[i] as number;
        change = Math.max(change, Math.abs(next - (now[i] as number)));
        now[i] = next;
      }
    }
    inJ += stepS * inflowW(problem, work, now);
    timeS += stepS;
    let coldestC = Infinity;
    let sum = 0;
    for (let i = 0; i < n; i += 1) {
      const t = now[i] as number;
      coldestC = Math.min(coldestC, t);
      sum += (body.volumeM3[i] as number) * t;
    }
    meanC = sum / body.totalM3;
    const moment = { timeS, coldestC, meanC, topC: topSurfaceC(problem, work, now) };
    moments.push(moment);
    old.set(now);
    if (until(moment)) break;
  }
  return { moments, cellsC: now, inJ, gainedJ: heldJ(body, material, now) - startJ };
}

/** Room for the sums of a step, made once a solution. */
interface Work {
  readonly band: Band;
  readonly right: Float64Array;
  readonly conductivity: Float64Array;
  readonly oldJ: Float64Array;
  /** Air and coefficient of every patch. */
  readonly patchAirC: Float64Array;
  readonly patchCoefficient: Float64Array;
  /** The body's lengths and areas at the height that it has risen to. */
  readonly linkM: Float64Array;
  readonly patchM2: Float64Array;
  readonly patchDistanceM: Float64Array;
}

function newWork({ body, faces }: HeatProblem): Work {
  return {
    band: newBand(body.cells, body.width),
    right: new Float64Array(body.cells + body.width),
    conductivity: new Float64Array(body.cells),
    oldJ: new Float64Array(body.cells),
    patchAirC: Float64Array.from(body.patchFace, (face) => faces[face].airC),
    patchCoefficient: Float64Array.from(body.patchFace, (face) => faces[face].coefficient),
    linkM: body.linkM.slice(),
    patchM2: body.patchM2.slice(),
    patchDistanceM: body.patchDistanceM.slice(),
  };
}

/** Sets lengths and areas to a share of the full height: what lies flat gets nearer, what stands upright smaller. */
function raise({ linkM, patchM2, patchDistanceM }: Work, body: Body, share: number): void {
  for (let l = 0; l < linkM.length; l += 1) {
    const full = body.linkM[l] as number;
    linkM[l] = body.linkUpright[l] === 1 ? full / share : full * share;
  }
  for (let p = 0; p < patchM2.length; p += 1) {
    const side = body.patchFace[p] === 'side';
    patchM2[p] = (body.patchM2[p] as number) * (side ? share : 1);
    patchDistanceM[p] = (body.patchDistanceM[p] as number) * (side ? 1 : share);
  }
}

/** Mean temperature of the top surface, between what the cells beneath it hold and the air above. */
function topSurfaceC({ body, material, faces, crust }: HeatProblem, work: Work, t: Float64Array): number {
  const { airC, coefficient } = faces.top;
  let [sum, area] = [0, 0];
  for (let p = 0; p < body.patchFace.length; p += 1) {
    if (body.patchFace[p] !== 'top') continue;
    const tC = t[body.patchCell[p] as number] as number;
    const inner = crust ?? material.conductivity(tC) / (work.patchDistanceM[p] as number);
    const m2 = work.patchM2[p] as number;
    sum += (m2 * (inner * tC + coefficient * airC)) / (inner + coefficient);
    area += m2;
  }
  return area === 0 ? NaN : sum / area;
}

function heldJ(body: Body, material: Material, t: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < body.cells; i += 1)
    sum += (body.volumeM3[i] as number) * material.enthalpy(t[i] as number);
  return sum;
}

/** W/K from the middle of a cell through a patch of its surface to the air. */
function patchConductance(areaM2: number, distanceM: number, k: number, coefficient: number): number {
  return coefficient <= 0 ? 0 : areaM2 / (distanceM / k + 1 / coefficient);
}

function inflowW({ body, material, faces }: HeatProblem, work: Work, t: Float64Array): number {
  let sum = 0;
  for (let p = 0; p < body.patchFace.length; p += 1) {
    const tC = t[body.patchCell[p] as number] as number;
    const { airC, coefficient } = faces[body.patchFace[p] as Face];
    const k = material.conductivity(tC);
    sum +=
      patchConductance(work.patchM2[p] as number, work.patchDistanceM[p] as number, k, coefficient) *
      (airC - tC);
  }
  return sum;
}

/** One linear solve into `work.right`: properties at the last guess, secant heat capacity from the step's start to it. */
function stepOnce(
  { body, material, stepS }: HeatProblem,
  work: Work,
  old: Float64Array,
  guess: Float64Array,
): void {
  const { band, right, conductivity, oldJ, patchAirC, patchCoefficient } = work;
  const { cells } = band;
  const stride = body.width + 1;
  cells.fill(0);
  right.fill(0);
  for (let i = 0; i < body.cells; i += 1) {
    const t0 = old[i] as number;
    const t1 = guess[i] as number;
    const secant =
      Math.abs(t1 - t0) > 1e-6
        ? (material.enthalpy(t1) - (oldJ[i] as number)) / (t1 - t0)
        : material.capacity(t0);
    const stored = ((body.volumeM3[i] as number) * secant) / stepS;
    conductivity[i] = material.conductivity(t1);
    cells[i * stride] = stored;
    right[i] = stored * t0;
  }
  for (let p = 0; p < patchAirC.length; p += 1) {
    const i = body.patchCell[p] as number;
    const area = work.patchM2[p] as number;
    const distance = work.patchDistanceM[p] as number;
    const g = patchConductance(area, distance, conductivity[i] as number, patchCoefficient[p] as number);
    cells[i * stride] = (cells[i * stride] as number) + g;
    right[i] = (right[i] as number) + g * (patchAirC[p] as number);
  }
  for (let l = 0; l < work.linkM.length; l += 1) {
    const a = body.linkFrom[l] as number;
    const b = body.linkTo[l] as number;
    const ka = conductivity[a] as number;
    const kb = conductivity[b] as number;
    const g = ((work.linkM[l] as number) * 2 * ka * kb) / (ka + kb);
    cells[a * stride] = (cells[a * stride] as number) + g;
    cells[b * stride] = (cells[b * stride] as number) + g;
    cells[a * stride + b - a] = (cells[a * stride + b - a] as number) - g;
  }
  solveBand(band, right);
}
