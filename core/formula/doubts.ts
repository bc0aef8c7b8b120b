import {
  A_NOTE,
  likelyIngredients,
  readLine,
  unitAsked,
  waysIn,
  type AskedUnit,
  type ReadLine,
} from '../quantity';
import type { FormulaDoc } from '../model/documents';
import type { Measuring, ReadFormula } from './read';

/** What one tap makes of a line that the app is not sure of. */
export type Settling =
  /** The line is of this ingredient, or a note. */
  | { readonly how: 'take'; readonly key: string }
  /** The thing is like this one: the kitchen remembers it. */
  | { readonly how: 'like'; readonly key: string; readonly name: string }
  /** The line is written so. */
  | { readonly how: 'write'; readonly text: string }
  /** It is no ingredient but something to do. */
  | { readonly how: 'step' }
  /** It is what its name says, and only weighed: the kitchen remembers it. */
  | { readonly how: 'know'; readonly name: string };

export interface Choice {
  readonly label: string;
  /** g that the line then has; null where nothing is weighed. */
  readonly massG: number | null;
  readonly settling: Settling;
}

/** A line that the app is not sure of, with its likely readings. */
export interface Doubt {
  /** The line of the text, from 0. */
  readonly row: number;
  readonly line: ReadLine;
  readonly why: string;
  readonly choices: readonly Choice[];
  /** The measure that is not known of this thing: to be weighed once, or taken from what it is like. */
  readonly asks: AskedUnit | null;
}

type Written = Pick<FormulaDoc, 'text' | 'measures' | 'takenFor'>;

type Reason = 'unread' | 'unknown' | 'bare number' | 'numbers run together' | 'measure against weight';

const TOGETHER = /(?:^|\s)([1-9])([1-7])\/([2348])(?!\d)/;
const BARE = /^(\d+(?:\.\d+)?) taken for grams$/;

/** Why a line is not sure; null where it is: an amount in a known measure of a known thing, or nothing to weigh. */
function reasonOf(line: ReadLine): Reason | null {
  if (line.status === 'unread') return 'unread';
  if (line.status !== 'read') return null;
  if (BARE.test(line.reading)) return 'bare number';
  if (line.notices.some(({ fault }) => / apart\.$/.test(fault)) && waysIn(line.raw).length > 1)
    return 'measure against weight';
  if (TOGETHER.test(line.raw)) return 'numbers run together';
  return line.ingredient === null ? 'unknown' : null;
}

interface Unsure {
  readonly row: number;
  readonly line: ReadLine;
  readonly reason: Reason;
  /** It is the first thing of its line, which can be taken for something else. */
  readonly first: boolean;
}

/**
 * The lines of a formula that somebody should look at, in their order. What a person has said of a line is sure, unless it
 * still cannot be weighed.
 */
function unsureIn(doc: Pick<FormulaDoc, 'takenFor'>, read: ReadFormula): readonly Unsure[] {
  return read.lines.flatMap((line, i): Unsure[] => {
    const reason = reasonOf(line);
    if (reason === null) return [];
    const row = read.at[i] ?? 0;
    const first = read.at.indexOf(row) === i;
    const settled = first && Object.hasOwn(doc.takenFor, line.raw.trim()) && reason !== 'unread';
    return settled ? [] : [{ row, line, reason, first }];
  });
}

/** How many lines of a formula somebody should look at. */
export const unsureCount = (doc: Pick<FormulaDoc, 'takenFor'>, read: ReadFormula): number =>
  unsureIn(doc, read).length;

/** The lines that somebody should look at, each with what it may mean. */
export const doubtsOf = (doc: Written, read: ReadFormula, kitchen: Measuring | null): readonly Doubt[] =>
  unsureIn(doc, read).map((one) => ({ row: one.row, line: one.line, ...said(one, doc, kitchen) }));

type Said = Omit<Doubt, 'row' | 'line'>;

function said({ line, reason, first }: Unsure, doc: Written, kitchen: Measuring | null): Said {
  switch (reason) {
    case 'unread':
      return unreadDoubt(line, doc, kitchen, first);
    case 'unknown':
      return {
        why: `What "${line.called}" does in a cake is not known. Its weight is.`,
        choices: [
          ...(first ? taken(line.called, line, doc, kitchen) : []),
          { label: 'Only weighed', massG: line.massG, settling: { how: 'know', name: line.called } },
        ],
        asks: null,
      };
    case 'bare number':
    case 'numbers run together':
    case 'measure against weight': {
      const { why, texts } = WRITTEN_ANEW[reason](line);
      const choices = texts.flatMap(([label, text]): Choice[] => {
        const as = readLine(text, doc.measures, undefined, kitchen ?? undefined);
        const massG = as.also.reduce((sum, more) => sum + more.massG, as.massG);
        return as.status === 'read' ? [{ label, massG, settling: { how: 'write', text } }] : [];
      });
      return { why, choices, asks: null };
    }
  }
}

interface Anew {
  readonly why: string;
  /** Each way to write the line so that nothing is left to guess, with what it says. */
  readonly texts: readonly (readonly [label: string, text: string])[];
}

const WRITTEN_ANEW: Readonly<
  Record<'bare number' | 'numbers run together' | 'measure against weight', (line: ReadLine) => Anew>
> = {
  'bare number': ({ raw, reading }) => {
    const n = BARE.exec(reading)?.[1] ?? '';
    const as = (unit: string) => [`${n} ${unit}`, raw.replace(n, `${n} ${unit}`)] as const;
    return { why: `No measure stands behind ${n}.`, texts: [as('g'), as('ml')] };
  },
  'numbers run together': ({ raw }) => {
    const [whole = '', n = '', top = '', below = ''] = TOGETHER.exec(raw) ?? [];
    const as = (text: string) => [text, raw.replace(whole.trim(), text)] as const;
    return {
      why: `${n}${top}/${below} may be two numbers or one.`,
      texts: [as(`${n} ${top}/${below}`), as(String(Number(n + top) / Number(below)))],
    };
  },
  'measure against weight': ({ raw, called }) => ({
    why: 'The measure and the weight on this line do not agree.',
    texts: waysIn(raw).map((way) => [way, `${way} ${called}`] as const),
  }),
};

/** The line as each of the likely ingredients: a slip of the finger is mended here, a likeness is remembered. */
function taken(name: string, line: ReadLine, doc: Written, kitchen: Measuring | null): Choice[] {
  return likelyIngredients(name).flatMap(({ ingredient, same }): Choice[] => {
    const { key } = ingredient;
    const as = readLine(line.raw, doc.measures, key, kitchen ?? undefined);
    if (as.status !== 'read') return [];
    const massG = as.massG;
    return same
      ? [{ label: ingredient.name, massG, settling: { how: 'take', key } }]
      : [{ label: `Like ${ingredient.name}`, massG, settling: { how: 'like', key, name } }];
  });
}

function unreadDoubt(line: ReadLine, doc: Written, kitchen: Measuring | null, first: boolean): Said {
  const asks = unitAsked(line.raw, doc.measures);
  const note: Choice = { label: 'A note', massG: null, settling: { how: 'take', key: A_NOTE } };
  const step: Choice = { label: 'A step', massG: null, settling: { how: 'step' } };
  const weighable = asks !== null && /\p{L}/u.test(asks.name);
  return {
    why: line.fault?.fault ?? 'This could not be read.',
    choices: [
      ...(first && line.ingredient === null && asks ? taken(asks.name, line, doc, kitchen) : []),
      ...(first ? [note, ...(weighable ? [] : [step])] : []),
    ],
    asks: weighable ? asks : null,
  };
}

/** The text of a formula with a line settled by writing it anew or by taking it out of the ingredients. */
export function settledText(text: string, row: number, settling: Settling): string {
  const rows = text.split('\n');
  if (settling.how === 'write') rows[row] = settling.text;
  if (settling.how === 'step') rows.splice(row, 1);
  return rows.join('\n');
}
