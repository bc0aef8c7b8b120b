import type { Figure } from '../core/figure';
import { measure } from '../core/line/edit';
import { KITCHEN_KEY, kitchenIn, runIn } from './documents';
import { withSaid } from './learned';
import { change, changeRun, editLine, keptOf, SHARED, onceWhole, useDocuments } from './store';

/** Puts a measured value in a figure's place in this run, or takes it back with null. */
export function stateFigure(runId: string, lineId: string, figure: Figure, value: number | null): void {
  const { docs } = useDocuments.getState();
  const run = runIn(docs, runId);
  const line = lineId === SHARED ? run : run?.lines.find((item) => item.id === lineId);
  if (!run || !line) throw new Error(`invariant: no line "${lineId}" in run "${runId}"`);
  const label = value === null ? `${figure.label} as computed` : `${figure.label} as measured`;
  const kept = keptOf(kitchenIn(docs), figure);
  if (value === null && kept && !kept.learned && !(figure.id in (line.measured ?? {}))) {
    keepFigure(figure, null, kept.of, null);
    return;
  }
  if (lineId !== SHARED) editLine(label, runId, lineId, measure(figure.id, value));
  else {
    const { [figure.id]: _, ...others } = run.measured ?? {};
    changeRun(label, {
      ...run,
      measured: value === null ? others : { ...others, [figure.id]: value },
    });
  }
}

/** Keeps a measured value for all runs, of the thing that it belongs to; null takes it back. */
export function keepFigure(
  { known, label }: Figure,
  value: number | null,
  of: string,
  since: string | null,
): void {
  if (!known) return;
  onceWhole(() => {
    const kitchen = kitchenIn(useDocuments.getState().docs);
    const belief = value === null ? null : { mean: value, spread: 0, seen: 1, since };
    change(value === null ? `${label} as usual` : `${label} always`, {
      [KITCHEN_KEY]: withSaid(kitchen, known.param, of, belief),
    });
  });
}
