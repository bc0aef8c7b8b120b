import { wellShapeOf } from '../piece';
import { cutBody, type Body } from './heat/body';
import { solveHeat, type HeatMoment, type Material } from './heat/conduction';
import { BAKE_MODEL_FIT, BAKE_PHYSICS } from './bakeModel.table';
import { ramp, type BakeModelFit, type BakeModelInput } from './bakeQuestion';

export { loafAs, lumpedWarming } from './bakeQuestion';
export type { BakeModelFit, BakeModelInput, PanShape } from './bakeQuestion';

export interface BakeModelResult {
  readonly timeS: number;
  /** Temperature of the coldest place over time, for drawing. */
  readonly curve: readonly HeatMoment[];
  /** Heat taken in over heat gained, less one: how well energy is conserved. */
  readonly energyError: number;
}

/**
 * Batter on its way to cake. Heat capacity c with the latent heat of steam spread over the range in which water boils
 * off; conductivity that grows from 60 °C on, as vapour carries heat through the pores. Density is that of the piece
 * part-way up its rise, so that mass is the batter's own.
 */
function materialOf(densityKgM3: number, fit: BakeModelFit): Material {
  const { heatCapacity, latent, steamFromC, steamToC, vapourFromC, vapourToC } = BAKE_PHYSICS;
  const steam = densityKgM3 * latent * fit.steamShare;
  const dry = densityKgM3 * heatCapacity;
  return {
    enthalpy: (t) => dry * t + steam * ramp(t, steamFromC, steamToC).value,
    capacity: (t) => dry + steam * ramp(t, steamFromC, steamToC).slope,
    conductivity: (t) => fit.conductivity * (1 + fit.vapourGain * ramp(t, vapourFromC, vapourToC).value),
  };
}

/** The body that the piece fills part-way up its rise, from its base. */
function bodyOf(input: BakeModelInput, cells: number): Body {
  const { pan, massG, batterDensity, cakeDensity, lossShare } = input;
  const batterMl = massG / batterDensity;
  const cakeMl = (massG * (1 - lossShare)) / cakeDensity;
  const volumeM3 = (batterMl + BAKE_PHYSICS.riseStage * (cakeMl - batterMl)) * 1e-6;
  const profile = wellShapeOf(pan).profile(pan, volumeM3);
  const { heightM } = profile;
  // Wide, flat pieces need few rings and as many layers as small ones; rings set the band's width.
  const nr = Math.min(Math.max(Math.round((cells * profile.radiusM(heightM)) / heightM), cells), 2 * cells);
  return cutBody(profile, nr, cells);
}

/**
 * Oven time of a piece from the conduction of heat: the coldest place has to reach its doneness temperature.
 * Axisymmetric finite volumes, convection and radiation on every face, latent heat of steam, vapour transport as added
 * conductivity. Free parameters from `bakeModel.table.ts`, fitted to typical times. Basis: physics with a typical fit.
 * @param cells layers of the grid; 9 is enough for single pieces
 */
export function bakeModel(
  input: BakeModelInput,
  fit: BakeModelFit = BAKE_MODEL_FIT,
  cells = 9,
): BakeModelResult {
  if (input.massG <= 0) throw new Error('invariant: a piece has mass');
  if (input.airC < input.doneC + 10) throw new Error('invariant: an oven is hotter than what it bakes');
  const body = bodyOf(input, cells);
  const density = (input.massG * 1e-3) / body.totalM3;
  const open = fit.coefficient * (input.coefficientFactor ?? 1);
  const walled = 1 / (1 / open + (input.wallResistance ?? BAKE_PHYSICS.wallResistance));
  // A step of a hundredth of what such a piece usually takes.
  const stepS = Math.max(4, 14 * Math.sqrt(input.massG / 48));
  const { moments, inJ, gainedJ } = solveHeat({
    body,
    material: materialOf(density, fit),
    faces: {
      top: { airC: input.airC, coefficient: open },
      side: { airC: input.airC, coefficient: walled },
      bottom: { airC: input.airC, coefficient: walled },
    },
    startC: input.batterC,
    stepS,
    until: (coldestC) => coldestC >= input.doneC,
    mostS: 4 * 3600,
  });
  const last = moments.at(-1);
  const before = moments.at(-2);
  if (!last || !before) throw new Error('invariant: a bake has a first step');
  const share = (input.doneC - before.coldestC) / Math.max(last.coldestC - before.coldestC, 1e-9);
  return {
    timeS: before.timeS + Math.min(Math.max(share, 0), 1) * (last.timeS - before.timeS),
    curve: moments,
    energyError: inJ / gainedJ - 1,
  };
}
