import {
  BAG_LOSS_G,
  COLOUR_DEPTH,
  CORE,
  FONDANT,
  FROSTING_DENSITY,
  GEL_DROP_G,
  STANDARD_TOP_MM,
  STYLE_FROSTING,
  TOP_STYLES,
  type ColourDepth,
  type Frosting,
  type TopStyle,
} from '../frost.table';

/** Frosting on one top, g: the style's mass on a standard top, by area, and by density where another frosting is piped. */
export function topMassG(style: TopStyle, topMm: number, frosting: Frosting): number {
  const area = (topMm / STANDARD_TOP_MM) ** 2;
  return TOP_STYLES[style].massG * area * (FROSTING_DENSITY[frosting] / FROSTING_DENSITY[STYLE_FROSTING]);
}

export interface ColourLot {
  readonly name: string;
  readonly pieces: number;
  readonly depth: ColourDepth | 'none';
}

export interface ColourShare {
  readonly name: string;
  readonly massG: number;
  readonly gelG: number;
  readonly drops: number;
}

/** One bowl split into colours by the pieces of each: grams with the bag's loss, gel and drops. */
export function splitColours(lots: readonly ColourLot[], eachG: number): ColourShare[] {
  return lots
    .filter(({ pieces }) => pieces > 0)
    .map(({ name, pieces, depth }) => {
      const massG = pieces * eachG + BAG_LOSS_G;
      const gelG = depth === 'none' ? 0 : massG * COLOUR_DEPTH[depth];
      return { name, massG, gelG, drops: gelG === 0 ? 0 : Math.ceil(gelG / GEL_DROP_G - 1e-9) };
    });
}

/** A core cut from a cupcake: crumb taken out, jam that fits under the plug, and the plug that goes back, g. */
export function coreMasses(
  diameterMm: number = CORE.diameterMm,
  depthMm: number = CORE.depthMm,
): { crumbG: number; fillingG: number; plugG: number } {
  const ml = (Math.PI * diameterMm * diameterMm * depthMm) / 4000;
  return {
    crumbG: ml * CORE.crumbDensity,
    plugG: ml * CORE.crumbDensity * CORE.plugShare,
    fillingG: ml * (1 - CORE.plugShare) * CORE.jamDensity,
  };
}

/** Fondant for an area, g: on the piece, rolled out in all, and lost once most of the trimmings are rolled again. */
export function fondantMasses(areaCm2: number): { onPieceG: number; rolledG: number; lostG: number } {
  const onPieceG = (areaCm2 * FONDANT.thicknessMm * FONDANT.density) / 10;
  const rolledG = onPieceG * (1 + FONDANT.beyond);
  return { onPieceG, rolledG, lostG: (rolledG - onPieceG) * (1 - FONDANT.rerolled) };
}
