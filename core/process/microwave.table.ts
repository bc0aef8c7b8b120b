/** Constants of the microwave sums. Basis as noted; a kitchen's own water test replaces the rating. */
export const MICROWAVE = {
  /** J/gK of batter. Basis: typical. */
  heatCapacity: 2.8,
  /** J/gK of water. Basis: physics. */
  water: 4.186,
  /** J/g of steam. Basis: physics. */
  latent: 2257,
  /** °C at which a mug cake is done through. Basis: typical. */
  doneC: 96,
  /** Share of the batter that steams away: so much, and so many grams a vessel beside it; a little dries more. Basis: fitted. */
  evaporated: { share: 0.045, besideG: 5, most: 0.1, spread: 0.012 },
  /** Most of its rating that an oven gives to a large load, and the load at which coupling has come to 63 % of that, g. Basis: fitted. */
  bestShare: 0.92,
  couplingG: 90,
  /** The least load that the sum is made for, g: of nothing at all no power is taken up, and none would ever be hot. */
  leastG: 0.01,
  /** Waves get so far into batter, mm; what lies deeper waits for conduction, s for each mm at full power. Basis: fitted. */
  reachMm: 25,
  coreSPerMm: 22,
  /** Power at which a deep bowl is baked, as a share of full. Basis: typical. */
  deepPower: 0.6,
  /** Half the 10–90 width of a time, as a share. Basis: typical; ovens, mugs and places on the plate differ. */
  timeSpread: 0.2,
  /** Look first at this share of the time. */
  firstLookShare: 0.75,
  /** Minutes to stand before it is eaten or judged. */
  standMin: 1,
  /** The same where the middle lies deeper than waves get. */
  deepStandMin: 3,
  /** Rating of an oven of usual size, W, where a kitchen names none; and most batter in a bowl, g: more heats unevenly. */
  usualW: 800,
  mostBowlG: 350,
  /** A mug is filled to this share at most. */
  mugFullest: 0.5,
} as const;

/** Melting in bursts. °C, W, s. Basis: typical of the gentle way. */
export const MELTING = {
  /** Specific heat of chocolate with its melting, J/g from 20 °C to the ceiling. */
  heatJ: { dark: 110, milk: 100, white: 95, compound: 95 },
  ceilingC: { dark: [45, 50], milk: [40, 45], white: [40, 45], compound: [40, 45] },
  mostBurstS: 30,
  mostW: 700,
  /** Stop while this share is still solid: stirring melts the rest. */
  solidLeft: 0.25,
  /** Share of the power that a bowl of chocolate takes up: it couples worse than water. */
  coupling: 0.5,
} as const;
