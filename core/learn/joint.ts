import type { Normal } from './meet';

/** One number of a joint belief, and how much it counts in what was seen. */
export interface Weighed {
  readonly place: number;
  readonly weight: number;
}

/** A covariance this small against both spreads moves nothing: rows below it are left as they are. */
const SLIGHT = 1e-6;

/**
 * A joint normal belief of many numbers, one mean and one covariance, grown place by place. What is seen is a weighted sum of
 * some of them; it moves every number that is tied to it by the covariance of both (a Kalman update of one measurement).
 */
export class Joint {
  private readonly mean: number[] = [];
  private readonly cov: number[][] = [];
  private readonly most: number[] = [];

  /** A further number, tied to none as yet; returns its place. */
  add(variance: number): number {
    const place = this.mean.length;
    this.mean.push(0);
    for (const row of this.cov) row.push(0);
    this.cov.push([...Array.from({ length: place }, () => 0), variance]);
    this.most.push(variance);
    return place;
  }

  /** Means as they stand: to see later outcomes against what was expected now. */
  snapshot(): readonly number[] {
    return [...this.mean];
  }

  /** What is expected of a weighted sum. */
  expected(sum: readonly Weighed[], mean: readonly number[] = this.mean): Normal {
    let [at, variance] = [0, 0];
    for (const { place, weight } of sum) {
      at += weight * (mean[place] ?? 0);
      const row = this.cov[place] ?? [];
      for (const other of sum) variance += weight * other.weight * (row[other.place] ?? 0);
    }
    return { mean: at, variance: Math.max(1e-12, variance) };
  }

  /** Covariance of two weighted sums. */
  between(one: readonly Weighed[], two: readonly Weighed[]): number {
    let out = 0;
    for (const { place, weight } of one)
      for (const other of two) out += weight * other.weight * (this.cov[place]?.[other.place] ?? 0);
    return out;
  }

  /** Variance of one number against what it began with, 0–1. */
  left(place: number): number {
    const most = this.most[place] ?? 0;
    return most > 0 ? Math.min(1, (this.cov[place]?.[place] ?? 0) / most) : 1;
  }

  /** What was learned of a number fades: so much variance more, up to what it began with. */
  fade(place: number, share: number): void {
    const row = this.cov[place];
    const most = this.most[place] ?? 0;
    if (!row || share <= 0) return;
    row[place] = Math.min(Math.max(most, row[place] ?? 0), (row[place] ?? 0) + most * share);
  }

  /** Nothing is known of a number any more. */
  forget(place: number): void {
    this.mean[place] = 0;
    for (const [i, row] of this.cov.entries())
      for (let j = 0; j < row.length; j += 1) if (i === place || j === place) row[j] = 0;
    const row = this.cov[place];
    if (row) row[place] = this.most[place] ?? 0;
  }

  /**
   * A weighted sum is known better: from `before`, as `expected` had it, to `after`. Each number moves by its covariance with
   * the sum.
   * @param held numbers that this does not move, though their doubt counts (a Schmidt–Kalman update)
   */
  update(sum: readonly Weighed[], before: Normal, after: Normal, held: ReadonlySet<number>): void {
    const moved = (after.mean - before.mean) / before.variance;
    const shrunk = (before.variance - after.variance) / before.variance ** 2;
    const with_: number[] = [];
    const touched: number[] = [];
    for (let i = 0; i < this.mean.length; i += 1) {
      const row = this.cov[i] ?? [];
      let cov = 0;
      for (const { place, weight } of sum) cov += weight * (row[place] ?? 0);
      if (cov * cov <= SLIGHT * (row[i] ?? 0) * before.variance) continue;
      with_[i] = cov;
      touched.push(i);
    }
    for (const i of touched) {
      const [row, cov] = [this.cov[i], with_[i] ?? 0];
      if (!row) continue;
      const still = held.has(i);
      if (!still) this.mean[i] = (this.mean[i] ?? 0) + cov * moved;
      for (const j of touched) {
        if (still && held.has(j)) continue;
        row[j] = (row[j] ?? 0) - cov * (with_[j] ?? 0) * shrunk;
      }
    }
  }
}
