/**
 * A symmetric positive definite matrix kept as its lower band, column by column: element (i, j) with i ≥ j stands at
 * `j · (width + 1) + i − j`. What heat flow between neighbouring cells of a grid comes to.
 */
export interface Band {
  readonly rows: number;
  readonly width: number;
  readonly cells: Float64Array;
}

export function newBand(rows: number, width: number): Band {
  // Room past the last column spares the inner loop a bound.
  return { rows, width, cells: new Float64Array((rows + width) * (width + 1)) };
}

/**
 * Solves A·x = b in place by LDLᵀ without pivoting: `band` becomes the factors, `b` (of `rows + width` places) the
 * solution. Cost grows with rows × width². Throws where the matrix is not positive definite.
 */
export function solveBand({ rows, width, cells }: Band, b: Float64Array): void {
  const stride = width + 1;
  for (let j = 0; j < rows; j += 1) {
    const column = j * stride;
    const diagonal = cells[column] as number;
    if (!(diagonal > 0)) throw new Error('invariant: a heat balance has a positive diagonal');
    const most = Math.min(width, rows - 1 - j);
    const value = b[j] as number;
    for (let p = 1; p <= most; p += 1) {
      const below = cells[column + p] as number;
      if (below === 0) continue;
      const factor = below / diagonal;
      const target = (j + p) * stride - p;
      for (let q = p; q <= most; q += 1) {
        cells[target + q] = (cells[target + q] as number) - factor * (cells[column + q] as number);
      }
      b[j + p] = (b[j + p] as number) - factor * value;
    }
  }
  // Columns still hold D·L: divide as the solution is carried back up.
  for (let j = rows - 1; j >= 0; j -= 1) {
    const column = j * stride;
    let sum = b[j] as number;
    for (let p = 1; p <= width; p += 1) sum -= (cells[column + p] as number) * (b[j + p] as number);
    b[j] = sum / (cells[column] as number);
  }
}
