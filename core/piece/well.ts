import { bisect } from '../numeric/bisect';

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
 * Height above the base to which a volume fills the well, mm. Inverts the frustum volume by bisection to 1e-6 mm.
 * Volumes of 0 or less give 0; past the brim the walls are taken to go on upwards, so that an overfull well shows.
 */
export function heightForVolumeMm(well: Well, volumeMl: number): number {
  if (volumeMl <= 0) return 0;
  const volumeTo = (heightMm: number) => wellVolumeMl(diameterAtMm(well, heightMm), well.baseMm, heightMm);
  let high = well.depthMm;
  while (volumeTo(high) < volumeMl) high *= 1.5;
  return bisect(volumeTo, volumeMl, 0, high);
}
