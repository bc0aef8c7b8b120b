import { takeAmount, type Amount } from './amount';
import { findIngredient } from './ingredientName';
import {
  EGG_SIZE_G,
  FILLING_FACTOR,
  PIECE_SPREAD_SHARE,
  ingredientOf,
  type Ingredient,
} from './ingredients.table';
import { readNumber } from './number';
import { TABLE_CUP_ML, TABLE_TSP_ML, type Measures } from './units.table';

/** What is wrong with a line or a field, and what would be right. */
export interface Fault {
  readonly fault: string;
  readonly mend: string;
}

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

export type LineStatus = 'read' | 'unread' | 'no amount' | 'heading' | 'blank';

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
}

/** Largest mass one line may state, g. Larger is taken for a slip of the finger. */
export const MAX_LINE_G = 100_000;
/** Letters that one line may have, with all its notes. Longer ones are paragraphs. */
export const MAX_LINE_LETTERS = 400;
/** Digits in a row that no amount has. */
const LONG_NUMBER = /\d{9,}/;
/** A measure and a weight on one line may differ by this share before it is pointed out. */
export const CONFLICT_SHARE = 0.15;

/** Personal measures that somebody has weighed: the unit's key → g of one. */
export type OwnMeasures = Readonly<Record<string, number>>;
const NONE_WEIGHED: OwnMeasures = {};
/** A handful that was weighed once still differs from hand to hand: half the 10–90 width as a share. Basis: typical. */
const OWN_SPREAD_SHARE = 0.1;

interface Read {
  readonly amount: Amount;
  readonly massG: number | null;
  readonly spreadG: number;
  readonly reading: string;
}

/** The mass of an amount of an ingredient, or null where it cannot be known. */
function weigh(
  amount: Amount,
  ingredient: Ingredient | null,
  measures: Measures,
  text: string,
  own: OwnMeasures,
): Read {
  const { unit, factor } = amount;
  const value = amount.value * factor;
  const stated = ((amount.high - amount.low) / 2) * factor;
  const read = (perUnitG: number | null, share: number, reading: string): Read => ({
    amount,
    massG: perUnitG === null ? null : value * perUnitG,
    spreadG: perUnitG === null ? 0 : Math.hypot(value * perUnitG * share, stated * perUnitG),
    reading,
  });
  if (!unit) {
    const pieceG = pieceMass(ingredient, measures, text);
    const share = ingredient?.role === 'egg' ? PIECE_SPREAD_SHARE.egg : PIECE_SPREAD_SHARE.other;
    return read(pieceG, share, pieceG === null ? '' : `${amount.text} at {${trim(pieceG)} g} each`);
  }
  const size = unit.size[measures];
  switch (unit.kind) {
    case 'mass':
      return read(size, unit.spreadShare, unit.key === 'stick' ? `${amount.text} at {113.4 g}` : '');
    case 'personal': {
      const weighed = Object.prototype.hasOwnProperty.call(own, unit.key) ? own[unit.key] : undefined;
      return weighed === undefined
        ? read(size, unit.spreadShare, `${amount.text} at {${trim(size)} g}`)
        : read(weighed, OWN_SPREAD_SHARE, `${amount.text} at {${trim(weighed)} g}, as weighed here`);
    }
    case 'pack': {
      const usual = ingredient?.packG?.[unit.key];
      return usual === undefined
        ? read(null, 0, '')
        : read(usual, unit.spreadShare, `${amount.text} at {${trim(usual)} g} each`);
    }
    case 'volume': {
      const density = densityOf(ingredient, unit.key, text);
      if (density === null) return read(null, 0, '');
      return read(
        size * density,
        unit.spreadShare,
        `${amount.text} at {${trim(size * density)} g} a ${unit.key}`,
      );
    }
  }
}

function pieceMass(ingredient: Ingredient | null, measures: Measures, text: string): number | null {
  if (!ingredient?.pieceG) return null;
  if (ingredient.role !== 'egg') return ingredient.pieceG;
  const sizes = EGG_SIZE_G[measures];
  const named = /\b(extra[- ]large|small|medium|large|jumbo)\b/i
    .exec(text)?.[1]
    ?.toLowerCase()
    .replace('-', ' ');
  const wholeG = named ? (sizes[named] ?? 50) : 50;
  // Whites and yolks grow with the egg: their share of a 50 g egg stays.
  return wholeG * (ingredient.pieceG / 50);
}

/** g per ml of the ingredient as it lies in that measure; null where the table does not say. */
function densityOf(ingredient: Ingredient | null, unit: string, text: string): number | null {
  if (!ingredient) return null;
  const bySpoon = ingredient.tspG === undefined ? null : ingredient.tspG / TABLE_TSP_ML;
  const byCup = ingredient.cupG === undefined ? null : ingredient.cupG / TABLE_CUP_ML;
  const small = unit === 'tsp' || unit === 'tbsp' || unit === 'dsp' || unit === 'drop';
  const density = small ? (bySpoon ?? byCup) : (byCup ?? bySpoon);
  if (density === null) return null;
  const filling = FILLING_FACTOR.find(({ key, word }) => key === ingredient.key && word.test(text));
  return density * (filling?.factor ?? 1);
}

const trim = (value: number) => String(Number(value.toPrecision(value >= 100 ? 3 : 2)));

/** Splits a text into the amounts at its start and what is left. */
function takeAmounts(text: string): { sums: Amount[][]; rest: string } | null {
  const first = takeAmount(text);
  if (!first) return null;
  const sums: Amount[][] = [[first]];
  let rest = text.slice(first.length);
  for (;;) {
    const plus = /^\s*(?:plus|\+|and|&)\s+(?=[\d½⅓⅔¼¾⅛]|an?\s|half\b)/i.exec(rest);
    if (plus) {
      const more = takeAmount(rest.slice(plus[0].length));
      if (more?.unit) {
        sums.at(-1)?.push(more);
        rest = rest.slice(plus[0].length + more.length);
        continue;
      }
    }
    const other =
      /^\s*(?:\/|or|=|,\s*(?:about|approx\.?|or)|[([]\s*(?:or\s+|=\s*)?)\s*(?=[~≈]?\s*(?:about\s+|approx\.?\s+)?[\d½⅓⅔¼¾⅛])/i.exec(
        rest,
      );
    const amount = other ? takeAmount(rest.slice(other[0].length)) : null;
    if (other && amount?.unit) {
      sums.push([amount]);
      rest = rest.slice(other[0].length + amount.length);
      if (/[([]/.test(other[0])) rest = closeBracket(rest, sums);
      continue;
    }
    return { sums, rest };
  }
}

/** Inside a bracket there may be a second amount ("190 g / 6.7 oz"); what else it holds is a note. */
function closeBracket(rest: string, sums: Amount[][]): string {
  const end = rest.search(/[)\]]/);
  const inside = end < 0 ? rest : rest.slice(0, end);
  const again = /^\s*(?:\/|or|,|;|=)\s*(?=\d)/.exec(inside);
  const amount = again ? takeAmount(inside.slice(again[0].length)) : null;
  if (amount?.unit) sums.push([amount]);
  return end < 0 ? '' : rest.slice(end + 1);
}

/** The part of a text that names the ingredient: no brackets, and nothing after a comma, "for", "with", "or", "plus". */
function nameIn(text: string): string {
  const bare = text.replace(/[([][^)\]]*[)\]]?/g, ' ').replace(/^\s*(?:of|each)\b/i, ' ');
  const head = bare.split(/[,;:]|\s[-–—]\s|\b(?:for|with|or|plus|divided|to taste|at room)\b/i)[0] ?? '';
  return (head.trim() ? head : bare).replace(/\s+/g, ' ').trim();
}

const OF_FRUIT =
  /^(?:finely\s+|freshly\s+|grated\s+|squeezed\s+)*(juice|zest|peel|rind)(?:\s+and\s+\w+)?\s+of\s+(.+)$/i;

/** "Juice of half a lemon" says its amount in the middle: turned round to "half a lemon juice". */
function turnRound(text: string): string {
  const match = OF_FRUIT.exec(text);
  if (!match) return text;
  const part = /juice/i.test(match[1] ?? '') ? 'juice' : 'zest';
  const rest = (match[2] ?? '').replace(/\b(lemon|lime|orange)s?\b/i, `$1 ${part}`);
  return readNumber(rest) ? rest : `1 ${rest}`;
}

/** "Butter, 120 g" and "flour: 2 cups" say the amount last: turned round to put it first. */
function amountLast(text: string): string | null {
  const match = /^([a-zà-ÿ][^\d½⅓⅔¼¾⅛]*?)[\s:,–—-]+(?=[~\d½⅓⅔¼¾⅛])/i.exec(text);
  if (!match) return null;
  const tail = text.slice(match[0].length);
  const amounts = takeAmounts(tail);
  if (!amounts || !(amounts.sums[0]?.[0]?.unit || findIngredient(match[1] ?? '')?.pieceG)) return null;
  return `${tail.slice(0, tail.length - amounts.rest.length)} ${match[1]}${amounts.rest}`;
}

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
};

/**
 * Reads one line of a formula as a person wrote it.
 * @param measures which cup, spoon and egg the formula means
 * @param takenFor the key of the ingredient that the person says it is, where the name alone misleads
 * @param own what this kitchen's handful, dollop and scoop weigh, g, where somebody has weighed them
 */
export function readLine(
  raw: string,
  measures: Measures,
  takenFor?: string,
  own: OwnMeasures = NONE_WEIGHED,
): ReadLine {
  const text = raw
    .replace(/\u00a0/g, ' ')
    .trim()
    .replace(/^(?:[•*·▢☐□]|[-–—](?=\s))\s*/, '')
    .trim();
  if (text === '') return { ...BLANK, raw, status: 'blank' };
  if (text.length > MAX_LINE_LETTERS)
    return {
      ...BLANK,
      raw,
      status: 'unread',
      name: text.slice(0, 40),
      fault: { fault: 'This is too long to be one ingredient.', mend: 'Write one ingredient a line.' },
    };
  if (/^[^\d½⅓⅔¼¾⅛]*:$/.test(text)) return { ...BLANK, raw, status: 'heading', name: text.slice(0, -1) };
  const unread = (fault: string, mend: string, name = text): ReadLine => ({
    ...BLANK,
    raw,
    status: 'unread',
    name,
    ingredient: findIngredient(text),
    fault: { fault, mend },
  });
  if (LONG_NUMBER.test(text))
    return unread('A number of that many digits is no amount.', 'Check it against the source.');
  if (/^[-−–—]\s*[\d.½⅓⅔¼¾⅛]/.test(text)) {
    return unread(
      'An amount cannot be below zero.',
      'Write it without the minus; for a list dash, put a space after it.',
    );
  }
  const turned = turnRound(text);
  const parsed = takeAmounts(turned) ?? takeAmounts(amountLast(turned) ?? '');
  const chosen = takenFor ? ingredientOf(takenFor) : null;
  if (!parsed) {
    const ingredient = chosen ?? findIngredient(nameIn(text));
    if (!ingredient)
      return unread(
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
  const written = nameIn(parsed.rest);
  const ingredient = chosen ?? findIngredient(written) ?? findIngredient(parsed.rest);
  const name = ingredient?.name ?? written;
  if (!name) return unread('There is an amount but no ingredient.', 'Write what it is after the amount.');
  const reads = parsed.sums.map((sum) =>
    add(sum.map((amount) => weigh(amount, ingredient, measures, text, own))),
  );
  const best = pick(reads, ingredient);
  if (best?.massG == null) return unread(...unknownMeasure(parsed.sums[0]?.[0], name), name);
  if (best.massG <= 0)
    return unread('The amount comes to nothing.', 'Write an amount above zero, or take the line out.', name);
  if (best.massG > MAX_LINE_G) {
    return unread('That is over 100 kg.', 'Check the amount and the unit.', name);
  }
  const whole = wholeOf(best.amount, best.massG, ingredient);
  const weighed = best.amount.unit?.kind === 'mass' && best.amount.unit.key !== 'stick';
  return {
    raw,
    status: 'read',
    ingredient,
    name,
    called: written || name,
    massG: best.massG,
    lowG: best.massG - best.spreadG,
    highG: best.massG + best.spreadG,
    whole,
    frozen: /\bfrozen\b/i.test(raw),
    reading: best.reading,
    basis: weighed ? 'stated' : 'typical',
    fault: null,
    notices: conflict(reads, best, name),
  };
}

/** What of a line comes whole and is counted: eggs, fruit and pods, packs of a size. */
function wholeOf(
  { unit, value, factor, packs }: Amount,
  massG: number,
  ingredient: Ingredient | null,
): WholeThing | null {
  const many = value * factor;
  const of = (count: number, one: string, sort: WholeSort) =>
    count > 0 ? { count, pieceG: massG / count, one, sort } : null;
  if (packs) return of(packs.count, packs.one, 'pack');
  if (unit !== null) return unit.kind === 'pack' ? of(many, unit.key, 'pack') : null;
  if (ingredient === null) return null;
  const { role, name } = ingredient;
  return of(many, name, role === 'egg' ? 'egg' : role === 'flavour' ? 'pod' : 'fruit');
}

function add(parts: Read[]): Read {
  const [first, ...more] = parts;
  if (!first) throw new Error('invariant: a sum of no amounts');
  return more.reduce(
    (sum, part) => ({
      amount: sum.amount,
      massG: sum.massG === null || part.massG === null ? null : sum.massG + part.massG,
      spreadG: Math.hypot(sum.spreadG, part.spreadG),
      reading: [sum.reading, part.reading].filter(Boolean).join(' + '),
    }),
    first,
  );
}

/** Eggs go by count; all else by weight where one is given, since a weight does not depend on how a cup was filled. */
function pick(reads: Read[], ingredient: Ingredient | null): Read | null {
  const known = reads.filter((read) => read.massG !== null);
  const counted = ingredient?.role === 'egg' ? known.find((read) => read.amount.unit === null) : undefined;
  const weights = known.filter(
    (read) => read.amount.unit?.kind === 'mass' && read.amount.unit.key !== 'stick',
  );
  // Of "8 oz/225 g" the grams are what a scale reads.
  const weight = weights.find((read) => /^k?g$/.test(read.amount.unit?.key ?? '')) ?? weights[0];
  return counted ?? weight ?? known[0] ?? null;
}

function conflict(reads: Read[], best: Read, name: string): Fault[] {
  const bestG = best.massG ?? 0;
  const gap = (read: Read) => Math.abs((read.massG ?? bestG) / bestG - 1);
  return reads
    .filter((read) => read !== best && read.massG !== null && gap(read) > CONFLICT_SHARE)
    .map((read) => ({
      fault: `${read.amount.text} of ${name} is about ${Math.round(read.massG ?? 0)} g, but ${best.amount.text} stands beside it: ${Math.round(gap(read) * 100)} % apart.`,
      mend:
        best.amount.unit?.kind === 'mass'
          ? 'The weight is used, since it does not depend on how a cup is filled. Check it against the source.'
          : `${best.amount.text} is used. Check it against the source.`,
    }));
}

function unknownMeasure(amount: Amount | undefined, name: string): [string, string] {
  if (amount?.unit?.kind === 'pack') {
    return [
      `How much a ${amount.unit.key} holds is not written.`,
      `Add its size: ${amount.text} (400 g) ${name}.`,
    ];
  }
  if (!amount?.unit)
    return [`What one ${name} weighs is not known.`, `Add the grams: ${amount?.text ?? '1'} (60 g) ${name}.`];
  return [
    `What a ${amount.unit.key} of ${name} weighs is not known.`,
    `Add the grams: ${amount.text} (100 g) ${name}.`,
  ];
}
