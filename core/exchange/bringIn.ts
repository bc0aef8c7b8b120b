import { MOST_LETTERS, oversized } from './limits';
import { guessMeasures, guessMethod } from '../formula';
import { readLine, type Measures } from '../quantity';
import { ingredientsInProse, readPage, type Page } from './page';
import { MOST_OF_A_PAGE, isPage, textOfPage, words } from './pageText';
import { MAX_FORMULA_LINES } from '../model/fields';
import { tooLongFor } from '../model/formulaDoc';
import type { FormulaDoc, KitchenDoc, PieceDoc, PieceFile, RunFile } from '../model/documents';
import { readDocument } from './migrate';
import { readPieceFile, readRunFile, type DocFault } from './read';
import { readSnapshot, type Snapshot } from './snapshot';

/** A formula that was read and has no id yet. */
export type FormulaDraft = Omit<FormulaDoc, 'id' | 'kind' | 'version'>;

export type BroughtIn =
  | { readonly ok: true; readonly what: 'run'; readonly file: RunFile }
  | { readonly ok: true; readonly what: 'formulas'; readonly formulas: readonly FormulaDraft[] }
  | { readonly ok: true; readonly what: 'kitchen'; readonly kitchen: KitchenDoc }
  | { readonly ok: true; readonly what: 'piece'; readonly piece: PieceDoc }
  | { readonly ok: true; readonly what: 'piece file'; readonly file: PieceFile }
  | { readonly ok: true; readonly what: 'snapshot'; readonly snapshot: Snapshot }
  | { readonly ok: false; readonly faults: readonly DocFault[] };

/** Brackets inside brackets that a file of ours never reaches. */
const MOST_DEEP = 60;

const refuse = (fault: string, mend: string, field = '(document)'): BroughtIn => ({
  ok: false,
  faults: [{ field, fault, mend }],
});

/**
 * Reads whatever a person drops, pastes or picks: a run file, a formula or a kitchen of ours, a page or a file with a
 * schema.org Recipe in JSON-LD, or a formula as plain text. Never throws; nothing in it is run.
 */
export function bringIn(text: string): BroughtIn {
  if (text.length > MOST_LETTERS) {
    const mb = Math.round(text.length / 1e6);
    return refuse(
      `This is about ${mb} million letters long; at most ${MOST_LETTERS / 1e6} million can be read.`,
      'Choose the file of one run, or one page.',
    );
  }
  const trimmed = text.replace(/^\uFEFF/, '').trim();
  if (trimmed === '') return refuse('There is nothing in it.', 'Choose a file or paste some text.');
  if (/[\u0000-\u0008]/.test(trimmed))
    return refuse('This is no text.', 'Choose a run file, a page with a recipe, or plain text.');
  if (/^[[{]/.test(trimmed)) return ofJson(trimmed);
  if (isPage(trimmed)) return ofPage(trimmed);
  return ofText(trimmed);
}

/** How deep brackets go, outside of what stands in quotes. */
function depthOf(json: string): number {
  let deepest = 0;
  let depth = 0;
  let quoted = false;
  for (let i = 0; i < json.length; i += 1) {
    const c = json[i];
    if (quoted) {
      if (c === '\\') i += 1;
      else if (c === '"') quoted = false;
    } else if (c === '"') quoted = true;
    else if (c === '{' || c === '[') deepest = Math.max(deepest, (depth += 1));
    else if (c === '}' || c === ']') depth -= 1;
  }
  return deepest;
}

/** Keys that would reach into what all objects share. */
const FORBIDDEN = /"(?:__proto__|constructor|prototype)"|\\u00/;

function parsed(json: string): { readonly ok: true; readonly data: unknown } | { readonly ok: false } {
  if (depthOf(json) > MOST_DEEP) return { ok: false };
  try {
    // Going through every key takes longer than all else; only a file that has such keys needs it.
    const data: unknown = FORBIDDEN.test(json)
      ? JSON.parse(json, (key, value: unknown) => (FORBIDDEN.test(`"${key}"`) ? undefined : value))
      : JSON.parse(json);
    return { ok: true, data };
  } catch {
    return { ok: false };
  }
}

function ofJson(json: string): BroughtIn {
  if (depthOf(json) > MOST_DEEP)
    return refuse('Its brackets go deeper than any file of ours.', 'Choose a file that Carnelian has saved.');
  const read = parsed(json);
  if (!read.ok)
    return refuse('This file is broken: it is no whole JSON.', 'Save it again where it came from.');
  const { data } = read;
  const over = oversized(data);
  if (over)
    return refuse(
      `It has ${over.entries} entries: more than any file of ours.`,
      'Choose a file that Carnelian has saved.',
      over.field || '(document)',
    );
  const kind = isObject(data) ? data.kind : undefined;
  if (kind === 'run file') {
    const file = readRunFile(data);
    return file.ok ? { ok: true, what: 'run', file: file.value } : file;
  }
  if (kind === 'piece file') {
    const file = readPieceFile(data);
    return file.ok ? { ok: true, what: 'piece file', file: file.value } : file;
  }
  if (kind === 'snapshot') {
    const snapshot = readSnapshot(data);
    return snapshot.ok ? { ok: true, what: 'snapshot', snapshot: snapshot.value } : snapshot;
  }
  if (typeof kind === 'string') {
    const doc = readDocument(data);
    if (!doc.ok) return doc;
    if (doc.value.kind === 'kitchen') return { ok: true, what: 'kitchen', kitchen: doc.value };
    if (doc.value.kind === 'piece') return { ok: true, what: 'piece', piece: doc.value };
    if (doc.value.kind === 'formula') return { ok: true, what: 'formulas', formulas: [doc.value] };
    return refuse(
      'This is a run without its formulas and its kitchen.',
      'Save the run as a file and bring that in.',
      'kind',
    );
  }
  const formulas = recipesIn(data).flatMap((recipe) => draftOf(recipe));
  return formulas.length > 0
    ? fitting(formulas)
    : refuse(
        'No run, formula, kitchen or recipe stands in this file.',
        'Choose another file, or paste the text.',
      );
}

/** Formulas that fit, or why one does not: none is ever cut short without a word. */
function fitting(formulas: readonly FormulaDraft[]): BroughtIn {
  for (const { name, text, steps } of formulas as readonly Pick<FormulaDoc, 'name' | 'text' | 'steps'>[]) {
    const lines = text.split('\n').filter((line) => line.trim() !== '').length;
    const fault =
      lines > MAX_FORMULA_LINES
        ? `It has ${lines} lines of ingredients; a formula holds ${MAX_FORMULA_LINES}.`
        : (tooLongFor('text', text) ?? tooLongFor('steps', steps));
    if (fault !== null)
      return refuse(`“${name}” is longer than a formula can be. ${fault}`, 'Bring it in in parts.');
  }
  return { ok: true, what: 'formulas', formulas: [...formulas] };
}

type Json = Readonly<Record<string, unknown>>;
const isObject = (data: unknown): data is Json =>
  typeof data === 'object' && data !== null && !Array.isArray(data);

/** Every schema.org Recipe in some JSON-LD: alone, in a list, or in a graph. */
function recipesIn(data: unknown): Json[] {
  if (Array.isArray(data)) return data.flatMap(recipesIn);
  if (!isObject(data)) return [];
  const types = Array.isArray(data['@type']) ? data['@type'] : [data['@type']];
  if (types.some((type) => typeof type === 'string' && /(^|\/)Recipe$/.test(type))) return [data];
  return [...recipesIn(data['@graph']), ...recipesIn(data.mainEntity)];
}

/** What stands in the JSON-LD scripts of a page, found from one tag to the next. */
function blocksIn(page: string): string[] {
  const low = page.toLowerCase();
  const blocks: string[] = [];
  let at = low.indexOf('<script');
  while (at >= 0 && blocks.length < 200) {
    const open = low.indexOf('>', at);
    const end = open < 0 ? -1 : low.indexOf('</script', open);
    if (end < 0) break;
    if (low.slice(at, Math.min(open, at + 2000)).includes('application/ld+json'))
      blocks.push(page.slice(open + 1, end));
    at = low.indexOf('<script', end);
  }
  return blocks;
}

function ofPage(page: string): BroughtIn {
  const formulas = blocksIn(page).flatMap((json) => {
    const read = parsed(json.trim());
    return read.ok ? recipesIn(read.data).flatMap((recipe) => draftOf(recipe)) : [];
  });
  const read = formulas.length > 0 ? formulas : formulasOf(textOfPage(page));
  return read.length > 0
    ? fitting(read)
    : refuse(
        'No recipe stands in this page, neither as data nor as lines of ingredients.',
        'Copy the ingredients out of it and paste them as text.',
      );
}

function stepsOf(value: unknown): string[] {
  if (Array.isArray(value)) return value.flatMap(stepsOf);
  if (isObject(value))
    return 'itemListElement' in value ? stepsOf(value.itemListElement) : stepsOf(value.text ?? value.name);
  if (typeof value !== 'string') return [];
  return value
    .slice(0, 60_000)
    .split(/\r?\n|<\/?(?:p|li|br)\b[^>]*>/i)
    .map((step) => words(step, 1000))
    .filter(Boolean);
}

/** Minutes in an ISO 8601 duration: `PT1H20M` is 80. Null where it is none. */
export function minutesOfDuration(value: unknown): number | null {
  const found = typeof value === 'string' ? /^P(?:(\d+)D)?(?:T(?:(\d+)H)?(?:(\d+)M)?)?/.exec(value) : null;
  if (!found) return null;
  const [days, hours, minutes] = [found[1], found[2], found[3]].map((part) => Number(part ?? 0));
  const total = (days ?? 0) * 1440 + (hours ?? 0) * 60 + (minutes ?? 0);
  return total > 0 ? total : null;
}

/** A baking time that a formula may state, min; what is longer was cooked otherwise. */
const within = (minutes: number | null): number | null =>
  minutes !== null && minutes >= 1 && minutes <= 300 ? minutes : null;

/** The oven that some steps speak of, °C; null where they speak of none. */
export function ovenIn(steps: string): number | null {
  const found = /(\d{2,3})\s*(?:°|º|degrees?)?\s*(C|F)\b/i.exec(steps);
  if (!found) return null;
  const n = Number(found[1]);
  const celsius = /f/i.test(found[2] ?? '') ? ((n - 32) * 5) / 9 : n;
  return celsius >= 100 && celsius <= 260 ? Math.round(celsius / 5) * 5 : null;
}

function draftOf(recipe: Json): FormulaDraft[] {
  const listed = Array.isArray(recipe.recipeIngredient) ? recipe.recipeIngredient : [recipe.recipeIngredient];
  const lines = listed.map((line) => words(line, 300)).filter(Boolean);
  if (lines.length === 0) return [];
  const steps = stepsOf(recipe.recipeInstructions).join('\n');
  const yields: unknown = Array.isArray(recipe.recipeYield)
    ? (recipe.recipeYield as unknown[])[0]
    : recipe.recipeYield;
  const pieces = Number(/\d+/.exec(words(yields, 60))?.[0] ?? NaN);
  return [
    drafted(words(recipe.name, 120) || 'A formula without a name', lines, steps, {
      statedPieces: pieces >= 1 && pieces <= 1000 ? pieces : null,
      statedMin: within(minutesOfDuration(recipe.cookTime)),
    }),
  ];
}

function drafted(
  name: string,
  lines: readonly string[],
  steps: string,
  stated: Partial<Pick<FormulaDraft, 'statedPieces' | 'statedMin'>>,
  measures: Measures | null = null,
): FormulaDraft {
  const text = lines.join('\n');
  const by = measures ?? guessMeasures(text);
  const { method } = guessMethod(
    lines.flatMap((line) => {
      const read = readLine(line, by);
      return [read, ...read.also];
    }),
    steps,
  );
  return {
    name,
    text,
    measures: by,
    method,
    ovenC: ovenIn(steps) ?? 175,
    takenFor: {},
    steps,
    ...(stated.statedPieces ? { statedPieces: stated.statedPieces } : {}),
    ...(stated.statedMin ? { statedMin: stated.statedMin } : {}),
  };
}

/** A formula as people write one: a name, parts with their ingredients, and what to do. Parts of their own come along. */
function ofText(text: string): BroughtIn {
  if (text.length > MOST_OF_A_PAGE)
    return refuse(
      `This is ${text.length} letters long; the text of a formula has at most ${MOST_OF_A_PAGE}.`,
      'Paste one formula at a time.',
    );
  const formulas = formulasOf(text);
  return formulas.length > 0
    ? fitting(formulas)
    : refuse(
        'No line of it reads as an ingredient with an amount.',
        'Write one a line, such as “200 g plain flour”.',
      );
}

function formulasOf(text: string): FormulaDraft[] {
  const measures = guessMeasures(text);
  const page = readPage(text, measures);
  const weighs = (lines: readonly string[]) =>
    lines.some((line) => readLine(line, measures).status === 'read');
  const parts = page.parts.filter(({ lines }) => weighs(lines));
  if (parts.length === 0) return ofProse(text, page, measures);
  const apart = parts.filter(({ makes }) => makes !== null);
  const wholes = parts.filter(({ makes }) => makes === null);
  // A page that begins with a heading of its ingredients is called by it.
  const named = (page.name ?? parts[0]?.title)?.slice(0, 120) || 'A formula without a name';
  const stated = { statedPieces: page.pieces, statedMin: within(page.bakeMin) };
  const lost = page.parts.filter(({ lines }) => !weighs(lines));
  const steps = [
    ...page.steps,
    ...lost.map(({ title, lines }) => `${title ?? 'Besides'}: ${lines.join(', ')}`),
  ].join('\n');
  const main = wholes.length > 0 ? wholes : apart.slice(0, 1);
  const lines = main.flatMap(({ title, lines: own }, i) =>
    title && (i > 0 || main.length > 1) ? [`${title}:`, ...own] : own,
  );
  const first = drafted(named, lines, steps, stated, measures);
  const makes = wholes.length > 0 ? null : (main[0]?.makes ?? null);
  const components = (wholes.length > 0 ? apart : apart.slice(1)).map((part) => ({
    ...drafted(`${named}: ${part.title ?? ''}`.slice(0, 120), part.lines, '', {}, measures),
    makes: part.makes ?? 'topping',
  }));
  return [makes === null ? first : { ...first, makes }, ...components];
}

/** Ingredients told within sentences: at least so many, or it is no formula. */
const LEAST_IN_PROSE = 3;

function ofProse(text: string, page: Page, measures: Measures): FormulaDraft[] {
  const lines = ingredientsInProse(text, measures);
  if (lines.length < LEAST_IN_PROSE) return [];
  const name =
    page.name && page.name.split(/\s+/).length <= 10 ? page.name.slice(0, 120) : 'A formula without a name';
  return [
    drafted(name, lines, text, { statedPieces: page.pieces, statedMin: within(page.bakeMin) }, measures),
  ];
}
