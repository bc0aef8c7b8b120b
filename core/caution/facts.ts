import type { Family } from '../model/documents';
import type { Frosting } from '../process/frost.table';
import { massOf } from '../formula';
import { syrupBandC } from '../process/altitude';
import type { Holds, ReadLine } from '../quantity';
import { holdsOf } from '../quantity/allergens';
import type { Part } from './keeping';
import {
  ALCOHOL,
  BAKED_SOFT,
  CHOKES,
  COOKED,
  CUSTARD,
  DRIED_FRUIT,
  DRY_ICE,
  EGG_OR_MILK,
  FLOWERS,
  FRESH_FRUIT,
  GLITTER,
  HEAT_TREATED,
  HERBS,
  HERB_OIL,
  HONEY,
  NOT_FOOD,
  NOT_IN_OVEN,
  RAW_DOUGH,
  SAVOURY,
  SYRUP,
  VEGETABLES,
} from './words.table';

/** What is in a piece and how it is made, as far as cautions and keeping go. */
export interface Facts {
  readonly family: Family;
  readonly holds: Holds;
  readonly rawEgg: boolean;
  readonly rawFlour: boolean;
  /** Names of what is eaten with egg in it that nothing heats. */
  readonly rawEggServed: readonly string[];
  /** The same of flour. */
  readonly rawFlourServed: readonly string[];
  /** A cooked custard is in or on it. */
  readonly custard: boolean;
  readonly honey: boolean;
  /** Herbs or garlic lie in oil. */
  readonly herbOil: boolean;
  /** Meat, fish, cheese and the like. */
  readonly savoury: boolean;
  readonly dryIce: boolean;
  /** Words of its formulas that name what no oven takes. */
  readonly notInOven: readonly string[];
  /** Things in or on it that no table knows, as far as they decide how it keeps. */
  readonly notKnown: readonly string[];
  /** Where the kitchen lies, m, and what a syrup for whites is boiled to there, °C. */
  readonly heightM: number;
  readonly syrupC: readonly [number, number];
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
  /** Of these, what no formula makes and nothing bakes. */
  readonly boughtWords?: readonly string[];
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
  /** Steps of what is baked. */
  readonly bakedSteps?: readonly string[];
  readonly holds: Holds;
  /** Where the kitchen lies, m; 0 where nobody said. */
  readonly heightM?: number;
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
/** With so much dried fruit a cake keeps for weeks. */
const FRUIT_CAKE_FROM = 0.4;
/** From this share of a batter on, a thing that nobody knows decides how it keeps. */
const UNKNOWN_FROM = 0.05;
/** So much oil covers herbs that lie in it. */
const HERB_OIL_FROM = 0.2;
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

const shareWhere = (lines: readonly ReadLine[], of: (line: ReadLine) => boolean): number => {
  const all = lines.reduce((sum, { massG }) => sum + massG, 0);
  return all > 0 ? lines.filter(of).reduce((sum, { massG }) => sum + massG, 0) / all : 0;
};

const isFruitCake = (lines: readonly ReadLine[]): boolean =>
  shareWhere(lines, ({ ingredient }) => ingredient !== null && DRIED_FRUIT.has(ingredient.key)) >=
  FRUIT_CAKE_FROM;

/** Lines that name something, whatever was read of them. */
const eatenOf = (lines: readonly ReadLine[]): readonly ReadLine[] =>
  lines.filter(({ status }) => status === 'read' || status === 'unread' || status === 'no amount');

function isSavoury({ baked, unbaked }: FactsOf, said: (pattern: RegExp) => boolean): boolean {
  if (said(SAVOURY) || said(VEGETABLES)) return true;
  const raw = unbaked.flatMap(({ lines }) => eatenOf(lines));
  if (raw.some((line) => SAVOURY.test(line.raw) || VEGETABLES.test(line.raw))) return true;
  return eatenOf(baked).some((line) => SAVOURY.test(line.raw));
}

function hasHerbOil({ unbaked }: FactsOf, said: (pattern: RegExp) => boolean): boolean {
  if (said(HERB_OIL)) return true;
  return unbaked.some(
    ({ lines }) =>
      eatenOf(lines).some((line) => HERBS.test(line.raw)) &&
      shareWhere(lines, ({ raw, ingredient }) => ingredient?.role === 'fat' && /\boil\b/i.test(raw)) >=
        HERB_OIL_FROM,
  );
}

/** Names of what is eaten with flour in it that nothing has heated. */
function rawFlourIn(
  { unbaked, words, oven, microwave }: FactsOf,
  said: (pattern: RegExp) => boolean,
): string[] {
  const made = unbaked
    .filter(
      (one) =>
        !isCooked(one) &&
        one.lines.some(({ raw, ingredient }) => ingredient?.role === 'flour' && !HEAT_TREATED.test(raw)),
    )
    .map(({ name }) => name);
  const dough = said(RAW_DOUGH) ? words.filter((word) => RAW_DOUGH.test(word)) : [];
  // A dough that no oven ever sees takes its flour as it is.
  const added =
    oven || microwave === true
      ? []
      : words.filter((word) => /\bflour\b/i.test(word) && !HEAT_TREATED.test(word));
  return [...new Set([...made, ...dough, ...added])];
}

/** Named by the dry stuff that it is made of: whatever its shape, it keeps. What it holds is another matter. */
const DRY_SHAPE = /^(?:sugar|fondant|marzipan|wafer)\b/i;

/** Things that no table knows: whatever goes in or on unbaked, and what a batter has much of. */
function notKnownIn({ baked, unbaked, boughtWords = [] }: FactsOf): string[] {
  const unknown = ({ status, ingredient }: ReadLine) =>
    ingredient === null && (status === 'read' || status === 'unread');
  const named = (line: ReadLine) => line.called || line.name || line.raw.trim();
  const all = baked.reduce((sum, { massG }) => sum + massG, 0);
  const isMuch = (line: ReadLine) => all > 0 && line.massG / all >= UNKNOWN_FROM;
  const bought = boughtWords
    .filter((word) => !DRY_SHAPE.test(word))
    .flatMap((word) =>
      holdsOf(word)
        .packets.filter(({ known }) => !known)
        .map(({ name }) => name),
    );
  return [
    ...new Set([
      ...bought,
      ...unbaked.flatMap(({ lines }) =>
        lines.filter((one) => unknown(one) && isNamedUnknown(one)).map(named),
      ),
      ...baked.filter((line) => unknown(line) && isMuch(line) && isNamedUnknown(line)).map(named),
    ]),
  ];
}

/** Nobody knows it by its name either. */
const isNamedUnknown = (line: ReadLine): boolean =>
  holdsOf(line.called || line.name || line.raw).packets.some(({ known }) => !known);

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
  if (isFruitCake(given.baked) && keeps.size === 1) keeps.delete('plain cake');
  if (keeps.size === 0) keeps.add('fruit cake');
  if (given.family === 'mug') keeps.add('mug cake');
  if (isSavoury(given, said)) keeps.add('savoury');
  if (hasHerbOil(given, said)) keeps.add('herb oil');
  if (rawFlourIn(given, said).length > 0) keeps.add('raw dough');
  if (notKnownIn(given).length > 0) keeps.add('not known');
  if (given.coat || given.mould === true) {
    keeps.delete('plain cake');
    keeps.add('coated pop');
  }
  return keeps;
}

const COLD: ReadonlySet<Part> = new Set<Part>([
  'cream',
  'soft cheese',
  'curd',
  'raw egg',
  'cooked meringue',
  'raw dough',
  'savoury',
  'herb oil',
  'not known',
]);

/** A cooked filling with so much milk or cream is a custard. */
const CUSTARD_MILK_FROM = 0.3;

/** Whole round or hard things are met where they go in or on unbaked, or stay hard in the oven. */
function choking({ baked, unbaked }: FactsOf, words: readonly string[]): boolean {
  const met = [...words, ...unbaked.flatMap(({ lines }) => lines.map(({ raw }) => raw))];
  return (
    met.some((text) => CHOKES.test(text)) ||
    baked.some(({ raw }) => CHOKES.test(raw) && !BAKED_SOFT.test(raw))
  );
}

/** What no oven takes and a line or a step of something baked names: sticks that go in with the batter, plastic moulds. */
function notInOven({ oven, baked, bakedSteps = [] }: FactsOf): string[] {
  if (!oven) return [];
  const steps = bakedSteps.flatMap((text) => text.split(/[\n.;]+/));
  const named = [
    ...steps.filter(
      (step) => /\b(bake|oven)\b/i.test(step) && !/\b(test|clean|comes? out|prick)\w*\b/i.test(step),
    ),
    ...baked.map(({ raw }) => raw),
  ];
  return [...new Set(named.flatMap((text) => NOT_IN_OVEN.exec(text)?.[0].toLowerCase() ?? []))];
}

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
    rawFlourServed: rawFlourIn(given, said),
    custard:
      said(CUSTARD) ||
      unbaked.some(
        (one) =>
          CUSTARD.test(one.name) ||
          (isCooked(one) &&
            eggShare(one.lines) >= SPOILS_FROM.egg &&
            shareOf(one.lines, 'milk', 'cream') >= CUSTARD_MILK_FROM),
      ),
    honey: written(HONEY),
    herbOil: keeps.has('herb oil'),
    savoury: keeps.has('savoury'),
    dryIce: written(DRY_ICE) || unbaked.some(({ steps }) => DRY_ICE.test(steps)),
    notInOven: notInOven(given),
    notKnown: notKnownIn(given),
    heightM: given.heightM ?? 0,
    syrupC: syrupBandC(given.heightM ?? 0),
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
    choking: choking(given, words),
    flowers: written(FLOWERS),
    glitter: said(GLITTER),
    notFood: said(NOT_FOOD),
    keeps: [...keeps],
    ageDays: given.ageDays ?? 0,
  };
}
