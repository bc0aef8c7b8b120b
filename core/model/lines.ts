import { z } from 'zod';
import { grams, id, millimetres, onHand, pieceCount, share, measuredValues, wholeNumber } from './fields';
import {
  addInSchema,
  baseLayerSchema,
  binderSchema,
  chocolateSchema,
  coatSchema,
  crumbPartSchema,
  eggModeSchema,
  fillSchema,
  fillingSchema,
  frostingSchema,
  lotSchema,
  ovenSetting,
  portionSizeSchema,
  promise,
} from './pieceFields';

const lots = z.array(lotSchema).max(40, 'At most 40 lots.');
/** What every line of a run has, of whatever family. */
const common = {
  id,
  count: pieceCount,
  /** Figure id → what was weighed or measured in this run. */
  measured: measuredValues.default({}),
  /** Keys of the ingredients already weighed out. */
  ticks: z.array(z.string().max(120)).max(1000).default([]),
  /** Mixed in a bowl of its own, whatever others are of its formula: their bowl has been used already. */
  apart: z.boolean().optional(),
  ...promise,
};
const pieces = (what: string) => wholeNumber(what, 0, 100_000).nullable().optional();

/** So many times the formula as it is written, whatever comes of it; left out or null where a count is wanted. */
const batches = z
  .number()
  .min(0.1, 'At least a tenth of it.')
  .max(50, 'At most 50 times.')
  .nullable()
  .optional();

const wells = {
  batches,
  formulaId: id,
  tinId: id,
  ovenId: id,
  ovenC: ovenSetting,
  fill: fillSchema,
  eggs: eggModeSchema,
  /** Most loads there is time or patience for; null where it does not matter. */
  maxLoads: z
    .number()
    .int('Whole loads only.')
    .min(1, 'At least 1 load.')
    .max(200, 'At most 200 loads.')
    .nullable(),
};

export const linerSchema = z.enum(['none', 'paper', 'double paper', 'foil']);
export type Liner = z.infer<typeof linerSchema>;

export const cupcakeLineSchema = z.looseObject({
  ...common,
  ...wells,
  family: z.literal('cupcake'),
  liner: linerSchema.optional(),
  linersOnHand: pieces('liners'),
  baseLayer: baseLayerSchema.nullable().optional(),
  filling: fillingSchema.nullable().optional(),
  frosting: frostingSchema.nullable().optional(),
  lots: lots.optional(),
});
export type CupcakeLine = z.infer<typeof cupcakeLineSchema>;

/** Crumb and what holds it together. */
const dough = {
  crumb: z.array(crumbPartSchema).min(1, 'Say where the crumb comes from.').max(8, 'At most 8 sources.'),
  addIns: z.array(addInSchema).max(8, 'At most 8 add-ins.'),
  binder: binderSchema,
};

export const popLineSchema = z.looseObject({
  ...common,
  ...dough,
  family: z.literal('pop'),
  /** On a stick, or a ball without one. */
  stick: z.boolean(),
  size: portionSizeSchema,
  /** Null for balls that are rolled and not dipped. */
  coat: coatSchema.nullable(),
  sticksOnHand: pieces('sticks'),
  lots,
});
export type PopLine = z.infer<typeof popLineSchema>;

export const cakesicleLineSchema = z.looseObject({
  ...common,
  ...dough,
  family: z.literal('cakesicle'),
  mouldId: id,
  kind: chocolateSchema,
  /** Thickness of the finished shell, both coats together. */
  shellMm: millimetres(0.6, 5),
  /** Brushed or spooned in; or filled to the brim and poured out again. */
  shellBy: z.enum(['brush', 'pour']),
  thinnedShare: share(0, 0.06),
  maxRounds: wholeNumber('rounds', 1, 200).nullable(),
  coatOnHandG: onHand,
  coatFormulaId: id.nullable().optional(),
  sticksOnHand: pieces('sticks'),
  lots,
});
export type CakesicleLine = z.infer<typeof cakesicleLineSchema>;

export const mugLineSchema = z.looseObject({
  ...common,
  family: z.literal('mug'),
  batches,
  formulaId: id,
  mugId: id,
  microwaveId: id,
  eggs: eggModeSchema,
  fill: z.discriminatedUnion('by', [
    z.object({ by: z.literal('share'), share: share(0.15, 0.9) }),
    z.object({ by: z.literal('mass'), massG: grams(10, 3000) }),
  ]),
  /** Mugs that turn together; null for as many as the oven takes. */
  atOnce: wholeNumber('mugs', 1, 12).nullable(),
  /** Power as a share of full. */
  setting: share(0.1, 1),
  filling: fillingSchema.nullable().optional(),
  frosting: frostingSchema.nullable().optional(),
  lots,
});
export type MugLine = z.infer<typeof mugLineSchema>;

const finishing = {
  filling: fillingSchema.nullable().optional(),
  frosting: frostingSchema.nullable().optional(),
  coat: coatSchema.nullable().optional(),
  /** Fondant rolled out and laid over. */
  fondant: z.boolean().optional(),
  /** Each stands on a board of its own. */
  boards: z.boolean().optional(),
  lots,
};

/** Mini cakes that bake in wells: halves to pair, fingers to fill, moulded ones, and those with a base layer. */
export const miniWellsLineSchema = z.looseObject({
  ...common,
  ...wells,
  ...finishing,
  family: z.literal('mini'),
  style: z.enum(['paired', 'fingers', 'moulded', 'base-layer']),
  baseLayer: baseLayerSchema.nullable().optional(),
  /** Halves baked beyond the pairs, for those that break. */
  spareHalves: wholeNumber('halves', 0, 200),
});
export type MiniWellsLine = z.infer<typeof miniWellsLineSchema>;

/** Mini cakes cut from a sheet. */
export const cubeLineSchema = z.looseObject({
  ...common,
  ...finishing,
  family: z.literal('mini'),
  style: z.literal('cubes'),
  formulaId: id,
  sheetId: id,
  ovenId: id,
  ovenC: ovenSetting,
  eggs: eggModeSchema,
  columns: wholeNumber('columns', 1, 40),
  rows: wholeNumber('rows', 1, 40),
  heightMm: millimetres(8, 100),
  trimMm: millimetres(0, 40),
  kerfMm: millimetres(0, 5),
  stickOnHand: pieces('sticks'),
});
export type CubeLine = z.infer<typeof cubeLineSchema>;

export const lineSchema = z.discriminatedUnion('family', [
  cupcakeLineSchema,
  popLineSchema,
  cakesicleLineSchema,
  mugLineSchema,
  z.discriminatedUnion('style', [miniWellsLineSchema, cubeLineSchema]),
]);
export type Line = z.infer<typeof lineSchema>;
export type Family = Line['family'];

/** A line as it starts: gently domed, eggs kept whole, as many loads as it takes, nothing measured yet. */
export function newCupcakeLine(
  chosen: Pick<CupcakeLine, 'id' | 'formulaId' | 'count' | 'tinId' | 'ovenId'> & Partial<CupcakeLine>,
): CupcakeLine {
  return {
    family: 'cupcake',
    ovenC: null,
    fill: { by: 'finish', finish: 'gentle' },
    eggs: 'follow',
    maxLoads: null,
    measured: {},
    ticks: [],
    ...chosen,
  };
}
