import { z } from 'zod';
import { id, moment } from './fields';

/** A value of some figure or parameter: nothing in a kitchen is larger. */
const value = z.number().min(-1e6, 'At least −1000000.').max(1e6, 'At most 1000000.');

/** What was seen of a parameter in one run: a measure, or bounds where a look only said "not yet" or "too far". */
export const evidenceSchema = z.looseObject({
  id,
  /** Key of the parameter, as the registry has it. */
  param: z.string().min(1).max(80),
  /** What it belongs to, the most specific first: `oven:oven-main`, `kitchen`. */
  of: z.array(z.string().min(1).max(120)).min(1).max(6),
  at: moment,
  lineId: id,
  /** Between which values it lay, in the parameter's unit; the same where it was measured, null where it was open. */
  low: value.nullable(),
  high: value.nullable(),
  /** What the parameter started from there, before anything was learned. */
  start: z.looseObject({ value, spread: z.number().min(0).max(1e6) }),
  /** What of it the plan of that day expected, and what came: in the unit of that figure. */
  seen: z.looseObject({ figureId: z.string().max(120), expected: value, came: value }).optional(),
  /** Written by versions before `beside`: by how many K above its dial the oven was taken to be, and what each K does to the time. */
  air: z.looseObject({ saidK: z.number().min(-200).max(200), perK: z.number().min(-1).max(1) }).optional(),
  /**
   * What else the figure rests on that was seen: it lay so only if these are as they were taken to be. With how much each
   * counts against the parameter itself, on the scales on which both are learned.
   */
  beside: z
    .array(
      z.looseObject({
        param: z.string().min(1).max(80),
        of: z.array(z.string().min(1).max(120)).min(1).max(6),
        /** What it was taken to be, and what it started from. */
        was: value,
        start: z.looseObject({ value, spread: z.number().min(0).max(1e6) }),
        per: z.number().min(-1e6).max(1e6),
      }),
    )
    .max(24)
    .optional(),
  /** What is doubted of it beyond the noise of its kind, as a standard deviation on the scale on which it is learned. */
  doubt: z.number().min(0).max(100).optional(),
  /** Formulas that it was seen with, where what it says holds for those before others. */
  with: z.array(id).max(20).optional(),
  /** Taken to heart, kept for later, or left out. */
  taken: z.enum(['yes', 'wait', 'no']).default('yes'),
});
export type Evidence = z.infer<typeof evidenceSchema>;
