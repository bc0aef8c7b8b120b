import { kindOfLine, readLine, type Measures, type ReadLine } from '../quantity';
import type { Makes } from '../model/formulaDoc';

/** What a page of text says, part by part. Nothing of it is lost: what is no ingredient is a step. */
export interface Page {
  readonly name: string | null;
  readonly parts: readonly PagePart[];
  readonly steps: readonly string[];
  readonly pieces: number | null;
  readonly bakeMin: number | null;
}

/** Ingredients under one heading. */
export interface PagePart {
  /** The heading; null for what stands under none. */
  readonly title: string | null;
  readonly makes: Makes | null;
  readonly lines: readonly string[];
}

/** What a heading names is made of these words; a batter where none of them stands in it. */
const MAKES: readonly (readonly [RegExp, Makes])[] = [
  [/\b(frosting|icing|buttercream|butter cream|swirl)\b/i, 'frosting'],
  [/\b(filling|curd|custard|centre|center|middle|compote)\b/i, 'filling'],
  [/\b(ganache|coating|coat|glaze|shell|dipping)\b/i, 'coat'],
  [
    /\b(topping|streusel|crumble|to (?:finish|decorate|serve)|decoration|garnish|syrup|drizzle)\b/i,
    'topping',
  ],
  [/\b(binder|to bind)\b/i, 'binder'],
];

const METHOD_BEGINS =
  /^(?:method|directions?|instructions?|steps?|preparation|procedure|how to make(?: it)?|what to do)\s*:?$/i;
const INGREDIENTS_BEGIN = /^(?:ingredients?|you(?:'|’)?ll need|you will need|what you need|zutaten)\s*:?$/i;
/** A full stop that ends a word of measure ends no sentence. */
const MEASURE_STOP =
  /\b(?:oz|lb|lbs|ozs|tsp|tbsp|tbs|tb|ts|dsp|pt|pts|qt|qts|fl|g|gr|kg|ml|cl|dl|l|c|approx|ca|no|pkt|pkg|pck|temp|med|lge|sm|min|mins|hr|hrs|st|dr)\.$/i;

const makesOf = (title: string): Makes | null => MAKES.find(([words]) => words.test(title))?.[1] ?? null;

/** Sentences of a paragraph; "8 oz. butter" is one with what follows it. */
export function sentencesOf(text: string): string[] {
  const out: string[] = [];
  let from = 0;
  for (const { index } of text.matchAll(/[.!?](?=\s+[\p{Lu}\d“"(])/gu)) {
    // Only its end is asked: from the beginning each time, a row of stops would be gone through a thousand times over.
    const end = text.slice(Math.max(from, index - 12), index + 1);
    if (MEASURE_STOP.test(end) || /(?:^|\s)\d+\.$/.test(end)) continue;
    const said = text.slice(from, index + 1).trim();
    out.push(said);
    from = index + 1;
  }
  return [...out, text.slice(from).trim()].filter(Boolean);
}

type Role = 'thing' | 'heading' | 'step' | 'note' | 'prose';

interface Told {
  readonly raw: string;
  readonly read: ReadLine;
  readonly role: Role;
}

/** Rows of a page that are gone through; the longest of them have some hundreds. */
const MOST_ROWS = 1500;

/** Words that a line of ingredients seldom has more of. */
const MOST_WORDS = 22;

function told(raw: string, measures: Measures): Told {
  const read = readLine(raw, measures);
  const as = (role: Role): Told => ({ raw, read, role });
  const kind = kindOfLine(raw);
  if (kind === 'heading') return as('heading');
  if (kind === 'note') return as('note');
  if (kind === 'method') return as('step');
  const sentences = sentencesOf(raw);
  const many = raw.split(/\s+/).length > MOST_WORDS;
  if (sentences.length > 1 && sentences.some((one) => kindOfLine(one) === 'method')) return as('step');
  if (read.status === 'read' || (read.status === 'unread' && /^\W*(?:\d|[½⅓⅔¼¾⅛])/.test(raw)))
    return as(many && read.also.length === 0 ? 'prose' : 'thing');
  if (kind === 'alternative') return as('note');
  // A name without an amount is an ingredient where others stand round it.
  return as(read.status === 'no amount' && raw.split(/\s+/).length <= 6 ? 'thing' : 'prose');
}

/** A bare word or two above ingredients heads them: "Frosting", "For the sponge". */
const isTitle = (line: Told, next: Told | undefined): boolean =>
  line.read.massG === 0 &&
  line.role !== 'step' &&
  line.raw.split(/\s+/).length <= 6 &&
  !/[.,!?]$/.test(line.raw) &&
  (makesOf(line.raw) !== null ||
    /\b(?:cake|sponge|cupcakes?|batter|base|dough|muffins?|pops?|biscuit)\b/i.test(line.raw)) &&
  next?.role === 'thing' &&
  next.read.massG > 0;

/** Reads a page of text: its name, its parts with their ingredients, its steps, how many it makes and how long it bakes. */
export function readPage(text: string, measures: Measures): Page {
  const rows = text
    .split(/\r?\n/)
    .slice(0, MOST_ROWS)
    .map((row) => row.trim())
    .filter(Boolean)
    .map((row) => told(row, measures));
  const steps: string[] = [];
  const parts: { title: string | null; makes: Makes | null; lines: string[] }[] = [];
  let name: string | null = null;
  let method = false;
  const part = () => {
    const last = parts.at(-1);
    if (last) return last;
    const fresh = { title: null, makes: null, lines: [] as string[] };
    parts.push(fresh);
    return fresh;
  };
  rows.forEach((row, i) => {
    const { raw, role, read } = row;
    if (METHOD_BEGINS.test(raw)) method = true;
    else if (INGREDIENTS_BEGIN.test(raw)) method = false;
    else if (role === 'heading' || isTitle(row, rows[i + 1])) {
      const title = (role === 'heading' ? read.name : raw)
        .replace(/^for (?:the )?/i, '')
        .replace(/[:#*_]+/g, '')
        .trim();
      if (i === 0 && role !== 'heading') name = raw;
      else if (rows[i + 1]?.role === 'step' || method) steps.push(raw);
      else {
        method = false;
        parts.push({ title, makes: makesOf(title), lines: [] });
      }
    } else if (i === 0 && rows.length > 1 && read.massG === 0 && role !== 'step' && role !== 'note')
      name = raw.replace(/^#+\s*/, '');
    else if (role === 'thing' && !(method && kindOfLine(raw) !== 'thing')) part().lines.push(raw);
    else steps.push(raw);
  });
  const filled = parts.filter(({ lines }) => lines.length > 0);
  return { name, parts: filled, steps, pieces: piecesIn(text), bakeMin: bakeMinIn(text) };
}

/** How many the page says that it makes. */
function piecesIn(text: string): number | null {
  const found =
    /\b(?:makes|yields?|serves|servings|portions|pieces)\b\s*:?\s*(?:about\s+|around\s+|approx\.?\s+)?(\d{1,3})\b/i.exec(
      text,
    );
  const n = Number(found?.[1] ?? NaN);
  return n >= 1 ? n : null;
}

/** The minutes that the page says it bakes; the middle of a range. */
function bakeMinIn(text: string): number | null {
  const found =
    /\bbak(?:e|ing)(?: time)?\b[^.\n]{0,60}?(\d{1,3})(?:\s*(?:-|–|to)\s*(\d{1,3}))?\s*(?:min|minutes)\b/i.exec(
      text,
    ) ??
    /\bcook(?:ing)? time\b\s*:?\s*(\d{1,3})(?:\s*(?:-|–|to)\s*(\d{1,3}))?\s*(?:min|minutes)\b/i.exec(text);
  if (!found) return null;
  const low = Number(found[1]);
  const high = Number(found[2] ?? found[1]);
  return low >= 1 && high <= 300 ? (low + high) / 2 : null;
}

/** Ingredients that stand inside sentences, as an old book tells them: "Take 4 oz. of butter, two eggs and 6 oz. flour." */
export function ingredientsInProse(text: string, measures: Measures): string[] {
  return sentencesOf(text.replace(/\s+/g, ' ').slice(0, 20_000)).flatMap((sentence) => {
    const bare = sentence
      .replace(/^[A-Z][a-z]+(?:\s+(?:together|up))?\s+(?=\d|[½¼¾]|a |an |one |two |three |four |half )/, '')
      .replace(/[.]$/, '');
    const read = readLine(bare, measures);
    return [read, ...read.also].flatMap((one) =>
      one.status === 'read' && one.ingredient ? [`${Number(one.massG.toFixed(1))} g ${one.called}`] : [],
    );
  });
}
