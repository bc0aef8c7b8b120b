import type { ReadFormula } from '../formula';

export type CautionPlace = 'gather' | 'mix' | 'bake' | 'cool';

export interface Caution {
  readonly id: string;
  readonly place: CautionPlace;
  readonly words: string;
}

/** The cautions that apply to a plain baked cake of this formula, each at the step where it matters. */
export function cautionsFor(read: ReadFormula): Caution[] {
  const has = (test: (role: string, key: string) => boolean) =>
    read.lines.some((line) => line.ingredient && test(line.ingredient.role, line.ingredient.key));
  const rawEgg = has((role) => role === 'egg');
  const rawFlour = has((role) => role === 'flour');
  const out: Caution[] = [];
  if (read.allergens.length > 0) {
    out.push({
      id: 'allergens',
      place: 'gather',
      words: `Contains ${list(read.allergens.map((a) => ALLERGEN_NAMES[a]))}, as far as the lines tell. Read the packets, and say so to whoever eats. Local food law decides what a label must list.`,
    });
  }
  if (rawEgg || rawFlour) {
    const what = rawEgg && rawFlour ? 'Raw egg and raw flour' : rawEgg ? 'Raw egg' : 'Raw flour';
    out.push({
      id: 'raw',
      place: 'mix',
      words: `${what} can carry germs. Do not taste the batter, and wash hands and bench after it.`,
    });
  }
  if (has((role, key) => role === 'liquid' && (key === 'spirit' || key === 'wine'))) {
    out.push({
      id: 'alcohol',
      place: 'gather',
      words:
        'Has alcohol in it, and baking does not drive all of it off. Apple juice does the same work for children.',
    });
  }
  out.push({
    id: 'hot-tin',
    place: 'bake',
    words:
      'Oven, rack and tin burn. Dry cloths, sleeves down, door open at arm’s length. Children help with an adult.',
  });
  out.push({
    id: 'cool-safely',
    place: 'cool',
    words:
      'Cream, soft-cheese and egg toppings go on cold cakes and into the fridge within two hours. Local rules come first.',
  });
  return out;
}

const ALLERGEN_NAMES = {
  gluten: 'gluten',
  egg: 'egg',
  milk: 'milk',
  nuts: 'nuts',
  peanut: 'peanut',
  soya: 'soya',
  sesame: 'sesame',
  sulphite: 'sulphite',
} as const;

function list(words: readonly string[]): string {
  if (words.length <= 1) return words.join('');
  return `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}
