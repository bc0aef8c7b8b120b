import { ingredientOf, type Ingredient } from './ingredients.table';
import { TABLE_CUP_ML } from './units.table';

/** A thing that the table does not know, or not by this measure: what this kitchen said of it once. */
export interface OwnThing {
  /** As it is written in formulas. */
  readonly name: string;
  /** The key of what it is like in a cake; null where it is only weighed. */
  readonly like: string | null;
  /** g in a level US cup (236.6 ml). */
  readonly cupG?: number;
  /** g of one. */
  readonly pieceG?: number;
  /** g in a pack, by the kind of pack. */
  readonly packG?: Readonly<Record<string, number>>;
}

/** What this kitchen has told of its measures and its things. */
export interface OwnKitchen {
  /** Personal measures that somebody has weighed: the unit's key → g of one. */
  readonly ownMeasures?: Readonly<Record<string, number>>;
  readonly ownThings?: readonly OwnThing[];
}

/** Letters alone, so that "Tigernut-Paste" is "tigernut paste". */
export const wordsOf = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/[\u0300-\u036f’']/g, '')
    .toLowerCase()
    .replace(/[^a-z]+/g, ' ')
    .trim();

/** Behind this an own thing's name is its key. */
const OWN = 'own:';

/**
 * A thing of one's own as an ingredient: what it is like does for it in a batter and in a cup, unless it was weighed. Whether
 * it holds the same allergens nobody has said: theirs are named, and that the rest is not known.
 */
function ingredientFrom(thing: OwnThing): Ingredient {
  const like = thing.like === null ? null : ingredientOf(thing.like);
  const same = like !== null && wordsOf(like.name) === wordsOf(thing.name);
  const cupG = thing.cupG ?? like?.cupG;
  const tspG = thing.cupG === undefined ? like?.tspG : undefined;
  const pieceG = thing.pieceG ?? like?.pieceG;
  return {
    key: same ? like.key : `${OWN}${wordsOf(thing.name)}`,
    name: same ? like.name : thing.name,
    names: [],
    role: like?.role ?? 'other',
    ...(cupG === undefined ? {} : { cupG }),
    ...(tspG === undefined ? {} : { tspG }),
    ...(pieceG === undefined ? {} : { pieceG }),
    packG: { ...like?.packG, ...thing.packG },
    ...(like?.allergens === undefined ? {} : { allergens: like.allergens }),
    ...(same && like.more !== true ? {} : { more: true }),
  };
}

const MADE = new WeakMap<readonly OwnThing[], ReadonlyMap<string, Ingredient>>();

function madeOf(things: readonly OwnThing[]): ReadonlyMap<string, Ingredient> {
  const made =
    MADE.get(things) ?? new Map(things.map((thing) => [wordsOf(thing.name), ingredientFrom(thing)]));
  MADE.set(things, made);
  return made;
}

/** Whether an ingredient was told by a kitchen and stands in no table. */
export const isOwn = (ingredient: Ingredient | null): boolean => ingredient?.key.startsWith(OWN) === true;

/** The thing of one's own that a name ends in, the longest; null where none does. */
export function ownThingIn(name: string, things: readonly OwnThing[] | undefined): Ingredient | null {
  if (!things || things.length === 0) return null;
  const made = madeOf(things);
  const written = wordsOf(name).split(' ');
  for (let from = 0; from < written.length; from += 1) {
    const tail = written.slice(from).join(' ');
    const found = made.get(tail) ?? made.get(tail.replace(/s$/, ''));
    if (found) return found;
  }
  return null;
}

/** The ingredient of a key, from the table or of one's own. */
export const ownIngredientOf = (key: string, things: readonly OwnThing[] | undefined): Ingredient | null =>
  key.startsWith(OWN)
    ? things
      ? (madeOf(things).get(key.slice(OWN.length)) ?? null)
      : null
    : ingredientOf(key);

/** g in a US cup from the g of a volume, ml. */
export const cupGOf = (massG: number, volumeMl: number): number => (massG * TABLE_CUP_ML) / volumeMl;
