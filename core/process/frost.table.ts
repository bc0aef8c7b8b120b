import type { ColourDepth, FrostingKind, TopStyle } from '../model/kinds';
/** Frostings and toppings. Masses in g on a standard 65 mm top, densities in g/ml. Basis: typical, as noted. */
export const TOP_STYLES = {
  spread: { name: 'spread', massG: 25, meaning: 'A thin layer with a knife.' },
  dollop: { name: 'dollop', massG: 30, meaning: 'A spoonful, swept once round.' },
  rosette: { name: 'rosette', massG: 28, meaning: 'One flat turn of a star nozzle.' },
  swirl: { name: 'swirl', massG: 45, meaning: 'Two to three turns, a finger high.' },
  'tall swirl': { name: 'tall swirl', massG: 65, meaning: 'Four turns and more: as much frosting as cake.' },
  petals: { name: 'petals', massG: 40, meaning: 'Piped petals, an eighth of it leaves in their own colour.' },
  'thin glaze': { name: 'thin glaze', massG: 8, meaning: 'Dipped or brushed, soaks in a little.' },
} as const satisfies Readonly<Record<TopStyle, object>>;
export type { TopStyle };
export const STANDARD_TOP_MM = 65;
/** Across the top of a mug, inside. Basis: typical. */
export const MUG_TOP_MM = 80;

export const FROSTING_DENSITY = {
  buttercream: 0.85,
  'meringue buttercream': 0.6,
  'whipped cream': 0.48,
  'cream with yoghurt': 0.7,
  ganache: 1.15,
  'soft cheese': 0.95,
  'cooked meringue': 0.28,
  glaze: 1.3,
} as const satisfies Readonly<Record<FrostingKind, number>>;
export type Frosting = FrostingKind;
/** The masses of the styles are for this frosting; others by volume. */
export const STYLE_FROSTING: Frosting = 'buttercream';

/** Half the 10–90 width of what a hand puts on a top, as a share. Basis: typical. */
export const STYLE_SPREAD = 0.15;
/** Styles that go through a bag. */
export const PIPED: ReadonlySet<TopStyle> = new Set(['rosette', 'swirl', 'tall swirl', 'petals']);
/** Filling injected into one piece, g; and spread between two halves, mm thick. Basis: typical. */
export const INJECTED = { value: 11.5, spread: 3, basis: 'typical' } as const;
export const BETWEEN_MM = 3.5;

/** Gel colour as a share of the frosting's mass. Basis: typical. */
export const COLOUR_DEPTH = { pastel: 0.0015, mid: 0.004, deep: 0.01 } as const satisfies Readonly<
  Record<ColourDepth, number>
>;
export type { ColourDepth };
/** g in a drop of gel. */
export const GEL_DROP_G = 0.05;
/** Left in each piping bag, g. */
export const BAG_LOSS_G = 15;

/** Syrup or thin glaze that a pricked cake takes up, of its own mass, where nobody has said. Basis: typical. */
export const SOAK_SHARE = 0.2;

/** Mending: share of the mass in each step, and the temperature above which kitchens run soft, °C. */
export const MEND = { sugarStep: 0.05, liquidStep: 0.01, warmC: 24, chillMin: 10 } as const;
/** Hot syrup for meringue, °C at sea level, less 1 °C for each 300 m. Basis: typical; physics of boiling. */
export const SYRUP = { lowC: 118, highC: 121, metresPerDegree: 300 } as const;
/** A core cut out: 22 mm across, 25 mm deep, takes out about 4 g and holds about 9 g of jam. */
export const CORE = {
  diameterMm: 22,
  depthMm: 25,
  jamDensity: 1.33,
  crumbDensity: 0.43,
  plugShare: 0.3,
} as const;
/** Fondant: rolled to 3 mm, 1.4 g/ml, half as much again rolled beyond the edge, of which most is rolled again. */
export const FONDANT = { thicknessMm: 3, density: 1.4, beyond: 0.5, rerolled: 0.8 } as const;
