import { z } from 'zod';
import { MAX_PIECES, id, moment, wholeNumber } from './fields';

const choreId = z.string().min(1).max(200);
const seconds = z.number().min(0).max(10_000_000);

/** What a clock at the bench runs for: kept with its event, so that it stands by itself whatever becomes of the plan. */
export const benchClockSchema = z.looseObject({
  /** What it is: "Cool, load 1". */
  label: z.string().max(200),
  /** Of which pieces, and where: "24 cupcakes, Hall oven". */
  of: z.string().max(300),
  /** Seconds from its beginning. The first look, where somebody has to look into a heat. */
  firstLookS: seconds.optional(),
  expectedS: seconds,
  latestS: seconds,
});
export type BenchClock = z.infer<typeof benchClockSchema>;

const at = { id, at: moment } as const;
/** Read off an instrument of the simulated kitchen: nothing is learned from it. */
const practice = z.boolean().optional();

/** Something that happened at the bench. */
export const benchEventSchema = z.discriminatedUnion('what', [
  z.looseObject({ ...at, what: z.literal('begun'), chore: choreId, clock: benchClockSchema.optional() }),
  z.looseObject({ ...at, what: z.literal('done'), chore: choreId }),
  z.looseObject({ ...at, what: z.literal('skipped'), chore: choreId }),
  /** Looked at, and it takes so much longer from then on. */
  z.looseObject({ ...at, what: z.literal('not yet'), chore: choreId, moreS: seconds }),
  /** Put on the scale: a piece of what is portioned, or something that goes into the bowl. */
  z.looseObject({
    ...at,
    what: z.literal('weighed'),
    chore: choreId,
    of: z.string().max(200),
    massG: z.number().min(0).max(100_000),
    practice,
  }),
  /** What somebody said of how a thing is, and what it measured where it was measured. */
  z.looseObject({
    ...at,
    what: z.literal('answered'),
    chore: choreId,
    to: z.string().max(60),
    answer: z.string().max(60),
    value: z.number().min(-100).max(100_000).optional(),
    practice,
  }),
  /** A bowl came to so many pieces as it was portioned: the rest of the day is for that many. */
  z.looseObject({
    ...at,
    what: z.literal('counted'),
    lineId: id,
    pieces: wholeNumber('pieces', 1, MAX_PIECES),
  }),
  z.looseObject({
    ...at,
    what: z.literal('lost'),
    lineId: id,
    pieces: wholeNumber('pieces', 1, MAX_PIECES),
  }),
  /** A line is done while others go on: so many good ones came of it, and how they ended. */
  z.looseObject({
    ...at,
    what: z.literal('line closed'),
    lineId: id,
    made: wholeNumber('pieces', 0, MAX_PIECES),
    finish: z.string().max(20).optional(),
  }),
  /** A line goes to somebody else, or comes back. */
  z.looseObject({ ...at, what: z.literal('handed'), lineId: id, away: z.boolean() }),
  z.looseObject({ ...at, what: z.literal('paused') }),
  z.looseObject({ ...at, what: z.literal('resumed') }),
  /** An event that never counted. */
  z.looseObject({ ...at, what: z.literal('undone'), event: id }),
]);
export type BenchEvent = z.infer<typeof benchEventSchema>;
