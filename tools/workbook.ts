/**
 * Lays the sums of a planned run out in a spreadsheet engine: every figure a cell, every range a pair of columns for each
 * root that reaches it. So the explanations are checked for saying what is reckoned, and the core's speed has something
 * to be measured against. A development tool: the app does not hold it.
 */
import { FunctionArgumentType, FunctionPlugin, HyperFormula, type ImplementedFunctions } from 'hyperformula';
import type { DeriveSpec, Figure } from '../core/figure';
import type { ComponentsPlan, LinePlan } from '../core/plan';
import { sumOf } from '../core/figure/shifts';
import { formulaOf } from './sumFormula';

type Ast = Parameters<NonNullable<FunctionPlugin['runFunction']>>[0][number];
type State = Parameters<NonNullable<FunctionPlugin['runFunction']>>[1];

/** Sums that no arithmetic says, by number: the workbook calls the core for them. */
const spoken: DeriveSpec[] = [];

class CorePlugin extends FunctionPlugin {
  static override implementedFunctions: ImplementedFunctions = {
    CORESUM: {
      method: 'coresum',
      parameters: [
        { argumentType: FunctionArgumentType.NUMBER },
        { argumentType: FunctionArgumentType.NUMBER },
      ],
      repeatLastArgs: 1,
    },
    CUBEROOT: { method: 'cuberoot', parameters: [{ argumentType: FunctionArgumentType.NUMBER }] },
  };

  coresum(ast: { args: Ast[] }, state: State) {
    return this.runFunction(ast.args, state, this.metadata('CORESUM'), (k: number, ...v: number[]) => {
      const spec = spoken[k];
      if (!spec) throw new Error('invariant: a spoken sum is known');
      return sumOf(spec, v);
    });
  }

  cuberoot(ast: { args: Ast[] }, state: State) {
    return this.runFunction(ast.args, state, this.metadata('CUBEROOT'), (x: number) => Math.cbrt(x));
  }
}

/** Anything with figures and sums: a line, or what the lines share. */
export type Summed = Pick<LinePlan, 'figures' | 'figure' | 'sums'> | ComponentsPlan;

export interface Sheet {
  readonly name: string;
  readonly rows: readonly (readonly (number | string | null)[])[];
  readonly figures: readonly Figure[];
  /** Row of every root, and how far it goes to either side. */
  readonly roots: readonly { readonly row: number; readonly spread: number }[];
}

function columnName(index: number): string {
  let name = '';
  for (let n = index; n >= 0; n = Math.floor(n / 26) - 1) name = String.fromCharCode(65 + (n % 26)) + name;
  return name;
}

/** Columns: value, low, high, then one down and one up for each root. */
const FIRST_ROOT = 3;

/** Wraps a formula in the rounding that the figure has. */
function rounded(spec: DeriveSpec, formula: string): string {
  if (spec.whole === 'floor') return `FLOOR(${formula}+0.000000001,1)`;
  if (spec.whole === 'ceil') return `CEILING(${formula}-0.000000001,1)`;
  if (!spec.decide) return formula;
  const { step, how, least } = spec.decide;
  const stepped =
    step === 0
      ? formula
      : how === 'nearest'
        ? `ROUND((${formula})/${step},0)*${step}`
        : how === 'down'
          ? `FLOOR((${formula})/${step}+0.000000001,1)*${step}`
          : `CEILING((${formula})/${step}-0.000000001,1)*${step}`;
  return least === undefined ? stepped : `MAX(${stepped},${least})`;
}

/** The sheet of one plan. */
export function sheetOf(name: string, plan: Summed): Sheet {
  const { figures } = plan;
  const rowOf = new Map(figures.map((figure, i) => [figure.id, i]));
  const sums = new Map(plan.sums().map((spec) => [spec.id, spec]));
  const row = (id: string) => {
    const found = rowOf.get(id);
    if (found === undefined) throw new Error(`invariant: no row for "${id}"`);
    return found;
  };
  const roots = figures.flatMap((figure, i) =>
    !sums.has(figure.id) && figure.high - figure.low > 0
      ? [{ row: i, spread: (figure.high - figure.low) / 2 }]
      : [],
  );
  // Which roots each figure passes on; a counted or decided one passes none.
  const passes: number[][] = [];
  const own: number[][] = [];
  figures.forEach((figure, i) => {
    const spec = sums.get(figure.id);
    const reach = spec
      ? [...new Set(spec.from.flatMap((id) => passes[row(id)] ?? []))].sort((a, b) => a - b)
      : roots.flatMap((root, k) => (root.row === i ? [k] : []));
    own[i] = reach;
    passes[i] = spec?.whole || spec?.decide ? [] : reach;
  });
  const rows = figures.map((figure, i) => {
    const spec = sums.get(figure.id);
    const cells: (number | string | null)[] = new Array<null>(FIRST_ROOT + 2 * roots.length).fill(null);
    const reach = own[i] ?? [];
    const at = (column: number) => (id: string) => {
      const shifted = column >= FIRST_ROOT && (passes[row(id)] ?? []).includes((column - FIRST_ROOT) >> 1);
      return `${columnName(shifted ? column : 0)}${row(id) + 1}`;
    };
    const written = (column: number): string => {
      if (!spec) throw new Error('invariant: only sums are written');
      const formula = formulaOf(spec.sum, at(column));
      if (formula !== null) return formula;
      const k = spoken.push(spec) - 1;
      return `CORESUM(${k},${spec.from.map(at(column)).join(',')})`;
    };
    cells[0] = spec ? `=${rounded(spec, written(0))}` : figure.value;
    const me = `A${i + 1}`;
    if (!spec) {
      reach.forEach((k) => {
        cells[FIRST_ROOT + 2 * k] = `=${me}-${roots[k]?.spread ?? 0}`;
        cells[FIRST_ROOT + 2 * k + 1] = `=${me}+${roots[k]?.spread ?? 0}`;
      });
    } else {
      reach.forEach((k) => {
        for (const side of [0, 1]) {
          const column = FIRST_ROOT + 2 * k + side;
          cells[column] = `=${written(column)}`;
        }
      });
    }
    if (spec?.decide || reach.length === 0) {
      cells[1] = `=${me}`;
      cells[2] = `=${me}`;
      return cells;
    }
    const base = spec?.whole ? `(${written(0)})` : me;
    const span = (worst: 'MIN' | 'MAX') =>
      `SQRT(${reach
        .map((k) => {
          const [down, up] = [columnName(FIRST_ROOT + 2 * k), columnName(FIRST_ROOT + 2 * k + 1)];
          return `${worst}(${down}${i + 1}-${base},${up}${i + 1}-${base},0)^2`;
        })
        .join('+')})`;
    const ends = [`${base}-${span('MIN')}`, `${base}+${span('MAX')}`];
    ends.forEach((end, side) => {
      cells[1 + side] = `=${spec?.whole ? rounded(spec, end) : end}`;
    });
    return cells;
  });
  return { name, rows, figures, roots };
}

/** A workbook of several sheets, reckoned. */
export function workbookOf(sheets: readonly Sheet[]): HyperFormula {
  HyperFormula.registerFunctionPlugin(CorePlugin, { enGB: { CORESUM: 'CORESUM', CUBEROOT: 'CUBEROOT' } });
  const book = HyperFormula.buildFromSheets(
    Object.fromEntries(sheets.map(({ name, rows }) => [name, rows.map((row) => [...row])])),
    { licenseKey: 'gpl-v3', maxColumns: 20_000, precisionRounding: 14, smartRounding: false },
  );
  return book;
}

export interface Difference {
  readonly id: string;
  readonly column: 'value' | 'low' | 'high';
  readonly core: number;
  readonly book: unknown;
}

/** Figures on which workbook and core do not agree, within a millionth. */
export function differences(book: HyperFormula, sheet: Sheet): Difference[] {
  const id = book.getSheetId(sheet.name);
  if (id === undefined) throw new Error('invariant: the sheet is in the book');
  return sheet.figures.flatMap((figure, row) =>
    (['value', 'low', 'high'] as const).flatMap((column, col): Difference[] => {
      const cell = book.getCellValue({ sheet: id, row, col });
      const core = figure[column];
      const same = typeof cell === 'number' && Math.abs(cell - core) <= 1e-6 * Math.max(Math.abs(core), 1);
      return same ? [] : [{ id: figure.id, column, core, book: cell }];
    }),
  );
}

/** Ids of the sums that are told in words and reckoned by the core itself. */
export function spokenSums(plan: Summed): string[] {
  return plan
    .sums()
    .filter((spec) => formulaOf(spec.sum, () => 'A1') === null)
    .map(({ id }) => id);
}
