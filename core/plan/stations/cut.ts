import type { CubeLine, SheetDoc } from '../../model/documents';
import { PI, atLeast, minus, mm3, over, squareRoot, times, without, type Ref } from '../../figure';
import { sheetVolume } from '../../piece';
import { cutSheet, type CutPlan } from '../../process/portion';
import { Unplannable } from '../context';
import type { PlanFigures } from '../figures';
import { CUT } from './cut.words';
import type { SheetPart } from './sheet';

/** Pieces smaller than this cannot be handled, mm. Basis: assumption. */
const LEAST_MM = 5;

/** A sheet that comes to crumbs under the knife cannot be planned. */
export function checkCuts(line: CubeLine, sheet: SheetDoc): void {
  const side = (mm: number, n: number) => (mm - 2 * line.trimMm - (n - 1) * line.kerfMm) / n;
  const { columns, rows } = line;
  if (Math.min(side(sheet.lengthMm, columns), side(sheet.widthMm, rows)) < LEAST_MM)
    throw new Unplannable('sheet', { code: 'pieces too small', columns, rows, sheet: sheet.name });
}

/** The cuts of a sheet, and the piece that they leave. */
export interface CutPart {
  readonly plan: CutPlan;
  readonly trim: Ref<'mm'>;
  readonly kerf: Ref<'mm'>;
  readonly length: Ref<'mm'>;
  readonly width: Ref<'mm'>;
}

export function addCuts(f: PlanFigures, line: CubeLine, sheet: SheetDoc, part: SheetPart): CutPart {
  const plan = cutSheet(sheet.lengthMm, sheet.widthMm, line.columns, line.rows, line.trimMm, line.kerfMm);
  const trim = f.given('cut.trim', CUT.trim, 'mm', line.trimMm, 'stated');
  const kerf = f.given('cut.kerf', CUT.kerf, 'mm', line.kerfMm, 'stated');
  const side = (of: Ref<'mm'>, n: number) => over(minus(of, times(2, trim), times(n - 1, kerf)), n);
  return {
    plan,
    trim,
    kerf,
    length: f.sum('piece.length', CUT.length, 'mm', side(part.length, line.columns)),
    width: f.sum('piece.width', CUT.width, 'mm', side(part.width, line.rows)),
  };
}

/** Sheets of a height, for so many pieces. */
export interface CutBatter {
  readonly count: Ref<'pieces'>;
  readonly needed: Ref<'g'>;
}

export function addCutBatter(
  f: PlanFigures,
  line: CubeLine,
  { plan }: CutPart,
  { length, width, densities, loss }: SheetPart,
  bowlLoss: Ref<'share'>,
): CutBatter {
  const sheets = Math.ceil(line.count / plan.count);
  const count = f.given('sheet.count', CUT.sheets(plan.count, line.count), 'pieces', sheets, 'counted');
  const height = f.given('cake.height', CUT.height, 'mm', line.heightMm, 'stated');
  const baked = times(times(count, sheetVolume(length, width, height)), densities.cake);
  const needed = f.sum('batter.needed', CUT.needed, 'g', over(over(baked, without(loss)), without(bowlLoss)));
  return { count, needed };
}

/** What a baked sheet and its pieces weigh and measure. */
export interface CutCake {
  readonly baked: Ref<'g'>;
  readonly height: Ref<'mm'>;
  readonly cake: Ref<'g'>;
  readonly top: Ref<'mm'>;
}

export function addCutCake(
  f: PlanFigures,
  cut: CutPart,
  { length, width, densities, loss }: SheetPart,
  mass: Ref<'g'>,
): CutCake {
  const baked = f.sum('sheet.cake', CUT.baked, 'g', times(mass, without(loss)), {
    pin: { min: 5, max: mass.high },
  });
  const area = times(length, width);
  const height = f.sum('piece.height', CUT.pieceHeight, 'mm', over(mm3(over(baked, densities.cake)), area));
  const cake = f.sum('cake.mass', CUT.cake, 'g', times(baked, over(times(cut.length, cut.width), area)), {
    pin: { min: 0.5, max: 2000 },
  });
  const top = f.sum('piece.top', CUT.top, 'mm', squareRoot(times(over(4, PI), times(cut.length, cut.width))));
  return { baked, height, cake, top };
}

/** Pieces that the sheets give. */
export function addCutLimit(f: PlanFigures, { plan }: CutPart, sheets: Ref<'pieces'>) {
  const perSheet = f.given('cut.perSheet', CUT.perSheet, 'pieces', plan.count, 'counted');
  return { perSheet, allows: f.sum('count.pieces', CUT.allows, 'pieces', times(sheets, perSheet)) };
}

/** What is cut, and what is left over of the sheets. */
export interface CutTotals {
  readonly cakes: Ref<'g'>;
  readonly trimmings: Ref<'g'>;
}

export function addCutTotals(
  f: PlanFigures,
  { baked, cake }: CutCake,
  sheets: Ref<'pieces'>,
  made: Ref<'pieces'>,
): CutTotals {
  const cakes = f.sum('cakes.total', CUT.cakes, 'g', times(made, cake));
  return {
    cakes,
    trimmings: f.sum('trimmings', CUT.trimmings, 'g', atLeast(minus(times(sheets, baked), cakes), 0)),
  };
}
