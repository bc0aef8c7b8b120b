/** Coats. Densities in g/ml, thicknesses in mm. Basis: typical, as noted. */
export const COAT = {
  /** Melted chocolate or compound. */
  density: { value: 1.28, spread: 0.03 },
  /** Thickness of a dipped coat: thinned and warm, usual, thick or on a frozen piece. */
  dipMm: { thin: 0.9, usual: 1.2, thick: 1.8 },
  /** On a frozen piece the coat sets before it has run off: thicker by this factor. */
  frozenFactor: 1.5,
  /** Against the usual coat: compound runs as compound does, milk and white stay a little thicker. */
  kindFactor: { dark: 1, milk: 1.05, white: 1.05, compound: 1 },
  /** A share of fat stirred in takes so many times itself off the thickness; what is called thin has it already. */
  thinnedTakes: 4,
  /** A pool of more than so many times what the pieces take is not melted: the coat is spooned over them. */
  poolAtMost: 2.5,
  /** Spooned over, a piece takes so much more than dipped, as a share. */
  spoonedMore: 0.2,
  /** Half the 10–90 width of a thickness, as a share. */
  thicknessSpread: 0.2,
  /** On the stick where it goes in. */
  anchorG: 0.4,
  /** Drips, and the film on the vessel. */
  dripShare: 0.1,
  /** The vessel must stay this much deeper than the piece, mm. */
  dipClearanceMm: 10,
  /** Of a stranded pool, what tilting and spooning save. */
  savedShare: 0.5,
  /** Rounding of a cavity's floor, mm. */
  edgeMm: 4,
  shellMm: 1.8,
  /** First and second coat of a moulded shell. */
  shellCoats: [0.65, 0.35],
  backMm: 1.8,
  /** A shell thinner than this cracks at unmoulding, a thicker one than that is unpleasant. */
  shellTooThinMm: 1.2,
  shellTooThickMm: 2.5,
  /** Filling pressed into a shell packs to this factor of its loose volume. */
  pressFactor: 1.05,
} as const;

/** Moulded pieces that need patching when they come out, as a share. Basis: typical. */
export const PATCH = { share: 0.06, spread: 0.04 } as const;

/** Half the 10–90 width of what sticks to a cm², as a share. Basis: typical. */
export const TOPPING_SPREAD = 0.25;

/** g for each cm² rolled or covered. Basis: typical. */
export const COVER_G_CM2 = {
  'fine coconut': 0.05,
  sprinkles: 0.15,
  'chopped nuts': 0.12,
  crumbs: 0.08,
  'thin glaze': 0.12,
} as const;
