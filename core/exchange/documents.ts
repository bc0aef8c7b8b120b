import { z } from 'zod';

// Zod would otherwise try whether it may compile code at run time, which the server's security headers refuse.
z.config({ jitless: true });

/**
 * The documents that people's work is kept in and exported as. Each has a kind and a version. A stored document holds
 * only what a person stated or measured; all else is derived. Unknown fields are let through, so that a file written
 * by a later version survives being opened and saved by this one.
 */

const name = z.string().trim().min(1, 'Give it a name.').max(120, 'Keep the name under 120 letters.');
const id = z.string().min(1).max(80);
const millimetres = (min: number, max: number) =>
  z.number().min(min, `At least ${min} mm.`).max(max, `At most ${max} mm.`);
const statedValues = z.record(z.string().max(120), z.number());

/** A local date and time without a zone: `2026-11-28T16:00`. */
export const localTime = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, 'Write the time as 2026-11-28T16:00.')
  .refine((text) => Number.isFinite(Date.parse(`${text}:00Z`)), 'There is no such day or hour.');

export const MAX_PIECES = 5000;
export const MAX_FORMULA_LINES = 200;

export const pieceCount = z
  .number('Write a number of pieces, such as 24.')
  .int('Pieces are whole: write a whole number.')
  .min(1, 'Make at least 1.')
  .max(MAX_PIECES, `One run holds up to ${MAX_PIECES} pieces. Split a larger order into several runs.`);

export const measuresSchema = z.enum(['us', 'metric', 'australian']);
export const methodSchema = z.enum(['creamed', 'melted', 'whisked', 'folded']);
export type Method = z.infer<typeof methodSchema>;

export const formulaSchema = z.looseObject({
  kind: z.literal('formula'),
  version: z.literal(1),
  id,
  name,
  /** Ingredients as written, one a line. */
  text: z.string().max(200_000, 'That is more text than a formula holds.'),
  measures: measuresSchema,
  method: methodSchema,
  /** Still-oven temperature that the formula is written for, °C. */
  ovenC: z.number().min(100, 'At least 100 °C.').max(260, 'At most 260 °C.'),
  /** Line as written → key of the ingredient that the person says it is. */
  takenFor: z.record(z.string(), z.string()).default({}),
  steps: z.string().max(20_000).default(''),
});
export type FormulaDoc = z.infer<typeof formulaSchema>;

export const tinSchema = z.looseObject({
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
  material: z.enum(['light metal', 'dark metal', 'silicone']),
});
export type TinDoc = z.infer<typeof tinSchema>;

export const ovenSchema = z.looseObject({
  id,
  name,
  fan: z.boolean(),
  /** What an oven thermometer read above the setting, °C; null where nobody has measured it. */
  offsetC: z.number().min(-60, 'At least −60 °C.').max(60, 'At most 60 °C.').nullable(),
  racks: z.number().int('Whole racks only.').min(1, 'At least 1 rack.').max(12, 'At most 12 racks.'),
  tinsPerRack: z.number().int('Whole tins only.').min(1, 'At least 1 tin.').max(8, 'At most 8 tins.'),
});
export type OvenDoc = z.infer<typeof ovenSchema>;

export const prefsSchema = z.looseObject({
  mass: z.enum(['g', 'oz']).default('g'),
  temperature: z.enum(['C', 'F']).default('C'),
  decimal: z.enum(['.', ',']).default('.'),
  theme: z.enum(['system', 'light', 'dark']).default('system'),
});
export type Prefs = z.infer<typeof prefsSchema>;

export const kitchenSchema = z.looseObject({
  kind: z.literal('kitchen'),
  version: z.literal(1),
  id,
  name,
  tins: z.array(tinSchema).min(1, 'A kitchen needs at least one tin.').max(60),
  ovens: z.array(ovenSchema).min(1, 'A kitchen needs at least one oven.').max(12),
  /** Smallest step of the scale, g. */
  scaleStepG: z.number().min(0.01, 'At least 0.01 g.').max(50, 'At most 50 g.'),
  prefs: prefsSchema,
  /** Figure id → value that always holds in this kitchen. */
  stated: statedValues.default({}),
});
export type KitchenDoc = z.infer<typeof kitchenSchema>;

export const fillSchema = z.discriminatedUnion('by', [
  z.object({ by: z.literal('finish'), finish: z.enum(['flat', 'gentle', 'high']) }),
  z.object({
    by: z.literal('share'),
    share: z.number().min(0.1, 'At least a tenth full.').max(1, 'At most full to the brim.'),
  }),
  z.object({ by: z.literal('mass'), massG: z.number().min(1, 'At least 1 g.').max(5000, 'At most 5 kg.') }),
]);
export type Fill = z.infer<typeof fillSchema>;

export const eggModeSchema = z.enum(['follow', 'nearest', 'weigh']);
export type EggMode = z.infer<typeof eggModeSchema>;

export const cupcakeLineSchema = z.looseObject({
  id,
  family: z.literal('cupcake'),
  formulaId: id,
  count: pieceCount,
  tinId: id,
  ovenId: id,
  /** Oven setting, °C, still-oven figure; null follows the formula. */
  ovenC: z.number().min(100, 'At least 100 °C.').max(260, 'At most 260 °C.').nullable(),
  fill: fillSchema,
  eggs: eggModeSchema,
  /** Most loads there is time or patience for; null where it does not matter. */
  maxLoads: z
    .number()
    .int('Whole loads only.')
    .min(1, 'At least 1 load.')
    .max(200, 'At most 200 loads.')
    .nullable(),
  /** Figure id → what was weighed or measured in this run. */
  stated: statedValues.default({}),
  /** Keys of the ingredients already weighed out. */
  ticks: z.array(z.string().max(120)).max(1000).default([]),
});
export type CupcakeLine = z.infer<typeof cupcakeLineSchema>;

/** A line as it starts: gently domed, eggs kept whole, as many loads as it takes, nothing measured yet. */
export function newCupcakeLine(
  stated: Pick<CupcakeLine, 'id' | 'formulaId' | 'count' | 'tinId' | 'ovenId'> & Partial<CupcakeLine>,
): CupcakeLine {
  return {
    family: 'cupcake',
    ovenC: null,
    fill: { by: 'finish', finish: 'gentle' },
    eggs: 'follow',
    maxLoads: null,
    stated: {},
    ticks: [],
    ...stated,
  };
}

export const lookResultSchema = z.enum(['not yet', 'nearly', 'done', 'over']);
export type LookResult = z.infer<typeof lookResultSchema>;

export const clockSchema = z.looseObject({
  id,
  lineId: id,
  /** 1 for the first load. */
  load: z.number().int().min(1),
  pieces: z.number().int().min(1),
  /** Milliseconds since the epoch. */
  startedAt: z.number(),
  /** The times of this load in seconds from its start, fixed when it went in. */
  firstLookS: z.number().positive(),
  expectedS: z.number().positive(),
  latestS: z.number().positive(),
  looks: z.array(z.object({ at: z.number(), result: lookResultSchema })).max(200),
  endedAt: z.number().nullable(),
});
export type ClockDoc = z.infer<typeof clockSchema>;

export const closedSchema = z.looseObject({
  at: z.number(),
  made: z.number().int().min(0, 'At least 0.').max(MAX_PIECES),
  finish: z.enum(['sunk', 'flat', 'gentle', 'high', 'over']),
  note: z.string().max(2000, 'Keep the note under 2000 letters.'),
});
export type Closed = z.infer<typeof closedSchema>;

export const runSchema = z.looseObject({
  kind: z.literal('run'),
  version: z.literal(1),
  id,
  name,
  createdAt: z.number(),
  readyAt: localTime,
  lines: z.array(cupcakeLineSchema).min(1, 'A run needs at least one line.').max(60),
  clocks: z.array(clockSchema).max(1000).default([]),
  closed: closedSchema.nullable().default(null),
});
export type RunDoc = z.infer<typeof runSchema>;

/** A run with all that it rests on: what the headless command reads and what a person exports. */
export const runFileSchema = z.looseObject({
  kind: z.literal('run file'),
  version: z.literal(1),
  run: runSchema,
  formulas: z.array(formulaSchema).min(1, 'A run file needs the formulas that its lines name.'),
  kitchen: kitchenSchema,
  /** The time for which minutes left are counted; left out where time is no limit. */
  asOf: localTime.optional(),
});
export type RunFile = z.infer<typeof runFileSchema>;

export type AnyDoc = FormulaDoc | KitchenDoc | RunDoc;
export const anyDocSchema = z.discriminatedUnion('kind', [formulaSchema, kitchenSchema, runSchema]);
