import { COAT } from './coat.table';

/** A vessel narrower than this share of the working depth holds no piece. Basis: geometry of a round piece. */
const NARROWEST = 0.9;

/** A vessel by its measures, mm. */
export interface VesselMeasures {
  readonly diameterMm: number;
  readonly depthMm: number;
}

/** The narrowest of some vessels that a piece fits into and can be dipped in whole; null where none does. */
export function narrowestFor<V extends VesselMeasures>(vessels: readonly V[], pieceMm: number): V | null {
  const deepMm = pieceMm + COAT.dipClearanceMm;
  const [best] = vessels
    .filter(({ diameterMm, depthMm }) => depthMm >= deepMm && diameterMm > deepMm * NARROWEST)
    .sort((a, b) => a.diameterMm - b.diameterMm);
  return best ?? null;
}
