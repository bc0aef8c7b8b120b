import { plural } from '../../quantity';
import { words } from '../../figure';

export const SCOOP = {
  number: words(
    'Scoop that comes nearest, its number',
    'With the fewest level scoops, where several come near.',
  ),
  volume: words('A level scoop', 'So many level ones as its number says make a US quart of {946 ml}.'),
  count: (into: string) =>
    words(`Level scoops for ${into}`, 'As many as come nearest to the weight. The scale is surer.'),
  mass: (into: string, count: number, number: number) =>
    words(
      `By ${count === 1 ? 'one' : count} level ${plural('scoop', count)} ${number}`,
      `What that puts into ${into}: hold it against the weight wanted.`,
    ),
} as const;
