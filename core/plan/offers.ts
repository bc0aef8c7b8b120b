import type { Line } from '../model/documents';
import type { Offer } from './remainder';

const without = (stated: Readonly<Record<string, number>>, id: string): Record<string, number> =>
  Object.fromEntries(Object.entries(stated).filter(([key]) => key !== id));

/** The line with an offer's change made to it. A weighed portion gives way to the one that the offer names. */
export function takeOffer(line: Line, change: NonNullable<Offer['change']>): Line {
  const { count, fill, portionG } = change;
  let next: Line = count === undefined ? line : { ...line, count };
  if (
    fill !== undefined &&
    (next.family === 'cupcake' || (next.family === 'mini' && next.style !== 'cubes'))
  ) {
    next = { ...next, fill, stated: without(next.stated, 'portion.mass') };
  }
  if (portionG !== undefined) {
    if (next.family === 'pop') {
      next = {
        ...next,
        size: { by: 'mass', massG: portionG },
        stated: without(next.stated, 'portion.mass'),
      };
    } else next = { ...next, stated: { ...next.stated, 'portion.mass': portionG } };
  }
  return shareLots(next);
}

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
