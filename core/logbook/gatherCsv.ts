import { csvText } from '../exchange/csv';
import type { RunDoc } from '../model/documents';
import type { RunPlan } from '../plan';
import { ticksOf, tickKey } from '../plan/bowls';
import type { RunDay } from '../schedule/chores';
import { gatherOf } from '../schedule/gather';

/** All that is weighed out and got ready for a run, a thing a row: grams and pieces as they are reckoned. */
export function gatherCsv(run: RunDoc, whole: RunPlan, day: RunDay | null): string {
  const ticked = ticksOf(run);
  const figureOf = (lineId: string, id: string) => {
    const line = whole.lines.find((one) => one.line.id === lineId);
    const holder = line?.planned ? line : whole.components;
    return holder?.has(id) ? holder.figure(id) : null;
  };
  const rows = gatherOf(run, whole, day).flatMap(({ title, at, bowl, things }) => [
    ...(bowl?.batch.ingredients ?? []).map((item) => [
      title,
      at,
      item.name,
      Math.round(item.mass.value * 100) / 100,
      'g',
      item.whole ? Math.round(item.whole.value * 100) / 100 : null,
      bowl ? ticked.has(tickKey(bowl.batch, item)) : false,
    ]),
    ...things.map(({ key, lineId, figureId, what }) => {
      const figure = figureOf(lineId, figureId);
      return [
        title,
        at,
        what,
        figure ? Math.round(figure.value * 100) / 100 : null,
        figure?.unit ?? null,
        null,
        ticked.has(key),
      ];
    }),
  ]);
  return csvText(['for', 'needed_at', 'what', 'amount', 'unit', 'whole_ones', 'weighed'], rows);
}
