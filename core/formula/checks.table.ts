/** Usual proportions of a batter, g to 100 g of flour. Basis: typical of published cake formulas. */
export const CHECKS = {
  powder: { low: 3, high: 7 },
  bicarbonate: { low: 0.8, high: 2 },
  sugar: { low: 50, high: 160 },
  salt: { low: 0, high: 3 },
} as const;
