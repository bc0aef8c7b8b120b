import { findUnit } from '../units.table';
import type { Amount } from '../amount';
import { amountsIn, type PlacedAmount } from './parts';

/** Amounts that are added up, with what is taken off again. */
export type Sum = readonly { readonly amount: Amount; readonly sign: 1 | -1 }[];

/** One thing of a line: what it is called, and the ways in which its amount is given. */
export interface Thing {
  /** As it stands, with its notes. */
  readonly name: string;
  /** Ways to say how much: one of them is enough. */
  readonly sums: readonly Sum[];
  /** The last way is the size of one of those that the first counts: "2 bars (100 g each)". */
  readonly sizeOfOne: boolean;
}

export interface Things {
  readonly things: readonly Thing[];
  /** What may be taken instead; never added. */
  readonly instead: readonly string[];
}

type Link = 'same' | 'sum' | 'less' | 'range' | 'next' | 'instead' | 'size';

interface Open {
  name: string;
  sums: { amount: Amount; sign: 1 | -1 }[][];
  sizeOfOne: boolean;
}

const LINK_AT_END =
  /(?:[,;]|\+|\bplus\b|\band\b|&|\bwith\b|\bminus\b|\bless\b|[-–—]|\bor\b|\babout\b|\bapprox\.?|\bca\.?|=|:|\/|\()\s*$/i;
const letters = (text: string) => /\p{L}/u.test(text);
/** What is left of a text between amounts once brackets, marks and the words that only join are off. */
const bare = (text: string) =>
  text
    .replace(/[()[\]{}]/g, ' ')
    .replace(
      /\b(?:about|approx\.?|approximately|ca\.?|each|or|of|in total|total|altogether|weight|drained|net)\b/gi,
      ' ',
    )
    .replace(/[^\p{L}]+/gu, ' ')
    .trim();

/** A name with the words and marks that join it to the next amount taken off its end. */
function nameBefore(gap: string): string {
  let text = gap;
  for (let match = LINK_AT_END.exec(text); match; match = LINK_AT_END.exec(text))
    text = text.slice(0, match.index);
  return text.replace(/[\s,;:(]+$/, '').trim();
}

/** How an amount hangs together with what stands before it. */
function linkOf(gap: string, before: PlacedAmount, now: PlacedAmount, after: string, named: boolean): Link {
  const text = gap.trim().toLowerCase();
  const between = bare(gap.replace(LINK_AT_END, ''));
  // "plus 2 tbsp for the topping", "plus 1 tbsp more": of the same.
  const followed =
    letters(bare(/^[^,;(+]*/.exec(after)?.[0] ?? '')) &&
    !/^\s*(?:for|to|more|extra|if|as|at|in)\b/i.test(after);
  if (/\b(?:minus|less)\s*$/.test(text)) return 'less';
  const sameKind = before.amount.unit?.kind === now.amount.unit?.kind && now.amount.unit !== null;
  if (!letters(between) && /^(?:[-–—]|to|bis)$/.test(text) && sameKind && before.amount.unit?.kind !== 'pack')
    return before.amount.unit?.key === now.amount.unit?.key ? 'range' : 'same';
  if (/(?:\+|plus|and|&)\s*$/.test(text)) {
    if (!letters(between) && now.amount.unit !== null) return 'sum';
    return followed ? 'next' : 'sum';
  }
  if (/\bwith\s*$/.test(text)) return followed ? 'next' : 'same';
  if (now.bracketed) return isPack(before.amount) && isMeasure(now.amount) ? 'size' : 'same';
  if (/\bor\s*$|\/\s*$/.test(text) && letters(between)) return 'instead';
  if (!now.bracketed && /^(?:and)?$/.test(text) && isCompound(before.amount, now.amount)) return 'sum';
  if (!letters(between)) return /^[,;]$/.test(text) && followed && named ? 'next' : 'same';
  if (followed) return 'next';
  return isPack(before.amount) && isMeasure(now.amount) ? 'size' : 'same';
}

/** Two ways to say one amount differ by no more than this share: cups and spoons are rounded. */
const SAME_AMOUNT_SHARE = 0.2;

/** "2 lb 4 oz", "1 cup 2 tbsp": less than one of the larger unit in a smaller one, and not the same amount said anew. */
function isCompound(larger: Amount, smaller: Amount): boolean {
  const [a, b] = [larger.unit, smaller.unit];
  if (!a || !b || a.kind !== b.kind || !isMeasure(larger)) return false;
  const [whole, part] = [larger.value * a.size.metric, smaller.value * b.size.metric];
  return part < a.size.metric && Math.abs(part - whole) > SAME_AMOUNT_SHARE * whole;
}

const isPack = ({ unit }: Amount) => unit?.kind === 'pack';
const isMeasure = ({ unit }: Amount) => unit?.kind === 'mass' || unit?.kind === 'volume';

/** "(about 16 crackers)" behind a measure only helps to count: the measure decides. */
const counted = (all: readonly PlacedAmount[]): PlacedAmount[] =>
  all.filter(
    ({ amount, bracketed }, i) =>
      i === 0 || !bracketed || amount.unit !== null || all[0]?.amount.unit === null,
  );

/** Third stage: a line split into its things, each with its name and its amounts. */
export function thingsOf(written: string): Things {
  const instead: string[] = [];
  // "150 ml buttermilk (or 140 ml milk)": what may be taken instead is never weighed too.
  const text = written.replace(/[([]\s*or\b\s+([^)\]]*)[)\]]?/gi, (_, other: string) => {
    instead.push(other.trim());
    return ' ';
  });
  const amounts = counted(amountsIn(text));
  const [first] = amounts;
  if (!first) return { things: [], instead };
  const lead = nameBefore(text.slice(0, first.start));
  const nameFirst = letters(bare(lead)) && !isJoin(lead);
  const out: Open[] = [];
  let open: Open = { name: nameFirst ? lead : '', sums: [[signed(first.amount)]], sizeOfOne: false };
  out.push(open);
  for (let i = 1; i < amounts.length; i += 1) {
    const before = amounts[i - 1] as PlacedAmount;
    const now = amounts[i] as PlacedAmount;
    const gap = text.slice(before.end, now.start);
    const after = text.slice(now.end, amounts[i + 1]?.start ?? text.length);
    const name = nameBefore(gap);
    const link =
      nameFirst &&
      letters(bare(name)) &&
      /[,;]|\band\b|\+/.test(gap) &&
      !now.bracketed &&
      !letters(bare(/^[^,;(+]*/.exec(after)?.[0] ?? ''))
        ? 'named before'
        : linkOf(gap, before, now, after, open.name !== '');
    if (!nameFirst && link !== 'named before' && letters(bare(name))) open.name = joined(open.name, name);
    const last = open.sums.at(-1) ?? [];
    switch (link) {
      case 'named before':
        open = { name: afterSeparator(name), sums: [[signed(now.amount)]], sizeOfOne: false };
        out.push(open);
        break;
      case 'next':
        open = { name: '', sums: [[signed(now.amount)]], sizeOfOne: false };
        out.push(open);
        break;
      case 'sum':
        for (const sum of open.sums) sum.push(signed(now.amount));
        break;
      case 'less':
        for (const sum of open.sums) sum.push({ amount: now.amount, sign: -1 });
        break;
      case 'range':
        last.splice(-1, 1, signed(rangeOf(before.amount, now.amount)));
        break;
      case 'instead':
        instead.push(text.slice(now.start, amounts[i + 1]?.start ?? text.length).trim());
        return finish(out, '', nameFirst, instead);
      case 'size':
        open.sums.push([signed(now.amount)]);
        open.sizeOfOne = true;
        break;
      case 'same':
        if (isPack(before.amount) && now.amount.unit === null) break;
        open.sums.push([signed(now.amount)]);
        open.sizeOfOne ||=
          /^\s*each\b/i.test(after) ||
          (/\beach\b/i.test(after) && isMeasure(now.amount) && !isMeasure(before.amount));
        break;
    }
  }
  return finish(out, text.slice(amounts.at(-1)?.end ?? 0), nameFirst, instead);
}

const signed = (amount: Amount) => ({ amount, sign: 1 as const });
const joined = (a: string, b: string) => (a === '' ? b : `${a} ${b}`).trim();
const afterSeparator = (name: string) =>
  name
    .replace(/^[\s,;+]+|^\s*and\s+/i, '')
    .split(/[,;]\s*/)
    .at(-1)
    ?.trim() ?? name;
/** Words that only lead to the amount: "about 200 g", "optional: 1 tsp". */
const isJoin = (lead: string) =>
  /^(?:about|approx\.?|approximately|around|roughly|circa|ca\.?|optional(?:ly)?|generous|heaped|scant)$/i.test(
    lead.replace(/[:(]/g, '').trim(),
  );

function rangeOf(a: Amount, b: Amount): Amount {
  const [low, high] = [Math.min(a.low, b.low), Math.max(a.high, b.high)];
  return { ...b, text: `${a.text}–${b.text}`, value: (low + high) / 2, low, high, length: b.length };
}

/** @param tail what stands behind the last amount */
function finish(out: Open[], tail: string, nameFirst: boolean, instead: string[]): Things {
  const open = out.at(-1);
  if (open && letters(bare(tail.replace(/^\s*each\b/i, '')))) {
    if (!nameFirst || open.name === '')
      open.name = joined(open.name, nameBefore(tail.replace(/^\s*[)\]]/, ' ')));
    else open.name = `${open.name}, ${tail.replace(/^[\s,;)]+/, '')}`;
  }
  // A thing without a name of its own is more of the one before it.
  const named: Open[] = [];
  for (const thing of out) {
    const before = named.at(-1);
    if (letters(bare(thing.name)) || !before) named.push(thing);
    else before.sums.at(-1)?.push(...(thing.sums[0] ?? []));
  }
  const [one, ...more] = named;
  const things = one ? [...eachOf(one), ...more] : [];
  return { things, instead };
}

/** "100 g each of butter and sugar": the amount is meant for every one of them. */
function eachOf(thing: Open): Open[] {
  const match = /^\s*each\s*(?:of\s+)?:?\s*(.+)$/i.exec(thing.name);
  if (!match) return [thing];
  const names = (match[1] ?? '').split(/\s*(?:,|;|&|\+|\band\b)\s*/i).filter(letters);
  return names.map((name) => ({ ...thing, name }));
}

/** The unit that a bare word is, where one stands alone: "salt: pinch". */
export const unitIn = (word: string) => findUnit(word);
