import type { Start } from './batter.table';

/** How the tin changes baking time, as a factor. Basis: typical. */
export const TIN_FACTOR = { 'light metal': 1, 'dark metal': 0.95, silicone: 1.1 } as const;

/** What a tin of its kind may be off its factor. Basis: typical. */
export const TIN_SPREAD = 0.04;

/**
 * Liners, as a factor on baking time against one paper liner, which the typical times are for. Basis: typical; the model
 * gives much the same for the resistances of such walls, which a test checks.
 */
export const LINER_FACTOR = { none: 0.97, paper: 1, 'double paper': 1.05, foil: 0.98 } as const;

/** With the fan on, people set the dial this much lower, °C. Basis: typical; the usual kitchen rule. */
export const FAN_C = 20;

/** A fan's surface coefficient against still air, as a factor. Basis: typical. */
export const FAN_FACTOR: Start = { value: 1.4, spread: 0.12, basis: 'typical' };

/** What an oven's air may be off its setting, °C: where nobody has measured it, and where somebody has. */
export const OVEN_OFFSET: Readonly<Record<'unmeasured' | 'felt' | 'measured', Start>> = {
  unmeasured: { value: 0, spread: 12, basis: 'typical' },
  felt: { value: 0, spread: 8, basis: 'stated' },
  measured: { value: 0, spread: 3, basis: 'measured here' },
};

/** What is known of an oven's air before anything is read in it: as stated, felt or measured; K. */
export const airKnown = ({
  offsetC,
  offsetBy,
}: {
  readonly offsetC: number | null;
  readonly offsetBy?: string | undefined;
}): Start => {
  const { value, spread, basis } =
    offsetC === null ? OVEN_OFFSET.unmeasured : offsetBy === 'feel' ? OVEN_OFFSET.felt : OVEN_OFFSET.measured;
  return { value: offsetC ?? value, spread, basis };
};

/** What the model and one kitchen's batters leave open, as a factor. Basis: residuals of the fit, and typical. */
export const BAKE_MODEL: Start = { value: 1, spread: 0.11, basis: 'typical' };

/** A second rack in the oven slows a load. Factor. Basis: typical. */
export const SECOND_RACK_FACTOR = 1.06;

/** A piece is not dried for its colour: past so many times what its middle takes it comes out pale. Basis: typical. */
export const WAITS_AT_MOST = 1.5;

/** °C of air between which the baking model was fitted. */
export const FITTED_AIR_C = [130, 230] as const;

/** Look first at this share of the expected time, or at the start of the range if that is earlier. */
export const FIRST_LOOK_SHARE = 0.85;
/** Then look again every so often, s. */
export const LOOK_EVERY_S = 120;

/** Between two loads: out, in, door shut, oven back up, s. Basis: typical. */
export const TURNAROUND: Start = { value: 240, spread: 60, basis: 'typical' };

/** Cooling at rest in air: time constant of a piece of the reference mass, s, scaled by mass^(2/3). Basis: typical. */
export const COOLING = {
  referenceG: 48,
  constant: { value: 960, spread: 190, basis: 'typical' } satisfies Start,
  fromC: 95,
  /** Cool enough for buttercream, °C. */
  frostC: 25,
} as const;

/** The same for sheets, mug cakes, and a large piece; a fridge and a freezer shorten them as `PLACE_FACTOR` says. */
export const COOLING_SHEET = { referenceG: 1050, constant: { value: 1500, spread: 300 } } as const;
export const COOLING_MUG = { referenceG: 80, constant: { value: 540, spread: 110 } } as const;
/** Cool enough to crumble, °C. */
export const CRUMBLE_C = 30;

/** Hands-on time. Basis: typical; the log replaces it. */
export const HANDS = {
  weighOutMin: 12,
  fillWellS: 9,
  ovenWarmsMin: 20,
  eggsOutMin: 30,
} as const;

/** When the top of an oven is done, against its bottom: alike until it is seen otherwise. Basis: judgement. */
export const RACKS = { value: 1, spread: 0.12 } as const;
