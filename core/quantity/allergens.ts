import { ALLERGENS, ALLERGEN_PHRASES, FREES, PLANT_BASED, type Allergen } from './allergens.table';

const PHRASES = ALLERGEN_PHRASES.map(({ words, of }) => ({
  of,
  pattern: new RegExp(`(?<![a-z])(?:${words})(?![a-z])`, 'g'),
}));
const FREE = new RegExp(`(?<![a-z])(${Object.keys(FREES).join('|')})[ -]free(?![a-z])`, 'g');
const FREE_FROM = new RegExp(
  `(?<![a-z])(?:free from|free of|without|no) (${Object.keys(FREES).join('|')})s?(?![a-z])`,
  'g',
);
const PLANTS = /(?<![a-z])(?:vegan|plant[ -]based|dairy[ -]and[ -]egg[ -]free)(?![a-z])/;
/** More than so much is no name of a thing. */
const LONGEST = 400;

/** Small letters without accents or marks between words. */
const plainly = (text: string): string =>
  text
    .slice(0, LONGEST)
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[’']/g, ' ')
    .replace(/[-–_/]/g, ' ')
    .replace(/\s+/g, ' ');

/**
 * Allergens of a thing by its words, in the order of the lists. The longest phrase decides ("coconut milk" holds none),
 * and a word that frees is believed for what it frees and for no more. What nobody can know without the packet is
 * `unknown`, never absent.
 */
export const allergensIn = (text: string): readonly Allergen[] => allergensTold(text).of;

/** The same, and whether the words told anything at all: "coconut milk" tells that there are none. */
export function allergensTold(text: string): { readonly of: readonly Allergen[]; readonly told: boolean } {
  const plain = plainly(text);
  let hay = plain;
  const freed = new Set<Allergen>();
  for (const pattern of [FREE, FREE_FROM])
    hay = hay.replace(pattern, (_, what: string) => {
      for (const one of FREES[what] ?? []) freed.add(one);
      return '|';
    });
  if (PLANTS.test(hay)) for (const one of PLANT_BASED) freed.add(one);
  const found = new Set<Allergen>();
  for (const { pattern, of } of PHRASES)
    hay = hay.replace(pattern, () => {
      for (const one of of) found.add(one);
      return '|';
    });
  const of = ALLERGENS.filter((one) => found.has(one) && !freed.has(one));
  return { of, told: hay !== plain || freed.size > 0 };
}
