import { ALLERGENS, COLOUR_WORDS, FREES, NAMED, PLANT_BASED, type Allergen } from './allergens.table';
import { findIngredient } from './ingredientName';
import { INGREDIENTS, ingredientOf, type Ingredient } from './ingredients.table';
import { CUTS, HARMLESS, JOINING, PLAIN_ONLY } from './nameWords.table';

/** A thing whose packet has to be read: sold ready made, or known to nobody here. */
export interface Packet {
  /** As it was written. */
  readonly name: string;
  /** False where no table answers the name: then nothing is known of it. */
  readonly known: boolean;
}

/** What a thing, a piece or a whole run holds. */
export interface Holds {
  /** Of the lists, in their order: what such things are usually made of. */
  readonly allergens: readonly Allergen[];
  /** Things that may hold more than is told here, each once. */
  readonly packets: readonly Packet[];
}

export const HOLDS_NOTHING: Holds = { allergens: [], packets: [] };

/** All that several things hold together. */
export function togetherHold(all: readonly Holds[]): Holds {
  const found = new Set(all.flatMap(({ allergens }) => allergens));
  const packets = new Map<string, Packet>();
  for (const one of all.flatMap((each) => each.packets))
    if (!packets.has(one.name)) packets.set(one.name, one);
  return { allergens: ALLERGENS.filter((one) => found.has(one)), packets: [...packets.values()] };
}

/** More than so much is no name of a thing. */
const LONGEST = 400;
/** Between things, beside marks. */
const BETWEEN = new Set([',', 'and', 'or', 'with', 'plus']);

/** What some words of a text answer. */
type Meaning =
  | {
      readonly is: 'thing';
      readonly of: readonly Allergen[];
      readonly more: boolean;
      /** The name as it stands in the tables. */
      readonly alias: string;
      /** Of so wide a kind that an unknown word before it makes another thing of it: a glaze, a fruit. */
      readonly wide: boolean;
      /** What its own name frees: "eggless sponge". */
      readonly frees: readonly Allergen[];
    }
  | { readonly is: 'free'; readonly of: readonly Allergen[] };

interface Form {
  /** Words with a space on either side. */
  readonly words: string;
  readonly meaning: Meaning;
}

/** Small letters without accents; marks between things as commas, figures as #. */
function plainly(text: string): string {
  const bare = text
    .slice(0, LONGEST)
    .normalize('NFKD')
    .replace(/[\u0300-\u036f’']/g, '')
    .toLowerCase()
    .replace(/ß/g, 'ss')
    .replace(/œ/g, 'oe')
    .replace(/[,;:()[\]+&/|.]+/g, ' , ')
    .replace(/\d+/g, ' # ')
    .replace(/[^a-z,#]+/g, ' ');
  return ` ${bare.trim()} `;
}

/** A word that frees within a name: "eggless sponge", "vegan chocolate". */
const FREES_IN_NAME = new RegExp(`\\b(${Object.keys(FREES).join('|')})[ -]?(?:free|less)\\b`);

function thing(
  alias: string,
  { of, more }: { readonly of: readonly Allergen[]; readonly more: boolean },
  wide: boolean,
): Meaning {
  const word = FREES_IN_NAME.exec(alias)?.[1] ?? '';
  const frees = /^(?:vegan|plant[ -]based)\b/.test(alias) ? PLANT_BASED : (FREES[word] ?? []);
  return { is: 'thing', of: of.filter((one) => !frees.includes(one)), more, alias, wide, frees };
}

/** All names of the tables with their plurals, and the words that free, by the last word, the longest first. */
let byLastWord: ReadonlyMap<string, readonly Form[]> | null = null;

function forms(): ReadonlyMap<string, readonly Form[]> {
  if (byLastWord) return byLastWord;
  const out = new Map<string, Form[]>();
  const taken = new Set<string>();
  const add = (name: string, meaning: Meaning) => {
    const words = plainly(name.replace(/[,.]/g, ' '));
    if (taken.has(words)) return;
    taken.add(words);
    const last = words.trim().split(' ').at(-1) ?? '';
    const there = out.get(last);
    if (there) there.push({ words, meaning });
    else out.set(last, [{ words, meaning }]);
  };
  const names: [string, Meaning][] = [
    ...INGREDIENTS.flatMap((one) =>
      [one.name, ...one.names].map((name): [string, Meaning] => [
        name,
        thing(name, ofRow(one), PLAIN_ONLY.has(name)),
      ]),
    ),
    ...NAMED.flatMap(({ names: all, ...of }) =>
      all
        .split('|')
        .map((name): [string, Meaning] => [
          name,
          thing(name, of, of.of.length === 0 && !of.more && !name.includes(' ')),
        ]),
    ),
  ];
  for (const [name, meaning] of names) add(name, meaning);
  // Plurals after all names as they stand: a row's own word is never another's plural.
  for (const [name, meaning] of names) add(`${name}s`, meaning);
  for (const [what, of] of Object.entries(FREES)) {
    const frees: Meaning = { is: 'free', of };
    for (const words of [`${what} free`, `${what}less`, `free from ${what}`, `free of ${what}`])
      add(words, frees);
    for (const words of [`without ${what}`, `no ${what}`, `non ${what}`, `contains no ${what}`])
      for (const end of ['', 's']) add(`${words}${end}`, frees);
    for (const end of ['', 's']) add(`free from ${what}${end}`, frees);
  }
  for (const words of ['vegan', 'plant based']) add(words, { is: 'free', of: PLANT_BASED });
  for (const found of out.values()) found.sort((a, b) => b.words.length - a.words.length);
  byLastWord = out;
  return out;
}

const ofRow = ({ allergens = [], more }: Ingredient) => ({ of: allergens, more: more === true });

/** A text as words, each name of it in one piece: what it means in the place of its words. */
type Token = string | Meaning;

function tokensOf(text: string): Token[] {
  // What is said not to be free is as it would be without the word.
  let hay = plainly(text).replace(/ not (?:[a-z]+ free|vegan|plant based) /g, ' ');
  const known = forms();
  const here = [...new Set(hay.trim().split(' '))].flatMap((word) => known.get(word) ?? []);
  const found: Meaning[] = [];
  for (const { words, meaning } of here.sort((a, b) => b.words.length - a.words.length)) {
    if (!hay.includes(words)) continue;
    hay = hay.split(words).join(` §${found.length} `);
    // Twice in a row share a space between them.
    while (hay.includes(words)) hay = hay.replace(words, ` §${found.length} `);
    found.push(meaning);
  }
  return hay
    .trim()
    .split(/\s+/)
    .filter(Boolean)
    .map((word) => (word.startsWith('§') ? (found[Number(word.slice(1))] ?? word) : word));
}

/** One of the things that a text names, with what frees it. */
interface Segment {
  readonly tokens: readonly Token[];
  /** The mark or word before it. */
  readonly behind: string;
  readonly freed: Set<Allergen>;
}

const isThing = (token: Token): token is Extract<Meaning, { readonly is: 'thing' }> =>
  typeof token !== 'string' && token.is === 'thing';
/** Measures, which say nothing of what is measured. */
const MEASURES: ReadonlySet<string> = new Set(
  'cup cups tbsp tsp tablespoon tablespoons teaspoon teaspoons gram grams pound pounds ounce ounces pinch dash drop drops knob handful dollop splash squeeze spoon spoons spoonful few little touch dusting layer'.split(
    ' ',
  ),
);
const isIdle = (word: string): boolean =>
  word === '#' ||
  MEASURES.has(word) ||
  HARMLESS.has(word) ||
  CUTS.has(word) ||
  word.length < 3 ||
  /(?:ly|ed|en|ing)$/.test(word);
const isOnlyFree = ({ tokens }: Segment): boolean =>
  tokens.some((token) => typeof token !== 'string' && token.is === 'free') &&
  tokens.every((token) => (typeof token === 'string' ? isIdle(token) : token.is !== 'thing'));

function segmentsOf(tokens: readonly Token[]): Segment[] {
  const out: Segment[] = [];
  let now: Token[] = [];
  let behind = '';
  const end = (mark: string) => {
    if (now.length > 0) out.push({ tokens: now, behind, freed: new Set() });
    now = [];
    behind = mark;
  };
  for (const token of tokens)
    if (typeof token === 'string' && BETWEEN.has(token)) end(token);
    else now.push(token);
  end('');
  return out;
}

const freesOf = (tokens: readonly Token[]): readonly Allergen[] =>
  tokens.flatMap((token) => (typeof token === 'string' ? [] : token.is === 'free' ? token.of : token.frees));

/** Words that free are believed for the thing that they stand at: before it, in brackets behind it, or behind a comma. */
function free(segments: readonly Segment[]): void {
  segments.forEach((segment, i) => {
    const frees = freesOf(segment.tokens);
    if (frees.length === 0) return;
    let at = i;
    if (isOnlyFree(segment)) {
      // "flour, gluten-free and dairy-free" and "gluten-free and dairy-free flour" mean their flour.
      let first = i;
      while (first > 0 && segments[first]?.behind !== ',' && isOnlyFree(segments[first - 1] ?? segment))
        first -= 1;
      let last = i;
      while (
        last + 1 < segments.length &&
        segments[last + 1]?.behind !== ',' &&
        isOnlyFree(segments[last + 1] ?? segment)
      )
        last += 1;
      at =
        first > 0 && segments[first]?.behind === ',' ? first - 1 : last + 1 < segments.length ? last + 1 : i;
      while (at > 0 && at < i && isOnlyFree(segments[at] ?? segment)) at -= 1;
    }
    for (const one of frees) segments[at]?.freed.add(one);
  });
}

/** The words of a segment that say what it is: without sizes, cuts and what stands behind "for" or "to". */
function saysWhat(tokens: readonly Token[]): readonly Token[] {
  const first = tokens.findIndex(isThing);
  const tail = tokens.findIndex((token, i) => i > first && typeof token === 'string' && JOINING.has(token));
  const cut = first >= 0 && tail > 0 ? tokens.slice(0, tail) : tokens;
  return cut.filter((token) => (typeof token === 'string' ? !isIdle(token) : token.is === 'thing'));
}

/**
 * Whether it is known what a segment is: its last word names something, and no unknown word before a wide name makes
 * another thing of it.
 */
function isKnown(tokens: readonly Token[]): boolean {
  const said = saysWhat(tokens);
  const last = said.at(-1);
  if (last === undefined || !isThing(last)) return false;
  if (!last.wide) return true;
  return said.slice(0, -1).every(isThing);
}

const wordOf = (token: Token): string =>
  isThing(token) ? token.alias : typeof token === 'string' ? token : '';
const nameOf = (tokens: readonly Token[]): string =>
  tokens
    .map(wordOf)
    .filter((word) => word !== '' && word !== '#')
    .join(' ');

/**
 * What a thing holds by its name, as somebody wrote it. The row of an ingredient answers first, then the names that have
 * no row; of two names the longer one. Words such as "egg-free" are believed for what they free and for no more. A name
 * that nothing answers is told as not known, never as holding nothing.
 */
export function holdsOf(text: string): Holds {
  if (plainly(text).trim() === '') return HOLDS_NOTHING;
  const segments = segmentsOf(tokensOf(text));
  free(segments);
  const whole = segments.some(({ tokens }) => tokens.some(isThing));
  const each = segments.flatMap((segment): Holds[] => {
    const { tokens, freed } = segment;
    const things = tokens.filter(isThing);
    const allergens = things.flatMap(({ of }) => of).filter((one) => !freed.has(one));
    const said = saysWhat(tokens);
    if (things.length === 0 && (said.length === 0 || isOnlyFree(segment)))
      return whole ? [] : [{ allergens: [], packets: [{ name: text.trim(), known: false }] }];
    const name = nameOf(tokens) || text.trim();
    if (!isKnown(tokens) && findIngredient(nameOf(said)) === null)
      return [{ allergens, packets: [{ name, known: false }] }];
    return [
      {
        allergens,
        packets: things.filter(({ more }) => more).map(({ alias }) => ({ name: alias, known: true })),
      },
    ];
  });
  return togetherHold(each);
}

/** What an ingredient of the tables holds: its row. */
export const holdsOfIngredient = (ingredient: Ingredient): Holds => ({
  allergens: ingredient.allergens ?? [],
  packets: ingredient.more === true ? [{ name: ingredient.name, known: true }] : [],
});

/** The same by its key: a kind of coat or binder stands for an ingredient. */
export function holdsOfKey(key: string): Holds {
  const ingredient = ingredientOf(key);
  if (!ingredient) throw new Error(`invariant: the tables have an ingredient "${key}"`);
  return holdsOfIngredient(ingredient);
}

/** What a line names and what it was taken for. */
interface Line {
  readonly raw: string;
  readonly called: string;
  readonly name: string;
  readonly ingredient: Ingredient | null;
}

/**
 * What a line of a formula holds: the row that it was read as, and whatever else its words name. Where the reader knows
 * the thing, words around it that no table answers leave it known.
 */
export function holdsOfLine({ raw, called, name, ingredient }: Line): Holds {
  const words = holdsOf(raw);
  if (!ingredient) {
    const own = holdsOf(called || name || raw);
    return togetherHold([{ ...words, packets: [] }, own]);
  }
  const row = holdsOfIngredient(ingredient);
  const freed = freedBy(called === '' ? raw : rawHas(raw, called));
  return togetherHold([
    { allergens: row.allergens.filter((one) => !freed.has(one)), packets: row.packets },
    { allergens: words.allergens, packets: words.packets.filter(({ known }) => known) },
  ]);
}

/** The whole line where it names one thing, so that brackets behind it count; else the thing's own words. */
const rawHas = (raw: string, called: string): string =>
  segmentsOf(tokensOf(raw)).filter(({ tokens }) => tokens.some(isThing)).length <= 1 ? raw : called;

function freedBy(text: string): ReadonlySet<Allergen> {
  return new Set(freesOf(tokensOf(text)));
}

/** What a colour's name brings: nothing where it names a colour and no more. */
export function holdsOfColour(name: string): Holds {
  const words = plainly(name).trim().split(/\s+/);
  return words.every((word) => COLOUR_WORDS.has(word) || /^[,#]$/.test(word)) ? HOLDS_NOTHING : holdsOf(name);
}

/** What nobody can tell without the packet, in a list of allergens. */
export type Told = Allergen | 'unknown';

/** As one list: what is held, and `unknown` last where a packet may tell of more. */
export const listed = ({ allergens, packets }: Holds): readonly Told[] =>
  packets.length > 0 ? [...allergens, 'unknown'] : allergens;

/** The same of a name. */
export const allergensIn = (text: string): readonly Told[] => listed(holdsOf(text));
