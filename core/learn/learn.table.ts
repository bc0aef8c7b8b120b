/** How what is seen of a parameter is to be read. */
export interface Seeing {
  /** Factors and sizes are learned on their logarithm, small shares as they are. */
  readonly on: 'log' | 'plain';
  /** How far one outcome lies off by itself, as a standard deviation: of the logarithm, or in the parameter's unit. */
  readonly noise: number;
  /** How much of that is a batch's own beyond what the plan's other figures say, where those say some of it. */
  readonly beyond?: number;
  /** Its things start from values of their own, and have only a factor in common: none of them is a start for another. */
  readonly apart?: true;
  /** Only readings of its own move it, whatever else goes by it: the dial is set by it, and not by what cakes seem to say. */
  readonly held?: true;
}

/**
 * What is learned, with the noise of one outcome: a batter that is a little warmer, a hand that scrapes less well, a look
 * that came a minute late. Basis: judgement, between what repeated batches of careful bakers differ by.
 */
export const SEEING: Readonly<Record<string, Seeing>> = {
  'bake.factor': { on: 'log', noise: 0.05, beyond: 0.04 },
  // A thermostat swings, and a thermometer lags; of that a batch's own is the swing.
  'oven.offset': { on: 'plain', noise: 4, beyond: 2, apart: true, held: true },
  // Never seen by themselves, but by the times that they make: a batch differs from them by nothing of their own.
  'oven.fan': { on: 'log', noise: 0.05, beyond: 0 },
  'tin.own': { on: 'log', noise: 0.05, beyond: 0 },
  'cake.done': { on: 'plain', noise: 0.5, beyond: 0 },
  'micro.factor': { on: 'log', noise: 0.06 },
  'bind.factor': { on: 'log', noise: 0.08 },
  'coat.mm': { on: 'log', noise: 0.07 },
  'dough.density': { on: 'log', noise: 0.03 },
  'batter.density': { on: 'log', noise: 0.03 },
  'frosting.style': { on: 'log', noise: 0.1 },
  // Told in three classes only: their bounds say the rest.
  'cake.density': { on: 'log', noise: 0.04 },
  'set.usual': { on: 'log', noise: 0.15, apart: true },
  'scoop.fill': { on: 'log', noise: 0.04 },
  'portion.scatter': { on: 'log', noise: 0.3, apart: true },
  'work.pace': { on: 'log', noise: 0.16 },
  'oven.racks': { on: 'log', noise: 0.05 },
  'hand.lossShare': { on: 'plain', noise: 0.006 },
  'bowl.lossShare': { on: 'plain', noise: 0.008 },
  // What stays on the bowl and what the eggs weighed are doubts of a crumb of their own.
  'bake.lossShare': { on: 'plain', noise: 0.012, beyond: 0.008 },
};

/** Of what is not known beforehand, so much is common to all things of a kind. Basis: judgement. */
export const KIND_SHARE = 0.4;

/** Of what a thing was learned, so much is open again after a year: ovens age, flour is another. Basis: judgement. */
export const FADES_A_YEAR = 0.25;

/** One outcome in so many is a slip: a door that stood open, a scale that was not tared. Basis: judgement. */
export const SLIPS = 0.03;
/** A slip lies so many times as far off as an outcome usually does. */
export const SLIP_TIMES = 6;

/**
 * A thing has changed where its last two or three outcomes all lie to one side of what was expected before them: each at least
 * so far (a slip, however wild, counts for no more than `most`), and together so far, in standard deviations. Basis: of ovens
 * that stay, four in a thousand are taken for another within twenty bakes.
 */
export const CHANGED: Readonly<Record<number, { least: number; most: number; together: number }>> = {
  2: { least: 1.5, most: 2.6, together: 3.2 },
  3: { least: 0.8, most: 2.6, together: 3 },
};
