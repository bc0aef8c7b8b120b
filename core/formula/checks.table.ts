/** Usual proportions of a batter, g to 100 g of flour. Basis: typical of published cake formulas. */
export const CHECKS = {
  powder: { low: 3, high: 7 },
  bicarbonate: { low: 0.8, high: 2 },
  sugar: { low: 50, high: 160 },
  salt: { low: 0, high: 3 },
} as const;

/** A stated yield further off than this share is worth a word; so is a time outside its range by that share. Basis: chosen. */
export const STATED = { yieldShare: 0.2, timeShare: 0.1 } as const;
