import type { Basis } from '../figure';
import type { Method } from '../model/documents';

/** A starting value with its spread: half the width from the 10th to the 90th percentile. */
export interface Start {
  readonly value: number;
  readonly spread: number;
  readonly basis: Basis;
}

const typical = (value: number, spread: number): Start => ({ value, spread, basis: 'typical' });

export interface MethodDef {
  readonly name: string;
  /** One sentence that says what the method is, where it is chosen. */
  readonly meaning: string;
  /** g/ml as it goes into the well. */
  readonly batterDensity: Start;
  /** g/ml of the baked cake, crust and all. */
  readonly cakeDensity: Start;
  /** °C at the centre when it is done. */
  readonly doneC: Start;
  /** Minutes that mixed batter may wait before it loses lift. */
  readonly waitMin: number;
  /** Minutes of mixing for a bowl of usual size. */
  readonly mixMin: number;
  /** Minutes that butter stands out before it creams; 0 where the fat is melted or there is none. */
  readonly butterOutMin: number;
}

/** Batters by mixing method. Basis: typical of weighed cups of batter and of baked cakes; a kitchen can measure its own. */
export const METHODS: Readonly<Record<Method, MethodDef>> = {
  creamed: {
    name: 'creamed',
    meaning: 'Butter and sugar are beaten pale first, so the batter starts full of air.',
    batterDensity: typical(0.9, 0.05),
    cakeDensity: typical(0.43, 0.05),
    doneC: typical(97, 1),
    waitMin: 40,
    mixMin: 15,
    butterOutMin: 60,
  },
  melted: {
    name: 'melted fat',
    meaning: 'Oil or melted butter is stirred in: a heavier batter that rises more, and a moist crumb.',
    batterDensity: typical(1.0, 0.05),
    cakeDensity: typical(0.43, 0.05),
    doneC: typical(97, 1),
    waitMin: 40,
    mixMin: 8,
    butterOutMin: 0,
  },
  rich: {
    name: 'rich, pound type',
    meaning: 'As much butter and egg as flour: creamed, close and heavy, and slow to stale.',
    batterDensity: typical(0.9, 0.05),
    cakeDensity: typical(0.54, 0.05),
    doneC: typical(97, 1),
    waitMin: 40,
    mixMin: 18,
    butterOutMin: 60,
  },
  whisked: {
    name: 'whisked sponge',
    meaning: 'Eggs and sugar are whisked to a foam that carries the flour. It waits for nobody.',
    batterDensity: typical(0.48, 0.06),
    cakeDensity: typical(0.26, 0.04),
    doneC: typical(95, 1),
    waitMin: 0,
    mixMin: 15,
    butterOutMin: 0,
  },
  folded: {
    name: 'folded whites',
    meaning: 'Beaten whites are folded in at the end: light, and best baked at once.',
    batterDensity: typical(0.55, 0.1),
    cakeDensity: typical(0.27, 0.05),
    doneC: typical(95, 1),
    waitMin: 5,
    mixMin: 18,
    butterOutMin: 0,
  },
  mug: {
    name: 'mug',
    meaning: 'Stirred together in a mug with oil or melted butter, for the microwave.',
    batterDensity: typical(1.05, 0.04),
    cakeDensity: typical(0.48, 0.05),
    doneC: typical(96, 1),
    waitMin: 15,
    mixMin: 3,
    butterOutMin: 0,
  },
};

/** With so much fruit or root purée in it, as a share of the batter, a cake is closer than its method says; g/ml. Basis: typical. */
export const PUREE = { fromShare: 0.1, cakeDensity: typical(0.48, 0.05) } as const;

/** Batter that bicarbonate lifts alone works at once and soon tires, min. Basis: typical. */
export const BICARBONATE_WAIT_MIN = 15;

/** Share of the batter that stays on bowl and spoon: 2 % scraped well, 5 % not. */
export const BOWL_LOSS: Start = typical(0.03, 0.012);

/** Wells by their size, ml to the brim: what a kitchen has learned of one is a start for others of its size. */
export const WELL_SIZES: readonly { readonly belowMl: number; readonly name: string }[] = [
  { belowMl: 45, name: 'mini' },
  { belowMl: 170, name: 'cupcake' },
  { belowMl: Infinity, name: 'large' },
];

/** A standard well, ml to the brim. */
export const USUAL_WELL_ML = 105;

/**
 * Bake loss as a share of batter mass, for a piece that is taken out when its middle is done, by the well's volume to the
 * brim: small pieces have more surface and dry more. 13 % of 28 ml, 10 % of 105, 9 % of 210. Basis: typical.
 */
export const bakeLossStart = (wellMl: number): Start => typical(Math.min(0.0855 + 1.3 / wellMl, 0.2), 0.022);

/** The same for a sheet; and how full it is after baking, of its depth. Basis: typical. */
export const SHEET_LOSS: Start = typical(0.09, 0.02);
export const SHEET_FULL = 0.95;
/** A mug cake in the microwave. */
export const MUG_LOSS: Start = typical(0.1, 0.02);

/** How full the well is after baking, as a share of its volume to the brim. */
export const FINISHES = {
  flat: { name: 'flat', share: 0.95, meaning: 'Level, just under the rim: room for frosting.' },
  gentle: {
    name: 'gently domed',
    share: 1.08,
    meaning: 'A low dome just over the rim: eats well plain or frosted.',
  },
  high: { name: 'high-domed', share: 1.2, meaning: 'A high dome: a muffin look; frosting slides off it.' },
} as const;

/** Below this share a cake looks sunk in its cup, above the other it runs over. Basis: typical. */
export const SUNK_SHARE = 0.8;
export const OVERFLOW_SHARE = 1.3;

/** Rules of thumb people fill by. */
export const FILL_RULES = [
  { name: 'half full', share: 0.5 },
  { name: 'two thirds', share: 2 / 3 },
  { name: 'three quarters', share: 0.75 },
] as const;

/** How far a tin's stated measures may be off, mm. Basis: geometry; a ruler across rounded corners. */
export const TIN_RULER_MM = 0.8;

/** °C in a kitchen, with its spread. Basis: typical. */
export const ROOM: Start = typical(21, 2);

/** A mixing bowl where a kitchen has counted none, ml, and how full it may be to be mixed in. Basis: typical of stand mixers. */
export const BOWLS = { usualMl: 4800, fullestShare: 0.6 } as const;
