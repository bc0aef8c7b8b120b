import { wellShapeOf, type PanShape } from '../piece';
import { goldWanted, lumpedWarming, sizeFactor, type BakeModelInput } from './bakeQuestion';
import { COLOUR_SURROGATE, SHEET_COLOUR_SURROGATE, SHEET_SURROGATE, SURROGATE } from './bakeSurrogate.table';

/** Where between batter and cake the height is taken that the piece is likened to a still one by. Basis: chosen. */
const RISE_STAGE = 0.8;

/** What decides the time, as logarithms about a usual piece. */
export const surrogateFeatures = (input: BakeModelInput): readonly number[] =>
  featuresOf(input.pan, input, input.airC, input.batterC);

/** Nobody waits longer, s. */
const LONGEST_S = 4 * 3600;
/** An oven cooler than this much over boiling dries rather than browns, K. */
const LEAST_OVER_BOILING = 8;
/** Masses below this are taken for it, g: the form is fitted to pieces. */
const LEAST_G = 0.5;

function featuresOf(pan: PanShape, input: BakeModelInput, airC: number, batterC: number): readonly number[] {
  const { batterDensity, cakeDensity, lossShare, doneC } = input;
  // The low end of a range may come to nothing; a crumb of batter still takes its time.
  const massG = Math.max(input.massG, LEAST_G);
  const batterMl = massG / batterDensity;
  const cakeMl = (massG * (1 - lossShare)) / cakeDensity;
  const volumeM3 = (batterMl + RISE_STAGE * (cakeMl - batterMl)) * 1e-6;
  const flare = (pan.topRadiusM - pan.baseRadiusM) / pan.depthM;
  const base = pan.baseRadiusM;
  const height =
    Math.abs(flare) < 1e-9
      ? volumeM3 / (Math.PI * base * base)
      : (Math.cbrt((3 * flare * volumeM3) / Math.PI + base ** 3) - base) / flare;
  // A well that narrows upwards is full before its walls would meet.
  const top = Math.max(base + flare * height, 0.2 * base);
  const area = Math.PI * (base * base + top * top + (base + top) * height * Math.hypot(1, flare));
  const warming = lumpedWarming(batterC, doneC, airC, lossShare);
  return [
    Math.log((massG * 1e-3) / area / 4),
    Math.log(volumeM3 / area / 0.01),
    Math.log(warming / 4000),
    Math.log((input.coefficientFactor ?? 1) * sizeFactor({ pan })),
    Math.log(height / (base + top) / 0.5),
    (doneC - 92) / 10,
    (airC - 180) / 40,
    // Just under boiling the middle warms ever more slowly.
    Math.exp((doneC - 98) / 5),
    Math.log(goldWanted({ pan })),
    Math.log(Math.max(airC - 100, LEAST_OVER_BOILING) / 80),
  ];
}

/** The features, their squares and their products, with 1 in front: what the fit weighs. */
export function surrogateTerms(features: readonly number[]): number[] {
  const terms = [1, ...features];
  for (let i = 0; i < features.length; i += 1) {
    for (let j = i; j < features.length; j += 1) terms.push((features[i] ?? 0) * (features[j] ?? 0));
  }
  return terms;
}

type Weights = readonly number[];

function pieceS(input: BakeModelInput, weights: Weights): number {
  const { pan, factor, share = 1 } = wellShapeOf(input.pan).quick(input.pan);
  const asked = share === 1 ? input : { ...input, massG: share * input.massG };
  return factor * weighed(asked, pan, weights);
}

/**
 * The baking model's time for the coldest place of a single piece, s, by a quadratic form of logarithms fitted to it:
 * fast enough for every keystroke. Valid where it was fitted: wells of 25 to 95 mm, 5 to 250 g, ovens of 140 to 225 °C.
 * Its error against the model is in `bakeSurrogate.table.ts`, remade by `npm run fit:surrogate`. Basis: fitted to physics.
 */
export const bakeInsideS = (input: BakeModelInput): number => pieceS(input, SURROGATE.weights);
/** The same for its colour. */
export const bakeColourS = (input: BakeModelInput): number => pieceS(input, COLOUR_SURROGATE.weights);

/** The same two for a sheet, given as the disc of its area: 140 to 420 mm across, 14 to 55 mm of room. */
export const sheetInsideS = (input: BakeModelInput): number =>
  weighed(input, input.pan, SHEET_SURROGATE.weights);
export const sheetColourS = (input: BakeModelInput): number =>
  weighed(input, input.pan, SHEET_COLOUR_SURROGATE.weights);

function weighed(input: BakeModelInput, pan: PanShape, weights: readonly number[]): number {
  // Nearer the doneness temperature the logarithm runs away; such an oven dries a piece rather than bake it.
  const airC = Math.max(input.airC, input.doneC + 15);
  const batterC = Math.min(input.batterC, input.doneC - 1);
  const features = featuresOf(pan, input, airC, batterC);
  // As the terms stand in the fit: 1, the features, their squares and products.
  let sum = weights[0] ?? 0;
  let k = features.length + 1;
  for (let i = 0; i < features.length; i += 1) {
    const feature = features[i] as number;
    let line = weights[i + 1] ?? 0;
    for (let j = i; j < features.length; j += 1) {
      line += (features[j] as number) * (weights[k] ?? 0);
      k += 1;
    }
    sum += feature * line;
  }
  return Math.min(Math.exp(sum), LONGEST_S);
}
