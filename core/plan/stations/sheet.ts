import type { OvenDoc, SheetDoc } from '../../model/documents';
import { calls, over, says, saysAll, times, without, type Ref, type Expr, type Says } from '../../figure';
import { PARAMS, scopeOf, type Scope } from '../../param';
import { roundAs, sheetVolume } from '../../piece';
import { sheetColourS, sheetInsideS } from '../../process/bakeSurrogate';
import type { BakeModelInput } from '../../process/bakeQuestion';
import { colourTells } from '../../caution/doneTests';
import { SHEET_FULL, SHEET_LOSS, TIN_RULER_MM } from '../../process/batter.table';
import { COOLING_SHEET } from '../../process/oven.table';
import type { KnownFormula, RunContext } from '../context';
import type { PlanFigures } from '../figures';
import { addDone, atSea, heatSays, type BakePart } from './bake';
import { addDensities, batterScopes, type Densities } from './batch';
import { SHEET } from './bake.words';
import { addCooling, type CoolPart } from './cool';
import { addFirstLook, addOven, heatIn, addTurnaround, heatOf } from './oven';

export interface SheetSpec {
  readonly sheet: SheetDoc;
  readonly oven: OvenDoc;
  readonly ovenC: number | null;
  readonly formula: KnownFormula;
}

/** A sheet's measures, and batter and cake of the formula. */
export interface SheetPart {
  readonly length: Ref<'mm'>;
  readonly width: Ref<'mm'>;
  readonly depth: Ref<'mm'>;
  readonly densities: Densities;
  readonly loss: Ref<'share'>;
}

export function addSheet(f: PlanFigures, { sheet, formula }: SheetSpec): SheetPart {
  const side = (name: string, label: string, value: number) =>
    f.root({
      id: `sheet.${name}`,
      words: SHEET.side(label, sheet.name),
      unit: 'mm',
      value,
      spread: TIN_RULER_MM,
      basis: 'geometry',
      key: `sheet.${name}@sheet:${sheet.id}`,
    });
  return {
    length: side('length', 'Sheet, long', sheet.lengthMm),
    width: side('width', 'Sheet, wide', sheet.widthMm),
    depth: side('depth', 'Sheet, deep', sheet.depthMm),
    densities: addDensities(f, formula),
    loss: f.believe(PARAMS.bakeLoss, {
      of: lossOf(sheet, formula),
      start: SHEET_LOSS,
      sentence: SHEET.loss,
    }),
  };
}

/** What the loss in baking belongs to, the most specific first. */
const lossOf = (sheet: SheetDoc, formula: KnownFormula): readonly Scope[] => [
  scopeOf('sheet', sheet.id),
  ...batterScopes(formula).slice(0, 1),
  scopeOf('size', 'sheet'),
];

export interface SheetCount {
  readonly count: Ref<'pieces'>;
  readonly mass: Ref<'g'>;
}

/** How many sheets so much batter wants at most flat-full, and what goes into each. */
export function addSheetCount(f: PlanFigures, sheet: SheetPart, batter: Ref<'g'>): SheetCount {
  const { length, width, depth, densities, loss } = sheet;
  const most = f.sum(
    'sheet.most',
    SHEET.most,
    'g',
    over(times(times(SHEET_FULL, sheetVolume(length, width, depth)), densities.cake), without(loss)),
  );
  const count = f.sum('sheet.count', SHEET.count, 'pieces', over(batter, most), {
    decide: { step: 1, how: 'up', least: 1 },
  });
  return { count, mass: f.sum('sheet.mass', SHEET.mass, 'g', over(batter, count)) };
}

export interface SheetBakePart extends BakePart {
  readonly atOnce: Ref<'pieces'>;
  readonly loads: Ref<'loads'>;
  readonly cool: CoolPart;
}

/** Oven and cooling times of a sheet of so much batter. */
export function addSheetBake(
  f: PlanFigures,
  run: RunContext,
  spec: SheetSpec,
  part: SheetPart,
  { count, mass }: SheetCount,
  toC: number,
  until: string,
): SheetBakePart {
  const { sheet, oven, formula, ovenC } = spec;
  const inOven = addOven(f, {
    oven,
    formula,
    ovenC,
    kitchen: run.kitchen,
    inTin: scopeOf('sheet', sheet.id),
    material: sheet.material,
    racks: Math.min(sheet.owned, count.value) > oven.tinsPerRack && oven.racks > 1,
    liner: undefined,
  });
  const { length, width, densities, loss } = part;
  const asks = (reckoned: (input: BakeModelInput) => number, does: Says): Expr<'s'> =>
    calls(
      's',
      (v) => {
        const { factor, ...heat } = heatOf(v);
        const pan = roundAs(v.length / 1000, v.width / 1000, 0.05);
        const { mass: massG, batterDensity, cakeDensity, lossShare } = v;
        return reckoned({ pan, massG, batterDensity, cakeDensity, lossShare, ...heat }) * factor;
      },
      {
        mass,
        length,
        width,
        batterDensity: densities.batter,
        cakeDensity: densities.cake,
        lossShare: loss,
        ...heatIn(inOven),
      },
      saysAll(does, heatSays(inOven)),
    );
  const done = addDone(f, SHEET, colourTells(formula.read.lines), {
    inside: asks(sheetInsideS, says`warming ${mass} (${length} × ${width})`),
    colour: asks((at) => sheetColourS(atSea(at, inOven)), says`browning ${mass} (${length} × ${width})`),
  });
  const firstLook = addFirstLook(f, done.time);
  const holds = oven.racks * oven.tinsPerRack;
  const atOnce = f.given(
    'sheet.atOnce',
    SHEET.atOnce(sheet.owned, oven.name, holds),
    'pieces',
    Math.min(sheet.owned, holds),
    'counted',
  );
  const loads = f.sum('loads.count', SHEET.loads, 'loads', over(count, atOnce), { whole: 'ceil' });
  const cool = addCooling(f, {
    kind: 'sheet',
    thing: scopeOf('sheet', sheet.id),
    massG: mass.value * 0.91,
    constant: COOLING_SHEET,
    toC,
    until,
  });
  return { oven: inOven, ...done, firstLook, turnaround: addTurnaround(f, oven), atOnce, loads, cool };
}
