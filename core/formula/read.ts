import { MAX_FORMULA_LINES, type FormulaDoc, type KitchenDoc } from '../model/documents';
import {
  isLedByVerb,
  readLine,
  weighedInStep,
  type Fault,
  type Holds,
  type LineStatus,
  type Measures,
  type OwnKitchen,
  type ReadLine,
  type Role,
  type WholeSort,
} from '../quantity';
import { holdsOfLine, togetherHold } from '../quantity/allergens';
import { checkFormula, checkOven, checkSteps, lacksOf, type Needed } from './checks';

export interface ReadFormula {
  /** Every thing that the lines name: more than one for a line that names several. */
  readonly lines: readonly ReadLine[];
  /** The line of the text that each of them stands on, from 0. */
  readonly at: readonly number[];
  /** Mass of all lines that were read, g. */
  readonly massG: number;
  /** Half the 10–90 width of that mass, from how the amounts are stated, g. */
  readonly spreadG: number;
  readonly unread: number;
  /** What a batter of its kind is made of and no line brings: told above everything else. */
  readonly lacks: readonly Needed[];
  /** What its lines hold, those that nobody could read among them. */
  readonly holds: Holds;
  /** Warnings about the formula as a whole. */
  readonly checks: readonly Fault[];
  readonly weighed: Weighed;
}

/** A line that is weighed out, with what is said of it. */
export interface WeighedLine {
  readonly line: ReadLine;
  /** Its line in the text, from 0; further things of a line are parts of it: 2.01. */
  readonly index: number;
  /** What its figures are called in every plan: the mass, and the mass as written. */
  readonly id: string;
  readonly writtenId: string;
  /** As the person wrote it, and how it was read. */
  readonly written: string;
  readonly sentence: string;
}

/** What a formula as read has to be weighed out: the same for every plan of it. */
export interface Weighed {
  readonly items: readonly WeighedLine[];
  /** The line whose whole things decide the scale; null where nothing is counted. */
  readonly wholeLine: ReadLine | null;
  /** Lines that ask for "some". */
  readonly toTaste: readonly ReadLine[];
  readonly basis: 'typical' | 'stated';
}

/** Fruit differs from one to the next and a pod only flavours: nobody scales a batch to them. Eggs and packs are the same each time. */
/** Things of one line follow each other by so much in their places. */
const PART = 0.01;

function wholeLineOf(lines: readonly ReadLine[]): ReadLine | null {
  const of = (sort: WholeSort) => lines.find(({ whole }) => whole?.sort === sort);
  const egg = lines.find(({ whole, ingredient }) => whole && ingredient?.key === 'egg');
  return egg ?? of('egg') ?? of('pack') ?? null;
}

function weighedOf(lines: readonly ReadLine[], at: readonly number[]): Weighed {
  const items = lines.flatMap((line, i): WeighedLine[] => {
    const row = at[i] ?? 0;
    const index = Number((row + PART * (i - at.indexOf(row))).toFixed(2));
    const written = line.raw.trim();
    const sentence = line.reading ? `"${written}" read as ${line.reading}.` : `"${written}".`;
    const id = `ingredient.${index + 1}`;
    return line.status === 'read' ? [{ line, index, id, writtenId: `${id}.written`, written, sentence }] : [];
  });
  const read = items.map(({ line }) => line);
  return {
    items,
    wholeLine: wholeLineOf(read),
    toTaste: lines.filter((l) => l.status === 'no amount'),
    basis: read.some((l) => l.basis === 'typical') ? 'typical' : 'stated',
  };
}

/** Grams of all lines whose ingredient plays one of the roles. */
export function massOf(lines: readonly ReadLine[], ...roles: readonly Role[]): number {
  return lines.reduce(
    (sum, line) => sum + (line.ingredient && roles.includes(line.ingredient.role) ? line.massG : 0),
    0,
  );
}

type Written = Pick<FormulaDoc, 'text' | 'measures' | 'takenFor'> &
  Partial<Pick<FormulaDoc, 'steps' | 'makes' | 'method' | 'ovenC'>>;
/** What the kitchen has told of its measures and of things that no table knows. */
export type Measuring = Pick<KitchenDoc, 'ownMeasures' | 'ownThings'>;

/**
 * Reads a formula line by line, with the kitchen's own measures. Lines past the limit are kept in the document but not
 * read; a check says so.
 * @param kitchen null where there is none: a formula by itself
 * @param readings spares what was read before; the caller owns it
 */
export function readFormula(doc: Written, kitchen: Measuring | null, readings?: Readings): ReadFormula {
  const own = kitchen ?? undefined;
  return readings ? readings.formula(doc, own) : read(doc, own, null);
}

/**
 * What a formula holds with all that it is made of: the formulas that go into it, and those that go into them. One that is
 * not there is told as not known.
 */
export function madeHolds(
  doc: FormulaDoc,
  formulas: readonly FormulaDoc[],
  kitchen: Measuring | null,
): Holds {
  const all = new Map([...formulas, doc].map((one) => [one.id, one]));
  const reached = new Set([doc.id]);
  for (const id of reached) for (const part of all.get(id)?.parts ?? []) reached.add(part.formulaId);
  return togetherHold(
    [...reached].map((id): Holds => {
      const one = all.get(id);
      return one
        ? readFormula(one, kitchen).holds
        : { allergens: [], packets: [{ name: 'a formula that is gone', known: false }] };
    }),
  );
}

/** What was read lately. Documents are replaced, never changed: each object is read once for what a kitchen has told. */
export class Readings {
  private readonly formulas = new WeakMap<
    Written,
    { readonly own: OwnKitchen | undefined; readonly read: ReadFormula }
  >();
  /** Lines read lately: while somebody types, all lines but one are the same as before. */
  private readonly lines = new Map<string, ReadLine>();
  private linesOwn: OwnKitchen | undefined;

  formula(doc: Written, own: OwnKitchen | undefined): ReadFormula {
    const known = this.formulas.get(doc);
    if (known && sameTold(known.own, own)) return known.read;
    const made = read(doc, own, this);
    this.formulas.set(doc, { own, read: made });
    return made;
  }

  line(raw: string, measures: Measures, takenFor: string | undefined, own: OwnKitchen | undefined): ReadLine {
    if (!sameTold(own, this.linesOwn) || this.lines.size >= RECENT_KEPT) this.lines.clear();
    this.linesOwn = own;
    const key = `${measures}\u0000${takenFor ?? ''}\u0000${raw}`;
    const known = this.lines.get(key) ?? readLine(raw, measures, takenFor, own);
    this.lines.set(key, known);
    return known;
  }
}
const RECENT_KEPT = 2000;

/** A kitchen that changed in something else has told the same of its things. */
const sameTold = (a: OwnKitchen | undefined, b: OwnKitchen | undefined): boolean =>
  a === b || (a?.ownMeasures === b?.ownMeasures && a?.ownThings === b?.ownThings);

function read(doc: Written, own: OwnKitchen | undefined, readings: Readings | null): ReadFormula {
  const written = doc.text.split(/\r?\n/);
  const byRow = written.slice(0, MAX_FORMULA_LINES).map((raw) => {
    const takenFor = ownValue(doc.takenFor, raw.trim());
    return readings
      ? readings.line(raw, doc.measures, takenFor, own)
      : readLine(raw, doc.measures, takenFor, own);
  });
  const settled = withoutTwice(byRow, doc, own);
  const lines = settled.flatMap((line) => (line.also.length === 0 ? [line] : [line, ...line.also]));
  const at = settled.flatMap((line, row) => Array.from({ length: 1 + line.also.length }, () => row));
  const readable = lines.filter((line) => line.status === 'read');
  const beyond = written.slice(MAX_FORMULA_LINES).filter((line) => line.trim() !== '').length;
  const isBatterText = doc.makes === undefined || doc.makes === 'batter';
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
    at,
    massG: readable.reduce((sum, line) => sum + line.massG, 0),
    spreadG: Math.hypot(...readable.map((line) => (line.highG - line.lowG) / 2)),
    lacks: isBatterText && doc.method ? lacksOf(lines, doc.method) : [],
    unread: lines.filter((line) => line.status === 'unread').length,
    holds: togetherHold([
      ...lines.filter(({ status }) => EATEN.has(status)).map(holdsOfLine),
      ...(beyond > 0 ? [{ allergens: [], packets: [{ name: NOT_READ, known: false }] }] : []),
    ]),
    checks: [
      ...tooLong,
      ...(isBatterText ? checkFormula(lines, doc.method) : []),
      ...checkSteps(lines, doc.steps ?? ''),
      ...(isBatterText ? checkOven(doc.steps ?? '', doc.ovenC) : []),
    ],
    weighed: weighedOf(lines, at),
  };
}

/**
 * Steps among the lines: what a step names that a line has listed is not weighed twice, and what it weighs that no line
 * has is asked about, never left out in silence.
 */
function withoutTwice(
  rows: readonly ReadLine[],
  { measures, takenFor }: Written,
  own: OwnKitchen | undefined,
): readonly ReadLine[] {
  const keysOf = (line: ReadLine) => [line, ...line.also].flatMap(({ ingredient }) => ingredient?.key ?? []);
  const isRead = ({ status }: ReadLine) => status === 'read';
  const listed = new Set(rows.filter((line) => isRead(line) && !isLedByVerb(line.raw)).flatMap(keysOf));
  return rows.map((line): ReadLine => {
    if (ownValue(takenFor, line.raw.trim()) !== undefined) return line;
    if (isRead(line) && isLedByVerb(line.raw) && keysOf(line).every((key) => listed.has(key)))
      return {
        ...line,
        status: 'note',
        ingredient: null,
        massG: 0,
        lowG: 0,
        highG: 0,
        whole: null,
        also: [],
      };
    if (line.status !== 'note') return line;
    const left = weighedInStep(line.raw, measures, own).filter(
      ({ ingredient }) => ingredient !== null && !listed.has(ingredient.key),
    );
    const [first] = left;
    return first
      ? {
          ...line,
          status: 'unread',
          ingredient: first.ingredient,
          fault: {
            fault: `This reads as a step, and it weighs ${first.ingredient?.name ?? ''}, which no other line has.`,
            mend: 'Write what goes in as a line of its own; or say that it is only a step.',
          },
        }
      : line;
  });
}

function ownValue(record: Readonly<Record<string, string>>, key: string): string | undefined {
  return Object.prototype.hasOwnProperty.call(record, key) ? record[key] : undefined;
}

/**
 * Which measures a text most likely means: sticks and bare cups are North American, grams with spoons metric.
 * A guess to start from; the person can change it.
 */
export const guessMeasures = (text: string): Measures => evidenceOfMeasures(text).measures;

/** The same with the word of the text that it was guessed by; null where none tells. */
export function evidenceOfMeasures(text: string): {
  readonly measures: Measures;
  readonly by: string | null;
} {
  const us = /\b(sticks?|all-purpose|fl oz|quart)\b/i.exec(text)?.[1] ?? /\d\s*(oz|lb)\b/i.exec(text)?.[1];
  if (us !== undefined) return { measures: 'us', by: us };
  const metric = /\b(dl|caster|icing sugar|bicarb|plain flour)\b/i.exec(text)?.[1] ?? null;
  const cups = /\bcups?\b/i.exec(text)?.[0] ?? null;
  return cups !== null && metric === null ? { measures: 'us', by: cups } : { measures: 'metric', by: metric };
}

/** Lines that name something that goes in, whether its amount was read or not. */
const EATEN: ReadonlySet<LineStatus> = new Set(['read', 'unread', 'no amount']);
/** What stands past the last line that is read, as a thing whose packet nobody has looked at. */
const NOT_READ = 'what was not read of it';
