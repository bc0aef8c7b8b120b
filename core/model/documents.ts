import { z } from 'zod';
import { id, localTime, MAX_PIECES, measuredValues, moment, name, ownIds, wholeNumber } from './fields';
import { FINISH_KINDS } from './kinds';
import { formulaSchema, type FormulaDoc } from './formulaDoc';
import { kitchenSchema, type KitchenDoc } from './kitchenDoc';
import { lineSchema } from './lines';
import { pieceSchema, type PieceDoc } from './pieceDoc';

/**
 * The documents that people's work is kept in and exported as. Each has a kind and a version. A stored document holds
 * only what a person chose or measured; all else is derived. Unknown fields are let through, so that a file written
 * by a later version survives being opened and saved by this one.
 */

import { benchEventSchema } from './benchEvent';
import { evidenceSchema } from './evidence';
export type { Evidence } from './evidence';
export type { BenchClock, BenchEvent, Inside, LookResult, LookSaw, Place } from './benchEvent';
export { MAX_FORMULA_LINES, MAX_PIECES, localTime, pieceCount } from './fields';
export { formulaSchema, isBatter, measuresSchema, methodSchema } from './formulaDoc';
export type { FormulaDoc, Makes, Method } from './formulaDoc';
export { kitchenSchema, ovenSchema, prefsSchema, tinSchema } from './kitchenDoc';
export { beliefSchema } from './belief';
export type { Belief } from './belief';
export type {
  BowlDoc,
  KitchenDoc,
  MicrowaveDoc,
  MouldDoc,
  MugDoc,
  OvenDoc,
  Prefs,
  ScoopDoc,
  SheetDoc,
  StoredDoc,
  TinDoc,
  VesselDoc,
} from './kitchenDoc';
export { lineSchema, newCupcakeLine } from './lines';
export type {
  CakesicleLine,
  CubeLine,
  CupcakeLine,
  Family,
  Line,
  Liner,
  MiniWellsLine,
  MugLine,
  PopLine,
} from './lines';
export { KEPT_PLACES } from './kept';
export type { Kept, KeptPlace, Money } from './kept';
export { pieceSchema } from './pieceDoc';
export type { PieceDoc } from './pieceDoc';
export { eggModeSchema, fillSchema } from './pieceFields';
export type {
  AddIn,
  BaseLayer,
  BinderChoice,
  CoatChoice,
  CrumbPart,
  EggMode,
  Fill,
  FillingChoice,
  FrostingChoice,
  Lot,
  PortionSize,
  Topping,
} from './pieceFields';

export const closedSchema = z.looseObject({
  at: moment,
  made: z.number().int().min(0, 'At least 0.').max(MAX_PIECES),
  finish: z.enum(FINISH_KINDS),
  /** Somebody said so: left as the plan had it, it teaches nothing. */
  finishTold: z.boolean().optional(),
  note: z.string().max(2000, 'Keep the note under 2000 letters.'),
  /** A small picture of what came out, as a data address: it stays in this browser and in files that are saved. */
  photo: z
    .string()
    .max(200_000, 'Take a smaller picture.')
    .regex(/^data:image\/(jpeg|png|webp);base64,[A-Za-z0-9+/=]+$/, 'A picture as JPEG, PNG or WebP.')
    .optional(),
  /** What it says of the kitchen, held against what was expected with nothing learned. */
  evidence: z.array(evidenceSchema).max(400).optional(),
});
export type Closed = z.infer<typeof closedSchema>;

/** Something that went wrong and the way out that was taken: kept for the log. */
export const eventSchema = z.looseObject({
  at: moment,
  lineId: id,
  /** What it was: `stuck`, `coat thick`. */
  kind: z.string().max(60),
  words: z.string().max(1000),
});

export const runSchema = z.looseObject({
  kind: z.literal('run'),
  version: z.literal(4),
  id,
  name,
  createdAt: moment,
  readyAt: localTime,
  lines: z
    .array(lineSchema)
    .min(1, 'A run needs at least one line.')
    .max(60, 'At most 60 lines.')
    .refine(...ownIds('lines')),
  closed: closedSchema.nullable().default(null),
  events: z.array(eventSchema).max(1000).optional(),
  /** What happened at the bench, in its order: the only record of it. */
  log: z.array(benchEventSchema).max(250_000).optional(),
  /** Figure id → what was weighed of the bowls that lines share: fillings, frostings, coats. */
  measured: measuredValues.optional(),
  /** What was said to be there when the run was wished for: it is not bought. */
  onHand: z
    .array(z.looseObject({ name, by: z.enum(['g', 'pieces']), amount: z.number().min(0).max(1_000_000) }))
    .max(200)
    .optional(),
  /** Parts of it that are made so many days before, by their id. */
  ahead: z.record(z.string().max(200), z.number().int().min(1).max(7)).optional(),
  /** Chores of its day that somebody holds at a time, by their id: minutes before the run must be ready. */
  held: z.record(z.string().max(200), z.number().min(0).max(20_000)).optional(),
  /** It was baked through without flour: what was answered, and the seed of the kitchen that it was baked in. */
  rehearsal: z
    .looseObject({
      seed: wholeNumber('', 1, 1_000_000_000),
      level: z.enum(['calm', 'usual', 'rough']),
      answers: z.array(z.string().max(40)).max(4000),
    })
    .optional(),
  /** Planned as if no other run shared its day: somebody else makes it, or those others are not made. */
  byItself: z.boolean().optional(),
  /** Keys of what is already weighed out, brought or warmed for the run as a whole. */
  ticks: z.array(z.string().max(200)).max(2000).optional(),
});
export type RunDoc = z.infer<typeof runSchema>;

/** A run with all that it rests on: what the headless command reads and what a person exports. */
export const runFileSchema = z.looseObject({
  kind: z.literal('run file'),
  version: z.literal(4),
  run: runSchema,
  formulas: z.array(formulaSchema).max(400),
  kitchen: kitchenSchema,
  /** The time for which minutes left are counted; left out where time is no limit. */
  asOf: localTime.optional(),
});
export type RunFile = z.infer<typeof runFileSchema>;

/** A whole piece with the formulas that it is made of and the kitchen whose tins, moulds and ovens it names. */
export const pieceFileSchema = z.looseObject({
  kind: z.literal('piece file'),
  version: z.literal(3),
  piece: pieceSchema,
  formulas: z.array(formulaSchema).max(200),
  kitchen: kitchenSchema,
});
export type PieceFile = z.infer<typeof pieceFileSchema>;

export type AnyDoc = FormulaDoc | KitchenDoc | RunDoc | PieceDoc;
export const anyDocSchema = z.discriminatedUnion('kind', [
  formulaSchema,
  kitchenSchema,
  runSchema,
  pieceSchema,
]);
