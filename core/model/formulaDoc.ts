import { z } from 'zod';
import { grams, id, name } from './fields';

export const measuresSchema = z.enum(['us', 'metric', 'australian']);
export const methodSchema = z.enum(['creamed', 'melted', 'rich', 'whisked', 'folded', 'mug']);
export type Method = z.infer<typeof methodSchema>;

/** What a formula makes: the part of a piece that it is scaled for. */
export const makesSchema = z.enum(['batter', 'filling', 'frosting', 'binder', 'coat', 'topping']);
export type Makes = z.infer<typeof makesSchema>;

/** Letters that the lines and the steps of a formula may have. */
export const MAX_FORMULA_LETTERS = 200_000;
export const MAX_STEP_LETTERS = 20_000;
const TOO_LONG = {
  text: 'That is more text than a formula holds: 200,000 letters. Keep only its ingredients here.',
  steps: 'That is more than the steps of a formula hold: 20,000 letters. Shorten them.',
} as const;

/** Why a text is too long to be kept as the lines or the steps of a formula; null where it is not. */
export const tooLongFor = (field: 'text' | 'steps', text: string): string | null =>
  text.length > { text: MAX_FORMULA_LETTERS, steps: MAX_STEP_LETTERS }[field] ? TOO_LONG[field] : null;

export const formulaSchema = z.looseObject({
  kind: z.literal('formula'),
  version: z.literal(1),
  id,
  name,
  /** Ingredients as written, one a line. */
  text: z.string().max(MAX_FORMULA_LETTERS, TOO_LONG.text),
  measures: measuresSchema,
  method: methodSchema,
  /** Still-oven temperature that the formula is written for, °C. */
  ovenC: z.number().min(100, 'At least 100 °C.').max(260, 'At most 260 °C.'),
  /** Line as written → key of the ingredient that the person says it is. */
  takenFor: z.record(z.string(), z.string()).default({}),
  steps: z.string().max(MAX_STEP_LETTERS, TOO_LONG.steps).default(''),
  /** The formula that this one leaves lines out of: in a run of both, one base is mixed and parted. */
  apartFrom: id.optional(),
  /** Height of the kitchen that it is written for, m; for low ground where nothing is said. */
  writtenForM: z.number().min(-400).max(5000).optional(),
  /** What it makes; a batter where nothing is said. */
  makes: makesSchema.optional(),
  /** Other formulas that one batch of this one takes, and how much of each. */
  parts: z
    .array(z.looseObject({ formulaId: id, massG: grams(0.1, 100_000) }))
    .max(20, 'At most 20 parts.')
    .optional(),
  /** What the writer says it yields and how long it bakes, for checking against the sums. */
  statedPieces: z
    .number()
    .int('Pieces are whole.')
    .min(1, 'At least 1.')
    .max(5000, 'At most 5000.')
    .nullable()
    .optional(),
  statedMin: z.number().min(1, 'At least 1 min.').max(300, 'At most 300 min.').nullable().optional(),
});
export type FormulaDoc = z.infer<typeof formulaSchema>;

/** Whether it is baked: only then do mixing and oven matter to the sums. */
export const isBatter = ({ makes }: Pick<FormulaDoc, 'makes'>): boolean =>
  makes === undefined || makes === 'batter';
