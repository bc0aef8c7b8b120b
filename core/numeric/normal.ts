/** Distribution function of the standard normal. Abramowitz and Stegun 7.1.26 by way of the error function: to 1e-7. */
export function normalCdf(x: number): number {
  const z = Math.abs(x) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * z);
  const erf =
    1 -
    t *
      Math.exp(-z * z) *
      (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  return x >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}
