import { wellShapeOf } from '../piece';
import { cutBody } from './heat/body';
import { solveHeat, type HeatMoment, type Material } from './heat/conduction';
import { vapourConductivity } from './heat/vapour';
import { BAKE_MODEL_FIT, BAKE_PHYSICS } from './bakeModel.table';
import { goldWanted, ramp, sizeFactor, type BakeModelFit, type BakeModelInput } from './bakeQuestion';

export { loafAs, lumpedWarming } from './bakeQuestion';
export type { BakeModelFit, BakeModelInput, PanShape } from './bakeQuestion';

export interface BakeModelResult {
  /** Until the coldest place is done, s. */
  readonly insideS: number;
  /** Until the top is pale gold, s: `MOST_S` where it never gets there. */
  readonly colourS: number;
  /** Temperatures over time, for drawing; past the later of the two tests. */
  readonly curve: readonly HeatMoment[];
  /** Heat taken in over heat gained, less one: how well energy is conserved. */
  readonly energyError: number;
}

/** Nobody waits longer, s. */
export const MOST_S = 4 * 3600;
/** K between two entries of the list of conductivities, and where it ends, °C. */
const ENTRY_K = 0.25;
const LAST_C = 300;

/**
 * Batter on its way to cake. Heat capacity c, with the latent heat of what leaves as steam spread over the range in
 * which it does; conductivity of the wet crumb, with vapour that carries heat inwards where it is not yet dry.
 * @param densityKgM3 mass over the volume at full height, so that mass is the batter's own
 */
function materialOf(densityKgM3: number, lossShare: number, fit: BakeModelFit): Material {
  const { heatCapacity, latent, steamToC, driesFromC, driesToC, dryShare } = BAKE_PHYSICS;
  const { risesFromC, risesToC, poreShare } = BAKE_PHYSICS;
  const steam = densityKgM3 * latent * lossShare;
  const dry = densityKgM3 * heatCapacity;
  const listed = Float64Array.from({ length: LAST_C / ENTRY_K + 1 }, (_, i) => {
    const t = i * ENTRY_K;
    const crust = ramp(t, driesFromC, driesToC).value;
    const risen = ramp(t, risesFromC, risesToC).value;
    const still = fit.conductivity * (1 - (1 - poreShare) * risen) * (1 - (1 - dryShare) * crust);
    return still + vapourConductivity(t, fit.diffusivity) * (1 - crust);
  });
  return {
    enthalpy: (t) => dry * t + steam * ramp(t, fit.steamFromC, steamToC).value,
    capacity: (t) => dry + steam * ramp(t, fit.steamFromC, steamToC).slope,
    conductivity: (t) => {
      const at = Math.min(Math.max(t, 0), LAST_C - 1) / ENTRY_K;
      const i = Math.floor(at);
      const low = listed[i] as number;
      return low + (at - i) * ((listed[i + 1] as number) - low);
    },
  };
}

/** The body that the piece fills once it has risen, and the share of its height that the batter has. */
function bodyOf({ pan, massG, batterDensity, cakeDensity, lossShare }: BakeModelInput, cells: number) {
  const shape = wellShapeOf(pan);
  const cake = shape.profile(pan, ((massG * (1 - lossShare)) / cakeDensity) * 1e-6);
  const batter = shape.profile(pan, (massG / batterDensity) * 1e-6);
  const { heightM } = cake;
  // Wide, flat pieces need few rings and as many layers as small ones; rings set the band's width.
  const nr = Math.min(Math.max(Math.round((cells * cake.radiusM(heightM)) / heightM), cells), 2 * cells);
  return { body: cutBody(cake, nr, cells), batterShare: batter.heightM / heightM };
}

const GAS_J = 8.314;
const KELVIN = 273.15;

/** How fast a surface browns, in the dose that is pale gold, 1/s: by Arrhenius, and only once it has dried. */
export function browningPerS(surfaceC: number, fit: BakeModelFit = BAKE_MODEL_FIT): number {
  const { browningAtC, steamToC } = BAKE_PHYSICS;
  const inverse = 1 / (surfaceC + KELVIN) - 1 / (browningAtC + KELVIN);
  return (
    fit.browning *
    Math.exp((-fit.browningJ / GAS_J) * inverse) *
    ramp(surfaceC, fit.steamFromC, steamToC).value
  );
}

/**
 * What an oven does to a piece: conduction of heat from every face, vapour that wanders inwards and condenses, water
 * that boils off, and a piece that rises meanwhile; and how its top browns. Axisymmetric finite volumes. Free parameters
 * from `bakeModel.table.ts`, fitted to typical times and to the curve of the coldest place. Basis: physics, fitted.
 * @param cells layers of the grid; 9 is enough for single pieces
 */
export function bakeModel(
  input: BakeModelInput,
  fit: BakeModelFit = BAKE_MODEL_FIT,
  cells = 9,
): BakeModelResult {
  if (input.massG <= 0) throw new Error('invariant: a piece has mass');
  if (input.airC < input.doneC + 10) throw new Error('invariant: an oven is hotter than what it bakes');
  const { body, batterShare } = bodyOf(input, cells);
  const density = (input.massG * 1e-3) / body.totalM3;
  const coefficient = fit.coefficient * sizeFactor(input) * (input.coefficientFactor ?? 1);
  const walled = 1 / (1 / coefficient + (input.wallResistance ?? 0));
  // A step of a hundredth of what such a piece usually takes.
  const stepS = Math.max(4, 14 * Math.sqrt(input.massG / 48));
  const { risesFromC, risesToC } = BAKE_PHYSICS;
  const inside = firstPast((moment) => moment.coldestC, input.doneC);
  let dose = 0;
  const colour = firstPast((moment) => (dose += stepS * browningPerS(moment.topC, fit)), goldWanted(input));
  const { moments, inJ, gainedJ } = solveHeat({
    body,
    material: materialOf(density, input.lossShare, fit),
    faces: {
      top: { airC: input.airC, coefficient },
      side: { airC: input.airC, coefficient: walled },
      bottom: { airC: input.airC, coefficient: walled },
    },
    startC: input.batterC,
    crust: BAKE_PHYSICS.crust,
    stepS,
    until: (moment) => [inside.see(moment), colour.see(moment)].every(Boolean),
    mostS: MOST_S,
    heightShare: (meanC) => batterShare + (1 - batterShare) * ramp(meanC, risesFromC, risesToC).value,
  });
  return { insideS: inside.atS(), colourS: colour.atS(), curve: moments, energyError: inJ / gainedJ - 1 };
}

/** Watches a rising value, and tells when it first came to a level: between two moments in proportion. */
function firstPast(valueOf: (moment: HeatMoment) => number, level: number) {
  let before = { timeS: 0, value: -Infinity };
  let found: number | null = null;
  return {
    see: (moment: HeatMoment): boolean => {
      if (found !== null) return true;
      const value = valueOf(moment);
      if (value >= level) {
        const share = before.timeS === 0 ? 1 : (level - before.value) / (value - before.value);
        found = before.timeS + share * (moment.timeS - before.timeS);
      }
      before = { timeS: moment.timeS, value };
      return found !== null;
    },
    atS: () => found ?? MOST_S,
  };
}
