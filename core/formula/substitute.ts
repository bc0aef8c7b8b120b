import type { FormulaDoc } from '../model/documents';
import { ingredientOf, type Allergen, type ReadLine } from '../quantity';
import { readFormula, type Measuring } from './read';
import { rewritten } from './rewrite';
import { CHOCOLATE_SUGAR, SUBSTITUTES } from './substitute.table';

export interface SubstitutePart {
  readonly key: string;
  readonly name: string;
  readonly massG: number;
}

/** Something in the place of an ingredient, with its sum, and what that changes. */
export interface Substitution {
  readonly id: string;
  readonly title: string;
  readonly parts: readonly SubstitutePart[];
  /** The sum in words, measures in braces: `{200 g} × 0.94 = {188 g} of milk`. */
  readonly sum: readonly string[];
  readonly result: string;
  readonly gains: readonly Allergen[];
  readonly loses: readonly Allergen[];
  /** Grams of sugar to take off elsewhere (below zero: to add). */
  readonly sugarOffG: number;
}

const gramsIn = (massG: number) => `{${Number(massG.toFixed(massG < 20 ? 1 : 0))} g}`;
const named = (key: string): SubstitutePart['name'] => ingredientOf(key)?.name ?? key;

/** What can go in the place of a line's ingredient. Empty where nothing is known, or the line was not read. */
export function substitutionsFor(line: ReadLine): Substitution[] {
  const { ingredient, massG } = line;
  if (!ingredient || line.status !== 'read') return [];
  const had = ingredient.allergens ?? [];
  const changes = (keys: readonly string[]) => {
    const has = new Set(keys.flatMap((key) => ingredientOf(key)?.allergens ?? []));
    return {
      gains: [...has].filter((one) => !had.includes(one)),
      loses: had.filter((one) => !has.has(one)),
    };
  };
  const plain = SUBSTITUTES.filter(
    ({ from, perPiece }) => from === ingredient.key && (!perPiece || line.whole),
  ).map((def): Substitution => {
    const base = def.perPiece ? (line.whole?.count ?? 0) : massG;
    const parts = def.parts.map(({ key, share }) => ({ key, name: named(key), massG: base * share }));
    return {
      id: def.id,
      title: def.title,
      parts,
      sum: def.parts.map(({ key, share }, i) =>
        def.perPiece
          ? `${base} × {${share} g} = ${gramsIn(parts[i]?.massG ?? 0)} of ${named(key)}`
          : `${gramsIn(massG)} × ${share} = ${gramsIn(parts[i]?.massG ?? 0)} of ${named(key)}`,
      ),
      result: def.result,
      ...changes(def.parts.map(({ key }) => key)),
      sugarOffG: 0,
    };
  });
  return [...plain, ...otherChocolates(line, changes)];
}

/** One chocolate for another: the same mass, and sugar moved by mass × the difference in sugar share. */
function otherChocolates(
  { ingredient, massG }: ReadLine,
  changes: (keys: readonly string[]) => Pick<Substitution, 'gains' | 'loses'>,
): Substitution[] {
  const here = ingredient ? CHOCOLATE_SUGAR[ingredient.key] : undefined;
  if (here === undefined || !ingredient) return [];
  return Object.entries(CHOCOLATE_SUGAR)
    .filter(([key]) => key !== ingredient.key)
    .map(([key, share]) => {
      const sugarOffG = massG * (share - here);
      const more = sugarOffG > 0;
      return {
        id: `chocolate-${key}`,
        title: named(key),
        parts: [{ key, name: named(key), massG }],
        sum: [
          `${gramsIn(massG)} × (${share} − ${here}) = ${gramsIn(Math.abs(sugarOffG))} of sugar ${more ? 'to take off' : 'to add'}`,
        ],
        result: more
          ? 'Sweeter and milder, and softer when it sets: less cocoa, more milk and sugar.'
          : 'More cocoa and less sugar: darker, and firmer when it sets.',
        ...changes([key]),
        sugarOffG,
      };
    });
}

/** The formula with one line put in place of another: its parts in grams, and sugar moved where it has to be. */
export function substitute(
  doc: FormulaDoc,
  kitchen: Measuring | null,
  lineIndex: number,
  { parts, sugarOffG }: Substitution,
): FormulaDoc {
  const read = readFormula(doc, kitchen);
  if (read.lines[lineIndex] === undefined) throw new Error('invariant: the line stands in the formula');
  const sugar = read.lines.findIndex((line) => line.status === 'read' && line.ingredient?.role === 'sugar');
  const text = rewritten(doc, read, (i) => {
    if (i === lineIndex)
      return parts.map(({ name, massG }) => `${Number(massG.toFixed(1))} g ${name}`).join('\n');
    const one = read.lines[i];
    return i === sugar && one && Math.abs(sugarOffG) > 0.5
      ? `${Number(Math.max(one.massG - sugarOffG, 0).toFixed(1))} g ${one.called}`
      : null;
  });
  return { ...doc, text };
}
