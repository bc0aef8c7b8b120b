/** Smallest value of a function by the simplex of Nelder and Mead: no derivatives, a few parameters. */
export function nelderMead(
  f: (x: readonly number[]) => number,
  start: readonly number[],
  step: number,
  rounds: number,
): { x: readonly number[]; value: number } {
  const point = (x: readonly number[]) => ({ x, value: f(x) });
  let simplex = [start, ...start.map((_, i) => start.map((v, j) => (i === j ? v + step : v)))].map(point);
  const n = start.length;
  for (let round = 0; round < rounds; round += 1) {
    simplex.sort((a, b) => a.value - b.value);
    const best = simplex[0];
    const worst = simplex[n];
    const second = simplex[n - 1];
    if (!best || !worst || !second) throw new Error('a simplex has one corner more than parameters');
    const middle = start.map((_, i) => simplex.slice(0, n).reduce((sum, { x }) => sum + (x[i] ?? 0), 0) / n);
    const along = (t: number) => point(middle.map((m, i) => m + t * (m - (worst.x[i] ?? 0))));
    const reflected = along(1);
    if (reflected.value < best.value) {
      const expanded = along(2);
      simplex[n] = expanded.value < reflected.value ? expanded : reflected;
    } else if (reflected.value < second.value) {
      simplex[n] = reflected;
    } else {
      const contracted = along(-0.5);
      if (contracted.value < worst.value) simplex[n] = contracted;
      else
        simplex = simplex.map((p, i) => (i === 0 ? p : point(p.x.map((v, j) => (v + (best.x[j] ?? 0)) / 2))));
    }
  }
  simplex.sort((a, b) => a.value - b.value);
  return simplex[0] as { x: readonly number[]; value: number };
}
