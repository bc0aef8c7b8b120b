import type { Line } from '../model/documents';

/** Lots never promise more pieces than the line has: the last ones give way first. */
export function shareLots<L extends Line>(line: L): L {
  const lots = line.lots ?? [];
  let left = line.count;
  const fitting = lots.flatMap((lot) => {
    const count = Math.min(lot.count, left);
    left -= count;
    return count > 0 ? [count === lot.count ? lot : { ...lot, count }] : [];
  });
  return fitting.length === lots.length && fitting.every((lot, i) => lot === lots[i])
    ? line
    : { ...line, lots: fitting };
}
