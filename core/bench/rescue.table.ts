/** A pop of usual size, g. Basis: typical. */
export const POP_G = 25;
/** Cream that turns seized chocolate into a ganache, as a share of it. Basis: typical. */
export const CREAM_SHARE = 0.5;
/** Fat stirred into a coat that is too thick, each time and at most, as a share. Basis: typical. */
export const THIN = { step: 0.02, most: 0.06 } as const;
/** How a well is filled after an overflow: at most this share of before. Basis: typical. */
export const REFILL = { most: 0.9 } as const;
/** A spoonful of crumb, g. Basis: typical. */
export const SPOONFUL_G = 15;
