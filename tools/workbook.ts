/**
 * Lays the sums of a planned run out in a spreadsheet engine: every figure a cell, every range a pair of columns for each
 * root that reaches it. So the explanations are checked for saying what is reckoned, and the core's speed has something
 * to be measured against. A development tool: the app does not hold it.
 */
import { FunctionArgumentType, FunctionPlugin, HyperFormula, type ImplementedFunctions } from 'hyperformula';
import type { Figure, LaidOut, More, Move } from '../core/figure';
import { writeFormula } from '../core/figure/write';

type Ast = Parameters<NonNullable<FunctionPlugin['runFunction']>>[0][number];
type State = Parameters<NonNullable<FunctionPlugin['runFunction']>>[1];

/** Sums that no arithmetic says, by number: the workbook calls the core for them. */
const spoken: ((...values: number[]) => number)[] = [];

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
      const called = spoken[k];
      if (!called) throw new Error('invariant: a spoken sum is known');
      return called(...v);
    });
  }

  cuberoot(ast: { args: Ast[] }, state: State) {
    return this.runFunction(ast.args, state, this.metadata('CUBEROOT'), (x: number) => Math.cbrt(x));
  }
}

/** Anything with figures and sums: a line, or what the lines share. */
export interface Summed {
  readonly figures: readonly Figure[];
  readonly sums: () => readonly LaidOut[];
  readonly movesOf: (id: string) => readonly Move[];
}

export interface Sheet {
  readonly name: string;
  readonly rows: readonly (readonly (number | string | null)[])[];
  readonly figures: readonly Figure[];
  /** Rows of the starting values, which a workbook may be asked to change. */
  readonly roots: readonly { readonly row: number }[];
}

function columnName(index: number): string {
  let name = '';
  for (let n = index; n >= 0; n = Math.floor(n / 26) - 1) name = String.fromCharCode(65 + (n % 26)) + name;
  return name;
}

/** Columns: value, low, high, then one down and one up for each root. */
const FIRST_ROOT = 3;

/** Wraps a formula in the rounding that the figure has. */
function rounded(spec: More, formula: string): string {
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
  const sums = new Map(plan.sums().map((sum) => [sum.id, sum]));
  const row = (id: string) => {
    const found = rowOf.get(id);
    if (found === undefined) throw new Error(`invariant: no row for "${id}"`);
    return found;
  };
  // A starting value moves by its own root; one brought from another ledger by all that it rested on there.
  const moved = figures.map(({ id }) => (sums.has(id) ? [] : plan.movesOf(id)));
  const keys = [...new Set(moved.flat().map(({ key }) => key))];
  const numberOf = new Map(keys.map((key, k) => [key, k]));
  // Which roots each figure passes on; a counted or decided one passes none.
  const passes: number[][] = [];
  const own: number[][] = [];
  figures.forEach((figure, i) => {
    const sum = sums.get(figure.id);
    const reach = sum
      ? sum.inputs.flatMap((id) => passes[row(id)] ?? [])
      : (moved[i] ?? []).map(({ key }) => numberOf.get(key) as number);
    own[i] = [...new Set(reach)].sort((a, b) => a - b);
    passes[i] = sum?.more.whole || sum?.more.decide ? [] : own[i];
  });
  const rows = figures.map((figure, i) => {
    const sum = sums.get(figure.id);
    const more = sum?.more;
    const cells: (number | string | null)[] = new Array<null>(FIRST_ROOT + 2 * keys.length).fill(null);
    const reach = own[i] ?? [];
    const at = (column: number) => (id: string) => {
      const shifted = column >= FIRST_ROOT && (passes[row(id)] ?? []).includes((column - FIRST_ROOT) >> 1);
      return `${columnName(shifted ? column : 0)}${row(id) + 1}`;
    };
    const written = (column: number): string => {
      if (!sum) throw new Error('invariant: only sums are written');
      return writeFormula(
        sum.sum,
        at(column),
        (values, f) => `CORESUM(${spoken.push(f) - 1}${values.map((value) => `,${value}`).join('')})`,
      );
    };
    cells[0] = more ? `=${rounded(more, written(0))}` : figure.value;
    const me = `A${i + 1}`;
    if (sum)
      for (const k of reach)
        for (const column of [FIRST_ROOT + 2 * k, FIRST_ROOT + 2 * k + 1])
          cells[column] = `=${written(column)}`;
    else
      for (const { key, down, up } of moved[i] ?? []) {
        const column = FIRST_ROOT + 2 * (numberOf.get(key) as number);
        cells[column] = `=${me}+${down}`;
        cells[column + 1] = `=${me}+${up}`;
      }
    if (more?.decide || reach.length === 0) {
      cells[1] = `=${me}`;
      cells[2] = `=${me}`;
      return cells;
    }
    const base = more?.whole ? `(${written(0)})` : me;
    const span = (worst: 'MIN' | 'MAX') =>
      `SQRT(${reach
        .map((k) => {
          const [down, up] = [columnName(FIRST_ROOT + 2 * k), columnName(FIRST_ROOT + 2 * k + 1)];
          return `${worst}(${down}${i + 1}-${base},${up}${i + 1}-${base},0)^2`;
        })
        .join('+')})`;
    const [low, high] = [`${base}-${span('MIN')}`, `${base}+${span('MAX')}`];
    // No range ends below nought, but of what may lie there itself.
    const ends = [more?.signed || figure.value < 0 || figure.unit === '°C' ? low : `MAX(${low},0)`, high];
    ends.forEach((end, side) => {
      cells[1 + side] = `=${more?.whole ? rounded(more, end) : end}`;
    });
    return cells;
  });
  const roots = figures.flatMap(({ id }, i) =>
    !sums.has(id) && (moved[i] ?? []).length > 0 ? [{ row: i }] : [],
  );
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
    .filter(({ sum }) => {
      let calls = false;
      writeFormula(
        sum,
        () => 'A1',
        () => {
          calls = true;
          return 'A1';
        },
      );
      return calls;
    })
    .map(({ id }) => id);
}
