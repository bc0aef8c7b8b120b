import type { Family } from '../model/documents';
import type { Frosting } from '../process/frost.table';
import type { Allergen, ReadLine, Role } from '../quantity';
import { allergenNames } from './allergens.table';
import type { Part } from './keeping';

export type CautionPlace =
  'gather' | 'mix' | 'bake' | 'microwave' | 'cool' | 'crumb' | 'dip' | 'mould' | 'finish' | 'serve';

export interface Caution {
  readonly id: string;
  readonly place: CautionPlace;
  readonly words: string;
}

/** What is in a piece and how it is made, as far as cautions and keeping go. */
export interface Facts {
  readonly family: Family;
  readonly allergens: readonly Allergen[];
  readonly rawEgg: boolean;
  readonly rawFlour: boolean;
  readonly alcohol: boolean;
  /** The alcohol goes in after the oven, or there is no oven. */
  readonly alcoholStays: boolean;
  readonly oven: boolean;
  readonly microwave: boolean;
  readonly coat: boolean;
  readonly mould: boolean;
  readonly stick: boolean;
  readonly leftovers: boolean;
  readonly cream: boolean;
  readonly syrupMeringue: boolean;
  readonly core: boolean;
  /** Whole round or hard things that a small child can choke on. */
  readonly choking: boolean;
  /** Things that shine and are not always food. */
  readonly glitter: boolean;
  readonly keeps: readonly Part[];
}

export interface FactsOf {
  readonly family: Family;
  readonly lines: readonly ReadLine[];
  readonly allergens: readonly Allergen[];
  /** Names of fillings, toppings, add-ins and layers. */
  readonly words: readonly string[];
  readonly frosting: Frosting | null;
  readonly coat: boolean;
  readonly oven: boolean;
  readonly microwave?: boolean;
  readonly mould?: boolean;
  readonly stick?: boolean;
  readonly leftovers?: boolean;
  readonly core?: boolean;
  readonly softCheese?: boolean;
}

const FROSTING_KEEPS: Readonly<Record<Frosting, Part>> = {
  buttercream: 'buttercream',
  'meringue buttercream': 'buttercream',
  'whipped cream': 'cream',
  'cream with yoghurt': 'cream',
  ganache: 'buttercream',
  'soft cheese': 'soft cheese',
  'cooked meringue': 'cooked meringue',
  glaze: 'plain cake',
};
const ALCOHOL = new Set(['spirit', 'wine']);
const ALCOHOL_WORDS = /\b(rum|brandy|whisky|whiskey|liqueur|liquor|spirits?|wine|cider|beer|gin|vodka)\b/i;
const CHOKING_WORDS =
  /\b(whole (?:cherr|grape|nut|blueberr)|cherr(?:y|ies)|grapes?|pearls?|dragees?|dragées?|hard sweets?|marshmallows?|popcorn)\b/i;
const GLITTER_WORDS = /\b(glitter|lustre|luster|shimmer|mist|gold leaf|silver leaf|dust)\b/i;

/** What cautions and keeping go by, from the lines, the names and the ways of a piece. */
export function factsOf(given: FactsOf): Facts {
  const has = (test: (role: Role, key: string) => boolean) =>
    given.lines.some((line) => line.ingredient && test(line.ingredient.role, line.ingredient.key));
  const words = given.words.join(' ; ');
  const said = (pattern: RegExp) => pattern.test(words);
  const inCake = has((_, key) => ALCOHOL.has(key));
  const cream = said(/\b(cream|custard|yoghurt|yogurt|mascarpone)\b/i);
  const keeps = new Set<Part>(['plain cake']);
  if (given.frosting) keeps.add(FROSTING_KEEPS[given.frosting]);
  if (cream) keeps.add('cream');
  if (said(/\bcurd\b/i)) keeps.add('curd');
  if (given.softCheese === true || said(/\bsoft cheese\b/i)) keeps.add('soft cheese');
  if (given.coat || given.mould === true) {
    keeps.delete('plain cake');
    keeps.add('coated pop');
  }
  return {
    family: given.family,
    allergens: given.allergens,
    rawEgg: has((role) => role === 'egg'),
    rawFlour: has((role) => role === 'flour'),
    alcohol: inCake || said(ALCOHOL_WORDS),
    alcoholStays: said(ALCOHOL_WORDS),
    oven: given.oven,
    microwave: given.microwave ?? false,
    coat: given.coat,
    mould: given.mould ?? false,
    stick: given.stick ?? false,
    leftovers: given.leftovers ?? false,
    cream:
      cream ||
      given.frosting === 'whipped cream' ||
      given.frosting === 'cream with yoghurt' ||
      given.frosting === 'soft cheese',
    syrupMeringue: given.frosting === 'cooked meringue' || given.frosting === 'meringue buttercream',
    core: given.core ?? false,
    choking: said(CHOKING_WORDS),
    glitter: said(GLITTER_WORDS),
    keeps: [...keeps],
  };
}

interface Rule {
  readonly id: string;
  readonly place: CautionPlace;
  readonly when: (facts: Facts) => boolean;
  readonly words: (facts: Facts) => string;
}

const rule = (id: string, place: CautionPlace, when: Rule['when'], words: string | Rule['words']): Rule => ({
  id,
  place,
  when,
  words: typeof words === 'string' ? () => words : words,
});

/** One caution a rule, at the step where it matters. Usual guidance; local codes and trained people decide. */
const RULES: readonly Rule[] = [
  rule(
    'allergens',
    'gather',
    ({ allergens }) => allergens.length > 0,
    ({ allergens }) =>
      `Contains ${list(allergenNames(allergens))}, as far as the lines tell. Read the packets, and say so to whoever eats. Local food law decides what a label must list.`,
  ),
  rule(
    'alcohol',
    'gather',
    ({ alcohol }) => alcohol,
    ({ alcoholStays }) =>
      alcoholStays
        ? 'Has alcohol in it that no oven drives off: not for children, and say so on the label. Apple juice does the same work without.'
        : 'Has alcohol in it, and baking does not drive all of it off. Apple juice does the same work for children.',
  ),
  rule(
    'leftovers',
    'gather',
    ({ leftovers }) => leftovers,
    'The age of leftover cake counts on: what was two days old yesterday is three days old in the pop. Use none that has stood out with cream or soft cheese.',
  ),
  rule(
    'raw',
    'mix',
    ({ rawEgg, rawFlour }) => rawEgg || rawFlour,
    ({ rawEgg, rawFlour }) =>
      `${rawEgg && rawFlour ? 'Raw egg and raw flour' : rawEgg ? 'Raw egg' : 'Raw flour'} can carry germs. Do not taste the batter, and wash hands and bench after it.`,
  ),
  rule(
    'hot-tin',
    'bake',
    ({ oven }) => oven,
    'Oven, rack and tin burn. Dry cloths, sleeves down, door open at arm’s length. Children help with an adult.',
  ),
  rule(
    'hot-mug',
    'microwave',
    ({ microwave }) => microwave,
    'The mug is hotter than it looks and steam comes out at the top: lift it with a dry cloth and wait a minute. Plain liquids can boil over all at once when they are moved; stir them half-way.',
  ),
  rule(
    'cool-safely',
    'cool',
    ({ oven, cream }) => oven || cream,
    'Cream, soft-cheese and egg toppings go on cold cakes and into the fridge within two hours. Local rules come first.',
  ),
  rule(
    'core-knife',
    'finish',
    ({ core }) => core,
    'Cut cores with the piece on the board, never in the hand, and the knife or skewer away from it.',
  ),
  rule(
    'water-chocolate',
    'dip',
    ({ coat, mould }) => coat || mould,
    'Keep water and steam off melted chocolate, and your skin off it: it sticks and burns longer than water does.',
  ),
  rule(
    'food-moulds',
    'mould',
    ({ mould }) => mould,
    'Use moulds and liners sold for food, washed, dry and warm.',
  ),
  rule(
    'syrup',
    'finish',
    ({ syrupMeringue }) => syrupMeringue,
    'Syrup at 118 °C burns deep: pour it down the side of the bowl, with the mixer slow and children away. Egg white warmed by it is not surely safe for everyone; pasteurised white is.',
  ),
  rule(
    'not-food',
    'finish',
    ({ glitter }) => glitter,
    'Glitter, mists and dusts that say "non-toxic" are not food. Use those that say edible.',
  ),
  rule(
    'stick',
    'serve',
    ({ stick }) => stick,
    'Sticks are not food: for children under five take the piece off its stick, or stay beside them.',
  ),
  rule(
    'choking',
    'serve',
    ({ choking }) => choking,
    'Round and hard things choke small children: quarter cherries and grapes, leave hard pearls off for under-fives.',
  ),
  rule(
    'selling',
    'serve',
    () => true,
    'Selling or giving away from a home kitchen follows local food law, registration and labels with it.',
  ),
];

/** The cautions that apply, each once, in the order of the work. */
export function cautionsFor(facts: Facts): Caution[] {
  return RULES.filter(({ when }) => when(facts)).map(({ id, place, words }) => ({
    id,
    place,
    words: words(facts),
  }));
}

function list(words: readonly string[]): string {
  if (words.length <= 1) return words.join('');
  return `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}
