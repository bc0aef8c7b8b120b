import { capHeightMm, type CutPoint } from './cupcakeCut';

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
export function box(left: number, right: number, bottom: number, top: number): CutPoint[] {
  return [
    { x: left, y: bottom },
    { x: right, y: bottom },
    { x: right, y: top },
    { x: left, y: top },
  ];
}

/** A rectangle with rounded corners. */
function rounded(half: number, bottom: number, top: number, radius: number): CutPoint[] {
  const r = Math.min(radius, half, (top - bottom) / 2);
  return [
    ...ellipse(r, r, { x: half - r, y: top - r }, 0, 0.25),
    ...ellipse(r, r, { x: -half + r, y: top - r }, 0.25, 0.5),
    ...ellipse(r, r, { x: -half + r, y: bottom + r }, 0.5, 0.75),
    ...ellipse(r, r, { x: half - r, y: bottom + r }, 0.75, 1),
  ];
}

/** How far the wall of a paper case leans out, of its height. Basis: ordinary cases. */
const CASE_LEAN = 0.27;

/** How wide a lollipop stick is drawn, and how far it stands out, mm. */
const STICK = { halfMm: 2, outMm: 34 } as const;

/** A ball of dough with its coat, on a stick that goes half-way in. Coat 0 for a bare one. */
export function ballSection(diameterMm: number, coatMm: number, stick: boolean): Section {
  const r = diameterMm / 2;
  const out = r + coatMm;
  const bottom = stick ? STICK.outMm : 0;
  const centre = { x: 0, y: bottom + out };
  return {
    patches: [
      ...(coatMm > 0 ? [{ material: 'coat' as const, points: ellipse(out, out, centre) }] : []),
      { material: 'crumb', points: ellipse(r, r, centre) },
      ...(stick
        ? [{ material: 'stick' as const, points: box(-STICK.halfMm, STICK.halfMm, 0, centre.y) }]
        : []),
    ],
    marks: [
      ...(coatMm > 0 ? [{ words: 'coat', y: centre.y + out * 0.8, fromX: out * 0.6 }] : []),
      { words: 'dough', y: centre.y, fromX: r * 0.6 },
      ...(stick ? [{ words: 'stick', y: bottom / 2, fromX: STICK.halfMm }] : []),
    ],
    fill: null,
  };
}

/** A box-shaped piece of cake under its coat. */
export function cubeSection(lengthMm: number, heightMm: number, coatMm: number): Section {
  const half = lengthMm / 2;
  return {
    patches: [
      ...(coatMm > 0
        ? [
            {
              material: 'coat' as const,
              points: rounded(half + coatMm, 0, heightMm + 2 * coatMm, coatMm + 1),
            },
          ]
        : []),
      { material: 'crumb', points: box(-half, half, coatMm, heightMm + coatMm) },
    ],
    marks: [
      ...(coatMm > 0 ? [{ words: 'coat', y: heightMm + 1.5 * coatMm, fromX: half * 0.7 }] : []),
      { words: 'cake', y: heightMm * 0.4 + coatMm, fromX: half * 0.6 },
    ],
    fill: null,
  };
}

export interface CavityCut {
  readonly shape: 'stadium' | 'half-ellipsoid' | 'box';
  readonly lengthMm: number;
  readonly depthMm: number;
}

/** A moulded piece along its length, as it lies in the mould: shell below, filling, back plate on top, stick to the side. */
export function mouldedSection(
  { shape, lengthMm, depthMm }: CavityCut,
  shellMm: number,
  backMm: number,
  stick: boolean,
): Section {
  const half = lengthMm / 2;
  const outline = (inset: number): CutPoint[] => {
    const a = half - inset;
    const top = inset > 0 ? depthMm - backMm : depthMm;
    if (shape === 'half-ellipsoid') {
      const b = depthMm - inset;
      // The opening is on top: the lower half of an ellipse, cut off under the back plate.
      const reach = Math.asin(Math.min((depthMm - top) / b, 1)) / (2 * Math.PI);
      return ellipse(a, b, { x: 0, y: depthMm }, 0.5 + reach, 1 - reach);
    }
    return rounded(a, inset, top, Math.max(3 - inset, 0.5));
  };
  return {
    patches: [
      { material: 'coat', points: outline(0) },
      { material: 'crumb', points: outline(shellMm) },
      ...(stick
        ? [
            {
              material: 'stick' as const,
              points: box(half * 0.1, half + 22, depthMm / 2 - 2, depthMm / 2 + 2),
            },
          ]
        : []),
    ],
    marks: [
      { words: 'back plate', y: depthMm - backMm / 2, fromX: half * 0.8 },
      { words: 'filling', y: depthMm * 0.28, fromX: half * 0.5 },
    ],
    fill: null,
  };
}

/** Height of a mug against its width inside. Basis: ordinary mugs. */
const MUG_SLIM = 1.15;

/** How wide a mug of that volume (ml) is inside, mm. Basis: the shape of ordinary mugs. */
export const mugWidthMm = (volumeMl: number): number => Math.cbrt((4000 * volumeMl) / (Math.PI * MUG_SLIM));

/** A mug with the cake in it: batter line, risen cake, frosting as a dome. All volumes in ml. */
export function mugSection(
  volumeMl: number,
  fillShare: number,
  cakeShare: number,
  frostingMl: number,
): Section {
  const width = mugWidthMm(volumeMl);
  const depth = width * MUG_SLIM;
  const half = width / 2;
  const cake = depth * cakeShare;
  const dome = capHeightMm(frostingMl, half * 0.9);
  return {
    patches: [
      { material: 'vessel', points: walls(half, depth, 4) },
      { material: 'crumb', points: box(-half, half, 0, cake) },
      ...(dome > 0 ? [{ material: 'frosting' as const, points: domeOn(half * 0.9, cake, dome) }] : []),
    ],
    marks: [
      { words: 'rim', y: depth, fromX: half + 4 },
      { words: 'batter', y: depth * fillShare, fromX: half },
      ...(dome > 0 ? [{ words: 'frosting', y: cake + dome / 2, fromX: half * 0.5 }] : []),
    ],
    fill: { y: depth * fillShare, halfMm: half },
  };
}

function domeOn(half: number, base: number, height: number): CutPoint[] {
  return ellipse(half, height, { x: 0, y: base }, 0, 0.5);
}

/** Two halves put together round a layer of filling. */
export function pairSection(diameterMm: number, fillingMm: number, coatMm: number): Section {
  const r = diameterMm / 2;
  const centre = r + fillingMm / 2 + coatMm;
  return {
    patches: [
      ...(coatMm > 0
        ? [
            {
              material: 'coat' as const,
              points: ellipse(r + coatMm, r + fillingMm / 2 + coatMm, { x: 0, y: centre }),
            },
          ]
        : []),
      { material: 'crumb', points: ellipse(r, r, { x: 0, y: centre + fillingMm / 2 }, 0, 0.5) },
      { material: 'crumb', points: ellipse(r, r, { x: 0, y: centre - fillingMm / 2 }, 0.5, 1) },
      { material: 'filling', points: box(-r, r, centre - fillingMm / 2, centre + fillingMm / 2) },
    ],
    marks: [
      { words: 'half', y: centre + r * 0.6, fromX: r * 0.5 },
      { words: 'filling', y: centre, fromX: r },
    ],
    fill: null,
  };
}

/** A finger along its length, with its channels of filling. */
export function fingerSection(
  lengthMm: number,
  heightMm: number,
  channels: number,
  channelMl: number,
): Section {
  const half = lengthMm / 2;
  const pocket = Math.cbrt((6000 * channelMl) / Math.PI) / 2;
  const at = (k: number) => ((2 * (k + 0.5)) / channels - 1) * half;
  return {
    patches: [
      { material: 'crumb', points: rounded(half, 0, heightMm, 8) },
      ...Array.from({ length: channelMl > 0 ? channels : 0 }, (_, k) => ({
        material: 'filling' as const,
        points: ellipse(pocket, Math.min(pocket, heightMm * 0.42), { x: at(k), y: heightMm / 2 }),
      })),
    ],
    marks: [{ words: 'cake', y: heightMm * 0.85, fromX: half * 0.8 }],
    fill: null,
  };
}

/** What is put into and on a cake in its well: layer below, core, frosting; from the base of the well upwards. */
export function onCake(
  cakeTopMm: number,
  halfTopMm: number,
  parts: {
    readonly layerMm: number;
    readonly layerHalfMm: number;
    readonly core: { readonly diameterMm: number; readonly depthMm: number } | null;
    readonly frostingMl: number;
  },
): Patch[] {
  const dome = capHeightMm(parts.frostingMl, halfTopMm * 0.92);
  return [
    ...(parts.layerMm > 0
      ? [{ material: 'layer' as const, points: box(-parts.layerHalfMm, parts.layerHalfMm, 0, parts.layerMm) }]
      : []),
    ...(parts.core
      ? [
          {
            material: 'filling' as const,
            points: box(
              -parts.core.diameterMm / 2,
              parts.core.diameterMm / 2,
              cakeTopMm - parts.core.depthMm,
              cakeTopMm,
            ),
          },
        ]
      : []),
    ...(dome > 0
      ? [{ material: 'frosting' as const, points: domeOn(halfTopMm * 0.92, cakeTopMm - 2, dome + 2) }]
      : []),
  ];
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

/**
 * A scoop filled level: half a ball of that volume, its wall round it.
 * @param volumeMl ml of a level scoop, above 0
 */
export function scoopSection(volumeMl: number): Section {
  // Half a ball of radius r holds 2/3 π r³.
  const r = Math.cbrt((3 * volumeMl * 1000) / (2 * Math.PI));
  const wall = 1.5;
  const centre = { x: 0, y: r };
  return {
    patches: [
      { material: 'vessel', points: ellipse(r + wall, r + wall, centre, 0.5, 1) },
      { material: 'batter', points: ellipse(r, r, centre, 0.5, 1) },
    ],
    marks: [{ words: 'level', y: r, fromX: r + wall }],
    fill: null,
  };
}

/** A lollipop stick lying. */
export function stickSection(lengthMm: number): Section {
  return {
    patches: [{ material: 'stick', points: rounded(lengthMm / 2, 0, 2 * STICK.halfMm, STICK.halfMm) }],
    marks: [],
    fill: null,
  };
}

/** A paper case from the side: its base, and its pleated wall leaning out. */
export function caseSection(baseMm: number, highMm: number): Section {
  const lean = highMm * CASE_LEAN;
  const half = baseMm / 2;
  return {
    patches: [
      {
        material: 'stick',
        points: [
          { x: -half, y: 0 },
          { x: half, y: 0 },
          { x: half + lean, y: highMm },
          { x: -half - lean, y: highMm },
        ],
      },
    ],
    marks: [],
    fill: null,
  };
}
