import type { ChocolateKind } from '../model/kinds';
import { MELTING, MICROWAVE } from './microwave.table';

/**
 * Share of the rated power that a load takes up: small loads couple worse. 0.92·(1 − exp(−m / 90 g)), m the whole load.
 * Valid for 20 g to 2 kg. Basis: fitted to typical times.
 */
export function couplingShare(loadG: number): number {
  return MICROWAVE.bestShare * (1 - Math.exp(-loadG / MICROWAVE.couplingG));
}

/**
 * Watts that 500 g of water took up: 4.186 · 500 · ΔT / t. The water test: 500 g for 60 s at full power.
 * @param riseK how much warmer the water got, K
 */
export function waterTestW(riseK: number, seconds = 60, waterG = 500): number {
  return (MICROWAVE.water * waterG * riseK) / seconds;
}

/** The rating that a water test amounts to, W: what was taken up over the share that 500 g should take. */
export function ratingFromTestW(absorbedW: number): number {
  return absorbedW / couplingShare(500);
}

/** Share of the batter in one vessel that steams away. @param massG g in the vessel, more than 0 */
export const steamShare = (massG: number): number =>
  Math.min(MICROWAVE.evaporated.share + MICROWAVE.evaporated.besideG / massG, MICROWAVE.evaporated.most);

/** A vessel in the microwave: mugs are about as wide as high, bowls about half a ball. */
export type MicroVessel = 'mug' | 'bowl';

/**
 * How far the middle of the batter lies from where waves get in, mm: half its height in a mug, half its depth in a bowl.
 * @param batterMl ml of batter in the vessel
 * @param widthMm of a mug inside; a bowl’s follows from what is in it
 */
export function middleMm(vessel: MicroVessel, batterMl: number, widthMm: number): number {
  if (vessel === 'bowl') return (10 * Math.cbrt((3 * batterMl) / (2 * Math.PI))) / 2;
  return Math.min(widthMm / 2, (1000 * batterMl) / ((Math.PI / 4) * widthMm * widthMm) / 2);
}

/** What lies deeper than waves get waits for conduction, s: at half power it has twice the time to come by heat. */
export const coreWaitS = (middleDepthMm: number, setting: number): number =>
  MICROWAVE.coreSPerMm * Math.max(middleDepthMm - MICROWAVE.reachMm, 0) * setting;

export type { ChocolateKind };

export interface Bursts {
  /** Setting to use, as a share of full power, so that no more than 700 W go in. */
  readonly setting: number;
  readonly burstS: number;
  readonly count: number;
  readonly lowCount: number;
  readonly highCount: number;
  /** Never warmer than this, °C. */
  readonly ceilingC: readonly [number, number];
}

/** Melting in bursts: how many, how long, at which setting; stirred between, and stopped with a quarter still solid. */
export function meltingBursts(massG: number, kind: ChocolateKind, ratedW: number): Bursts {
  if (massG <= 0 || ratedW <= 0)
    throw new Error('invariant: there is something to melt, and an oven to melt it in');
  const setting = Math.min(0.5, MELTING.mostW / ratedW);
  const joules = massG * MELTING.heatJ[kind] * (1 - MELTING.solidLeft);
  const power = ratedW * setting * MELTING.coupling * (1 - Math.exp(-massG / MICROWAVE.couplingG));
  const total = joules / power;
  const count = Math.max(2, Math.ceil(total / MELTING.mostBurstS));
  // A little chocolate scorches in half a minute: the bursts are evened out rather than the last one cut short.
  const burstS = Math.min(MELTING.mostBurstS, Math.max(5, Math.round(total / count / 5) * 5));
  const [least, most] = MELTING.ceilingC[kind];
  return {
    setting,
    burstS,
    count,
    lowCount: Math.max(1, Math.floor(count * (1 - MICROWAVE.timeSpread))),
    highCount: Math.ceil(count * (1 + MICROWAVE.timeSpread)),
    ceilingC: [least, most],
  };
}
