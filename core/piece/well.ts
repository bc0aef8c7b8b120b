/** The hollow that a piece bakes in: a frustum, wider at the top. All lengths in mm, volumes in ml. */
export interface Well {
  readonly topMm: number;
  readonly baseMm: number;
  readonly depthMm: number;
}

/**
 * Volume to the brim, ml. V = π·h/12·(D² + D·d + d²), with D and d the top and base diameters. Geometry; exact for a
 * frustum, within a few per cent for wells with rounded corners.
 */
export function wellVolumeMl(topMm: number, baseMm: number, depthMm: number): number {
  return ((Math.PI * depthMm) / 12) * (topMm * topMm + topMm * baseMm + baseMm * baseMm) * 1e-3;
}

/** Inner diameter at a height above the base, mm. Linear from base to rim. */
export function diameterAtMm(well: Well, heightMm: number): number {
  return well.baseMm + ((well.topMm - well.baseMm) * heightMm) / well.depthMm;
}

/**
 * Height above the base to which a volume fills the well, mm. With the diameter growing by k a mm, V = π·((d + k·h)³ −
 * d³) / 12k, solved for h; a cylinder where k is 0. Volumes of 0 or less give 0; past the brim the walls are taken to go
 * on upwards, so that an overfull well shows.
 */
export function heightForVolumeMm(well: Well, volumeMl: number): number {
  if (volumeMl <= 0) return 0;
  const { topMm, baseMm, depthMm } = well;
  const volume = volumeMl * 1000;
  const flare = (topMm - baseMm) / depthMm;
  if (Math.abs(flare) < 1e-6) return (4 * volume) / (Math.PI * baseMm * baseMm);
  const cubed = (12 * flare * volume) / Math.PI + baseMm ** 3;
  // A well that narrows upwards closes to a point: no height holds more than that cone.
  return cubed <= 0 ? -baseMm / flare : (Math.cbrt(cubed) - baseMm) / flare;
}
