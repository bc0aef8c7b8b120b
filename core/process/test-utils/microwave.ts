import { coreWaitS, couplingShare, ratingFromTestW, steamShare } from '../microwave';
import { MICROWAVE } from '../microwave.table';

export interface MicrowaveInput {
  /** Batter in each mug or bowl, g. */
  readonly massG: number;
  /** How many turn at once. */
  readonly count: number;
  /** Rated output, W; or what the water test found, with `absorbedW`. */
  readonly ratedW: number;
  /** Watts that 500 g of water took up in the water test; null where nobody has run it. */
  readonly absorbedW: number | null;
  /** Power setting as a share of full, 0.1 to 1: the magnetron cycles, and energy goes with the share. */
  readonly setting: number;
  readonly startC: number;
  /** How far the middle lies from where waves get in, mm; nearer than they reach if left out. */
  readonly middleMm?: number;
}

export interface TimeRange {
  readonly timeS: number;
  readonly lowS: number;
  readonly highS: number;
  readonly firstLookS: number;
}

/**
 * Time for mugs or bowls of batter, s: heat to 96 °C and steam driven off, over the power that the whole load takes up.
 * Two mugs take longer than one, and less than twice as long. Range ±20 %; look at three quarters of it.
 */
export function microwaveTime(input: MicrowaveInput): TimeRange {
  const { massG, count, setting, startC } = input;
  if (massG <= 0 || count < 1 || setting <= 0)
    throw new Error('invariant: something turns, and the oven is on');
  const loadG = massG * count;
  const warmJ = loadG * MICROWAVE.heatCapacity * Math.max(MICROWAVE.doneC - startC, 0);
  const steamJ = loadG * steamShare(massG) * MICROWAVE.latent;
  const wait = coreWaitS(input.middleMm ?? 0, setting);
  return ranged((warmJ + steamJ) / (ratingW(input) * setting * couplingShare(loadG)) + wait);
}

function ratingW({ ratedW, absorbedW }: MicrowaveInput): number {
  return absorbedW === null ? ratedW : ratingFromTestW(absorbedW);
}

function ranged(timeS: number): TimeRange {
  const { timeSpread, firstLookShare } = MICROWAVE;
  const lowS = timeS * (1 - timeSpread);
  return { timeS, lowS, highS: timeS * (1 + timeSpread), firstLookS: Math.min(timeS * firstLookShare, lowS) };
}
