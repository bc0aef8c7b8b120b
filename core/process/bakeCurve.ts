import { bakeModel, type BakeModelInput } from './bakeModel';

/** A moment of the coldest place in the oven: s from when it goes in, °C. */
export interface CurvePoint {
  readonly timeS: number;
  readonly coldestC: number;
}

export interface BakeCurve {
  /** When it is done, inside and, where that is a test, by its colour. */
  readonly timeS: number;
  /** When the coldest place is done. */
  readonly insideS: number;
  readonly points: readonly CurvePoint[];
}

/** Points that a small drawing needs. */
const MOST_POINTS = 40;

/**
 * The coldest place of a piece over time by the baking model, for drawing: some forty points until it is done, times
 * stretched by the factor of tin and kitchen. Takes some 20 ms, so the app asks for it in a worker.
 */
export function bakeCurve(input: BakeModelInput, factor: number): BakeCurve {
  const { curve, insideS, colourS } = bakeModel(input);
  const timeS = input.byColour ? Math.max(insideS, colourS) : insideS;
  const end = curve.findIndex((moment) => moment.timeS >= timeS);
  const shown = end === -1 ? curve : curve.slice(0, end + 1);
  const every = Math.max(1, Math.ceil(shown.length / MOST_POINTS));
  const points = shown
    .filter((_, i) => i % every === 0 || i === shown.length - 1)
    .map(({ timeS: at, coldestC }) => ({ timeS: at * factor, coldestC }));
  return { timeS: timeS * factor, insideS: insideS * factor, points };
}

/** When the coldest place passes a temperature, s; null where the curve does not reach it. */
export function passesAtS(
  { points }: { readonly points: readonly CurvePoint[] },
  temperatureC: number,
): number | null {
  const i = points.findIndex(({ coldestC }) => coldestC >= temperatureC);
  const after = points[i];
  if (!after) return null;
  const before = points[i - 1];
  if (!before || after.coldestC === before.coldestC) return after.timeS;
  const share = (temperatureC - before.coldestC) / (after.coldestC - before.coldestC);
  return before.timeS + share * (after.timeS - before.timeS);
}
