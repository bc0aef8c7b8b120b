import { z } from 'zod';

/** Kinds of instruments, whoever makes them. */
export const INSTRUMENTS = ['scale', 'oven air', 'core', 'syrup', 'coat', 'microwave'] as const;
export type InstrumentKind = (typeof INSTRUMENTS)[number];

/** What an instrument says, as it comes in. Scales in g, a microwave in s that are left of its burst, all others in °C. */
export const readingSchema = z.object({
  id: z.string().min(1).max(60),
  kind: z.enum(INSTRUMENTS),
  /** Counts up by one; begins anew when the instrument does. */
  seq: z.number().int().min(0).max(Number.MAX_SAFE_INTEGER),
  value: z.number().min(-1e6).max(1e6),
});
export type Reading = z.infer<typeof readingSchema>;

/** How far an instrument is to be believed. */
export type Health =
  | 'good'
  /** Nothing for a breath: what stands there is a moment old. */
  | 'stale'
  /** Nothing for long. */
  | 'lost'
  /** The very same figure again and again, where nothing real holds so still. */
  | 'frozen'
  /** A figure that cannot be: no kitchen is so hot, nothing warms so fast. */
  | 'lying';

export interface Instrument {
  readonly id: string;
  readonly kind: InstrumentKind;
  readonly value: number;
  readonly health: Health;
  /** A weight that holds still long enough to be taken; null while it moves, and for what is no scale. */
  readonly settled: number | null;
  /** ms, by the clock of who listens. */
  readonly heardAt: number;
  readonly seq: number;
  /** The last values with when they were heard, the newest last. */
  readonly recent: readonly { readonly value: number; readonly at: number }[];
  /** Since when the figure has been the very same, ms. */
  readonly sameSince: number;
  /** Until when a figure that could not be is not forgiven, ms. */
  readonly doubtUntil: number;
}

const STALE_MS = 1500;
const LOST_MS = 6000;
/** A thermometer that shows the very same tenth for so long is stuck: an oven swings, a cake warms. */
const FROZEN_MS = 45_000;
/** After a figure that cannot be, an instrument is believed again once it has spoken sense for so long. */
const DOUBT_MS = 5000;
/** A weight is settled once it holds within so much for so long. */
const SETTLED = { withinG: 0.6, forMs: 800 } as const;
const RECENT = 40;

/** What can be, and how fast it can change. Basis: a kitchen; a load put on a scale is as fast as a hand. */
const POSSIBLE: Readonly<
  Record<InstrumentKind, { readonly low: number; readonly high: number; readonly perS: number }>
> = {
  scale: { low: -3000, high: 15_000, perS: Infinity },
  'oven air': { low: -10, high: 320, perS: 40 },
  core: { low: -40, high: 112, perS: 12 },
  syrup: { low: -10, high: 200, perS: 15 },
  coat: { low: -10, high: 90, perS: 10 },
  microwave: { low: 0, high: 3600, perS: Infinity },
};
/** Only thermometers move by themselves: a scale and a clock may stand still. */
const STILL: ReadonlySet<InstrumentKind> = new Set(['scale', 'microwave']);

/** Takes a reading in. One that was heard before, or comes late, changes nothing. */
export function heard(before: Instrument | undefined, reading: Reading, at: number): Instrument {
  const { id, kind, seq, value } = reading;
  if (before && before.kind === kind && seq <= before.seq && !restarted(before, seq)) return before;
  const last = before?.kind === kind ? before : undefined;
  const { low, high, perS } = POSSIBLE[kind];
  const passedS = last ? Math.max(0.5, (at - last.heardAt) / 1000) : Infinity;
  const jumped =
    last !== undefined && last.health !== 'lost' && Math.abs(value - last.value) / passedS > perS;
  const doubtUntil = value < low || value > high || jumped ? at + DOUBT_MS : (last?.doubtUntil ?? -Infinity);
  const recent = [...(last?.recent ?? []), { value, at }].slice(-RECENT);
  const sameSince = last && last.value === value ? last.sameSince : at;
  const now: Instrument = {
    id,
    kind,
    value,
    seq,
    heardAt: at,
    recent,
    sameSince,
    doubtUntil,
    health: 'good',
    settled: null,
  };
  return looked(now, at);
}

/** An instrument that begins to count anew was switched off in between. */
const restarted = (before: Instrument, seq: number): boolean => seq < 5 && before.seq > seq + 20;

/** The same instrument as it is to be believed at a moment, heard or not. */
export function looked(one: Instrument, at: number): Instrument {
  const health: Health =
    at - one.heardAt > LOST_MS
      ? 'lost'
      : at < one.doubtUntil
        ? 'lying'
        : !STILL.has(one.kind) && at - one.sameSince > FROZEN_MS
          ? 'frozen'
          : at - one.heardAt > STALE_MS
            ? 'stale'
            : 'good';
  const settled = one.kind === 'scale' && health === 'good' ? settledOf(one.recent, at) : null;
  return health === one.health && settled === one.settled ? one : { ...one, health, settled };
}

function settledOf(recent: Instrument['recent'], at: number): number | null {
  const lately = recent.filter((one) => at - one.at <= SETTLED.forMs);
  const before = recent.find((one) => at - one.at > SETTLED.forMs);
  // Too little has been heard to say that it holds still.
  if (lately.length < 4 || !before) return null;
  const values = lately.map(({ value }) => value).sort((a, b) => a - b);
  const [low = 0, high = 0] = [values[0], values.at(-1)];
  return high - low <= SETTLED.withinG ? (values[values.length >> 1] ?? null) : null;
}

/** A scale with nothing on it ought to say so within this, g; so little that it shows is drift, and no piece. */
export const DRIFT = { fromG: 0.3, toG: 3 } as const;

/** What an empty scale shows though nothing is on it, g: to be tared away. Null where it shows nothing, or a piece. */
export const driftOf = ({ settled }: Instrument): number | null =>
  settled !== null && Math.abs(settled) >= DRIFT.fromG && Math.abs(settled) <= DRIFT.toG ? settled : null;

/** Reads a line of a stream; null where it is none of ours. */
export function readReading(text: string): Reading | null {
  if (text.length > 2000) return null;
  try {
    const read = readingSchema.safeParse(JSON.parse(text));
    return read.success ? read.data : null;
  } catch {
    return null;
  }
}
