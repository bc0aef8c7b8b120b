import { SYRUP } from './frost.table';

/** How much lower water boils at an altitude, K: 1 K for every 300 m. Valid to some 3000 m. Basis: physics. */
export function boilingShiftK(altitudeM: number): number {
  return altitudeM / SYRUP.metresPerDegree;
}

/** Band of a sugar syrup for cooked whites at an altitude, °C: it boils at the same thickness by so much lower. */
export function syrupBandC(altitudeM: number): readonly [number, number] {
  const shift = boilingShiftK(altitudeM);
  return [SYRUP.lowC - shift, SYRUP.highC - shift];
}
