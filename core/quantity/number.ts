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
  several: 3,
  eleven: 11,
  thirteen: 13,
  fourteen: 14,
  fifteen: 15,
  sixteen: 16,
  eighteen: 18,
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
  hundred: 100,
  thousand: 1000,
  halves: 0.5,
  quarters: 0.25,
  thirds: 1 / 3,
  eighth: 0.125,
  eighths: 0.125,
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
/** "11/2" for one and a half: the space between has gone. */
const RUN_TOGETHER = /^([1-9])([1-7])\s*[/⁄∕]\s*([2348])(?!\d)/;
/** A point with three digits behind it parts thousands where grams follow: nobody weighs to a milligram. */
const POINT_THOUSANDS = /^\d{1,3}(?:\.\d{3})+(?=\s*(?:g|gr|gm|grams?|ml)\b)/;
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
  const together = RUN_TOGETHER.exec(text);
  if (together && Number(together[2]) < Number(together[3])) {
    return {
      value: Number(together[1]) + Number(together[2]) / Number(together[3]),
      length: together[0].length,
    };
  }
  const points = POINT_THOUSANDS.exec(text);
  if (points) return { value: Number(points[0].replace(/\./g, '')), length: points[0].length };
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

/** "and a half", "and three quarters". */
const AND_PART = /^\s*and\s+(?:an?\s+)?(one|two|three)?[\s-]*(half|quarters?|thirds?|eighths?)\b\s*/i;
const partOf = (match: RegExpExecArray): number =>
  (WORDS[match[1]?.toLowerCase() ?? 'one'] ?? 1) * (WORDS[match[2]?.toLowerCase() ?? ''] ?? 0);

function readWord(text: string): ReadNumber | null {
  let rest = text;
  let value = 1;
  let seen = false;
  let last = 0;
  for (;;) {
    const match = /^(?:of\s+)?([a-z]+)\b[\s-]*/i.exec(rest);
    const word = match?.[1]?.toLowerCase() ?? '';
    if (!match || !Object.prototype.hasOwnProperty.call(WORDS, word)) break;
    const next = WORDS[word] ?? 1;
    // "Twenty five" adds up, "two hundred" and "three quarters" multiply.
    value = seen && last >= 20 && last < 100 && next >= 1 && next < 10 ? value + next : value * next;
    last = next;
    rest = rest.slice(match[0].length);
    seen = true;
  }
  if (!seen) return null;
  const more = AND_PART.exec(rest);
  if (more && value >= 1) {
    value += partOf(more);
    rest = rest.slice(more[0].length);
  }
  return { value, low: value, high: value, length: text.length - rest.length, word: true };
}

/**
 * Reads the number at the start of a text. A comma with exactly three digits behind it parts thousands; any other
 * comma is a decimal comma. Returns null where the text starts with no number.
 */
export function readNumber(text: string): ReadNumber | null {
  const between = /^between\s+/i.exec(text);
  if (between) {
    const spoken = readNumber(
      text.slice(between[0].length).replace(/^(\S+)\s+and\s+(?=[\d½⅓⅔¼¾⅛])/i, '$1 to '),
    );
    // "and" is a letter longer than "to".
    return spoken && spoken.high > spoken.low
      ? { ...spoken, length: spoken.length + between[0].length + 1 }
      : spoken;
  }
  const figure = readFigure(text);
  if (!figure) return readWord(text);
  const dozen = /^\s+(?:dozen|doz\.?)\b/i.exec(text.slice(figure.length));
  if (dozen) {
    const value = figure.value * 12;
    return { value, low: value, high: value, length: figure.length + dozen[0].length, word: false };
  }
  const part = Number.isInteger(figure.value) ? AND_PART.exec(text.slice(figure.length)) : null;
  const first = part
    ? { value: figure.value + partOf(part), length: figure.length + part[0].trimEnd().length }
    : figure;
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
