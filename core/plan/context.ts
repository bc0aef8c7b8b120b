import type { CupcakeLine, FormulaDoc, KitchenDoc, OvenDoc, TinDoc } from '../exchange/documents';
import { readFormula, type ReadFormula } from '../formula';
import { METHODS, type MethodDef } from '../process/batter.table';

/** All that one line of a run is planned from. */
export interface LineContext {
  readonly line: CupcakeLine;
  readonly formula: FormulaDoc;
  readonly read: ReadFormula;
  readonly method: MethodDef;
  readonly tin: TinDoc;
  readonly oven: OvenDoc;
  readonly kitchen: KitchenDoc;
  /** Local time for which minutes left are counted, and when the run must be ready; minutes since the epoch, local. */
  readonly asOfMin: number | null;
  readonly readyMin: number;
}

const readCache = new WeakMap<FormulaDoc, ReadFormula>();

/** Reads a formula once for each document object: documents are replaced, never changed. */
export function readOnce(doc: FormulaDoc): ReadFormula {
  const known = readCache.get(doc);
  if (known) return known;
  const read = readFormula(doc);
  readCache.set(doc, read);
  return read;
}

/** Tins of that kind that go into the oven at once. */
export function tinsAtOnce(tin: TinDoc, oven: OvenDoc): number {
  return Math.min(tin.owned, oven.racks * oven.tinsPerRack);
}

export function methodOf(formula: FormulaDoc): MethodDef {
  return METHODS[formula.method];
}
