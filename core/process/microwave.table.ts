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
  /** Share of the batter that steams away. Basis: typical. */
  evaporated: { value: 0.09, spread: 0.01 },
  /** Most of its rating that an oven gives to a large load, and the load at which coupling has come to 63 % of that, g. */
  bestShare: 0.78,
  couplingG: 110,
  /** Half the 10–90 width of a time, as a share. Basis: typical; ovens, mugs and places on the plate differ. */
  timeSpread: 0.2,
  /** Look first at this share of the time. */
  firstLookShare: 0.75,
  /** Minutes to stand before it is eaten or judged. */
  standMin: 1,
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
