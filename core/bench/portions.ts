/** A bowl that is portioned, and what has been weighed of it so far. Masses in g. */
export interface Portioning {
  /** In the bowl when the first piece was taken. */
  readonly totalG: number;
  /** Pieces that are wanted of it, 1 or more. */
  readonly count: number;
  /** What one piece is to weigh. */
  readonly portionG: number;
  readonly weighed: readonly number[];
}

export interface Portioned {
  readonly n: number;
  /** What each of those left has to weigh so that the count holds, g; null once all are made. */
  readonly nextG: number | null;
  /** Pieces that the bowl comes to if it goes on as it went so far; with nothing weighed, as planned. */
  readonly pieces: number;
  /** Pieces that the heavy ones cost: what lies over the portion, in portions. */
  readonly heavyCosts: number;
  readonly meanG: number | null;
  /** Half of the pieces lie closer to the middle than two thirds of it, g; null under three pieces. */
  readonly spreadG: number | null;
  /** By how much the last five are heavier than the first five, g; null under ten. A hand that tires drifts. */
  readonly driftG: number | null;
  /** Left in the bowl, g. */
  readonly leftG: number;
}

const sum = (some: readonly number[]): number => some.reduce((all, one) => all + one, 0);
const mean = (some: readonly number[]): number => sum(some) / some.length;
/** Pieces that are made of a rest a little too small: nobody throws 23.5 g of 24 away. */
const NEARLY = 0.06;

/** How evenly a bowl is portioned, and what that comes to. Nothing is lost: pieces weighed and what is left are the bowl. */
export function portioned({ totalG, count, portionG, weighed }: Portioning): Portioned {
  const n = weighed.length;
  const taken = sum(weighed);
  const leftG = Math.max(0, totalG - taken);
  const left = count - n;
  const meanG = n > 0 ? mean(weighed) : null;
  const each = meanG ?? portionG;
  return {
    n,
    nextG: left > 0 ? leftG / left : null,
    pieces: n + Math.floor(leftG / each + NEARLY),
    heavyCosts: sum(weighed.map((one) => Math.max(0, one - portionG))) / portionG,
    meanG,
    spreadG:
      meanG !== null && n >= 3 ? Math.sqrt(sum(weighed.map((one) => (one - meanG) ** 2)) / (n - 1)) : null,
    driftG: n >= 10 ? mean(weighed.slice(-5)) - mean(weighed.slice(0, 5)) : null,
    leftG,
  };
}

/** What is done with a piece on the scale: as it is, so much off it, or so much on to it, g. Within a share of it is even. */
export function trimOf(massG: number, aimG: number, stepG: number): number {
  const off = massG - aimG;
  return Math.abs(off) <= Math.max(stepG, aimG * EVEN_SHARE) ? 0 : Math.round(off / stepG) * stepG;
}

/** Pieces within so much of their portion bake and coat alike. Basis: judgement. */
export const EVEN_SHARE = 0.05;
