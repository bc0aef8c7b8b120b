import { allergenNames, listWords } from '../../caution/allergens.words';
import type { AllergenKind } from '../../model/kinds';

/** What pieces that are promised free of something have to themselves. */
export type OwnThing = 'bowl' | 'tin' | 'bag' | 'pot' | 'tray' | 'board' | 'box';

const OWN: Readonly<Record<OwnThing, string>> = {
  bowl: 'Their own bowl, scale pan and spoons, washed and dry.',
  tin: 'Their own tin, washed, with new cases.',
  bag: 'Their own bag and nozzle.',
  pot: 'Their own pot and spoon.',
  tray: 'Their own tray.',
  board: 'Their own board and knife.',
  box: 'Their own box, closed and labelled before the others come out.',
};

const free = (of: readonly AllergenKind[]): string => `free of ${listWords(allergenNames(of))}`;

export const PROMISE = {
  whole: (of: readonly AllergenKind[], own: OwnThing) => `Promised ${free(of)}. ${OWN[own]}`,
  some: (count: number, name: string, of: readonly AllergenKind[], own: OwnThing) =>
    `First the ${count} "${name}", promised ${free(of)}. ${OWN[own]}`,
} as const;
