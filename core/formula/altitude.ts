import { isBatter, type FormulaDoc } from '../model/documents';
import type { ReadLine } from '../quantity';
import { ALTITUDE, ALTITUDE_CHANGES } from './altitude.table';
import type { ReadFormula } from './read';
import { rewritten, writtenG } from './rewrite';

/** One line of a formula as a height wants it. */
export interface HighLine {
  /** Place among the things that the formula names, from 0. */
  readonly index: number;
  readonly name: string;
  readonly fromG: number;
  readonly toG: number;
  /** By how much of itself it changes. */
  readonly share: number;
  readonly why: string;
}

/** A formula of the lowlands as a height wants it. */
export interface AtHeight {
  readonly lines: readonly HighLine[];
  /** K that the oven is set hotter, so that the crumb sets before it has risen too far. */
  readonly hotterK: number;
  readonly ovenC: number;
  readonly text: string;
  readonly heightM: number;
}

type Known = { readonly doc: FormulaDoc; readonly read: Pick<ReadFormula, 'lines' | 'at'> };

/** Steps of height above the one where changes begin; 0 below it, and never more than at the highest one known. */
const stepsAt = (heightM: number): number =>
  Math.max(0, Math.min(heightM, ALTITUDE.toM) - ALTITUDE.fromM) / ALTITUDE.stepM;

/** Whether a batter is written for much lower down than this kitchen lies. */
export function isHighFor({ doc }: Pick<Known, 'doc'>, heightM: number): boolean {
  const writtenM = doc.writtenForM ?? 0;
  return isBatter(doc) && heightM >= ALTITUDE.fromM && heightM - writtenM > ALTITUDE.nearM;
}

/** What K hotter: a little at first, and no more than that a height without end. */
function hotterAt(heightM: number): number {
  const { leastK, mostK, atM } = ALTITUDE.oven;
  const way = (Math.min(heightM, atM) - ALTITUDE.fromM) / (atM - ALTITUDE.fromM);
  return leastK + (mostK - leastK) * Math.max(way, 0);
}

/**
 * The changes that a height asks of a formula, with their sums; null where it asks for none. Powder −10 %, liquid +3 %,
 * sugar −2 % for each 500 m above 900 m, the oven 5 to 8 K hotter. Basis: usual guidance (see the table).
 */
export function atHeight({ doc, read }: Known, heightM: number): AtHeight | null {
  if (!isHighFor({ doc }, heightM)) return null;
  // What was written for a height already has its own steps behind it.
  const steps = stepsAt(heightM) - stepsAt(doc.writtenForM ?? 0);
  const lines = read.lines.flatMap((line, index) => changed(line, index, steps));
  const hotterK = Math.round(hotterAt(heightM) - (doc.writtenForM ? hotterAt(doc.writtenForM) : 0));
  const text = rewritten(doc, read, (i) => {
    const line = lines.find(({ index }) => index === i);
    return line ? `${writtenG(line.toG)} ${line.name}` : null;
  });
  return { lines, hotterK, ovenC: Math.min(doc.ovenC + hotterK, 260), text, heightM };
}

function changed(line: ReadLine, index: number, steps: number): HighLine[] {
  const role = line.ingredient?.role;
  const of = ALTITUDE_CHANGES.find(({ roles }) => role !== undefined && roles.includes(role));
  if (line.status !== 'read' || !of) return [];
  const share = of.share * steps;
  const name = line.called || line.name;
  return [{ index, name, fromG: line.massG, toG: line.massG * (1 + share), share, why: of.why }];
}
