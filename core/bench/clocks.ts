import type { RunDoc } from '../model/documents';
import { nextLookAt } from './clock';
import { clocksIn } from './clocksIn';
import { placeWords } from './places';
import { benchStateOf, dueAtOf } from './log';

/** A clock that runs, whatever it runs for. Times in ms since the epoch. */
export interface Running {
  readonly key: string;
  readonly runId: string;
  /** What it is, and of which pieces. */
  readonly label: string;
  readonly of: string;
  readonly begunAt: number;
  /** When somebody has to look, or it is expected to be ready. */
  readonly dueAt: number;
  /** Whether that is a look into the heat. */
  readonly look: boolean;
  readonly lineId: string | null;
  /** Where it stands, where a load has a place: "Upper rack". */
  readonly place: string | null;
}

/** So long after it was due a wait is still told, ms: it has ended by itself, and the bench has gone on. */
const OVER_MS = 20 * 60_000;

/** All clocks of runs that are not closed, the first to be due first. They stand by themselves: no plan is asked. */
export function clocksOf(runs: readonly RunDoc[], now: number): Running[] {
  return runs
    .filter(({ closed }) => !closed)
    .flatMap((run): Running[] => [
      ...clocksIn(run)
        .filter(({ endedAt }) => endedAt === null)
        .map((clock): Running => {
          const place = placeWords(clock.places);
          return {
            key: clock.id,
            runId: run.id,
            label: `Load ${clock.load}${place ? `, ${place}` : ''}`,
            of: run.name,
            begunAt: clock.startedAt,
            dueAt: nextLookAt(clock),
            look: true,
            lineId: clock.lineId,
            place: place ? place.replace(/^./, (first) => first.toUpperCase()) : null,
          };
        }),
      ...[...benchStateOf(run.log ?? []).chores].flatMap(([id, told]): Running[] => {
        const dueAt = dueAtOf(told);
        if (
          dueAt === null ||
          told.begunAt === null ||
          told.endedAt !== null ||
          (told.clock?.firstLookS === undefined && dueAt < now - OVER_MS)
        )
          return [];
        const { label = '', of = '', firstLookS } = told.clock ?? {};
        const look = firstLookS !== undefined;
        return [
          {
            key: id,
            runId: run.id,
            label,
            of,
            begunAt: told.begunAt,
            dueAt,
            look,
            lineId: null,
            place: null,
          },
        ];
      }),
    ])
    .sort((a, b) => a.dueAt - b.dueAt);
}
