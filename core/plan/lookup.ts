import type {
  FormulaDoc,
  KitchenDoc,
  Line,
  MicrowaveDoc,
  MouldDoc,
  MugDoc,
  OvenDoc,
  RunFile,
  SheetDoc,
  TinDoc,
  VesselDoc,
} from '../model/documents';
import { cycleFrom, kitchenHolds, type RefKind } from '../model/references';
import { readFormula, type ReadFormula } from '../formula';
import type { Fault } from '../quantity';
import { minutesOf } from '../model/localTime';

export type PlanFault = Fault & {
  /** What has to be changed: a thing that is gone, the lots, a weigh-in. */
  readonly field: RefKind | 'lots' | 'stated' | 'kitchen' | 'line';
  /** Id of the figure whose stated value cannot be, where it is that. */
  readonly figureId?: string;
};

/** A line that cannot be planned as it stands. Thrown while planning, caught by `planRun`, and told as a fault. */
export class Unplannable extends Error {
  constructor(
    readonly fault: PlanFault,
    readonly formula: FormulaDoc | null = null,
  ) {
    super(fault.fault);
  }
}

interface Kept {
  readonly read: ReadFormula;
  readonly own: KitchenDoc['ownMeasures'];
}
const readCache = new WeakMap<FormulaDoc, Kept>();

/** Reads a formula once for each document object and set of own measures: documents are replaced, never changed. */
export function readOnce(doc: FormulaDoc, own?: KitchenDoc['ownMeasures']): ReadFormula {
  const known = readCache.get(doc);
  if (known && known.own === own) return known.read;
  const read = readFormula(doc, own);
  readCache.set(doc, { read, own });
  return read;
}

interface Kinds {
  readonly tin: TinDoc;
  readonly oven: OvenDoc;
  readonly sheet: SheetDoc;
  readonly mould: MouldDoc;
  readonly mug: MugDoc;
  readonly microwave: MicrowaveDoc;
  readonly vessel: VesselDoc;
}

/** All that the lines of a run are planned from. */
export interface RunContext {
  readonly kitchen: KitchenDoc;
  readonly formulas: readonly FormulaDoc[];
  /** What was weighed of the bowls that lines share. */
  readonly stated: Readonly<Record<string, number>>;
  /** Local time for which minutes left are counted, and when the run must be ready; minutes since the epoch, local. */
  readonly asOfMin: number | null;
  readonly readyMin: number;
  readonly thing: <K extends keyof Kinds>(kind: K, id: string) => Kinds[K];
  /** A formula that can be read and scaled; throws `Unplannable` where it is gone, empty or made of itself. */
  readonly formula: (id: string) => { readonly doc: FormulaDoc; readonly read: ReadFormula };
}

export function runContext({
  run,
  formulas,
  kitchen,
  asOf,
}: Pick<RunFile, 'run' | 'formulas' | 'kitchen' | 'asOf'>): RunContext {
  const holds = kitchenHolds(kitchen);
  const checked = new Map<string, { doc: FormulaDoc; read: ReadFormula }>();
  return {
    kitchen,
    formulas,
    stated: run.stated ?? {},
    asOfMin: asOf ? minutesOf(asOf) : null,
    readyMin: minutesOf(run.readyAt),
    thing: <K extends keyof Kinds>(kind: K, id: string) => {
      const found = holds[kind].find((item) => item.id === id);
      if (!found) {
        throw new Unplannable({
          field: kind,
          fault: `The ${kind} of this run is gone from the kitchen.`,
          mend: `Choose another ${kind}.`,
        });
      }
      return found as unknown as Kinds[K];
    },
    formula: (id) => {
      const known = checked.get(id);
      if (known) return known;
      const doc = formulas.find((item) => item.id === id);
      if (!doc) {
        throw new Unplannable({
          field: 'formula',
          fault: 'Its formula is gone.',
          mend: 'Choose another formula.',
        });
      }
      const cycle = cycleFrom(doc, formulas);
      if (cycle) {
        throw new Unplannable(
          {
            field: 'formula',
            fault: `"${doc.name}" is made of itself: ${cycle.join(' → ')}.`,
            mend: 'Take one of these parts out.',
          },
          doc,
        );
      }
      const read = readOnce(doc, kitchen.ownMeasures);
      if (read.massG + partsMassG(doc) <= 0) {
        throw new Unplannable(
          {
            field: 'formula',
            fault: `"${doc.name}" has no line with an amount that can be read.`,
            mend: 'Open the formula and write its ingredients, one a line.',
          },
          doc,
        );
      }
      const found = { doc, read };
      checked.set(id, found);
      return found;
    },
  };
}

/** What one batch of a formula takes of other formulas, g. */
export function partsMassG(doc: FormulaDoc): number {
  return (doc.parts ?? []).reduce((sum, part) => sum + part.massG, 0);
}

/** What was measured in this run comes before what was measured of a tin or mould, and that before what always holds here. */
export function statedIn(line: Line, kitchen: KitchenDoc): Record<string, number> {
  return { ...kitchen.stated, ...waterTests(line, kitchen), ...line.stated };
}

/** What the line's tin or mould holds by the water test. */
function waterTests(line: Line, kitchen: KitchenDoc): Record<string, number> {
  if ('tinId' in line) {
    const wellMl = kitchen.tins.find(({ id }) => id === line.tinId)?.wellMl;
    return wellMl === undefined ? {} : { 'well.volume': wellMl };
  }
  if (line.family === 'cakesicle') {
    const cavityMl = kitchen.moulds?.find(({ id }) => id === line.mouldId)?.cavityMl;
    return cavityMl === undefined ? {} : { 'cavity.volume': cavityMl };
  }
  return {};
}
