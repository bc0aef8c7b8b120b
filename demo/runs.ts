import { newCupcakeLine, type CupcakeLine, type Line, type RunDoc } from '../core/model/documents';
import { localOf, minutesOf } from '../core/model/localTime';
import { CAKESICLES, CUBES, CUPCAKES, MUGS, POPS } from './families';

const line = (over: Partial<CupcakeLine>): CupcakeLine =>
  newCupcakeLine({
    id: 'line-1',
    formulaId: 'formula-honey-thyme',
    count: 36,
    tinId: 'tin-standard',
    ovenId: 'oven-main',
    ...over,
  });

/** A device whose clock says 1970 has no past to lay out: then the demo is of a day of its own. */
const OWN_DAY = '2026-11-25T10:00';

/** The day that the demo is laid out for: today, unless the clock cannot be right. */
export function demoDay(now: string): string {
  const year = Number(now.slice(0, 4));
  return year >= 2002 && year <= 2197 ? now : OWN_DAY;
}

/** The next Saturday after a local time, at four in the afternoon. */
export function nextSaturdayAtFour(now: string): string {
  const minutes = minutesOf(now);
  const day = new Date(minutes * 60_000).getUTCDay();
  const ahead = (6 - day + 7) % 7 || 7;
  return `${localOf(minutes + ahead * 1440).slice(0, 10)}T16:00`;
}

/** The table of the evening: five lines, one of each family. */
const TABLE: readonly Line[] = [
  ...POPS.slice(0, 1).map((one) => ({ ...one, count: 36 })),
  ...CUPCAKES.slice(0, 1),
  ...CAKESICLES.slice(0, 1).map((one) => ({ ...one, count: 16 })),
  ...MUGS.map((one) => ({ ...one, count: 12, frosting: null })),
  ...CUBES.map((one) => ({ ...one, count: 30, columns: 6, rows: 5 })),
];

/** The demo's runs: lantern evening on the Saturday to come, its whole table, and the tea table the day before it. */
export function demoRuns(now: string): RunDoc[] {
  const saturday = nextSaturdayAtFour(now);
  const friday = `${localOf(minutesOf(saturday) - 1440).slice(0, 10)}T14:30`;
  const createdAt = minutesOf(now) * 60_000;
  return [
    {
      kind: 'run',
      version: 4,
      id: 'run-lantern-evening',
      name: 'Lantern evening',
      createdAt,
      readyAt: saturday,
      lines: [line({})],
      closed: null,
    },
    {
      kind: 'run',
      version: 4,
      id: 'run-lantern-makers-tea',
      name: 'Lantern makers’ tea',
      createdAt: createdAt - 1,
      readyAt: friday,
      lines: [
        line({
          formulaId: 'formula-beetroot-ginger',
          count: 20,
          fill: { by: 'finish', finish: 'flat' },
          ovenId: 'oven-fan',
        }),
      ],
      closed: null,
    },
    {
      kind: 'run',
      version: 4,
      id: 'run-lantern-table',
      name: 'Lantern evening, the table',
      createdAt: createdAt - 2,
      readyAt: saturday,
      lines: [...TABLE],
      closed: null,
    },
  ];
}
