import { z } from 'zod';
import {
  ALLERGEN_KINDS,
  BINDER_KINDS,
  BIND_SCHOOL_KINDS,
  CHOCOLATE_KINDS,
  COLOUR_DEPTHS,
  COVER_KINDS,
  CRUMB_KINDS,
  DIP_SCHOOL_KINDS,
  FROSTING_KINDS,
  TOP_STYLE_KINDS,
} from './kinds';
import { grams, id, millimetres, name, onHand, pieceCount, share, wholeNumber } from './fields';

/** The parts that pieces of several families have in common, as a person states them. */

export const fillSchema = z.discriminatedUnion('by', [
  z.object({ by: z.literal('finish'), finish: z.enum(['flat', 'gentle', 'high']) }),
  z.object({
    by: z.literal('share'),
    share: z.number().min(0.1, 'At least a tenth full.').max(1, 'At most full to the brim.'),
  }),
  z.object({ by: z.literal('mass'), massG: z.number().min(1, 'At least 1 g.').max(5000, 'At most 5 kg.') }),
]);
export type Fill = z.infer<typeof fillSchema>;

export const eggModeSchema = z.enum(['follow', 'down', 'up', 'nearest', 'weigh']);
export type EggMode = z.infer<typeof eggModeSchema>;

/** Still-oven setting of a run, °C; null follows the formula. */
export const ovenSetting = z.number().min(100, 'At least 100 °C.').max(260, 'At most 260 °C.').nullable();

export const chocolateSchema = z.enum(CHOCOLATE_KINDS);
export const colourDepthSchema = z.enum(COLOUR_DEPTHS);

export const toppingSchema = z.discriminatedUnion('by', [
  /** So many grams on each piece: a pinch, a drizzle, a band, a topper. */
  z.object({
    by: z.literal('each'),
    what: name,
    eachG: grams(0.01, 200),
    /** The formula that it is made by; left out where it is bought. */
    formulaId: id.nullable().optional(),
  }),
  /** Rolled or pressed on to a share of the piece's surface. */
  z.object({
    by: z.literal('cover'),
    what: name,
    cover: z.enum(COVER_KINDS),
    share: share(0.05, 1),
    formulaId: id.nullable().optional(),
  }),
  /** Poured over the pricked cake and soaked in: a share of the cake's mass. */
  z.object({
    by: z.literal('soak'),
    what: name,
    share: share(0.02, 0.6),
    formulaId: id.nullable().optional(),
  }),
]);
export type Topping = z.infer<typeof toppingSchema>;

/** What pieces are promised to be free of: checked against all that they and their pots hold. */
export const promise = {
  freeFrom: z.array(z.enum(ALLERGEN_KINDS)).max(ALLERGEN_KINDS.length).optional(),
  /** Names of things whose packets somebody has read for it, and found free of these. */
  packetsRead: z.array(z.string().max(200)).max(100).optional(),
};

/** Some of the pieces, finished alike: their own count, colour, coat and toppings. */
export const lotSchema = z.looseObject({
  id,
  name,
  count: pieceCount,
  colour: z.object({ name, depth: colourDepthSchema }).nullable(),
  /** Further colours in the same swirl, side by side in one bag; null for a stripe left as it is. */
  stripes: z
    .array(z.object({ name, depth: colourDepthSchema }).nullable())
    .max(2, 'At most three colours in one swirl.')
    .optional(),
  /** The coat of this lot where it is not the line's. */
  coat: chocolateSchema.nullable(),
  toppings: z.array(toppingSchema).max(12, 'At most 12 toppings.'),
  ...promise,
});
export type Lot = z.infer<typeof lotSchema>;

export const frostingSchema = z.looseObject({
  kind: z.enum(FROSTING_KINDS),
  style: z.enum(TOP_STYLE_KINDS),
  /** The formula that it is made by; null where it is bought or reckoned by school. */
  formulaId: id.nullable(),
  onHandG: onHand,
});
export type FrostingChoice = z.infer<typeof frostingSchema>;

export const fillingSchema = z.looseObject({
  /** Into a core that was cut out, through a nozzle, or between two halves. */
  how: z.enum(['core', 'inject', 'between']),
  what: name,
  formulaId: id.nullable(),
  /** g for each channel when injected, or between two halves; a core's follows from its size. */
  eachG: grams(0.5, 200).nullable(),
  channels: wholeNumber('channels', 1, 6),
  coreDiameterMm: millimetres(8, 60),
  coreDepthMm: millimetres(5, 80),
  onHandG: onHand,
});
export type FillingChoice = z.infer<typeof fillingSchema>;

/** What lies in the well before the batter: a glaze, fruit. */
export const baseLayerSchema = z.looseObject({
  what: name,
  massG: grams(1, 300),
  density: z.number().min(0.3, 'At least 0.3 g/ml.').max(1.6, 'At most 1.6 g/ml.'),
});
export type BaseLayer = z.infer<typeof baseLayerSchema>;

export const coatSchema = z.looseObject({
  kind: chocolateSchema,
  thickness: z.enum(['thin', 'usual', 'thick']),
  /** Where it is dipped. */
  vesselId: id,
  /** Fat stirred in to thin it, as a share of the chocolate. */
  thinnedShare: share(0, 0.06),
  school: z.enum(DIP_SCHOOL_KINDS),
  /** Dipped or spooned over; left out where it goes by how much a pool would strand. */
  by: z.enum(['dip', 'spoon']).optional(),
  /** The formula of the line's own coat; left out where it is melted as bought. */
  formulaId: id.nullable().optional(),
  onHandG: onHand,
});
export type CoatChoice = z.infer<typeof coatSchema>;

export const binderSchema = z.looseObject({
  kind: z.enum(BINDER_KINDS),
  school: z.enum(BIND_SCHOOL_KINDS),
  formulaId: id.nullable(),
  onHandG: onHand,
});
export type BinderChoice = z.infer<typeof binderSchema>;

/** Days that the cake has behind it; left out where nobody has said. */
const ageDays = wholeNumber('days', 0, 60).optional();
const crumbKindSchema = z.enum(CRUMB_KINDS);
export const crumbPartSchema = z.discriminatedUnion('from', [
  /** Baked for this: scaled to what the other parts leave open. */
  z.object({
    from: z.literal('bake'),
    formulaId: id,
    sheetId: id,
    ovenId: id,
    ovenC: ovenSetting,
    crumb: crumbKindSchema,
    trimShare: share(0, 0.5),
    eggs: eggModeSchema,
  }),
  z.object({
    from: z.literal('microwave'),
    formulaId: id,
    microwaveId: id,
    crumb: crumbKindSchema,
    trimShare: share(0, 0.5),
    eggs: eggModeSchema,
  }),
  /** Cake from before, frosting and all. */
  z.object({
    from: z.literal('leftovers'),
    massG: grams(1, 100_000),
    frostingShare: share(0, 0.8),
    scraped: z.boolean(),
    crumb: crumbKindSchema,
    ageDays,
  }),
  z.object({ from: z.literal('trimmings'), massG: grams(1, 100_000), crumb: crumbKindSchema, ageDays }),
  /** Biscuits or other dry things, crushed: they take up more binder. */
  z.object({ from: z.literal('biscuit'), massG: grams(1, 100_000) }),
]);
export type CrumbPart = z.infer<typeof crumbPartSchema>;

/** Oats and cocoa drink binder; liquor stands in for some of it. */
export const addInSchema = z.object({ what: name, massG: grams(0.5, 20_000), wet: z.boolean() });
export type AddIn = z.infer<typeof addInSchema>;

export const portionSizeSchema = z.discriminatedUnion('by', [
  z.object({ by: z.literal('diameter'), mm: millimetres(12, 90) }),
  z.object({ by: z.literal('scoop'), number: wholeNumber('a quart', 8, 120) }),
  z.object({ by: z.literal('mass'), massG: grams(2, 500) }),
]);
export type PortionSize = z.infer<typeof portionSizeSchema>;
