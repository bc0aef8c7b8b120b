/** Numbers as people write them: `1 1/2`, `2½`, `2⁄3`, `1,5`, `1,000`, `3–4`, `half a`, `a dozen`. */

const VULGAR: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅕': 1 / 5,
  '⅖': 2 / 5,
  '⅗': 3 / 5,
  '⅘': 4 / 5,
  '⅙': 1 / 6,
  '⅚': 5 / 6,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};

const WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  twelve: 12,
  dozen: 12,
  half: 0.5,
  quarter: 0.25,
  third: 1 / 3,
  couple: 2,
  few: 3,
};

export interface ReadNumber {
  readonly value: number;
  /** Ends of a stated range such as 3–4; equal to the value where one number was given. */
  readonly low: number;
  readonly high: number;
  /** How many characters of the text it took up. */
  readonly length: number;
  /** True where it was a word such as "a" or "half" and not a figure. */
  readonly word: boolean;
}

const FRACTION = /^(\d+)\s*[/⁄∕]\s*(\d+)/;
const MIXED = /^(\d+)(?:\s+|\s*-\s*|\s+and\s+)(\d+)\s*[/⁄∕]\s*(\d+)/;
const VULGAR_CLASS = `[${Object.keys(VULGAR).join('')}]`;
const WITH_VULGAR = new RegExp(`^(\\d+)?(?:\\s+and)?\\s*(${VULGAR_CLASS})`);
const THOUSANDS = /^\d{1,3}(?:,\d{3})+(?![\d,])(?:\.\d+)?/;
const DECIMAL = /^(?:\d+(?:[.,]\d+)?|[.,]\d+)/;
const RANGE_MARK = /^\s*(?:[-–—]|to\b|or\b)\s*(?=[\d.,½⅓⅔¼¾⅛])/i;

interface Piece {
  readonly value: number;
  readonly length: number;
}

/** One figure at the start of the text, without range or word forms. Null where there is none. */
function readFigure(text: string): Piece | null {
  const mixed = MIXED.exec(text);
  if (mixed && Number(mixed[3]) > 0 && Number(mixed[2]) < Number(mixed[3])) {
    return { value: Number(mixed[1]) + Number(mixed[2]) / Number(mixed[3]), length: mixed[0].length };
  }
  const vulgar = WITH_VULGAR.exec(text);
  if (vulgar)
    return { value: Number(vulgar[1] ?? 0) + (VULGAR[vulgar[2] ?? ''] ?? 0), length: vulgar[0].length };
  const fraction = FRACTION.exec(text);
  if (fraction && Number(fraction[2]) > 0) {
    return { value: Number(fraction[1]) / Number(fraction[2]), length: fraction[0].length };
  }
  const thousands = THOUSANDS.exec(text);
  if (thousands) return { value: Number(thousands[0].replace(/,/g, '')), length: thousands[0].length };
  const decimal = DECIMAL.exec(text);
  if (decimal) return { value: Number(decimal[0].replace(',', '.')), length: decimal[0].length };
  return null;
}

function readWord(text: string): ReadNumber | null {
  let rest = text;
  let value = 1;
  let seen = false;
  for (;;) {
    const match = /^(?:of\s+)?([a-z]+)\b\s*/i.exec(rest);
    const word = match?.[1]?.toLowerCase() ?? '';
    if (!match || !Object.prototype.hasOwnProperty.call(WORDS, word)) break;
    value *= WORDS[word] ?? 1;
    rest = rest.slice(match[0].length);
    seen = true;
  }
  if (!seen) return null;
  const more = /^and\s+an?\s+(half|quarter|third)\b\s*/i.exec(rest);
  if (more) {
    value += WORDS[more[1]?.toLowerCase() ?? ''] ?? 0;
    rest = rest.slice(more[0].length);
  }
  return { value, low: value, high: value, length: text.length - rest.length, word: true };
}

/**
 * Reads the number at the start of a text. A comma with exactly three digits behind it parts thousands; any other
 * comma is a decimal comma. Returns null where the text starts with no number.
 */
export function readNumber(text: string): ReadNumber | null {
  const first = readFigure(text);
  if (!first) return readWord(text);
  const rest = text.slice(first.length);
  const mark = RANGE_MARK.exec(rest);
  const second = mark ? readFigure(rest.slice(mark[0].length)) : null;
  if (mark && second && second.value > first.value) {
    return {
      value: (first.value + second.value) / 2,
      low: first.value,
      high: second.value,
      length: first.length + mark[0].length + second.length,
      word: false,
    };
  }
  return { value: first.value, low: first.value, high: first.value, length: first.length, word: false };
}

/** Letters that a field for one number may have. */
const MAX_FIELD_LETTERS = 24;

/** A whole field that must hold one number: `12`, `1,5`, `2 1/2`, `−3`. Null where it holds anything else. */
export function readNumberField(text: string): number | null {
  const trimmed = text.trim();
  if (trimmed.length > MAX_FIELD_LETTERS) return null;
  const sign = /^[-−–]/.test(trimmed) ? -1 : 1;
  const body = sign < 0 ? trimmed.slice(1).trim() : trimmed;
  const figure = readFigure(body);
  return figure && figure.length === body.length && Number.isFinite(figure.value)
    ? sign * figure.value
    : null;
}
