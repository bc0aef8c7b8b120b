/**
 * A symmetric positive definite matrix kept as its lower band: `rows × (width + 1)`, the diagonal last in each row.
 * What heat flow between neighbouring cells of a grid comes to.
 */
export interface Band {
  readonly rows: number;
  readonly width: number;
  readonly cells: Float64Array;
}

export function newBand(rows: number, width: number): Band {
  return { rows, width, cells: new Float64Array(rows * (width + 1)) };
}

/**
 * Solves A·x = b in place by LDLᵀ without pivoting: `band` becomes the factors, `b` the solution. Cost grows with
 * rows × width². Throws where the matrix is not positive definite.
 */
export function solveBand({ rows, width, cells }: Band, b: Float64Array): void {
  const stride = width + 1;
  for (let i = 0; i < rows; i += 1) {
    const row = i * stride;
    const first = Math.max(0, i - width);
    for (let j = first; j < i; j += 1) {
      const other = j * stride;
      let sum = cells[row + width - (i - j)] as number;
      for (let k = Math.max(first, j - width); k < j; k += 1) {
        // Here a row still holds L·D up to j, and the rows above it hold L.
        sum -= (cells[row + width - (i - k)] as number) * (cells[other + width - (j - k)] as number);
      }
      cells[row + width - (i - j)] = sum;
    }
    let diagonal = cells[row + width] as number;
    for (let j = first; j < i; j += 1) {
      const at = row + width - (i - j);
      const scaled = (cells[at] as number) / (cells[j * stride + width] as number);
      diagonal -= scaled * (cells[at] as number);
      cells[at] = scaled;
    }
    if (!(diagonal > 0)) throw new Error('invariant: a heat balance has a positive diagonal');
    cells[row + width] = diagonal;
  }
  for (let i = 0; i < rows; i += 1) {
    let sum = b[i] as number;
    for (let j = Math.max(0, i - width); j < i; j += 1)
      sum -= (cells[i * stride + width - (i - j)] as number) * (b[j] as number);
    b[i] = sum;
  }
  for (let i = 0; i < rows; i += 1) b[i] = (b[i] as number) / (cells[i * stride + width] as number);
  for (let i = rows - 1; i >= 0; i -= 1) {
    const value = b[i] as number;
    for (let j = Math.max(0, i - width); j < i; j += 1) {
      b[j] = (b[j] as number) - (cells[i * stride + width - (i - j)] as number) * value;
    }
  }
}
