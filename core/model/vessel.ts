/** A vessel narrower than this share of the working depth holds no piece. Basis: geometry of a round piece. */
const NARROWEST = 0.9;

/** A vessel by its measures, mm. */
export interface VesselMeasures {
  readonly diameterMm: number;
  readonly depthMm: number;
}

/** The narrowest of some vessels that has the working depth and room for the piece; null where none has. */
export function narrowestFor<V extends VesselMeasures>(vessels: readonly V[], deepMm: number): V | null {
  const [best] = vessels
    .filter(({ diameterMm, depthMm }) => depthMm >= deepMm && diameterMm > deepMm * NARROWEST)
    .sort((a, b) => a.diameterMm - b.diameterMm);
  return best ?? null;
}
