import { SYRUP } from './frost.table';

/** How much lower water boils at an altitude, K: 1 K for every 300 m. Valid to some 3000 m. Basis: physics. */
export function boilingShiftK(altitudeM: number): number {
  return altitudeM / SYRUP.metresPerDegree;
}
