import { INGREDIENTS, type Ingredient } from './ingredients.table';
import { CUTS, HARMLESS, JOINING, OTHER_FORM, PLAIN_ONLY, PRODUCT_WORDS } from './nameWords.table';

/** Lower case, without accents, apostrophes or punctuation, so that names compare as words. */
function words(text: string): string {
  const bare = text
    .normalize('NFD')
    .replace(/[\u0300-\u036f’']/g, '')
    .toLowerCase();
  return ` ${bare.replace(/[^a-z]+/g, ' ').trim()} `;
}

const ALIASES = INGREDIENTS.flatMap((ingredient) =>
  [ingredient.name, ...ingredient.names].map((name) => ({ words: words(name), ingredient })),
);

/**
 * The ingredient that a text names, or null. In English the thing itself stands last ("vanilla sugar" is a sugar), so
 * the alias that ends latest wins, and of those the longest ("peanut butter" over "butter").
 */
export function findIngredient(text: string): Ingredient | null {
  const hay = words(text);
  const best = lastAlias(hay);
  return best && isThatThing(hay, best) ? best.ingredient : null;
}

interface Alias {
  readonly end: number;
  readonly length: number;
  readonly ingredient: Ingredient;
}

/**
 * Whether what stands around an alias leaves the thing what it is: a product word behind it makes another thing of it,
 * and before a plain name only such words may stand as change nothing.
 */
function isThatThing(hay: string, { end, length }: Alias): boolean {
  const listed = (text: string) => text.trim().split(' ').filter(Boolean);
  const after = listed(hay.slice(end - 1));
  if (after.some((word) => PRODUCT_WORDS.has(word)) || !isTail(after)) return false;
  const alias = hay.slice(end - length, end).trim();
  const before = listed(hay.slice(0, end - length + 1));
  if (before.some((word) => OTHER_FORM.has(word))) return false;
  if (!PLAIN_ONLY.has(alias)) return true;
  return before.every((word) => HARMLESS.has(word) || word.length < 3 || /(?:ly|ed)$/.test(word));
}

/** Whether words behind a name only say how it is cut, treated or meant: rice bubbles are no rice. */
function isTail(after: readonly string[]): boolean {
  const ends = after.findIndex((word) => JOINING.has(word));
  return (ends < 0 ? after : after.slice(0, ends)).every(
    (word) => HARMLESS.has(word) || CUTS.has(word) || word.length < 3 || /(?:ly|ed|en|ing)$/.test(word),
  );
}

interface Form {
  /** The alias, or its plural, as words with a space on either side. */
  readonly words: string;
  readonly ingredient: Ingredient;
  readonly exact: boolean;
}

/** Aliases and their plurals by their last word, the longest first, and of those as they stand before those with an s. */
const BY_LAST_WORD: ReadonlyMap<string, readonly Form[]> = byLastWord();

function byLastWord(): Map<string, Form[]> {
  const out = new Map<string, Form[]>();
  for (const { words: alias, ingredient } of ALIASES) {
    for (const form of [
      { words: alias, ingredient, exact: true },
      { words: `${alias.slice(0, -1)}s `, ingredient, exact: false },
    ]) {
      const last = form.words.trim().split(' ').at(-1) ?? '';
      const there = out.get(last);
      if (there) there.push(form);
      else out.set(last, [form]);
    }
  }
  for (const forms of out.values())
    forms.sort((a, b) => b.words.length - a.words.length || Number(b.exact) - Number(a.exact));
  return out;
}

/** The alias that ends latest, and of those the longest. */
function lastAlias(hay: string): Alias | null {
  for (let end = hay.length; end > 1; end = hay.lastIndexOf(' ', end - 2) + 1) {
    const word = hay.slice(hay.lastIndexOf(' ', end - 2) + 1, end - 1);
    const found = BY_LAST_WORD.get(word)?.find((form) => hay.startsWith(form.words, end - form.words.length));
    if (found) return { end, length: found.words.length, ingredient: found.ingredient };
  }
  return null;
}

export interface NamedIngredient {
  readonly ingredient: Ingredient;
  /** The name as it stands in the table of names. */
  readonly word: string;
}

/** All ingredients that a text names, longest names first, so that "peanut butter" is not read as butter too. */
export function ingredientsNamedIn(text: string): readonly NamedIngredient[] {
  let hay = words(text);
  const found: NamedIngredient[] = [];
  // Only what ends in a word that stands there can be named.
  const forms = [...new Set(hay.trim().split(' '))].flatMap((word) => BY_LAST_WORD.get(word) ?? []);
  for (const { words: form, ingredient, exact } of forms.sort((a, b) => b.words.length - a.words.length)) {
    if (!hay.includes(form)) continue;
    hay = hay.split(form).join(' | ');
    const word = exact ? form.trim() : form.trim().slice(0, -1);
    if (!found.some((one) => one.ingredient === ingredient)) found.push({ ingredient, word });
  }
  return found;
}
