import { gramsText as grams } from '../plan';

const pieces = (n: number): string => (n === 1 ? 'one more' : `${n} more`);

/** Ways to so many more pieces, at a day that has begun. */
export const MORE = {
  spare: (n: number) => (n === 1 ? 'One is over already.' : `${n} are over already.`),
  grow: (n: number) => `${pieces(n)} from the first bowl: nothing is weighed out yet`,
  smaller: (n: number, fromG: number, toG: number) =>
    `${pieces(n)} of the same bowl, each ${grams(toG)} instead of ${grams(fromG)}`,
  apart: (n: number) => `A small bowl of its own for ${pieces(n)}`,
} as const;
