import type { MicroVessel } from './microwave';

/** Typical times at full power, s, from the shorter to the longer end. Batter at 21 °C, 1.05 g/ml. Basis: typical. */
export interface TypicalMicrowave {
  readonly what: string;
  readonly vessel: MicroVessel;
  readonly massG: number;
  /** Inside a mug, mm. */
  readonly widthMm: number;
  readonly count: number;
  readonly ratedW: number;
  readonly timeS: readonly [number, number];
  /** Not used for the fit: a test of it. */
  readonly held: boolean;
}

// prettier-ignore
export const TYPICAL_MICROWAVE: readonly TypicalMicrowave[] = [
  { what: 'a mug', vessel: 'mug', massG: 95, widthMm: 80, count: 1, ratedW: 1000, timeS: [60, 75], held: false },
  { what: 'a mug', vessel: 'mug', massG: 95, widthMm: 80, count: 1, ratedW: 800, timeS: [75, 95], held: false },
  { what: 'a mug', vessel: 'mug', massG: 95, widthMm: 80, count: 1, ratedW: 700, timeS: [90, 110], held: true },
  { what: 'two mugs', vessel: 'mug', massG: 90, widthMm: 80, count: 2, ratedW: 1000, timeS: [95, 120], held: false },
  { what: 'a big mug', vessel: 'mug', massG: 270, widthMm: 95, count: 1, ratedW: 800, timeS: [120, 150], held: false },
  { what: 'a bowl', vessel: 'bowl', massG: 420, widthMm: 0, count: 1, ratedW: 800, timeS: [240, 300], held: false },
];
