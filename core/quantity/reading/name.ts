import { findIngredient } from '../ingredientName';
import type { Ingredient } from '../ingredients.table';
import { ownThingIn, type OwnThing } from '../own';
import { HARMLESS } from '../nameWords.table';
import type { Thing } from './things';

/** The part of a text that names the ingredient: no brackets, and nothing after a comma, "for", "with", "or", "plus". */
export function nameIn(text: string): string {
  const bare = text
    .replace(/[([][^)\]]*[)\]]?/g, ' ')
    .replace(/\d+(?:[.,]\d+)?\s*(?:%|°\s?[CF]?\b)/g, ' ')
    .replace(/^\s*(?:of|each|the)\b/i, ' ')
    .replace(/^[\s,;:.–—-]+/, '');
  const head =
    bare.split(
      /[,;:]|\s[-–—]\s|\b(?:for|with|or|plus|divided|to taste|at room|if|beaten|and (?:some|any|enough|a little))\b|\s*\/\s*/i,
    )[0] ?? '';
  return (head.trim() ? head : bare).replace(/\s+/g, ' ').replace(/[.]+$/, '').trim();
}

export interface Named {
  readonly ingredient: Ingredient | null;
  /** In the writer's own words. */
  readonly called: string;
}

/** "sugar, caster", "flour, self-raising": the kind stands behind the thing. */
function turnedRound(text: string): string | null {
  const [thing, kind] = text.split(/\s*,\s*/);
  if (!thing || !kind || /\d/.test(text)) return null;
  const turned = `${kind} ${thing}`;
  const plain = findIngredient(thing);
  const found = findIngredient(turned);
  return found !== null && found !== plain && findIngredient(kind) !== found ? turned : null;
}

/** Words that only tell how a thing is treated. */
const isTreatment = (text: string) =>
  text
    .toLowerCase()
    .split(/[^a-z]+/)
    .filter(Boolean)
    .every((word) => HARMLESS.has(word));

/** What a thing is called, and what that is. */
export function nameOf(
  { name }: Pick<Thing, 'name'>,
  chosen: Ingredient | null,
  things?: readonly OwnThing[],
): Named {
  const written = nameIn(name);
  if (chosen) return { ingredient: chosen, called: written };
  // What the kitchen said of a name goes before what the table makes of its words.
  const own = ownThingIn(written, things);
  if (own) return { ingredient: own, called: written };
  if (/\bwhites?\s+only\b/i.test(name))
    return { ingredient: findIngredient('egg whites'), called: 'egg whites' };
  if (/\byolks?\s+only\b/i.test(name))
    return { ingredient: findIngredient('egg yolks'), called: 'egg yolks' };
  const turned = turnedRound(name.replace(/[([][^)\]]*[)\]]?/g, ' ').trim());
  if (turned) return { ingredient: findIngredient(turned), called: turned };
  const ingredient = findIngredient(written);
  if (ingredient || !isTreatment(written)) return { ingredient, called: written };
  // "1 cup, packed, light brown sugar": what is done to it stands before it.
  for (const part of name.split(/[,;]/).map(nameIn)) {
    const found = findIngredient(part);
    if (found) return { ingredient: found, called: part };
  }
  return { ingredient, called: written };
}

const FRUIT = /\b(lemon|lime|orange|grapefruit|clementine|mandarin|tangerine)s?\b/i;
const PART = /\b(juiced?|zest(?:ed)?|peel|rind)\b/gi;

/** "zest and juice of 2 limes", "1 lemon, zest and juice": each part is a thing of its own, of as many fruits. */
export function partsOfFruit(text: string): readonly string[] {
  const fruit = FRUIT.exec(text)?.[1]?.toLowerCase();
  const parts = [
    ...new Set([...text.matchAll(PART)].map(([word]) => (/juice/i.test(word) ? 'juice' : 'zest'))),
  ];
  if (!fruit || parts.length === 0) return [];
  return parts.map((part) => `${fruit} ${part}`);
}

/** "whites of 3 eggs", "yolks of two eggs". */
export function partOfEgg(text: string): string | null {
  const part = /\b(whites?|yolks?)\s+(?:of|from)\b/i.exec(text)?.[1];
  return part && /\beggs?\b/i.test(text) ? `egg ${part}` : null;
}
