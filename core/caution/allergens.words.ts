import type { AllergenKind } from '../model/kinds';
import type { Holds, Told } from '../quantity';

export const ALLERGEN_NAMES: Readonly<Record<AllergenKind, string>> = {
  gluten: 'gluten',
  wheat: 'wheat',
  egg: 'egg',
  milk: 'milk',
  nuts: 'nuts',
  peanut: 'peanut',
  soya: 'soya',
  sesame: 'sesame',
  sulphite: 'sulphite',
  fish: 'fish',
  crustaceans: 'crustaceans',
  molluscs: 'molluscs',
  celery: 'celery',
  mustard: 'mustard',
  lupin: 'lupin',
};
const PERHAPS_MORE = 'perhaps more (read the packets)';

/** As people read them: wheat is named with the gluten that it brings, and what is not known comes last. */
export const allergenNames = (allergens: readonly Told[]): string[] =>
  allergens
    .filter((one) => one !== 'wheat' || !allergens.includes('gluten'))
    .sort((a, b) => Number(a === 'unknown') - Number(b === 'unknown'))
    .map((one) =>
      one === 'unknown'
        ? PERHAPS_MORE
        : one === 'gluten' && allergens.includes('wheat')
          ? 'gluten (wheat)'
          : ALLERGEN_NAMES[one],
    );

/** "a, b and c". */
export function listWords(words: readonly string[]): string {
  if (words.length <= 1) return words.join('');
  return `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}

/** What is held and what is not known, for a list, a label and a page: each a sentence, the doubt first. */
export interface HoldsWords {
  /** "Not known: read the packet of moon dust."; null where all is known. */
  readonly notKnown: string | null;
  /** "gluten (wheat), egg, milk"; empty where nothing is told of. */
  readonly contains: string;
  /** "May hold more: dark chocolate, sprinkles."; null where nothing was bought ready made. */
  readonly mayHoldMore: string | null;
}

export function holdsWords({ allergens, packets }: Holds): HoldsWords {
  const names = (known: boolean) => packets.filter((one) => one.known === known).map(({ name }) => name);
  const [unknown, bought] = [names(false), names(true)];
  return {
    notKnown:
      unknown.length === 0 ? null : `Not known: read the packet of ${listWords(unknown.map(quoted))}.`,
    contains: allergenNames(allergens).join(', '),
    mayHoldMore: bought.length === 0 ? null : `May hold more than this: ${listWords(bought)}.`,
  };
}

const quoted = (name: string): string => `"${name}"`;

/** The same in one line, for where there is room for one. */
export function holdsLine(holds: Holds): string {
  const { notKnown, contains, mayHoldMore } = holdsWords(holds);
  return [notKnown, contains === '' ? 'None that the lines tell of.' : `Contains ${contains}.`, mayHoldMore]
    .filter((one) => one !== null)
    .join(' ');
}

/** What whoever serves it has to know, of a piece or of all that a run makes. */
export function allergenCaution(holds: Holds): string {
  const { notKnown, contains, mayHoldMore } = holdsWords(holds);
  return [
    notKnown,
    contains === '' ? '' : `Contains ${listWords(allergenNames(holds.allergens))}, as far as the lines tell.`,
    mayHoldMore,
    'Read the packets, and say so to whoever eats. Local food law decides what a label must list.',
  ]
    .filter(Boolean)
    .join(' ');
}
