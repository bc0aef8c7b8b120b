import { COAT } from '../coat.table';

/** A body's volume and surface: what a coat needs to know of it. */
export interface Solid {
  readonly volumeMl: number;
  readonly areaCm2: number;
  /** Volume grown outwards by a thickness, ml. */
  readonly grownMl: (thicknessMm: number) => number;
  readonly heightMm: number;
}

/** A ball of a diameter, mm. Geometry. */
export function ball(diameterMm: number): Solid {
  const volume = (d: number) => (Math.PI * d ** 3) / 6000;
  return {
    volumeMl: volume(diameterMm),
    areaCm2: (Math.PI * diameterMm ** 2) / 100,
    grownMl: (t) => volume(diameterMm + 2 * t),
    heightMm: diameterMm,
  };
}

/** A box of three sides, mm, grown with rounded edges: V + A·t + π/4·(sum of edge lengths)·t² + 4/3·π·t³. Geometry. */
export function box(a: number, b: number, c: number): Solid {
  const area = 2 * (a * b + b * c + a * c);
  return {
    volumeMl: (a * b * c) / 1000,
    areaCm2: area / 100,
    grownMl: (t) =>
      (a * b * c + area * t + Math.PI * (a + b + c) * t * t + (4 / 3) * Math.PI * t ** 3) / 1000,
    heightMm: Math.max(a, b, c),
  };
}

/** Exact mass of a coat round a solid, g: ρ · (V grown by t − V). Thickness in mm, density in g/ml. Geometry. */
export function shellMassG(solid: Solid, thicknessMm: number, density: number = COAT.density.value): number {
  return density * (solid.grownMl(thicknessMm) - solid.volumeMl);
}

export interface DipPlan {
  /** On the pieces, g. */
  readonly coatG: number;
  readonly anchorG: number;
  readonly dripG: number;
  /** Left in the vessel, too shallow to dip in, g; and what of it tilting and spooning save. */
  readonly strandedG: number;
  readonly savedG: number;
  /** What has to be melted, g. */
  readonly meltG: number;
}

/**
 * Chocolate for dipping so many pieces: coat, anchors and drips, and the pool that must stay deep enough to dip in,
 * π/4·D²·depth. What is used sinks the pool; what the last piece needs to be covered is left over.
 */
export function planDip(
  solid: Solid,
  count: number,
  thicknessMm: number,
  vesselMm: number,
  sticks: boolean,
  density: number = COAT.density.value,
): DipPlan {
  if (vesselMm <= 0 || count < 0) throw new Error('invariant: a vessel has width, and pieces are counted');
  const coatG = count * shellMassG(solid, thicknessMm, density);
  const anchorG = sticks ? count * COAT.anchorG : 0;
  const dripG = (coatG + anchorG) * COAT.dripShare;
  const poolMl = ((Math.PI / 4) * vesselMm * vesselMm * (solid.heightMm + COAT.dipClearanceMm)) / 1000;
  // While the last piece is under, it takes up its own room: the pool may be that much less.
  const strandedG = count === 0 ? 0 : Math.max(poolMl - solid.volumeMl, 0) * density;
  const savedG = strandedG * COAT.savedShare;
  return { coatG, anchorG, dripG, strandedG, savedG, meltG: coatG + anchorG + dripG + strandedG };
}

/** What a narrower vessel would leave unmelted, g. */
export function narrowerSavesG(solid: Solid, count: number, vesselMm: number, narrowerMm: number): number {
  const of = (mm: number) => planDip(solid, count, COAT.dipMm.usual, mm, false).strandedG;
  return Math.max(of(vesselMm) - of(narrowerMm), 0);
}

export interface Cavity {
  readonly volumeMl: number;
  /** Wall of the cavity that a shell lines, cm², and its opening. */
  readonly wallCm2: number;
  readonly openingCm2: number;
}

/** A half-sphere cavity of a diameter, mm. Geometry. */
export function halfSphereCavity(diameterMm: number): Cavity {
  return {
    volumeMl: (Math.PI * diameterMm ** 3) / 12000,
    wallCm2: (Math.PI * diameterMm ** 2) / 200,
    openingCm2: (Math.PI * diameterMm ** 2) / 400,
  };
}

/**
 * A stick-mould cavity with round ends and a flat floor, mm: the outline of a stadium of that length and width. The
 * walls are taken as upright with an edge rounded by `edgeMm`, which takes (1 − π/4)·r² off the section all round.
 */
export function stadiumCavity(lengthMm: number, widthMm: number, depthMm: number, edgeMm = 4): Cavity {
  const straight = lengthMm - widthMm;
  if (straight < 0) throw new Error('invariant: a stadium is longer than wide');
  const opening = straight * widthMm + (Math.PI * widthMm * widthMm) / 4;
  const girth = 2 * straight + Math.PI * widthMm;
  return {
    volumeMl: (opening * depthMm - girth * (1 - Math.PI / 4) * edgeMm * edgeMm) / 1000,
    wallCm2: (opening + girth * depthMm - girth * (2 - Math.PI / 2) * edgeMm) / 100,
    openingCm2: opening / 100,
  };
}

export interface ShellPlan {
  readonly firstCoatG: number;
  readonly secondCoatG: number;
  readonly backPlateG: number;
  /** Filling that fits between shell, back plate and stick, g. */
  readonly fillingG: number;
  readonly totalG: number;
  readonly verdict: 'too thin' | 'sound' | 'too thick';
}

/** One moulded piece: two shell coats, filling, back plate, and the grams of each. Thickness in mm. */
export function planShell(
  cavity: Cavity,
  shellMm: number,
  fillingDensity: number,
  stickMl: number,
  density: number = COAT.density.value,
): ShellPlan {
  const shellMl = (cavity.wallCm2 * shellMm) / 10;
  const backMl = (cavity.openingCm2 * COAT.backMm) / 10;
  const roomMl = cavity.volumeMl - shellMl - backMl - stickMl;
  if (roomMl <= 0) throw new Error('invariant: shell and back plate leave room for a filling');
  const shellG = shellMl * density;
  const backPlateG = backMl * density;
  const fillingG = roomMl * fillingDensity;
  const [first, second] = COAT.shellCoats;
  return {
    firstCoatG: shellG * first,
    secondCoatG: shellG * second,
    backPlateG,
    fillingG,
    totalG: shellG + backPlateG + fillingG,
    verdict:
      shellMm < COAT.shellTooThinMm ? 'too thin' : shellMm > COAT.shellTooThickMm ? 'too thick' : 'sound',
  };
}
