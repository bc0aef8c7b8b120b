import { z } from 'zod';
import { keptSchema, moneySchema } from './kept';
import { beliefSchema } from './belief';
import { CAVITY_SHAPE_KINDS, DIALS, SKILLS, TIN_MATERIALS, WELL_SHAPE_KINDS } from './kinds';
import { grams, hourOfDay, id, millimetres, moment, name, onOneLine, wholeNumber } from './fields';

const owned = wholeNumber('of them', 1, 50);
const volumeMl = (min: number, max: number) =>
  z.number().min(min, `At least ${min} ml.`).max(max, `At most ${max} ml.`);
const watts = (min: number, max: number) =>
  z.number().min(min, `At least ${min} W.`).max(max, `At most ${max} W.`);

/** What a ring's well is wider than its hole, mm at least: two tubes of a narrow piping bag's width. */
const RING_LEAST_MM = 16;

export const tinSchema = z
  .looseObject({
    id,
    name,
    wells: z
      .number('Write how many wells the tin has.')
      .int('Wells are whole: write a whole number.')
      .min(1, 'A tin has at least 1 well.')
      .max(96, 'At most 96 wells a tin.'),
    owned: z.number().int('Whole tins only.').min(1, 'At least 1 tin.').max(50, 'At most 50 tins.'),
    topMm: millimetres(10, 300),
    baseMm: millimetres(5, 300),
    depthMm: millimetres(5, 200),
    material: z.enum(TIN_MATERIALS),
    /** A cone with its point cut off where nothing is said; a bowl is half an ellipsoid, round side down; a bar is long; a ring has a hole. */
    shape: z.enum(WELL_SHAPE_KINDS).optional(),
    /** What a well holds by the water test, ml; left out where its measures alone say so. */
    wellMl: volumeMl(1, 5000).optional(),
    /** How long a bar's well is at the top, mm; its width is `topMm`, at the bottom `baseMm`. */
    lengthMm: millimetres(10, 400).optional(),
    /** Across the hole of a ring's well, mm. */
    holeMm: millimetres(3, 280).optional(),
  })
  .refine(
    ({ shape, topMm, holeMm }) => shape !== 'ring' || holeMm === undefined || holeMm <= topMm - RING_LEAST_MM,
    {
      path: ['holeMm'],
      message: `The hole leaves at least ${RING_LEAST_MM / 2} mm of well to both sides.`,
    },
  );
export type TinDoc = z.infer<typeof tinSchema>;

export const sheetSchema = z.looseObject({
  id,
  name,
  owned,
  lengthMm: millimetres(80, 600),
  widthMm: millimetres(80, 600),
  depthMm: millimetres(10, 120),
  material: z.enum(TIN_MATERIALS),
});
export type SheetDoc = z.infer<typeof sheetSchema>;

export const mouldSchema = z
  .looseObject({
    id,
    name,
    owned,
    cavities: wholeNumber('cavities', 1, 96),
    /** A stick mould's outline with round ends, half a sphere or ellipsoid, or a box. */
    shape: z.enum(CAVITY_SHAPE_KINDS),
    lengthMm: millimetres(10, 200),
    widthMm: millimetres(10, 200),
    depthMm: millimetres(5, 100),
    /** What a cavity holds by the water test, ml; left out where its measures alone say so. */
    cavityMl: volumeMl(1, 500).optional(),
    /** Room that a stick takes up inside, ml; 0 without one. */
    stickMl: z.number().min(0, 'At least 0 ml.').max(20, 'At most 20 ml.'),
  })
  .refine((mould) => mould.lengthMm >= mould.widthMm, {
    path: ['lengthMm'],
    message: 'The length is the longer side.',
  });
export type MouldDoc = z.infer<typeof mouldSchema>;

export const mugSchema = z.looseObject({ id, name, owned, volumeMl: volumeMl(60, 3000) });
export type MugDoc = z.infer<typeof mugSchema>;

export const microwaveSchema = z.looseObject({
  id,
  name,
  ratedW: watts(300, 2000),
  /** What 500 g of water took up in the water test, W; null where nobody has run it. */
  absorbedW: watts(100, 2000).nullable(),
  /** Mugs that turn at once. */
  mugsAtOnce: wholeNumber('mugs', 1, 12),
  /** The turning plate across, mm; left out where nobody has measured it. */
  plateMm: millimetres(100, 500).optional(),
});
export type MicrowaveDoc = z.infer<typeof microwaveSchema>;

/** A pot or glass to dip in. */
export const vesselSchema = z.looseObject({
  id,
  name,
  diameterMm: millimetres(30, 300),
  depthMm: millimetres(30, 300),
});
export type VesselDoc = z.infer<typeof vesselSchema>;

/** A bowl to mix in: by hand or in a machine. */
export const bowlSchema = z.looseObject({ id, name, owned, volumeMl: volumeMl(200, 100_000) });
export type BowlDoc = z.infer<typeof bowlSchema>;

/** Something in the store cupboard: what is left, and how it is bought. */
export const storedSchema = z.looseObject({
  id,
  name,
  /** g, or pieces for what is counted. */
  left: z.number().min(0, 'At least 0.').max(1_000_000, 'At most a tonne.'),
  by: z.enum(['g', 'pieces']),
  /** What a packet holds, g or pieces; null where it is bought loose. */
  packet: z.number().min(0.1, 'At least 0.1.').max(100_000, 'At most 100 kg.').nullable(),
  /** What a packet costs, in whatever money the person reckons; null where nobody says. */
  price: z.number().min(0, 'At least 0.').max(100_000, 'At most 100000.').nullable(),
});
export type StoredDoc = z.infer<typeof storedSchema>;

/** A scoop by its number: so many level ones to a US quart. */
export const scoopSchema = z.looseObject({ id, name, number: wholeNumber('a quart', 8, 120) });
export type ScoopDoc = z.infer<typeof scoopSchema>;

export const ovenSchema = z.looseObject({
  id,
  name,
  fan: z.boolean(),
  /** What an oven thermometer read above the setting, °C; null where nobody has measured it. */
  offsetC: z.number().min(-60, 'At least −60 °C.').max(60, 'At most 60 °C.').nullable(),
  racks: z.number().int('Whole racks only.').min(1, 'At least 1 rack.').max(12, 'At most 12 racks.'),
  tinsPerRack: z.number().int('Whole tins only.').min(1, 'At least 1 tin.').max(8, 'At most 8 tins.'),
  /** How its offset is known; by a thermometer where nothing is said. */
  offsetBy: z.enum(['thermometer', 'feel']).optional(),
  /** What the dial is marked in; left out where it is as the person reads degrees. */
  dial: z.enum(DIALS).optional(),
  /** The rack from side to side and from the door to the back, mm; left out where nobody has measured it. */
  rackWidthMm: millimetres(150, 1200).optional(),
  rackDepthMm: millimetres(150, 1200).optional(),
});
export type OvenDoc = z.infer<typeof ovenSchema>;

export const prefsSchema = z.looseObject({
  mass: z.enum(['g', 'oz']).default('g'),
  temperature: z.enum(['C', 'F']).default('C'),
  decimal: z.enum(['.', ',']).default('.'),
  theme: z.enum(['system', 'light', 'dark']).default('system'),
});
export type Prefs = z.infer<typeof prefsSchema>;

const ownThingSchema = z.object({
  /** As it is written in formulas. */
  name: z.string().overwrite(onOneLine).trim().min(1).max(80),
  /** The key of what it is like in a cake; null where it is only weighed. */
  like: z.string().max(80).nullable(),
  /** g in a level US cup. */
  cupG: grams(1, 2000).optional(),
  /** g of one. */
  pieceG: grams(0.01, 20_000).optional(),
  /** g in a pack, by the kind of pack. */
  packG: z.record(z.string().max(40), grams(0.1, 20_000)).optional(),
});

export const kitchenSchema = z.looseObject({
  kind: z.literal('kitchen'),
  version: z.literal(2),
  id,
  name,
  /** Still the demo's: nobody has said that its tins and ovens are theirs. */
  borrowed: z.boolean().optional(),
  tins: z.array(tinSchema).min(1, 'A kitchen needs at least one tin.').max(60),
  ovens: z.array(ovenSchema).min(1, 'A kitchen needs at least one oven.').max(12),
  sheets: z.array(sheetSchema).max(30).optional(),
  moulds: z.array(mouldSchema).max(60).optional(),
  mugs: z.array(mugSchema).max(30).optional(),
  microwaves: z.array(microwaveSchema).max(6).optional(),
  vessels: z.array(vesselSchema).max(30).optional(),
  scoops: z.array(scoopSchema).max(30).optional(),
  bowls: z.array(bowlSchema).max(30).optional(),
  /** The store cupboard. */
  store: z.array(storedSchema).max(400).optional(),
  /** Pieces that lie in the fridge and the freezer at once, in trays; left out where nobody has counted. */
  fridgeTrays: wholeNumber('trays', 0, 40).optional(),
  freezerTrays: wholeNumber('trays', 0, 40).optional(),
  /** Trays and racks that stand on the bench at once, cooling and setting; left out where nobody has counted. */
  benchTrays: wholeNumber('trays', 1, 40).optional(),
  /** Mixers, on a stand or in the hand; one where nobody has said, none where all is beaten by hand. */
  mixers: wholeNumber('mixers', 0, 6).optional(),
  /** A tray as it goes into the cold, mm; left out where nobody has measured one. */
  trayLengthMm: millimetres(80, 600).optional(),
  trayWidthMm: millimetres(80, 600).optional(),
  /** Pairs of hands at work; one where nobody has said. */
  hands: wholeNumber('pairs of hands', 1, 4).optional(),
  /** By place, what a pair of hands can do; everything where nothing is said. */
  handsCan: z
    .array(z.array(z.enum(SKILLS)).max(SKILLS.length))
    .max(4)
    .optional(),
  /** Nobody works from then until then, by the clock; from 22:00 to 06:30 where nobody has said, never where both are the same. */
  restFrom: hourOfDay.optional(),
  restUntil: hourOfDay.optional(),
  /** Lollipop sticks in stock. */
  sticks: wholeNumber('sticks', 0, 100_000).optional(),
  /** Paper cases in stock. */
  liners: wholeNumber('cases', 0, 100_000).optional(),
  /** How long a stick is; a paper case across its base, and its height; mm. */
  stickMm: millimetres(40, 400).optional(),
  caseBaseMm: millimetres(10, 200).optional(),
  caseHighMm: millimetres(5, 120).optional(),
  /** Personal measures: the word a person uses → grams of one, weighed once. */
  ownMeasures: z.record(z.string().max(40), grams(0.1, 5000)).optional(),
  /** Things that no table knew, or not by that measure: what was said of them once. */
  ownThings: z.array(ownThingSchema).max(400).optional(),
  /** Metres above the sea. */
  altitudeM: z.number().min(-400, 'At least −400 m.').max(5000, 'At most 5000 m.').optional(),
  /** Smallest step of the scale, g. */
  scaleStepG: z.number().min(0.01, 'At least 0.01 g.').max(50, 'At most 50 g.'),
  prefs: prefsSchema,
  /** What this kitchen has measured or learned, each of what it belongs to. */
  beliefs: z.array(beliefSchema).max(4000).default([]),
  /** What was made and stands in the room, the fridge or the freezer. */
  kept: z.array(keptSchema).max(500).optional(),
  money: moneySchema.optional(),
  /** What was started afresh, by parameter and thing: `bake.factor@oven:oven-main`; outcomes before that teach nothing of it. */
  anew: z.record(z.string().max(240), moment).optional(),
});
export type KitchenDoc = z.infer<typeof kitchenSchema>;
