import type { Fill, Line } from '../model/documents';
import { all, choose, measure, type LineAction } from './edit';

/** A change that an offer makes with one tap. */
export interface OfferChange {
  readonly count?: number;
  readonly fill?: Fill;
  readonly portionG?: number;
}

/** What an offer does to a line. A weighed portion gives way to the one that the offer names. */
export function takeOffer(line: Line, { count, fill, portionG }: OfferChange): LineAction {
  const actions: LineAction[] = [];
  if (count !== undefined) actions.push(choose('batches' in line ? { count, batches: null } : { count }));
  if (fill !== undefined && 'fill' in line) actions.push(choose({ fill }));
  if (portionG !== undefined)
    actions.push(
      'size' in line ? choose({ size: { by: 'mass', massG: portionG } }) : measure('portion.mass', portionG),
    );
  return all(...actions);
}
