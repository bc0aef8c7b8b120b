import { clocksIn, type BakeClock } from '../bench/clocksIn';
import { placeWords } from '../bench/places';
import { csvText } from '../exchange/csv';
import { iso } from '../exchange/tables';
import type { BenchEvent, RunDoc } from '../model/documents';

type Cells = readonly [
  what: string,
  line: string | null,
  step: string | null,
  said: string | null,
  value: number | null,
];

/** What was told, for which line, at which step or load, in words and as a number. */
function cellsOf(event: BenchEvent, loads: ReadonlyMap<string, BakeClock>): Cells {
  const { what } = event;
  const cells = (step: string | null, said: string | null, value: number | null): Cells => {
    const { lineId, lineIds } = event as { readonly lineId?: string; readonly lineIds?: readonly string[] };
    return [what, lineId ?? lineIds?.join(' ') ?? null, step, said, value];
  };
  const ofLoad = (loadId: string, said: string | null, value: (clock: BakeClock) => number | null): Cells => {
    const clock = loads.get(loadId);
    return [
      what,
      clock?.lineId ?? null,
      clock ? `load ${clock.load}` : null,
      said,
      clock ? value(clock) : null,
    ];
  };
  const gone = ({ startedAt }: BakeClock) => Math.round((event.at - startedAt) / 1000);
  switch (event.what) {
    case 'answered':
      return cells(event.chore, `${event.to}: ${event.answer}`, event.value ?? null);
    case 'weighed':
      return cells(event.chore, event.of, event.massG);
    case 'not yet':
      return cells(event.chore, null, event.moreS);
    case 'begun':
    case 'done':
    case 'skipped':
      return cells(event.chore, null, null);
    case 'lost':
    case 'counted':
      return cells(null, null, event.pieces);
    case 'line closed':
      return cells(null, null, event.made);
    case 'load in':
      return cells(`load ${event.load}`, null, event.pieces);
    case 'looked':
      return ofLoad(event.loadId, event.saw ?? event.result, gone);
    case 'load out':
      return ofLoad(event.loadId, null, gone);
    case 'load at':
      return ofLoad(event.loadId, placeWords(event.places), () => null);
    case 'load told':
      return ofLoad(event.loadId, event.inside ?? null, () => event.airC ?? null);
    case 'handed':
    case 'paused':
    case 'resumed':
    case 'undone':
      return cells(null, null, null);
  }
}

/** What happened, an event a row: of all runs, the first first. */
export function logCsv(runs: readonly RunDoc[]): string {
  const rows = runs.flatMap((run) => {
    const { id, name, log = [], closed } = run;
    const loads = new Map(clocksIn(run).map((clock) => [clock.id, clock]));
    const ended = closed
      ? [{ at: closed.at, cells: ['closed', null, null, closed.note || closed.finish, closed.made] as const }]
      : [];
    return [...log.map((event) => ({ at: event.at, cells: cellsOf(event, loads) })), ...ended].map(
      ({ at, cells }) => ({ at, row: [id, name, iso(at), ...cells] as const }),
    );
  });
  return csvText(
    ['run', 'name', 'at', 'what', 'line', 'step', 'said', 'value'],
    rows.sort((a, b) => a.at - b.at).map(({ row }) => row),
  );
}
