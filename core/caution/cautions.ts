import { allergenCaution, listWords } from './allergens.words';
import { SYRUP } from '../process/frost.table';
import { counted } from '../quantity';
import type { Facts } from './facts';

export type CautionPlace =
  'gather' | 'mix' | 'bake' | 'microwave' | 'cool' | 'crumb' | 'dip' | 'mould' | 'finish' | 'serve';

export interface Caution {
  readonly id: string;
  readonly place: CautionPlace;
  readonly words: string;
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

const BLADES = {
  core: 'Cut cores with the piece on the board, never in the hand, and the knife or corer away from it.',
  cut: 'Cut on a board, the knife away from the hand that holds the sheet; wipe a hot blade on a folded cloth.',
  skewer: 'Pierce with the piece on the board, never towards the hand that holds it.',
} as const;

/** One caution a rule, at the step where it matters. Usual guidance; local codes and trained people decide. */
const RULES: readonly Rule[] = [
  rule(
    'allergens',
    'gather',
    ({ holds }) => holds.allergens.length > 0 || holds.packets.length > 0,
    ({ holds }) => allergenCaution(holds),
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
    ({ ageDays }) =>
      `${ageDays > 0 ? `The cake is ${counted(ageDays, 'day')} old, and that counts on: the pops keep so much less.` : 'The age of leftover cake counts on in the pop.'} Use none that has stood out with cream or soft cheese, or whose age nobody knows.`,
  ),
  rule(
    'raw',
    'mix',
    ({ rawEgg, rawFlour }) => rawEgg || rawFlour,
    ({ rawEgg, rawFlour }) =>
      `${rawEgg && rawFlour ? 'Raw egg and raw flour' : rawEgg ? 'Raw egg' : 'Raw flour'} can carry germs. Do not taste the batter, and wash hands and bench after it.`,
  ),
  rule(
    'raw-egg-served',
    'finish',
    ({ rawEggServed }) => rawEggServed.length > 0,
    ({ rawEggServed }) =>
      `No step of ${listWords(rawEggServed.map((name) => `"${name}"`))} cooks the egg in it. Use pasteurised egg for young children and for anyone who is pregnant, old or ill. Keep it cold.`,
  ),
  rule(
    'raw-flour-served',
    'finish',
    ({ rawFlourServed }) => rawFlourServed.length > 0,
    ({ rawFlourServed }) =>
      `Nothing bakes the flour in ${listWords(rawFlourServed.map((name) => `"${name}"`))}, and raw flour can carry germs. Heat it first until it is {70 °C} all through, let it cool, and leave raw egg out.`,
  ),
  rule(
    'herb-oil',
    'finish',
    ({ herbOil }) => herbOil,
    'Herbs or garlic in oil can grow botulism at room temperature, and nobody tastes or smells it. Make it fresh, keep it in the fridge, use it the same day and throw the rest away.',
  ),
  rule(
    'custard',
    'cool',
    ({ custard }) => custard,
    'Cool custard fast: spread it shallow in a cold dish, cover it, and bring it from {60 °C} to {20 °C} within two hours, then into the fridge.',
  ),
  rule('honey', 'serve', ({ honey }) => honey, 'Honey is not for children under one year, baked or not.'),
  rule(
    'dry-ice',
    'serve',
    ({ dryIce }) => dryIce,
    'Dry ice is no topping: it burns mouths and skin, and its gas can suffocate people in a closed room. Keep it out of food and drink.',
  ),
  rule(
    'not-in-oven',
    'bake',
    ({ notInOven }) => notInOven.length > 0,
    ({ notInOven }) =>
      `Keep ${listWords(notInOven)} out of the oven: plastic melts, wood chars, wire burns and cuts. Put it in when the cake is cold.`,
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
    'The mug is hotter than it looks and steam comes out at the top: lift it with a dry cloth and wait a minute. Plain liquids can boil over all at once when they are moved; stir them half-way. No mug with a metal rim or trim.',
  ),
  rule(
    'cool-safely',
    'cool',
    ({ cold }) => cold,
    'What spoils (cream, soft cheese, egg, meat, fish, cheese, and what nobody knows) goes on cold cake and into the fridge within two hours, one hour in a room above {32 °C}. Local rules come first.',
  ),
  rule(
    'blade',
    'finish',
    ({ blade }) => blade !== null,
    ({ blade }) => (blade === null ? '' : BLADES[blade]),
  ),
  rule(
    'sugar-burns',
    'finish',
    ({ syrup }) => syrup,
    'Boiling sugar and caramel burn deeper than water: a heavy pan, no children at the stove, cold water at hand. Never taste it hot.',
  ),
  rule(
    'water-chocolate',
    'dip',
    ({ coat, mould }) => coat || mould,
    'Keep water and steam off melted chocolate and hot fat, and your skin off them: they stick and burn longer than water does.',
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
    ({ syrupC: [low, high], heightM }) =>
      `Syrup at {${Math.round(low)} °C} burns deep: pour it down the side of the bowl, with the mixer slow and children away. ${
        Math.round(low) === SYRUP.lowC
          ? ''
          : `At ${Math.round(heightM)} m it is ready at {${Math.round(low)} °C} to {${Math.round(high)} °C}, whatever a step written lower down says. `
      }Egg white warmed by syrup may still carry germs: use pasteurised white for young children and for anyone who is pregnant, old or ill.`,
  ),
  rule(
    'not-food',
    'finish',
    ({ glitter }) => glitter,
    'Glitter, mists and dusts that say "non-toxic" are not food. Use those that say edible.',
  ),
  rule(
    'flowers',
    'finish',
    ({ flowers }) => flowers,
    'Only flowers and leaves that are known to be edible and were grown to be eaten: a florist’s are sprayed, and some garden ones are poisonous.',
  ),
  rule(
    'holds-only',
    'serve',
    ({ notFood }) => notFood,
    'Wires, picks and paper are not food: keep them out of the cake itself, and take them off before children eat.',
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
    'Round, hard and springy things choke small children: quarter cherries, grapes and large berries, chop nuts, and leave marshmallows, jelly sweets and hard pearls off for under-fives.',
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
