/** First stage of reading a line: what is no part of an amount or a name is taken off. */

/** Signs without width, soft hyphens, and marks that only choose how a sign is drawn. */
const INVISIBLE = /[\u00ad\u200b-\u200f\u202a-\u202e\u2060-\u2064\ufe00-\ufe0f\ufeff]/g;
const ODD_SPACES = /[\u00a0\u1680\u2000-\u200a\u202f\u205f\u3000\t]/g;
const PICTURES = /\p{Extended_Pictographic}|[\u{1f3fb}-\u{1f3ff}]/gu;

const RAISED: ReadonlyMap<string, string> = new Map(
  ['⁰¹²³⁴⁵⁶⁷⁸⁹', '₀₁₂₃₄₅₆₇₈₉'].flatMap((signs) =>
    [...signs].map((sign, i): [string, string] => [sign, String(i)]),
  ),
);
const RAISED_FRACTION = /(\d?)\s*([⁰¹²³⁴⁵⁶⁷⁸⁹]+)\s*[⁄/∕]\s*([₀-₉⁰¹²³⁴⁵⁶⁷⁸⁹\d]+)/g;
const plainDigits = (text: string) => text.replace(/[⁰¹²³⁴⁵⁶⁷⁸⁹₀-₉]/g, (sign) => RAISED.get(sign) ?? sign);

/** Dashes are a bullet only before a space: without one they may be a minus. */
const BULLET = /^(?:[•◦▪▫■□○●◆◇▢☐☑☒✓✔✗✘·∙‣⁃➤►▶»*]|[-–—+>~](?=\s)|\[[ xX✓]?\]|#+(?=\s))\s*/;
/** "1. 200 g flour", "2) 150 g butter", "a) 100 g sugar": the place in a list. */
const NUMBERED = /^\(?(?:\d{1,2}|[a-z])[.)]\s+(?=[\p{L}\d½⅓⅔¼¾⅛(~])/u;

/** Measures as German cooks write them: letters that the names of units have none of. */
const GERMAN: readonly (readonly [RegExp, string])[] = [
  [/(?<!\p{L})(?:Päckchen|Paeckchen|Pckg\.?|Tütchen)(?!\p{L})/giu, 'packet'],
  [/(?<!\p{L})(?:Prisen?|Messerspitzen?|Msp\.?)(?!\p{L})/giu, 'pinch'],
  [/(?<!\p{L})Tropfen(?!\p{L})/giu, 'drops'],
  [/(?<!\p{L})gestr(?:ichener?|\.)(?!\p{L})/giu, 'level'],
  [/(?<!\p{L})geh(?:äufter?|\.)(?!\p{L})/giu, 'heaped'],
];
const translated = (text: string): string =>
  GERMAN.reduce((all, [word, english]) => all.replace(word, english), text);

/** "1 & 1/2", "1 + 1/2 cups": one number, written in two parts. */
const PARTED = /(\d)\s*[&+]\s*(?=(?:1\/2|1\/3|2\/3|1\/4|3\/4|1\/8|[½⅓⅔¼¾⅛])\s*[a-z])/gi;

/** "1/2 a cup", "half of a lemon": the article says nothing. */
const HALF_A = /(\d\/\d|[½⅓⅔¼¾⅛])\s+(?:of\s+)?an?\s+(?=[a-z])/gi;

/** "2 L eggs" are large ones, no litres. */
const EGG_SIZE = /^(\d+)\s*(XL|L|M|S)\s+egg/i;
const EGG_SIZES: Readonly<Record<string, string>> = {
  XL: 'extra large',
  L: 'large',
  M: 'medium',
  S: 'small',
};

/** "Butter the size of an egg". */
const AS_LARGE_AS =
  /^(.{2,30}?),?\s+(?:about\s+)?(?:the\s+)?size of an?\s+(?:small\s+|large\s+)?(egg|walnut|hazelnut)\b.*$/i;

/** A line as it can be read: one kind of space, no bullets, numbers of a list, bold marks, pictures or cells of a table. */
export function cleanLine(raw: string): string {
  let text = raw
    .replace(INVISIBLE, '')
    .replace(ODD_SPACES, ' ')
    .replace(PICTURES, ' ')
    .replace(/<\/?[a-z][^<>]{0,80}>/gi, ' ')
    .replace(/\*\*|__|`/g, '')
    .replace(RAISED_FRACTION, (_, before: string, over: string, under: string) => {
      const whole = before === '' ? '' : `${before} `;
      return `${whole}${plainDigits(over)}/${plainDigits(under)}`;
    })
    .replace(/[⁄∕]/g, '/')
    .replace(/\s*\|\s*/g, ' ')
    .replace(/\.{3,}|…+|_{3,}/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  for (let match = BULLET.exec(text); match && match[0] !== ''; match = BULLET.exec(text))
    text = text.slice(match[0].length);
  return translated(text)
    .replace(NUMBERED, '')
    .replace(PARTED, '$1 ')
    .replace(HALF_A, '$1 ')
    .replace(AS_LARGE_AS, '1 $2-sized $1')
    .replace(
      EGG_SIZE,
      (_, count: string, size: string) => `${count} ${EGG_SIZES[size.toUpperCase()] ?? ''} egg`,
    )
    .trim();
}
