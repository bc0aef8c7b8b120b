import { z } from 'zod';

/**
 * What a kitchen has measured or learned of one thing. Written by hand it has no spread; what is learned from outcomes
 * carries the spread that is left.
 */
export const beliefSchema = z.looseObject({
  /** Key of the parameter, as the registry has it. */
  param: z.string().min(1).max(80),
  /** What it belongs to: `kitchen`, or `oven:oven-main`. */
  of: z.string().min(1).max(120),
  mean: z.number(),
  /** Half the width from the 10th to the 90th percentile, in the parameter's unit. */
  spread: z.number().min(0, 'A spread cannot be less than 0.'),
  /** How many times it was seen. */
  seen: z.number().int('Times are whole.').min(1, 'At least once.'),
  /** Local date since when it holds; null where nobody wrote it down. */
  since: z
    .string()
    .regex(/^\d{4}-\d{2}-\d{2}$/, 'Write the day as 2026-11-28.')
    .nullable(),
  /** How it is tied to others that it was learned with, by `param@of`: as correlations of what a plan doubts of both. */
  ties: z.record(z.string().max(240), z.number().min(-1).max(1)).optional(),
  /** Written by versions before `ties`: formulas that it was learned with. */
  with: z.array(z.string().min(1).max(120)).max(40).optional(),
  /** Learned from outcomes, and reckoned anew with each of them; left out where somebody has set it. */
  learned: z.boolean().optional(),
});
export type Belief = z.infer<typeof beliefSchema>;
