/**
 * Weights w that bring X·w nearest to y: the normal equations with a little ridge, by Gauss elimination with pivoting.
 * @param rows one row of X for each y; all of one length
 */
export function leastSquares(
  rows: readonly (readonly number[])[],
  y: readonly number[],
  ridge = 1e-9,
): number[] {
  const n = rows[0]?.length ?? 0;
  if (n === 0 || rows.length < n) throw new Error('invariant: fewer samples than weights');
  const a = Array.from({ length: n }, (_, i) => [
    ...Array.from({ length: n }, (__, j) =>
      rows.reduce((sum, row) => sum + (row[i] ?? 0) * (row[j] ?? 0), i === j ? ridge : 0),
    ),
    rows.reduce((sum, row, k) => sum + (row[i] ?? 0) * (y[k] ?? 0), 0),
  ]);
  for (let i = 0; i < n; i += 1) {
    let pivot = i;
    for (let k = i + 1; k < n; k += 1) if (Math.abs(a[k]?.[i] ?? 0) > Math.abs(a[pivot]?.[i] ?? 0)) pivot = k;
    const row = a[pivot] as number[];
    a[pivot] = a[i] as number[];
    a[i] = row;
    const lead = row[i] ?? 0;
    if (Math.abs(lead) < 1e-14) throw new Error('invariant: the samples do not tell the weights apart');
    for (let k = 0; k < n; k += 1) {
      if (k === i) continue;
      const other = a[k] as number[];
      const factor = (other[i] ?? 0) / lead;
      for (let j = i; j <= n; j += 1) other[j] = (other[j] ?? 0) - factor * (row[j] ?? 0);
    }
  }
  return a.map((row, i) => (row[n] ?? 0) / (row[i] ?? 1));
}
