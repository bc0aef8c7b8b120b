import type { ChoreDoes } from '../../model/choreDoes';
import type { FrostingKind, Skill, TopStyle } from '../../model/kinds';

/** The middle eight in ten of a normal distribution are so many of its spreads wide. */
export const FIGURE_RANGE = 2.563;

/** How far hands are off their usual time, as spreads of its logarithm: the whole day's pace, and each chore. Basis: typical. */
export const HANDS_DOUBT = { shared: 0.12, own: 0.15 } as const;

/** What is left of the day's pace once a kitchen has shown it, as a spread of its logarithm. Basis: judgement. */
export const PACE_DOUBT = 0.08;

/** Hands-on time, s. Basis: typical of a household kitchen; the log replaces it. */
export const HANDS_S = {
  /** An ingredient weighed. */
  weigh: 30,
  /** A tin turned out, wiped and lined again. */
  turnOutTin: 60,
  relineTin: 180,
  /** By piece. */
  coreAndFill: 25,
  channel: 8,
  sandwich: 12,
  fondant: 180,
  dip: 20,
  garnish: 12,
  stick: 8,
  roll: 40,
  brushCavity: 25,
  fillCavity: 25,
  backCavity: 20,
  unmould: 15,
  patch: 60,
  soak: 6,
  pack: 6,
  /** Once. */
  colour: 240,
  bindBowl: 360,
  crumble: 180,
  melt: 300,
  temper: 900,
  /** A coat stirred warm again, and brought back into temper. */
  rewarm: 120,
  retemper: 300,
  washMould: 240,
  cutSheet: 300,
  cutEach: 5,
  packOnce: 120,
  beatBought: 180,
} as const;

/** What somebody who does a step can do, by what is done; plain work where it is not named. */
export const SKILL_OF: Readonly<Partial<Record<ChoreDoes, Skill>>> = {
  'weigh-out': 'bake',
  mix: 'bake',
  fill: 'bake',
  out: 'bake',
  refill: 'bake',
  group: 'bake',
  make: 'bake',
  soak: 'finish',
  'fill-in': 'finish',
  frosting: 'finish',
  soften: 'finish',
  colour: 'finish',
  frost: 'finish',
  cover: 'finish',
  top: 'finish',
  melt: 'chocolate',
  warm: 'chocolate',
  dip: 'chocolate',
};

/** Pieces by hand of which one is patched. Basis: typical. */
export const PATCHED_SHARE = 0.1;

/** Spreading and piping a piece, s. Basis: typical. */
export const TOP_S: Readonly<Record<TopStyle, number>> = {
  spread: 20,
  dollop: 10,
  rosette: 12,
  swirl: 20,
  'tall swirl': 25,
  petals: 75,
  'thin glaze': 12,
};

/** A cake stands in its tin before it is turned out, s, and no longer than that after it. Basis: typical, 5 to 10 min. */
export const IN_TIN = { standS: 420, mostS: 300 } as const;
/** An oven is hot so long after it was turned on, and changes from one heat to another in so long, s. Basis: typical. */
export const OVEN_WARMS_S = 1200;
export const OVEN_CHANGES_S = 900;
/**
 * What goes into an oven within so long goes in together, s; after it the door stays shut until so much of a bake is over.
 * Basis: judgement; a crumb has set and no longer sinks by then, and a first look is never sooner.
 */
export const OVEN_DOOR = { togetherS: 120, setShare: 0.7 } as const;
/** An oven that stands empty for longer is turned off in between, s. Basis: judgement. */
export const OVEN_STAYS_ON_S = 3600;

/** Frosting from when it is made: rests at least, and is used within, s; how long making it takes, min. Basis: typical. */
export const FROSTING_TIMES: Readonly<
  Record<FrostingKind, { readonly makeMin: number; readonly restS: number; readonly withinS: number | null }>
> = {
  buttercream: { makeMin: 12, restS: 0, withinS: 3 * 3600 },
  'meringue buttercream': { makeMin: 25, restS: 0, withinS: 3 * 3600 },
  'whipped cream': { makeMin: 8, restS: 0, withinS: 1800 },
  'cream with yoghurt': { makeMin: 8, restS: 0, withinS: 1800 },
  ganache: { makeMin: 10, restS: 3600, withinS: 4 * 3600 },
  'soft cheese': { makeMin: 10, restS: 1200, withinS: 2 * 3600 },
  'cooked meringue': { makeMin: 20, restS: 0, withinS: 900 },
  glaze: { makeMin: 6, restS: 0, withinS: 900 },
};

/** Frosting from the fridge gives again after so long in the room, s. Basis: typical. */
export const FROSTING_OUT_S = 3600;

/** What else is made for a run, besides weighing: minutes at it. Basis: typical. */
export const MAKE_MIN = { filling: 12, frosting: 12, binder: 12, coat: 8, topping: 10, batter: 12 } as const;

/** A melted coat is kept warm and used within, s; tempered chocolate sooner. Basis: typical. */
export const COAT_WITHIN_S = { melted: 3600, tempered: 1800 } as const;
/** A shell's second coat goes on so soon after the first has set, at most, s. */
export const SHELL_WITHIN_S = 1800;
/** Moulded pieces go straight from the freezer out of the mould, s. Basis: typical. */
export const UNMOULD_WITHIN_S = 300;
/** Balls that came from the cold are dipped before they warm, s. Basis: typical. */
export const DIP_WITHIN_S = 1200;
/** A washed mould dries, s. */
export const MOULD_DRIES_S = 600;
/** Glaze and ganache that can be packed, s. Basis: typical. */
export const TOP_SETS_S: Partial<Record<FrostingKind, number>> = { glaze: 1800, ganache: 1800 };

/** Days that frosting keeps covered in the fridge at no loss. Basis: usual guidance; local rules go before it. */
export const FROSTING_KEEPS_DAYS: Readonly<Record<FrostingKind, number>> = {
  buttercream: 4,
  'meringue buttercream': 4,
  'whipped cream': 0,
  'cream with yoghurt': 0,
  ganache: 4,
  'soft cheese': 2,
  'cooked meringue': 0,
  glaze: 0,
};
/** Days that what else is made for a run keeps. Basis: usual guidance; local rules go before it. */
export const PART_KEEPS_DAYS = {
  filling: 2,
  frosting: 4,
  binder: 2,
  coat: 0,
  topping: 3,
  batter: 0,
} as const;
/** Days that plain cake keeps airtight, bound dough in the fridge, and frozen through. Basis: usual guidance. */
export const CAKE_KEEPS_DAYS = 2;
export const DOUGH_KEEPS_DAYS = { fridge: 2, freezer: 7 } as const;

/** What is eaten warm counts so much against what keeps for a day, in how late it is made. Basis: judgement. */
export const EATEN_WARM = 12;
