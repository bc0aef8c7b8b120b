import type { Chore } from './chore';

/** A chore at its time. */
export interface Timed {
  readonly chore: Chore;
  /** Local times, to the minute. */
  readonly startAt: string;
  readonly endAt: string;
  /** Minutes before the run must be ready. */
  readonly startMin: number;
  readonly endMin: number;
  /** How much earlier it could begin with nothing else moved, s. */
  readonly slackS: number;
  /** What keeps it from beginning earlier than that; null where it is the beginning of the day. */
  readonly heldBy: string | null;
}
