import { z } from 'zod';
import { CHORE_DOES } from './choreDoes';
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
/** A step of the day, with what is done in it and for which lines: so that it can be read when its day is gone. */
const step = {
  chore: choreId,
  does: z.enum(CHORE_DOES).optional(),
  lineIds: z.array(id).max(60).optional(),
} as const;
/** Read off an instrument of the simulated kitchen: nothing is learned from it. */
const practice = z.boolean().optional();

/** A look into the heat by what it came to, and what it showed where somebody said so. */
export const lookResultSchema = z.enum(['not yet', 'nearly', 'done', 'over']);
export type LookResult = z.infer<typeof lookResultSchema>;
export const lookSawSchema = z.enum(['wet', 'crumbs', 'pale', 'clean', 'brown']);
export type LookSaw = z.infer<typeof lookSawSchema>;
/** How the middle of a load was, told at closing. */
export const insideSchema = z.enum(['wet', 'right', 'dry', 'burnt']);
export type Inside = z.infer<typeof insideSchema>;

const of = (most: number) => z.number().int().min(1).max(most);
/** Where a tin stands in its oven: the rack from the top of so many, the tin from the left of so many beside each other. */
export const placeSchema = z.object({ rack: of(20), racks: of(20), tin: of(20), tins: of(20) });
export type Place = z.infer<typeof placeSchema>;
const places = z.array(placeSchema).max(40);
/** The times of a load, s from when it went in. */
const times = { firstLookS: seconds, expectedS: seconds, latestS: seconds } as const;

/** Something that happened at the bench. */
export const benchEventSchema = z.discriminatedUnion('what', [
  z.looseObject({ ...at, what: z.literal('begun'), ...step, clock: benchClockSchema.optional() }),
  z.looseObject({ ...at, what: z.literal('done'), ...step }),
  z.looseObject({ ...at, what: z.literal('skipped'), ...step }),
  /** Looked at, and it takes so much longer from then on. */
  z.looseObject({ ...at, what: z.literal('not yet'), ...step, moreS: seconds }),
  /** Put on the scale: a piece of what is portioned, or something that goes into the bowl. */
  z.looseObject({
    ...at,
    what: z.literal('weighed'),
    ...step,
    of: z.string().max(200),
    massG: z.number().min(0).max(100_000),
    practice,
  }),
  /** What somebody said of how a thing is, and what it measured where it was measured. */
  z.looseObject({
    ...at,
    what: z.literal('answered'),
    ...step,
    to: z.string().max(60),
    answer: z.string().max(60),
    value: z.number().min(-100).max(100_000).optional(),
    practice,
  }),
  /** A load goes into its heat. The event's id is the load's; its times are fixed from here on, whatever the plan does. */
  z.looseObject({
    ...at,
    what: z.literal('load in'),
    lineId: id,
    /** 1 for the first load. */
    load: wholeNumber('loads', 1, 10_000),
    pieces: wholeNumber('pieces', 1, MAX_PIECES),
    ...times,
    places: places.optional(),
  }),
  z.looseObject({
    ...at,
    what: z.literal('looked'),
    loadId: id,
    result: lookResultSchema,
    saw: lookSawSchema.optional(),
  }),
  z.looseObject({ ...at, what: z.literal('load out'), loadId: id }),
  /** It stands elsewhere than it was put down for, and has the times of that place. */
  z.looseObject({ ...at, what: z.literal('load at'), loadId: id, places, ...times }),
  z.looseObject({
    ...at,
    what: z.literal('load told'),
    loadId: id,
    inside: insideSchema.optional(),
    /** What a thermometer in the oven read while it baked, °C. */
    airC: z.number().min(40, 'At least 40 °C.').max(400, 'At most 400 °C.').optional(),
    /** A time far off is a true one. */
    confirmed: z.boolean().optional(),
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
