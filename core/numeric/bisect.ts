/**
 * The place between `low` and `high` where a rising function reaches `target`, to within `tolerance`. Returns the
 * nearer end where the target lies outside what the function reaches there.
 */
export function bisect(
  rising: (x: number) => number,
  target: number,
  low: number,
  high: number,
  tolerance = 1e-6,
): number {
  let [a, b] = [low, high];
  while (b - a > tolerance) {
    const middle = (a + b) / 2;
    if (rising(middle) < target) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}
