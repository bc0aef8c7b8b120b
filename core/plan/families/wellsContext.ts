import type { CupcakeLine, FormulaDoc, MiniWellsLine, OvenDoc, TinDoc } from '../../model/documents';
import type { ReadFormula } from '../../formula';
import { barVolumeMl, bowlVolumeMl, wellVolumeMl } from '../../piece';
import { METHODS, type MethodDef } from '../../process/batter.table';
import type { RunContext } from '../lookup';

/** All that a line of cupcakes, or of mini cakes baked in wells, is planned from. */
export interface WellsContext {
  readonly run: RunContext;
  readonly line: CupcakeLine | MiniWellsLine;
  readonly formula: FormulaDoc;
  readonly read: ReadFormula;
  readonly method: MethodDef;
  readonly tin: TinDoc;
  readonly oven: OvenDoc;
  /** What the pieces are called: "Cupcakes". */
  readonly many: string;
  /** Wells that one piece takes: 2 where halves are paired. */
  readonly wellsEach: 1 | 2;
}

export function wellsContext(run: RunContext, line: CupcakeLine | MiniWellsLine): WellsContext {
  const { doc, read } = run.formula(line.formulaId);
  const paired = line.family === 'mini' && line.style === 'paired';
  return {
    run,
    line,
    formula: doc,
    read,
    method: METHODS[doc.method],
    tin: run.thing('tin', line.tinId),
    oven: run.thing('oven', line.ovenId),
    many: line.family === 'cupcake' ? 'Cupcakes' : 'Mini cakes',
    wellsEach: paired ? 2 : 1,
  };
}

/** Tins of that kind that go into the oven at once. */
export function tinsAtOnce(tin: TinDoc, oven: OvenDoc): number {
  return Math.min(tin.owned, oven.racks * oven.tinsPerRack);
}

/** A bar is as long as it says, or three times as long as wide where it says nothing. */
export const barLengthMm = (tin: TinDoc): number => tin.lengthMm ?? 3 * tin.topMm;

/** A well to the brim by its measures, ml. */
export function measuredMl(tin: TinDoc): number {
  switch (tin.shape ?? 'frustum') {
    case 'bowl':
      return bowlVolumeMl(tin.topMm, tin.depthMm);
    case 'bar':
      return barVolumeMl(barLengthMm(tin), tin.topMm, tin.baseMm, tin.depthMm);
    case 'frustum':
      return wellVolumeMl(tin.topMm, tin.baseMm, tin.depthMm);
  }
}
