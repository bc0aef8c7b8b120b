/** Portioning: balls, scoops, weights that leave no remainder, and how even a tray is. Masses in g, lengths in mm. */

/** A US quart, ml: what a scoop's number divides. */
export const QUART_ML = 946;
/** Dough that stays on hands and bench, as a share. Basis: typical. */
export const HAND_LOSS = { value: 0.015, spread: 0.006 } as const;

/** How far pieces lie to both sides of their middle, as a share: half the width of the middle eight in ten. Basis: typical. */
export const SCATTER = {
  scoop: { value: 0.04, spread: 0.02 },
  weighed: { value: 0.02, spread: 0.012 },
} as const;

/** What a level scoop holds against its number: how far up it is filled. Basis: judgement. */
export const SCOOP_FILL = { value: 1, spread: 0.06 } as const;

/** Volume of a level scoop of that number, ml: so many of them make a quart. Definition. */
export function scoopMl(scoopNumber: number): number {
  if (scoopNumber <= 0) throw new Error('invariant: scoops are numbered from 1');
  return QUART_ML / scoopNumber;
}

export interface PortionOffer {
  readonly count: number;
  readonly eachG: number;
  readonly leftG: number;
}

/**
 * Ways to share dough out: the aimed weight with what is left over, and near weights that leave less than one step of
 * the scale a piece. Best first: least left over, then nearest to the aim.
 * @param stepG smallest step of the scale
 */
export function portionOffers(doughG: number, aimG: number, stepG: number): PortionOffer[] {
  if (aimG <= 0 || stepG <= 0) throw new Error('invariant: a portion weighs something');
  const whole = Math.floor(doughG / aimG + 1e-9);
  const offers = new Map<string, PortionOffer>();
  const offer = (count: number, eachG: number) => {
    const leftG = doughG - count * eachG;
    if (count < 1 || leftG < -1e-6) return;
    offers.set(`${count}/${eachG.toFixed(3)}`, { count, eachG, leftG });
  };
  offer(whole, aimG);
  for (const count of [whole - 1, whole, whole + 1]) {
    if (count < 1) continue;
    const each = Math.floor(doughG / count / stepG + 1e-9) * stepG;
    if (Math.abs(each / aimG - 1) <= 0.15) offer(count, each);
  }
  return [...offers.values()].sort(
    (a, b) => a.leftG - b.leftG || Math.abs(a.eachG - aimG) - Math.abs(b.eachG - aimG),
  );
}

export interface CutPlan {
  readonly columns: number;
  readonly rows: number;
  readonly count: number;
  readonly pieceMm: readonly [number, number];
  /** Where the knife goes, mm from one edge of the trimmed sheet, in the order in which it halves what is left. */
  readonly cutsAcrossMm: readonly number[];
  readonly cutsAlongMm: readonly number[];
  readonly trimmedShare: number;
}

/** A sheet cut into so many columns and rows: trimmed edges and the knife's kerf taken off, cuts from the centre outwards. */
export function cutSheet(
  lengthMm: number,
  widthMm: number,
  columns: number,
  rows: number,
  trimMm: number,
  kerfMm: number,
): CutPlan {
  const side = (mm: number, n: number) => (mm - 2 * trimMm - (n - 1) * kerfMm) / n;
  const pieceMm = [side(lengthMm, columns), side(widthMm, rows)] as const;
  if (pieceMm[0] <= 0 || pieceMm[1] <= 0) throw new Error('invariant: the cuts leave something of the sheet');
  const cuts = (n: number, piece: number) => {
    const all = Array.from({ length: n - 1 }, (_, i) => (i + 1) * (piece + kerfMm) - kerfMm / 2);
    const centre = (n * piece + (n - 1) * kerfMm) / 2;
    return all.sort((a, b) => Math.abs(a - centre) - Math.abs(b - centre) || a - b);
  };
  return {
    columns,
    rows,
    count: columns * rows,
    pieceMm,
    cutsAcrossMm: cuts(columns, pieceMm[0]),
    cutsAlongMm: cuts(rows, pieceMm[1]),
    trimmedShare: 1 - (columns * rows * pieceMm[0] * pieceMm[1]) / (lengthMm * widthMm),
  };
}
