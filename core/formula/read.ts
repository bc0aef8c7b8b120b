import { MAX_FORMULA_LINES, type FormulaDoc } from '../model/documents';
import {
  readLine,
  type Allergen,
  type Fault,
  type Measures,
  type OwnMeasures,
  type ReadLine,
  type Role,
} from '../quantity';
import { checkFormula, checkSteps } from './checks';

export interface ReadFormula {
  readonly lines: readonly ReadLine[];
  /** Mass of all lines that were read, g. */
  readonly massG: number;
  /** Half the 10–90 width of that mass, from how the amounts are stated, g. */
  readonly spreadG: number;
  readonly unread: number;
  readonly allergens: readonly Allergen[];
  /** Warnings about the formula as a whole. */
  readonly checks: readonly Fault[];
}

/** Grams of all lines whose ingredient plays one of the roles. */
export function massOf(lines: readonly ReadLine[], ...roles: readonly Role[]): number {
  return lines.reduce(
    (sum, line) => sum + (line.ingredient && roles.includes(line.ingredient.role) ? line.massG : 0),
    0,
  );
}

/** Reads a formula line by line. Lines past the limit are kept in the document but not read; a check says so. */
export function readFormula(
  doc: Pick<FormulaDoc, 'text' | 'measures' | 'takenFor'> & Partial<Pick<FormulaDoc, 'steps' | 'makes'>>,
  own?: OwnMeasures,
): ReadFormula {
  const written = doc.text.split(/\r?\n/);
  const lines = written
    .slice(0, MAX_FORMULA_LINES)
    .map((raw) => readLineOnce(raw, doc.measures, ownValue(doc.takenFor, raw.trim()), own));
  const read = lines.filter((line) => line.status === 'read');
  const allergens = new Set(lines.flatMap((line) => line.ingredient?.allergens ?? []));
  const beyond = written.slice(MAX_FORMULA_LINES).filter((line) => line.trim() !== '').length;
  const tooLong: Fault[] =
    beyond > 0
      ? [
          {
            fault: `${beyond} lines past line ${MAX_FORMULA_LINES} are kept as written but not read.`,
            mend: 'Keep only the ingredients of one formula here.',
          },
        ]
      : [];
  return {
    lines,
    massG: read.reduce((sum, line) => sum + line.massG, 0),
    spreadG: Math.hypot(...read.map((line) => (line.highG - line.lowG) / 2)),
    unread: lines.filter((line) => line.status === 'unread').length,
    allergens: [...allergens],
    checks: [
      ...tooLong,
      ...(doc.makes === undefined || doc.makes === 'batter' ? checkFormula(lines) : []),
      ...checkSteps(lines, doc.steps ?? ''),
    ],
  };
}

/** Lines read lately: while somebody types, all lines but one are the same as before. */
const recent = new Map<string, ReadLine>();
const RECENT_KEPT = 2000;

function readLineOnce(
  raw: string,
  measures: Measures,
  takenFor: string | undefined,
  own: OwnMeasures | undefined,
): ReadLine {
  if (own) return readLine(raw, measures, takenFor, own);
  const key = `${measures}\u0000${takenFor ?? ''}\u0000${raw}`;
  const known = recent.get(key);
  if (known) return known;
  if (recent.size >= RECENT_KEPT) recent.clear();
  const line = readLine(raw, measures, takenFor);
  recent.set(key, line);
  return line;
}

function ownValue(record: Readonly<Record<string, string>>, key: string): string | undefined {
  return Object.prototype.hasOwnProperty.call(record, key) ? record[key] : undefined;
}

/**
 * Which measures a text most likely means: sticks and bare cups are North American, grams with spoons metric.
 * A guess to start from; the person can change it.
 */
export function guessMeasures(text: string): Measures {
  if (/\b(stick|sticks|all-purpose|fl oz|quart)\b/i.test(text) || /\d\s*(oz|lb)\b/i.test(text)) return 'us';
  if (/\bcups?\b/i.test(text) && !/\b(dl|caster|icing sugar|bicarb|plain flour)\b/i.test(text)) return 'us';
  return 'metric';
}
