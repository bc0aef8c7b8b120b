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

/** What a day begins with, of whichever run: nobody counts what only waits. */
export const firstOf = ({
  chores,
  beside,
}: {
  readonly chores: readonly Timed[];
  readonly beside: readonly Timed[];
}): Timed | null =>
  [...chores, ...beside]
    .filter(({ chore }) => chore.kind !== 'wait')
    .sort((a, b) => (a.startAt < b.startAt ? -1 : Number(a.startAt > b.startAt)))[0] ?? null;
