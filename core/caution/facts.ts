import type { Family } from '../model/documents';
import type { Frosting } from '../process/frost.table';
import { massOf } from '../formula';
import type { Holds, ReadLine } from '../quantity';
import type { Part } from './keeping';
import {
  ALCOHOL,
  CHOKES,
  COOKED,
  EGG_OR_MILK,
  FLOWERS,
  GLITTER,
  NOT_FOOD,
  SYRUP,
  FRESH_FRUIT,
} from './words.table';

/** What is in a piece and how it is made, as far as cautions and keeping go. */
export interface Facts {
  readonly family: Family;
  readonly holds: Holds;
  readonly rawEgg: boolean;
  readonly rawFlour: boolean;
  /** Names of what is eaten with egg in it that nothing heats. */
  readonly rawEggServed: readonly string[];
  readonly alcohol: boolean;
  /** The alcohol goes in after the oven, or there is no oven. */
  readonly alcoholStays: boolean;
  readonly oven: boolean;
  readonly microwave: boolean;
  readonly coat: boolean;
  readonly mould: boolean;
  readonly stick: boolean;
  readonly leftovers: boolean;
  /** Something goes in or on that has to be kept cold. */
  readonly cold: boolean;
  readonly syrupMeringue: boolean;
  /** Sugar is boiled or browned for it. */
  readonly syrup: boolean;
  /** A knife or a skewer comes near the hand: cores, cuts, channels. */
  readonly blade: 'core' | 'cut' | 'skewer' | null;
  /** Whole round or hard things that a small child can choke on. */
  readonly choking: boolean;
  /** Flowers and leaves that were perhaps not grown to be eaten. */
  readonly flowers: boolean;
  /** Things that shine and are not always food. */
  readonly glitter: boolean;
  /** Wires, picks and the like. */
  readonly notFood: boolean;
  readonly keeps: readonly Part[];
  /** Days that leftover cake in it has behind it. */
  readonly ageDays: number;
}

/** A formula that is eaten as it is made: a filling, a frosting, a binder, a topping. */
export interface Unbaked {
  readonly name: string;
  readonly lines: readonly ReadLine[];
  readonly steps: string;
}

/** What a filling takes a knife or a skewer to. */
export const bladeOf = (filling: { readonly how: string } | null | undefined): Facts['blade'] =>
  filling?.how === 'core' ? 'core' : filling?.how === 'inject' ? 'skewer' : null;

/** How a piece is made. */
export interface Ways {
  readonly family: Family;
  readonly frosting: Frosting | null;
  /** Names of fillings, toppings, add-ins and layers. */
  readonly words: readonly string[];
  readonly coat: boolean;
  readonly oven: boolean;
  readonly microwave?: boolean;
  readonly mould?: boolean;
  readonly stick?: boolean;
  readonly leftovers?: boolean;
  /** Days that the oldest of the leftovers has behind it. */
  readonly ageDays?: number;
  readonly blade?: Facts['blade'];
  readonly softCheese?: boolean;
}

export interface FactsOf extends Ways {
  /** What goes into the oven or the microwave. */
  readonly baked: readonly ReadLine[];
  readonly unbaked: readonly Unbaked[];
  readonly holds: Holds;
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

/** From this share on, what spoils decides how a frosting or filling keeps: a spoonful of milk in buttercream does not. */
const SPOILS_FROM = { cream: 0.08, milk: 0.12, cheese: 0.08, egg: 0.03 } as const;
/** A ganache: cream, bound by so much chocolate that it keeps as buttercream does. */
const GANACHE_CHOCOLATE = 0.4;
/** A batter with so much soft cheese is a cheesecake. */
const CHEESECAKE_FROM = 0.2;

const shareOf = (lines: readonly ReadLine[], ...keys: readonly string[]): number => {
  const all = lines.reduce((sum, { massG }) => sum + massG, 0);
  const of = lines.reduce(
    (sum, { ingredient, massG }) => sum + (ingredient && keys.includes(ingredient.key) ? massG : 0),
    0,
  );
  return all > 0 ? of / all : 0;
};

const eggShare = (lines: readonly ReadLine[]): number => {
  const all = lines.reduce((sum, { massG }) => sum + massG, 0);
  return all > 0 ? massOf(lines, 'egg') / all : 0;
};

/** Whether its steps heat it. */
const isCooked = ({ steps }: Unbaked): boolean => COOKED.test(steps);

/** How something that is not baked keeps; null where it keeps as the cake does. */
function partOf(one: Unbaked): Part | null {
  const { lines } = one;
  if (shareOf(lines, 'soft cheese') >= SPOILS_FROM.cheese) return 'soft cheese';
  const chocolate =
    massOf(lines, 'chocolate') / Math.max(massOf(lines, 'chocolate') + massOf(lines, 'liquid', 'dairy'), 1);
  const creamy = shareOf(lines, 'cream', 'yoghurt', 'sour cream') >= SPOILS_FROM.cream;
  if (creamy) return chocolate >= GANACHE_CHOCOLATE ? 'buttercream' : 'cream';
  if (eggShare(lines) >= SPOILS_FROM.egg) return isCooked(one) ? 'curd' : 'raw egg';
  return shareOf(lines, 'milk', 'buttermilk') >= SPOILS_FROM.milk ? 'cream' : null;
}

function keepsOf(given: FactsOf, said: (pattern: RegExp) => boolean): Set<Part> {
  const keeps = new Set<Part>(['plain cake']);
  const { frosting } = given;
  if (frosting) keeps.add(FROSTING_KEEPS[frosting]);
  for (const one of given.unbaked) {
    const part = partOf(one);
    // Whites that syrup has cooked keep as the meringue does.
    const ofMeringue =
      frosting !== null && /meringue/.test(frosting) && (part === 'raw egg' || part === 'curd');
    if (part && !ofMeringue) keeps.add(part);
  }
  if (said(EGG_OR_MILK.cream)) keeps.add('cream');
  if (said(EGG_OR_MILK.curd)) keeps.add('curd');
  if (given.softCheese === true || said(EGG_OR_MILK.cheese)) keeps.add('soft cheese');
  if (shareOf(given.baked, 'soft cheese') >= CHEESECAKE_FROM) keeps.add('soft cheese');
  if (said(FRESH_FRUIT)) keeps.add('fresh fruit');
  if (given.coat || given.mould === true) {
    keeps.delete('plain cake');
    keeps.add('coated pop');
  }
  return keeps;
}

const COLD: ReadonlySet<Part> = new Set<Part>(['cream', 'soft cheese', 'curd', 'raw egg', 'cooked meringue']);

/** What cautions and keeping go by, from the lines, the names and the ways of a piece. */
export function factsOf(given: FactsOf): Facts {
  const { baked, unbaked, frosting } = given;
  const raw = [...baked, ...unbaked.flatMap(({ lines }) => lines)];
  const inBaked = (role: 'egg' | 'flour') => baked.some(({ ingredient }) => ingredient?.role === role);
  const words = [...given.words, ...unbaked.map(({ name }) => name)];
  const said = (pattern: RegExp) => words.some((text) => pattern.test(text));
  const written = (pattern: RegExp) => said(pattern) || raw.some((line) => pattern.test(line.raw));
  const unbakedSays = (pattern: RegExp) =>
    unbaked.some(({ lines }) => lines.some((line) => pattern.test(line.raw)));
  const keeps = keepsOf(given, said);
  const meringue = frosting === 'cooked meringue' || frosting === 'meringue buttercream';
  return {
    family: given.family,
    holds: given.holds,
    rawEgg: inBaked('egg'),
    rawFlour: inBaked('flour'),
    rawEggServed: unbaked
      .filter((one) => eggShare(one.lines) > 0 && !isCooked(one) && !meringue)
      .map(({ name }) => name),
    alcohol: written(ALCOHOL),
    alcoholStays:
      said(ALCOHOL) || unbakedSays(ALCOHOL) || (!given.oven && given.microwave !== true && written(ALCOHOL)),
    oven: given.oven,
    microwave: given.microwave ?? false,
    coat: given.coat,
    mould: given.mould ?? false,
    stick: given.stick ?? false,
    leftovers: given.leftovers ?? false,
    cold: [...keeps].some((part) => COLD.has(part)),
    syrupMeringue: meringue,
    syrup: !meringue && (said(SYRUP) || unbaked.some(({ steps }) => SYRUP.test(steps))),
    blade: given.blade ?? null,
    choking: written(CHOKES),
    flowers: written(FLOWERS),
    glitter: said(GLITTER),
    notFood: said(NOT_FOOD),
    keeps: [...keeps],
    ageDays: given.ageDays ?? 0,
  };
}
