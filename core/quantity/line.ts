import { findIngredient } from './ingredientName';
import type { Ingredient } from './ingredients.table';
import type { Amount } from './amount';
import { cleanLine } from './reading/clean';
import { HARMLESS } from './nameWords.table';
import { singular } from './plural';
import { kindOf, ledTo } from './reading/kind';
import { nameIn, nameOf, partOfEgg, partsOfFruit } from './reading/name';
import { amountsIn } from './reading/parts';
import { thingsOf, type Thing } from './reading/things';
import { conflict, pick, readsOf, unknownMeasure, type Read, type Weighing } from './reading/weigh';
import type { Fault } from './fault';
import { isOwn, ownIngredientOf, ownThingIn, type OwnKitchen } from './own';
import type { Measures } from './units.table';

/** Eggs and packs are the same each time, fruit is not, and a pod only flavours. */
export type WholeSort = 'egg' | 'pack' | 'pod' | 'fruit';

/** Things that come whole and are counted, such as eggs. */
export interface WholeThing {
  readonly count: number;
  readonly pieceG: number;
  /** What one of them is called: egg, tin, sachet, vanilla pod. */
  readonly one: string;
  readonly sort: WholeSort;
}

/** A note is a step, a remark or what may be taken instead: nothing is weighed for it. */
export type LineStatus = 'read' | 'unread' | 'no amount' | 'heading' | 'note' | 'blank';

export interface ReadLine {
  /** As the person wrote it. */
  readonly raw: string;
  readonly status: LineStatus;
  readonly ingredient: Ingredient | null;
  /** What the line was taken for; the written name where the table does not know it. */
  readonly name: string;
  /** The thing in the writer's own words, without amount and notes: "thyme leaves". */
  readonly called: string;
  /** g; 0 where nothing was read. Range as half the 10–90 width on either side. */
  readonly massG: number;
  readonly lowG: number;
  readonly highG: number;
  readonly whole: WholeThing | null;
  /** It comes out of the freezer and is thawed first. */
  readonly frozen: boolean;
  /** How the mass came about, in words: "1½ cups at {125 g} a cup", measures in braces. Empty for a plain weight. */
  readonly reading: string;
  readonly basis: 'stated' | 'typical';
  readonly fault: Fault | null;
  /** Plain warnings; never a block. */
  readonly notices: readonly Fault[];
  /** Further things on the same line, each with a reading of its own: "200 g flour, 100 g sugar". */
  readonly also: readonly ReadLine[];
}

/** Largest mass one line may state, g. Larger is taken for a slip of the finger. */
const MAX_LINE_G = 100_000;
/** Letters that one line may have, with all its notes. Longer ones are paragraphs. */
const MAX_LINE_LETTERS = 400;
/** Things that one line may name. */
const MAX_THINGS = 12;
/** Digits in a row that no amount has. */
const LONG_NUMBER = /\d{9,}/;

const NOTHING_TOLD: OwnKitchen = {};

/** In the place of an ingredient: the line is a note, and nothing is weighed for it. */
export const A_NOTE = 'a note';

const BLANK: Omit<ReadLine, 'raw' | 'status'> = {
  ingredient: null,
  name: '',
  called: '',
  massG: 0,
  lowG: 0,
  highG: 0,
  whole: null,
  frozen: false,
  reading: '',
  basis: 'stated',
  fault: null,
  notices: [],
  also: [],
};

interface Asked {
  readonly raw: string;
  readonly measures: Measures;
  readonly own: OwnKitchen;
}

/**
 * Reads one line of a formula as a person wrote it, in stages: cleaned, told apart from headings and steps, split into
 * things, each named and weighed.
 * @param measures which cup, spoon and egg the formula means
 * @param takenFor the key of the ingredient that the person says it is, where the name alone misleads; or that it is a note
 * @param own what this kitchen has told of its measures and of things that the table does not know
 */
export function readLine(
  raw: string,
  measures: Measures,
  takenFor?: string,
  own: OwnKitchen = NOTHING_TOLD,
): ReadLine {
  const asked = { raw, measures, own };
  if (raw.length > 4 * MAX_LINE_LETTERS) return tooLong(raw);
  const minus = belowZero(raw);
  const text = cleanLine(raw);
  if (text === '') return { ...BLANK, raw, status: 'blank' };
  if (takenFor === A_NOTE) return { ...BLANK, raw, status: 'note', name: text };
  if (text.length > MAX_LINE_LETTERS) return tooLong(raw);
  if (LONG_NUMBER.test(text))
    return unread(asked, text, 'A number of that many digits is no amount.', 'Check it against the source.');
  if (minus)
    return unread(
      asked,
      text,
      'An amount cannot be below zero.',
      'Write it without the minus; for a list dash, put a space after it.',
    );
  const chosen = takenFor ? ownIngredientOf(takenFor, own.ownThings) : null;
  // A line with an amount of something known is a thing, whatever word leads to it.
  const led = chosen ? null : ledTo(text);
  if (led !== null) {
    const behind = readThings(asked, led, null);
    if (behind.status === 'read' && behind.ingredient) return behind;
  }
  const kind = chosen ? 'thing' : kindOf(text);
  if (kind === 'heading') return { ...BLANK, raw, status: 'heading', name: text.replace(/:$/, '') };
  if (kind !== 'thing') return { ...BLANK, raw, status: 'note', name: text };
  const read = readThings(asked, withoutLabel(text), chosen);
  return chosen ? read : (behindUnknown(asked, text, read) ?? read);
}

/** Words that can lead to a thing and are never one. All other words may be what is meant, and are told as not known. */
const LEADS =
  /^(?:(?:you|we|i|it|this|will|ll|need|needs|takes?|wants?|have|get|another|a|an|the|some|more|further|extra|last|first|next|of|which|for|and|also|rest|remaining)\b[\s,:]*)+$/i;

/** "You need 300 g icing sugar": only leading words stand before an amount, and something known behind it. */
function behindUnknown(asked: Asked, text: string, read: ReadLine): ReadLine | null {
  if (read.ingredient || read.also.length > 0) return null;
  const [first] = amountsIn(text);
  if (!first || first.bracketed || !LEADS.test(text.slice(0, first.start))) return null;
  const behind = readThings(asked, text.slice(first.start), null);
  return behind.status === 'read' && behind.ingredient ? behind : null;
}

/** What a line that is told as a step weighs all the same, of things that are known; empty for any other line. */
export function weighedInStep(raw: string, measures: Measures, own: OwnKitchen = NOTHING_TOLD): ReadLine[] {
  const text = cleanLine(raw);
  if (text.length > MAX_LINE_LETTERS || kindOf(text) !== 'method') return [];
  const read = readThings({ raw, measures, own }, text, null);
  return [read, ...read.also].flatMap((one) => {
    // "Whisk 4 egg whites": the verb is no part of the name.
    const ingredient = one.ingredient ?? findIngredient(ledName(one.called || one.name));
    return one.massG > 0 || ingredientCounted(text) ? (ingredient ? [{ ...one, ingredient }] : []) : [];
  });
}
const ledName = (name: string): string => name.replace(/^\p{L}+\s+/u, '');
const ingredientCounted = (text: string): boolean => /[\d½⅓⅔¼¾⅛]/.test(text);

/** Whether a verb leads to what a line weighs: it may be a step that names what another line has listed. */
export function isLedByVerb(raw: string): boolean {
  const text = cleanLine(raw);
  return LEADING_VERB.test(text) && ledTo(text) !== null;
}
const LEADING_VERB =
  /^(?:(?:and|then|next|now|also|finally|lastly|meanwhile|afterwards?|first|after (?:that|this))[,:]?\s+)*(?:add|put|melt|sift|chop|grate|crush|toast|soak|dissolve|pour|sprinkle|scatter|whisk|beat|cream|mix|stir|fold|roll|rub|work)\b/i;

const tooLong = (raw: string): ReadLine => ({
  ...BLANK,
  raw,
  status: 'unread',
  name: raw.trim().slice(0, 40),
  fault: { fault: 'This is too long to be one ingredient.', mend: 'Write one ingredient a line.' },
});

const belowZero = (raw: string): boolean => /^\s*[-−–—]\s*[\d.½⅓⅔¼¾⅛]/.test(raw) && !/^\s*[-–—]\s+/.test(raw);

function unread({ raw }: Asked, text: string, fault: string, mend: string, name = text): ReadLine {
  return { ...BLANK, raw, status: 'unread', name, ingredient: findIngredient(text), fault: { fault, mend } };
}

/** "Topping: 2 tbsp sugar" is of a topping; "Flour: 200 g" is flour. */
function withoutLabel(text: string): string {
  const match = /^([\p{L}][\p{L}' &-]{1,40}):\s*(.+)$/u.exec(text);
  if (!match) return text;
  const { things } = thingsOf(match[2] ?? '');
  const named = things.some(({ name }) => /\p{L}/u.test(nameIn(name)));
  return named ? (match[2] ?? text) : text;
}

function readThings(asked: Asked, text: string, chosen: Ingredient | null): ReadLine {
  const { things, instead } = thingsOf(text);
  if (things.length === 0) return withoutAmount(asked, text, chosen);
  const all = things.slice(0, MAX_THINGS).flatMap((thing) => splitParts(thing, text));
  const [first, ...more] = all.map((thing, i) => readThing(asked, text, thing, i === 0 ? chosen : null));
  if (!first) throw new Error('invariant: a line with amounts has a thing');
  const notices = [
    ...first.notices,
    ...instead.map((other) => ({
      fault: `"${other}" may be taken instead: it is not added.`,
      mend: 'To use it, write it in place of the first.',
    })),
  ];
  return { ...first, notices, also: more };
}

/** Juice and zest of one fruit are two things; whites of eggs are whites. */
function splitParts(thing: Thing, text: string): Thing[] {
  const fruit = partsOfFruit(
    thing.name === '' ? text : `${thing.name} ${/\bof\s*$/.test(thing.name) ? text : ''}`,
  );
  const counted = thing.sums[0]?.[0]?.amount.unit === null;
  if (counted && fruit.length > 0) return fruit.map((name) => ({ ...thing, name }));
  const egg = partOfEgg(text);
  return counted && egg ? [{ ...thing, name: egg }] : [thing];
}

function withoutAmount(asked: Asked, text: string, chosen: Ingredient | null): ReadLine {
  const { raw } = asked;
  const ingredient = chosen ?? ownThingIn(nameIn(text), asked.own.ownThings) ?? findIngredient(nameIn(text));
  if (/\d/.test(text.replace(/\d+(?:[.,]\d+)?\s*%/g, '')))
    return unread(
      asked,
      text,
      'There is a number here that is no amount.',
      'Write the amount first, such as 120 g butter.',
    );
  if (!ingredient)
    return unread(
      asked,
      text,
      'No amount and no ingredient found here.',
      'Write an amount and a name, such as 120 g butter.',
    );
  return {
    ...BLANK,
    raw,
    status: 'no amount',
    name: ingredient.name,
    called: nameIn(text),
    ingredient,
    reading: 'no amount: add to taste',
  };
}

/** "1 wineglass of sherry": a measure that nobody has told us of. */
const OWN_MEASURE = /^\s*([a-z]{3,}(?:[ -][a-z]{3,})?)\s+of\s+(?=[a-z])/i;

/**
 * What a count is of where it is not of the thing itself: one sleeve of crackers, two trays of dates. It stands between the
 * number and the thing, in the number that the thing is not.
 */
function holderIn({ name, sums }: Thing, ingredient: Ingredient | null): string | null {
  const amount = sums[0]?.[0]?.amount;
  if (!amount || amount.unit !== null || !ingredient?.pieceG || isOwn(ingredient)) return null;
  const [first = '', ...rest] = nameIn(name).toLowerCase().split(' ');
  const thing = rest.join(' ');
  if (!/^[a-z]{4,}$/.test(first) || HARMLESS.has(first) || findIngredient(first)) return null;
  const isPlural = (word: string) => /[^s]s$/.test(word);
  if (!isPlural(thing) || findIngredient(thing) !== ingredient) return null;
  if (findIngredient(nameIn(name)) === ingredient && ingredient.names.includes(nameIn(name).toLowerCase()))
    return null;
  return amount.high <= 1 || isPlural(first) ? singular(first) : null;
}

/** A bare number from this on is taken for grams where nothing is counted so. */
const GRAMS_FROM = 20;
const GRAM = {
  key: 'g',
  kind: 'mass',
  size: { us: 1, metric: 1, australian: 1 },
  names: [],
  spreadShare: 0.005,
} as const;

function readThing(asked: Asked, text: string, thing: Thing, chosen: Ingredient | null): ReadLine {
  const { raw, measures, own } = asked;
  const { ingredient, called } = nameOf(thing, chosen, own.ownThings);
  const name = ingredient?.name ?? called;
  if (!/\p{L}/u.test(name))
    return unread(asked, text, 'There is an amount but no ingredient.', 'Write what it is after the amount.');
  const measure = OWN_MEASURE.exec(thing.name)?.[1];
  const stated = thing.sums.flat().some((one) => one.amount.unit?.kind === 'mass');
  if (
    measure &&
    !stated &&
    !isOwn(ingredient) &&
    thing.sums[0]?.[0]?.amount.unit === null &&
    !findIngredient(measure)
  )
    return unread(
      asked,
      text,
      `How much a ${singular(measure)} is not known.`,
      `Add the grams: (60 g) behind it.`,
      name,
    );
  const holder = stated ? null : holderIn(thing, ingredient);
  if (holder)
    return unread(
      asked,
      text,
      `How much a ${holder} holds is not known.`,
      'Add the grams: (150 g) behind it.',
      name,
    );
  const by: Weighing = { ingredient, measures, text: `${thing.name} ${text}`, own };
  const reads = readsOf(thing, by);
  const picked = pick(reads, ingredient) ?? inGrams(reads[0], ingredient);
  const amount = thing.sums[0]?.[0]?.amount;
  if (picked?.massG == null) return unread(asked, text, ...unknownMeasure(amount, name), name);
  if (picked.massG <= 0)
    return unread(
      asked,
      text,
      'The amount comes to nothing.',
      'Write an amount above zero, or take the line out.',
      name,
    );
  if (picked.massG > MAX_LINE_G)
    return unread(asked, text, 'That is over 100 kg.', 'Check the amount and the unit.', name);
  const plain = picked.amount.unit?.kind === 'mass' && picked.amount.unit.key !== 'stick';
  return {
    raw,
    status: 'read',
    ingredient,
    name,
    called: called || name,
    massG: picked.massG,
    lowG: picked.massG - picked.spreadG,
    highG: picked.massG + picked.spreadG,
    whole: wholeOf(picked.amount, picked.massG, ingredient, amount),
    frozen: /\bfrozen\b/i.test(raw),
    reading: picked.reading,
    basis: plain ? 'stated' : 'typical',
    fault: null,
    notices: [...conflict(reads, picked, name), ...doubts(thing, picked)],
    also: [],
  };
}

/** "Flour: 200": nobody counts flour, so it is grams, and said. */
function inGrams(read: Read | undefined, ingredient: Ingredient | null): Read | null {
  if (!read || ingredient === null || read.amount.unit !== null || read.amount.value < GRAMS_FROM)
    return null;
  const { value } = read.amount;
  return {
    amount: { ...read.amount, unit: GRAM },
    massG: value,
    spreadG: value * GRAM.spreadShare,
    reading: `${value} taken for grams`,
  };
}

/** Readings that a person should look at. */
function doubts({ sums }: Thing, { amount, reading }: Read): Fault[] {
  const written = sums
    .flat()
    .map((one) => one.amount.text)
    .join(' ');
  if (/taken for grams/.test(reading))
    return [
      {
        fault: `No measure is written: ${amount.text} is taken for grams.`,
        mend: 'Write g, ml or cups behind it.',
      },
    ];
  const together = /(?:^|\s)([1-9])([1-7]\/[2348])(?!\d)/.exec(written);
  if (together)
    return [
      {
        fault: `${together[1]}${together[2]} is read as ${together[1]} and ${together[2]}.`,
        mend: 'Put a space between them where that is meant.',
      },
    ];
  return [];
}

/** What of a line comes whole and is counted: eggs, fruit and pods, packs of a size. */
function wholeOf(
  { unit, value, factor, packs }: Amount,
  massG: number,
  ingredient: Ingredient | null,
  first: Amount | undefined,
): WholeThing | null {
  const of = (count: number, one: string, sort: WholeSort) =>
    count > 0 ? { count, pieceG: massG / count, one, sort } : null;
  if (packs) return of(packs.count, packs.one, 'pack');
  if (first?.unit?.kind === 'pack') return of(first.value * first.factor, first.unit.key, 'pack');
  if (unit !== null || ingredient === null) return null;
  const { role, name } = ingredient;
  return of(value * factor, name, role === 'egg' ? 'egg' : role === 'flavour' ? 'pod' : 'fruit');
}
