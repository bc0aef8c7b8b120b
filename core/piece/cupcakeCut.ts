import { bisect } from '../numeric/bisect';
import { capHeightMm, type CutPoint } from './outline';
import { diameterAtMm, heightForVolumeMm, wellVolumeMl, type Well } from './well';

/** Right half of a cupcake's cross-section, to scale, in mm. */
export interface CupcakeCut {
  readonly well: Well;
  /** Outline of the well from the axis along the base and up to the rim. */
  readonly wall: readonly CutPoint[];
  /** Height of the batter before baking, above the base. */
  readonly batterMm: number;
  /** How far below the rim the batter stands; negative where it stands above. */
  readonly belowRimMm: number;
  /** Outline of the baked cake from the axis at its top outwards and down to the base. */
  readonly cake: readonly CutPoint[];
  /** Highest point of the baked cake above the rim, mm; negative where it stays below. */
  readonly aboveRimMm: number;
  /** Cake that stands wider than the well, mm to each side; 0 where it stays within. */
  readonly overhangMm: number;
}

/** A dome keeps its hold up to about this height, as a share of its base radius; past it the batter runs over. */
const STEEPEST_DOME = 0.62;
/** Even a cake that ends below its rim sets a little higher at the centre, as a share of its radius. */
const GENTLE_CROWN = 0.1;

/** How a baked cake of some volume stands in its well. All in mm. */
interface Stand {
  /** Where the cake leaves the wall, above the base. */
  readonly sideMm: number;
  /** Height of the dome on top of that. */
  readonly domeMm: number;
  readonly overhangMm: number;
}

function standOf(well: Well, cakeMl: number): Stand {
  const rim = well.topMm / 2;
  const sideMm = sideHeightMm(well, cakeMl);
  const across = diameterAtMm(well, sideMm);
  const domeMl = cakeMl - wellVolumeMl(across, well.baseMm, sideMm);
  const freeDome = capHeightMm(domeMl, across / 2);
  const steepest = STEEPEST_DOME * rim;
  const overhangMm = freeDome > steepest ? widenFor(domeMl, rim, steepest) - rim : 0;
  return { sideMm, domeMm: Math.min(freeDome, steepest), overhangMm };
}

/** Highest point of a baked cake above the rim of its well, mm; negative where it stays below. */
export function cakeAboveRimMm(well: Well, cakeMl: number): number {
  const { sideMm, domeMm } = standOf(well, cakeMl);
  return sideMm + domeMm - well.depthMm;
}

/**
 * Cross-section of a cupcake from its volumes, to scale.
 * @param batterMl volume of batter in the well
 * @param cakeMl volume of the baked cake
 */
export function cupcakeCut(well: Well, batterMl: number, cakeMl: number): CupcakeCut {
  const batterMm = heightForVolumeMm(well, batterMl);
  const rim = well.topMm / 2;
  const { sideMm, domeMm, overhangMm } = standOf(well, cakeMl);
  const edge = diameterAtMm(well, sideMm) / 2 + overhangMm;
  const ledge = overhangMm > 0 ? [{ x: rim, y: well.depthMm }] : [];
  return {
    well,
    wall: [
      { x: 0, y: 0 },
      { x: well.baseMm / 2, y: 0 },
      { x: rim, y: well.depthMm },
    ],
    batterMm,
    belowRimMm: well.depthMm - batterMm,
    cake: [...arc(edge, domeMm, sideMm), ...ledge, { x: well.baseMm / 2, y: 0 }, { x: 0, y: 0 }],
    aboveRimMm: sideMm + domeMm - well.depthMm,
    overhangMm,
  };
}

/**
 * Where the cake leaves the wall, above the base, mm: the height at which the well below it and a gentle crown on top
 * hold the cake; the rim for a cake that is larger.
 */
function sideHeightMm(well: Well, cakeMl: number): number {
  const holds = (side: number) => {
    const radius = diameterAtMm(well, side) / 2;
    const crown = GENTLE_CROWN * radius;
    const crownMl = ((Math.PI * crown * (3 * radius * radius + crown * crown)) / 6) * 1e-3;
    return wellVolumeMl(2 * radius, well.baseMm, side) + crownMl;
  };
  if (holds(well.depthMm) <= cakeMl) return well.depthMm;
  return bisect(holds, cakeMl, 0, well.depthMm);
}

/** Radius of the base that a cap of that volume needs when it stands no higher than `heightMm`. */
function widenFor(volumeMl: number, fromMm: number, heightMm: number): number {
  const squared = ((6 * volumeMl * 1000) / (Math.PI * heightMm) - heightMm * heightMm) / 3;
  return Math.max(fromMm, Math.sqrt(squared));
}

/** A spherical cap's outline from the axis to the edge, in 16 steps. */
function arc(edgeMm: number, heightMm: number, baseMm: number): CutPoint[] {
  if (heightMm <= 0)
    return [
      { x: 0, y: baseMm },
      { x: edgeMm, y: baseMm },
    ];
  const radius = (edgeMm * edgeMm + heightMm * heightMm) / (2 * heightMm);
  const points: CutPoint[] = [];
  for (let i = 0; i <= 16; i += 1) {
    const x = (edgeMm * i) / 16;
    points.push({ x, y: baseMm + heightMm - radius + Math.sqrt(Math.max(radius * radius - x * x, 0)) });
  }
  return points;
}
