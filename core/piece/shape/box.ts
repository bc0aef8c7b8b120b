import { cm2, ml, plus, times } from '../../figure';
import type { CavityShape } from './cavityShape';
import { flatFloor } from './stickMould';

/** Straight sides and a flat floor. */
export const box: CavityShape = {
  kind: 'box',
  title: 'a box',
  detail: 'Straight sides.',
  opening: ({ length, width }) => times(length, width),
  volume: ({ length, width, depth }) => ml(times(times(length, width), depth)),
  wall: ({ length, width, depth }) =>
    cm2(plus(times(length, width), times(times(2, plus(length, width)), depth))),
  outline: flatFloor,
};
