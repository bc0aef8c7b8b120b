import type { RunDoc } from '../model/documents';
import { lastOf } from './log';

/** What was done last at a bench, by whichever of its records it stands in. Times in ms since the epoch. */
export type LastAct =
  | { readonly of: 'log'; readonly at: number; readonly events: readonly string[] }
  | { readonly of: 'clock'; readonly at: number; readonly clockId: string };

/** The last thing that somebody told, and what began by itself together with it; null where nothing was told. */
export function lastActOf({ log = [], clocks }: Pick<RunDoc, 'log' | 'clocks'>): LastAct | null {
  const event = lastOf(log);
  const [clock] = clocks
    .map((one) => ({ id: one.id, at: Math.max(one.startedAt, one.endedAt ?? 0, one.looks.at(-1)?.at ?? 0) }))
    .sort((a, b) => b.at - a.at);
  if (clock && (!event || clock.at >= event.at)) return { of: 'clock', at: clock.at, clockId: clock.id };
  if (!event) return null;
  const together = log.filter(({ at, what }) => at === event.at && what !== 'undone');
  return { of: 'log', at: event.at, events: together.map(({ id }) => id) };
}

/** Clocks without what was told of one of them at that moment: its end, a look, or that the load went in at all. */
export const clocksWithout = (
  clocks: RunDoc['clocks'],
  { at, clockId }: Extract<LastAct, { readonly of: 'clock' }>,
): RunDoc['clocks'] =>
  clocks.flatMap((clock) => {
    if (clock.id !== clockId) return [clock];
    if (clock.startedAt === at) return [];
    return [
      {
        ...clock,
        looks: clock.looks.filter((look) => look.at !== at),
        endedAt: clock.endedAt === at ? null : clock.endedAt,
      },
    ];
  });
