import { takeAmount, type Amount } from '../amount';
import { readNumber } from '../number';

/** An amount where it stands in a line. */
export interface PlacedAmount {
  readonly amount: Amount;
  readonly start: number;
  readonly end: number;
  /** Inside of brackets. */
  readonly bracketed: boolean;
}

const FIGURE = /[\d½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞.,~≈]/;
/** What follows a number that is no amount: per cent, degrees, sizes of tins, minutes. */
const NO_AMOUNT =
  /^\s*(?:%|per ?cent\b|°|º|degrees?\b|cm\b|mm\b|inch(?:es)?\b|in\b(?! )|["”″]|hours?\b|hrs?\b|mins?\b|minutes?\b|seconds?\b|watts?\b|W\b|kcal\b|kJ\b|[xX×]\s*\d+\s*(?:cm|mm|inch))/i;
/** A number of 25 and more with a bare letter behind it is a heat: "40 C". */
const HEAT = /^(?:[2-9]\d|[1-4]\d\d)\s*[CF]\b/;
/** What stands before a number that is a name's own: "type 550", "No. 4". */
const OWN_NUMBER = /\b(?:type|typ|no\.?|nr\.?|number|grade|size|stage|mark)\s*$/i;

/** More amounts than this no line holds that is one of a formula. */
const MOST_AMOUNTS = 24;

/** All amounts of a line, in order. What stands between them is left to whoever asks. */
export function amountsIn(text: string): PlacedAmount[] {
  const out: PlacedAmount[] = [];
  let at = 0;
  while (at < text.length && out.length < MOST_AMOUNTS) {
    const found = isBoundary(text, at) ? amountAt(text, at, at === 0) : null;
    if (found) {
      out.push(found);
      at = found.end;
    } else at += 1;
  }
  return out;
}

const isBoundary = (text: string, at: number): boolean =>
  at === 0 ||
  /[\s([,;:+/=~&x×–—-]/.test(text[at - 1] ?? '') ||
  (/\D/.test(text[at - 1] ?? '') && /[½⅓⅔¼¾⅛]/.test(text[at] ?? ''));

function amountAt(text: string, at: number, first: boolean): PlacedAmount | null {
  const rest = text.slice(at);
  if (/^\s/.test(rest)) return null;
  const figure = FIGURE.test(rest[0] ?? '');
  if (figure && /^[.,](?!\d)/.test(rest)) return null;
  if (!figure && !/^[a-z]/i.test(rest)) return null;
  // A measure by itself, "pinch of salt", stands at the start or behind a colon only.
  if (!figure && !first && readNumber(rest) === null && !/:\s*$/.test(text.slice(0, at))) return null;
  const amount = takeAmount(rest);
  if (!amount || amount.length === 0) return null;
  const end = at + amount.length;
  // In the middle of a line a word is a number only before a measure: "and a pinch of salt".
  // Or as one of several: "4 oz. sugar, two eggs".
  const listed = amount.value >= 2 && /(?:[,;+&]|\band)\s*$/i.test(text.slice(0, at));
  if (!figure && !first && amount.unit === null && !listed && !/\bof\s+$/i.test(text.slice(0, at)))
    return null;
  if (amount.unit === null && NO_AMOUNT.test(text.slice(end))) return null;
  if (HEAT.test(rest) || (figure && OWN_NUMBER.test(text.slice(0, at)))) return null;
  const before = text.slice(0, at);
  const depth = (before.match(/[([]/g)?.length ?? 0) - (before.match(/[)\]]/g)?.length ?? 0);
  return { amount, start: at, end, bracketed: depth > 0 };
}
