import type { Profile } from '../../piece';

/**
 * A body of revolution cut into rings for finite volumes. Cells that the surface runs through keep just the part of
 * their volume and faces that lies inside, so that volume and surface are those of the body whatever its shape.
 */

export type { Profile };

/** Which face of the piece a patch of surface belongs to. */
export type Face = 'top' | 'side' | 'bottom';

/** The rings of a body and how heat gets from one to another, as lists that run side by side. */
export interface Body {
  readonly cells: number;
  readonly volumeM3: Float64Array;
  readonly totalM3: number;
  /** Faces between two cells: their numbers, the lower first, and area over distance, m. */
  readonly linkFrom: Int32Array;
  readonly linkTo: Int32Array;
  readonly linkM: Float64Array;
  /** 1 where one cell lies above the other, 0 where they lie side by side. */
  readonly linkUpright: Uint8Array;
  /** Patches of surface: cell, face, area, and distance from the middle of the cell's material. */
  readonly patchCell: Int32Array;
  readonly patchFace: readonly Face[];
  readonly patchM2: Float64Array;
  readonly patchDistanceM: Float64Array;
  /** Largest difference of numbers of linked cells: the width of the band. */
  readonly width: number;
}

interface Patch {
  readonly face: Face;
  readonly areaM2: number;
  readonly distanceM: number;
}

interface Cell {
  readonly volumeM3: number;
  readonly patches: readonly Patch[];
  readonly rM: number;
  readonly zM: number;
}

interface Link {
  readonly a: number;
  readonly b: number;
  readonly lengthM: number;
  readonly upright: boolean;
}

/** Slices of a layer over which radius and surface are summed. */
const SLICES = 24;

/**
 * Cuts a body into `nr` rings of `nz` layers. Layers are numbered from the base; within a layer, rings from the axis.
 */
export function cutBody(profile: Profile, nr: number, nz: number): Body {
  const { heightM, radiusM } = profile;
  const holeM = profile.holeM ?? NO_HOLE;
  let widest = 0;
  for (let i = 0; i <= nz * SLICES; i += 1) widest = Math.max(widest, radiusM((heightM * i) / (nz * SLICES)));
  // Rings begin at the hole where it is narrowest.
  let narrowest = Infinity;
  for (let i = 0; i <= nz * SLICES; i += 1)
    narrowest = Math.min(narrowest, holeM((heightM * i) / (nz * SLICES)));
  const dr = (widest - narrowest) / nr;
  const radiusAt = (i: number) => narrowest + i * dr;
  const dz = heightM / nz;
  const index = new Map<number, number>();
  const cells: Cell[] = [];
  for (let j = 0; j < nz; j += 1) {
    for (let i = 0; i < nr; i += 1) {
      const cell = cutCell(
        radiusM,
        holeM,
        radiusAt(i),
        radiusAt(i + 1),
        j * dz,
        (j + 1) * dz,
        j === 0,
        j === nz - 1,
      );
      if (cell) index.set(j * nr + i, cells.push(cell) - 1);
    }
  }
  const links: Link[] = [];
  const link = (from: number, to: number, areaM2: number, upright: boolean) => {
    const a = index.get(from);
    const b = index.get(to);
    if (a === undefined || b === undefined || areaM2 <= 0) return;
    const [one, other] = [cells[a] as Cell, cells[b] as Cell];
    links.push({ a, b, upright, lengthM: areaM2 / Math.hypot(one.rM - other.rM, one.zM - other.zM) });
  };
  for (let j = 0; j < nz; j += 1) {
    for (let i = 0; i < nr; i += 1) {
      const here = j * nr + i;
      if (i + 1 < nr)
        link(
          here,
          here + 1,
          2 * Math.PI * radiusAt(i + 1) * insideLength(radiusM, holeM, radiusAt(i + 1), j * dz, dz),
          false,
        );
      if (j + 1 < nz) {
        const [inner, outer] = [holeM((j + 1) * dz), radiusM((j + 1) * dz)];
        link(here, here + nr, ringArea(Math.max(radiusAt(i), inner), Math.min(radiusAt(i + 1), outer)), true);
      }
    }
  }
  return listed(cells, links);
}

function listed(cells: readonly Cell[], links: readonly Link[]): Body {
  const patches = cells.flatMap((cell, i) => cell.patches.map((patch) => ({ ...patch, cell: i })));
  return {
    cells: cells.length,
    volumeM3: Float64Array.from(cells, (cell) => cell.volumeM3),
    totalM3: cells.reduce((sum, cell) => sum + cell.volumeM3, 0),
    linkFrom: Int32Array.from(links, (item) => item.a),
    linkTo: Int32Array.from(links, (item) => item.b),
    linkM: Float64Array.from(links, (item) => item.lengthM),
    linkUpright: Uint8Array.from(links, (item) => (item.upright ? 1 : 0)),
    patchCell: Int32Array.from(patches, (patch) => patch.cell),
    patchFace: patches.map((patch) => patch.face),
    patchM2: Float64Array.from(patches, (patch) => patch.areaM2),
    patchDistanceM: Float64Array.from(patches, (patch) => patch.distanceM),
    width: links.reduce((most, { a, b }) => Math.max(most, b - a), 1),
  };
}

type Height = Profile['radiusM'];
/** A body without a hole: its rings go down to the axis. */
const NO_HOLE: Height = () => 0;

const ringArea = (inner: number, outer: number) =>
  outer > inner ? Math.PI * (outer * outer - inner * inner) : 0;

/** How much of a layer's height lies inside the body at a radius. */
function insideLength(radiusM: Height, holeM: Height, r: number, z0: number, dz: number): number {
  let inside = 0;
  for (let s = 0; s < SLICES; s += 1) {
    const z = z0 + ((s + 0.5) * dz) / SLICES;
    if (radiusM(z) > r && holeM(z) < r) inside += 1;
  }
  return (inside * dz) / SLICES;
}

function cutCell(
  radiusM: Height,
  holeM: Height,
  r0: number,
  r1: number,
  z0: number,
  z1: number,
  atBase: boolean,
  atTop: boolean,
): Cell | null {
  const h = (z1 - z0) / SLICES;
  let volume = 0;
  let momentR = 0;
  let momentZ = 0;
  let side = 0;
  let sideR = 0;
  let sideZ = 0;
  for (let s = 0; s < SLICES; s += 1) {
    const z = z0 + (s + 0.5) * h;
    const radius = radiusM(z);
    const hole = holeM(z);
    const outer = Math.min(r1, radius);
    const inner = Math.max(r0, hole);
    const slice = ringArea(inner, outer) * h;
    volume += slice;
    momentR += slice * ((inner + outer) / 2);
    momentZ += slice * z;
    const wall = (at: number, heightOf: Height) => {
      const slope = (heightOf(z + h / 2) - heightOf(z - h / 2)) / h;
      const area = 2 * Math.PI * at * Math.hypot(1, slope) * h;
      side += area;
      sideR += area * at;
      sideZ += area * z;
    };
    if (radius > r0 && radius <= r1 * (1 + 1e-12)) wall(radius, radiusM);
    if (hole > 0 && hole >= r0 && hole < r1) wall(hole, holeM);
  }
  if (volume <= 1e-15) return null;
  const rM = momentR / volume;
  const zM = momentZ / volume;
  const patches: Patch[] = [];
  if (side > 0) {
    const across = Math.hypot(sideR / side - rM, sideZ / side - zM);
    patches.push({ face: 'side', areaM2: side, distanceM: across });
  }
  const base = atBase ? ringArea(Math.max(r0, holeM(z0)), Math.min(r1, radiusM(z0))) : 0;
  if (base > 0) patches.push({ face: 'bottom', areaM2: base, distanceM: zM - z0 });
  const top = atTop ? ringArea(Math.max(r0, holeM(z1)), Math.min(r1, radiusM(z1))) : 0;
  if (top > 0) patches.push({ face: 'top', areaM2: top, distanceM: z1 - zM });
  return { volumeM3: volume, patches, rM, zM };
}

export const cylinder = (radiusM: number, heightM: number): Profile => ({ heightM, radiusM: () => radiusM });

export const frustum = (baseM: number, topM: number, heightM: number): Profile => ({
  heightM,
  radiusM: (z) => baseM + ((topM - baseM) * z) / heightM,
});

export const sphere = (radiusM: number): Profile => ({
  heightM: 2 * radiusM,
  radiusM: (z) => Math.sqrt(Math.max(radiusM * radiusM - (z - radiusM) ** 2, 0)),
});

/** A half-ellipsoid with its round side down, as a half-sphere mould holds it. */
export const halfEllipsoid = (radiusM: number, depthM: number): Profile => ({
  heightM: depthM,
  radiusM: (z) => radiusM * Math.sqrt(Math.max(1 - ((depthM - z) / depthM) ** 2, 0)),
});
