/** Outlines of pieces and vessels cut through: what all drawings to scale are made of. */

/** A point of the cross-section: `x` from the axis outwards, `y` upwards from the base of the well, both in mm. */
export interface CutPoint {
  readonly x: number;
  readonly y: number;
}

/** A material in a cross-section. */
export type Material = 'crumb' | 'batter' | 'coat' | 'frosting' | 'filling' | 'layer' | 'stick' | 'vessel';

/** A closed outline of one material: x to both sides of the axis, y upwards, both in mm. */
export interface Patch {
  readonly material: Material;
  readonly points: readonly CutPoint[];
}

/** Something to name beside the drawing, at a height. */
export interface Mark {
  readonly words: string;
  readonly y: number;
  /** From where on the drawing the line to the words starts, mm. */
  readonly fromX: number;
}

/** A piece cut through, to scale. Later patches lie over earlier ones. */
export interface Section {
  readonly patches: readonly Patch[];
  readonly marks: readonly Mark[];
  /** A height of batter to show as a dashed line, with half its width; null where there is none. */
  readonly fill: { readonly y: number; readonly halfMm: number } | null;
}

const STEPS = 48;

/** An ellipse's outline. Angles in turns: 0 is to the right, 0.25 up. */
export function ellipse(a: number, b: number, centre: CutPoint, from = 0, to = 1): CutPoint[] {
  const n = Math.max(8, Math.ceil(STEPS * Math.abs(to - from)));
  return Array.from({ length: n + 1 }, (_, i) => {
    const angle = 2 * Math.PI * (from + ((to - from) * i) / n);
    return { x: centre.x + a * Math.cos(angle), y: centre.y + b * Math.sin(angle) };
  });
}

/** A rectangle. */
export function rectangle(left: number, right: number, bottom: number, top: number): CutPoint[] {
  return [
    { x: left, y: bottom },
    { x: right, y: bottom },
    { x: right, y: top },
    { x: left, y: top },
  ];
}

/** A rectangle with rounded corners. */
export function rounded(half: number, bottom: number, top: number, radius: number): CutPoint[] {
  const r = Math.min(radius, half, (top - bottom) / 2);
  return [
    ...ellipse(r, r, { x: half - r, y: top - r }, 0, 0.25),
    ...ellipse(r, r, { x: -half + r, y: top - r }, 0.25, 0.5),
    ...ellipse(r, r, { x: -half + r, y: bottom + r }, 0.5, 0.75),
    ...ellipse(r, r, { x: half - r, y: bottom + r }, 0.75, 1),
  ];
}

/**
 * A cake that has outgrown its well stands on it as a spherical cap. Height of a cap of that volume on that base:
 * V = π·h·(3a² + h²)/6, solved by Newton's method. Volume in ml, radius and result in mm.
 */
export function capHeightMm(volumeMl: number, radiusMm: number): number {
  if (volumeMl <= 0) return 0;
  const volume = volumeMl * 1000;
  let height = (2 * volume) / (Math.PI * radiusMm * radiusMm);
  for (let i = 0; i < 60; i += 1) {
    const value = (Math.PI * height * (3 * radiusMm * radiusMm + height * height)) / 6 - volume;
    const slope = (Math.PI * (radiusMm * radiusMm + height * height)) / 2;
    const next = height - value / slope;
    if (Math.abs(next - height) < 1e-9) return next;
    height = next;
  }
  return height;
}

/** A dome on a base. */
export function domeOn(half: number, base: number, height: number): CutPoint[] {
  return ellipse(half, height, { x: 0, y: base }, 0, 0.5);
}

/** A round piece that stands on its flat side, in its coat. */
export function domeSection(halfMm: number, heightMm: number, coatMm: number): Section {
  const dome = (more: number) => domeOn(halfMm + more, 0, heightMm + more);
  return {
    patches: [
      ...(coatMm > 0 ? [{ material: 'coat' as const, points: dome(coatMm) }] : []),
      { material: 'crumb', points: dome(0) },
    ],
    marks: coatMm > 0 ? [{ words: 'coat', y: heightMm * 0.8, fromX: halfMm * 0.6 }] : [],
    fill: null,
  };
}

/** Left, right, bottom and top of all patches, mm. */
export function boundsOf(patches: readonly Patch[]): {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
} {
  const xs = patches.flatMap(({ points }) => points.map(({ x }) => x));
  const ys = patches.flatMap(({ points }) => points.map(({ y }) => y));
  return {
    left: Math.min(0, ...xs),
    right: Math.max(0, ...xs),
    bottom: Math.min(0, ...ys),
    top: Math.max(0, ...ys),
  };
}

/** Floor and sides of a vessel, open at the top. */
export function walls(half: number, depth: number, thick: number): CutPoint[] {
  return [
    { x: -half - thick, y: depth },
    { x: -half - thick, y: -thick },
    { x: half + thick, y: -thick },
    { x: half + thick, y: depth },
    { x: half, y: depth },
    { x: half, y: 0 },
    { x: -half, y: 0 },
    { x: -half, y: depth },
  ];
}

/** A vessel or a sheet from the side: its walls, empty. */
export function boxSection(widthMm: number, depthMm: number): Section {
  const half = widthMm / 2;
  return {
    patches: [{ material: 'vessel', points: walls(half, depthMm, 3) }],
    marks: [{ words: 'rim', y: depthMm, fromX: half + 3 }],
    fill: null,
  };
}

/** How wide a lollipop stick is drawn, and how far it stands out, mm. */
export const STICK = { halfMm: 2, outMm: 34 } as const;
