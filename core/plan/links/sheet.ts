import type { FormulaDoc, KitchenDoc, OvenDoc, SheetDoc } from '../../model/documents';
import { roundAs } from '../../process/bakeQuestion';
import { sheetSurrogateS } from '../../process/bakeSurrogate';
import { SHEET_SURROGATE } from '../../process/bakeSurrogate.table';
import { METHODS, SHEET_FULL, SHEET_LOSS, TIN_RULER_MM } from '../../process/batter.table';
import { COOLING_SHEET } from '../../process/oven.table';
import { addCooling, addFirstLook, addOven, addTurnaround, ovenInputs, ovenOf } from './oven';
import { type Figures } from '../figures';
import { addDensities } from './batch';

export interface SheetSpec {
  readonly p: string;
  readonly sheet: SheetDoc;
  readonly oven: OvenDoc;
  readonly ovenC: number | null;
  readonly formula: FormulaDoc;
  readonly kitchen: KitchenDoc;
}

/** The sheet's measures, and batter and cake of the formula. */
export function addSheet(ledger: Figures, { p, sheet, formula }: SheetSpec): void {
  const method = METHODS[formula.method];
  for (const [side, label, value] of [
    ['length', 'Sheet, long', sheet.lengthMm],
    ['width', 'Sheet, wide', sheet.widthMm],
    ['depth', 'Sheet, deep', sheet.depthMm],
  ] as const) {
    ledger.root(
      `${p}sheet.${side}`,
      label,
      'mm',
      value,
      TIN_RULER_MM,
      'geometry',
      `Measured inside "${sheet.name}", as kept in Kitchen.`,
    );
  }
  addDensities(ledger, p, method);
  ledger.start(
    `${p}bake.lossShare`,
    'Lost in baking',
    'share',
    SHEET_LOSS,
    'Water that a sheet loses in the oven. Weigh the full sheet before and after to know yours.',
    { min: 0, max: 0.5 },
  );
}

/** How many sheets so much batter wants at most flat-full, and what goes into each. `batterId`: all batter, g. */
export function addSheetCount(ledger: Figures, { p }: SheetSpec, batterId: string): void {
  ledger.calc(
    `${p}sheet.most`,
    'Batter that a sheet takes',
    'g',
    `${SHEET_FULL} × {${p}sheet.length} × {${p}sheet.width} × {${p}sheet.depth} ÷ 1000 × {${p}cake.density} ÷ (1 − {${p}bake.lossShare})`,
    (length = 0, width = 0, depth = 0, density = 0, lost = 0) =>
      (SHEET_FULL * length * width * depth * density) / 1000 / (1 - lost),
    'So that the cake ends just under the rim.',
  );
  ledger.calc(
    `${p}sheet.count`,
    'Sheets',
    'pieces',
    `{${batterId}} ÷ {${p}sheet.most}, rounded up`,
    (batter = 0, most = 1) => batter / most,
    'As few as hold the batter.',
    { decide: { step: 1, how: 'up', least: 1 } },
  );
  ledger.calc(
    `${p}sheet.mass`,
    'Batter in a sheet',
    'g',
    `{${batterId}} ÷ {${p}sheet.count}`,
    (batter = 0, sheets = 1) => batter / sheets,
    'The same in each, so that all bake alike.',
  );
}

/** Oven and cooling times of a sheet of `sheet.mass`. */
export function addSheetBake(ledger: Figures, spec: SheetSpec, toC: number, until: string): void {
  const { p, sheet, oven, formula, ovenC, kitchen } = spec;
  const method = METHODS[formula.method];
  addOven(ledger, {
    p,
    oven,
    formula,
    ovenC,
    method,
    kitchen,
    material: sheet.material,
    racks: Math.min(sheet.owned, ledger.value(`${p}sheet.count`)) > oven.tinsPerRack && oven.racks > 1,
    liner: undefined,
  });
  const own = [
    'sheet.mass',
    'sheet.length',
    'sheet.width',
    'batter.density',
    'cake.density',
    'bake.lossShare',
  ];
  ledger.listed(
    `${p}bake.time`,
    'Baking time of a sheet',
    's',
    [...own.map((id) => p + id), ...ovenInputs(p)],
    (v) => {
      const [massG = 1, length = 1, width = 1, batterDensity = 1, cakeDensity = 1, lossShare = 0] = v;
      const { factor, ...heat } = ovenOf(v, own.length);
      const pan = roundAs(length / 1000, width / 1000, 0.05);
      return sheetSurrogateS({ pan, massG, batterDensity, cakeDensity, lossShare, ...heat }) * factor;
    },
    `Until the middle is done. A sheet is reckoned as the round tin of its area, so corners brown sooner than it says; within 20 % of typical times, and the quick form of the model within ${Math.round(SHEET_SURROGATE.worst * 100)} % of it at worst.`,
    `warming {${p}sheet.mass} ({${p}sheet.length} × {${p}sheet.width}) from {${p}batter.temperature} to {${p}cake.done} at {${p}oven.setting} + {${p}oven.offset}, then × {${p}tin.factor} × {${p}bake.factor}`,
  );
  addFirstLook(ledger, p);
  const atOnce = ledger.given(
    `${p}sheet.atOnce`,
    'Sheets in the oven at once',
    'pieces',
    Math.min(sheet.owned, oven.racks * oven.tinsPerRack),
    'counted',
    `${sheet.owned} owned; "${oven.name}" holds ${oven.racks * oven.tinsPerRack}.`,
  );
  ledger.calc(
    `${p}loads.count`,
    'Loads',
    'loads',
    `{${p}sheet.count} ÷ {${p}sheet.atOnce}, rounded up`,
    (sheets = 0, n = atOnce) => sheets / n,
    'As few as the oven allows.',
    { whole: 'ceil' },
  );
  addCooling(ledger, p, ledger.value(`${p}sheet.mass`) * 0.91, COOLING_SHEET, toC, until);
  if (!ledger.has('turnaround')) addTurnaround(ledger);
}
