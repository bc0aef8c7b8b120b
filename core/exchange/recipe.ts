import { holdsLine } from '../caution/allergens.words';
import type { FormulaDoc } from '../model/documents';
import type { Holds } from '../quantity';

const linesOf = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);

/** A formula as a Recipe of schema.org in JSON-LD: what other programs read of it. Times in ISO 8601. */
export function recipeLd(
  { name, text, steps, statedPieces, statedMin, makes }: FormulaDoc,
  holds: Holds,
): string {
  const instructions = linesOf(steps);
  const doc = {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name,
    description: holdsLine(holds),
    ...(makes ? { recipeCategory: makes } : {}),
    ...(statedPieces ? { recipeYield: `${statedPieces} pieces` } : {}),
    ...(statedMin ? { cookTime: `PT${Math.round(statedMin)}M` } : {}),
    recipeIngredient: linesOf(text),
    ...(instructions.length > 0
      ? { recipeInstructions: instructions.map((step) => ({ '@type': 'HowToStep', text: step })) }
      : {}),
  };
  // In a page it stands inside a script: nothing in it may end that.
  return JSON.stringify(doc, null, 2).replace(/</g, '\\u003c');
}

/** Signs that mean something in Markdown, each as itself. */
const plain = (text: string): string => text.replace(/([\\`*_{}[\]<>#|~])/g, '\\$1');

/** A formula as Markdown: its name, its ingredients as written, its steps. */
export function recipeMarkdown(
  { name, text, steps, ovenC, statedPieces, statedMin }: FormulaDoc,
  holds: Holds,
): string {
  const told = [
    statedPieces ? `${statedPieces} pieces` : '',
    `${Math.round(ovenC)} °C`,
    statedMin ? `${Math.round(statedMin)} min` : '',
  ].filter(Boolean);
  const instructions = linesOf(steps);
  return [
    `# ${plain(name)}`,
    '',
    told.join(', '),
    '',
    plain(holdsLine(holds)),
    '',
    ...linesOf(text).map((line) => `- ${plain(line)}`),
    ...(instructions.length > 0 ? ['', ...instructions.map((step, i) => `${i + 1}. ${plain(step)}`)] : []),
    '',
  ].join('\n');
}
