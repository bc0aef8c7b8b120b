/** Tempering by seeding, and the gentle way that keeps the temper. °C. Basis: typical of couverture. */
export const TEMPERING = {
  /** Unmelted chocolate stirred in, as a share of all. */
  seedShare: 0.27,
  /** Where stirring brings it down to, and the band that it is worked in. */
  of: {
    dark: { downC: 28, workC: [31, 32] },
    milk: { downC: 27, workC: [29, 30] },
    white: { downC: 26, workC: [28, 29] },
  },
  /** Melted no warmer than this it never lost its temper. */
  gentleC: { dark: 34, milk: 32, white: 31 },
} as const;
