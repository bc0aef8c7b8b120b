import { INGREDIENTS, type Ingredient } from './ingredients.table';

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

const LONGEST_FIRST = [...ALIASES].sort((a, b) => b.words.length - a.words.length);

/**
 * The ingredient that a text names, or null. In English the thing itself stands last ("vanilla sugar" is a sugar), so
 * the alias that ends latest wins, and of those the longest ("peanut butter" over "butter").
 */
export function findIngredient(text: string): Ingredient | null {
  const hay = words(text);
  let best: { end: number; length: number; ingredient: Ingredient } | null = null;
  for (const { words: alias, ingredient } of ALIASES) {
    for (const form of [alias, `${alias.slice(0, -1)}s `]) {
      const at = hay.lastIndexOf(form);
      if (at < 0) continue;
      const end = at + form.length;
      const better = !best || end > best.end || (end === best.end && form.length > best.length);
      if (better) best = { end, length: form.length, ingredient };
    }
  }
  return best?.ingredient ?? null;
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
  for (const { words: alias, ingredient } of LONGEST_FIRST) {
    for (const form of [`${alias.slice(0, -1)}s `, alias]) {
      if (!hay.includes(form)) continue;
      hay = hay.split(form).join(' | ');
      if (!found.some((one) => one.ingredient === ingredient)) found.push({ ingredient, word: alias.trim() });
    }
  }
  return found;
}
