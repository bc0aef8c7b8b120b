import { z } from 'zod';
import { MAX_PIECES, id, name, wholeNumber } from './fields';

/** A local day: `2026-11-28`. */
export const localDay = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'Write the day as 2026-11-28.')
  .refine((text) => Number.isFinite(Date.parse(`${text}T00:00Z`)), 'There is no such day.');

const days = z.number().min(0, 'At least 0 days.').max(400, 'At most 400 days.').nullable();

export const KEPT_PLACES = ['room', 'fridge', 'freezer'] as const;
export type KeptPlace = (typeof KEPT_PLACES)[number];

/** What was made and put away: where it stands, how long it keeps there, and how many are left. */
export const keptSchema = z
  .looseObject({
    id,
    name,
    /** The run and the line that it came of; null where nobody knows. */
    runId: id.nullable(),
    lineId: id.nullable(),
    madeOn: localDay,
    place: z.enum(KEPT_PLACES),
    /** In this place since. */
    since: localDay,
    /** Of its time out of the freezer, how much had passed before it came here, 0 to 1. */
    used: z.number().min(0).max(1),
    /** Days that it keeps fresh in each place; null where it should not be kept there. */
    days: z.looseObject({ room: days, fridge: days, freezer: days }),
    made: wholeNumber('pieces', 1, MAX_PIECES),
    left: wholeNumber('pieces', 0, MAX_PIECES),
  })
  .refine(({ made, left }) => left <= made, {
    path: ['left'],
    message: 'No more can be left than were made.',
  });
export type Kept = z.infer<typeof keptSchema>;

const money = (least: number) =>
  z.number().min(least, `At least ${least}.`).max(1_000_000, 'At most 1000000.').nullable();

/** What work, current and wrapping cost, in whatever money the person reckons. */
export const moneySchema = z.looseObject({
  /** An hour of work. */
  hour: money(0),
  /** A kilowatt hour. */
  kWh: money(0),
  /** Box, bag or stand of one piece. */
  wrap: money(0),
  /** What is put on top of what it costs, as a share of the price. */
  margin: z.number().min(0, 'At least 0 %.').max(0.9, 'At most 90 %.'),
});
export type Money = z.infer<typeof moneySchema>;
