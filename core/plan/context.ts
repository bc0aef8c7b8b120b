import type {
  FormulaDoc,
  KitchenDoc,
  MicrowaveDoc,
  MouldDoc,
  MugDoc,
  OvenDoc,
  RunFile,
  SheetDoc,
  TinDoc,
  VesselDoc,
} from '../model/documents';
import { cycleFrom, kitchenHolds, plainFormulaId, type RefKind } from '../model/references';
import { minutesOf, type ClockChange } from '../model/localTime';
import { readFormula, type ReadFormula, type Readings } from '../formula';
import { splitOf, type Split } from '../formula/split';
import { Beliefs } from '../param';
import type { Fault } from '../quantity';
import { faultWords, type FaultCase } from './faults.words';
import { isApart } from './promise';

export type PlanFault = Fault & {
  readonly why: FaultCase;
  /** What has to be changed: a thing that is gone, the lots, a weigh-in. */
  readonly field: RefKind | 'lots' | 'measured' | 'kitchen' | 'filling' | 'line';
  /** Id of the figure whose measured value cannot be, where it is that. */
  readonly figureId?: string;
};

/** A line that cannot be planned as it stands. Thrown while planning, caught by `planRun`, and told as a fault. */
export class Unplannable extends Error {
  readonly fault: PlanFault;
  constructor(
    field: PlanFault['field'],
    why: FaultCase,
    readonly formula: FormulaDoc | null = null,
  ) {
    const words = faultWords(why);
    super(words.fault);
    this.fault = { field, why, ...words };
  }
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

/** A formula as its document has it and as it was read. */
export interface KnownFormula {
  readonly doc: FormulaDoc;
  readonly read: ReadFormula;
}

/** A formula of the run that grows out of another: its base, and what comes after. */
export interface ParentSplit extends Split {
  readonly base: KnownFormula;
}

/** All that the lines of a run are planned from. */
export interface RunContext {
  readonly kitchen: KitchenDoc;
  readonly beliefs: Beliefs;
  readonly formulas: readonly FormulaDoc[];
  /** What was weighed of the bowls that lines share. */
  readonly measured: Readonly<Record<string, number>>;
  /** Local time for which minutes left are counted, and when the run must be ready; minutes since the epoch, local. */
  readonly asOfMin: number | null;
  readonly readyMin: number;
  readonly changes: readonly ClockChange[] | undefined;
  readonly thing: <K extends keyof Kinds>(kind: K, id: string) => Kinds[K];
  /** A formula that can be read and scaled; throws `Unplannable` where it is gone, empty or made of itself. */
  readonly formula: (id: string) => KnownFormula;
  /** How a formula's bowl is the base of another in this run, and what goes in after it is parted; null where it is not. */
  readonly splitOf: (id: string) => ParentSplit | null;
  /** A formula and all that it is made of, by id. */
  readonly madeOf: (id: string) => ReadonlySet<string>;
}

export type PlanFile = Pick<RunFile, 'run' | 'formulas' | 'kitchen' | 'asOf'> & {
  /** When the clocks change around the run; left out where they do not. */
  readonly changes?: readonly ClockChange[];
};

export function runContext(
  { run, formulas, kitchen, asOf, changes }: PlanFile,
  readings?: Readings,
): RunContext {
  const holds = kitchenHolds(kitchen);
  const checked = new Map<string, KnownFormula>();
  const made = new Map<string, ReadonlySet<string>>();
  const context: RunContext = {
    kitchen,
    beliefs: new Beliefs(kitchen.beliefs),
    formulas,
    measured: run.measured ?? {},
    changes,
    asOfMin: asOf ? minutesOf(asOf, changes) : null,
    readyMin: minutesOf(run.readyAt, changes),
    thing: <K extends keyof Kinds>(kind: K, id: string): Kinds[K] => {
      const things: readonly { readonly id: string }[] = holds[kind];
      const found = things.find((item) => item.id === id);
      if (!found) throw new Unplannable(kind, { code: 'thing gone', kind });
      return found as Kinds[K];
    },
    formula: (id) => {
      const known = checked.get(id);
      if (known) return known;
      const doc = formulas.find((item) => item.id === id);
      if (!doc) throw new Unplannable('formula', { code: 'formula gone' });
      const ring = cycleFrom(doc, formulas);
      if (ring)
        throw new Unplannable('formula', { code: 'formula made of itself', name: doc.name, ring }, doc);
      const read = readFormula(doc, kitchen, readings);
      if (read.massG + partsMassG(doc) <= 0)
        throw new Unplannable('formula', { code: 'formula without amounts', name: doc.name }, doc);
      const found = { doc, read };
      checked.set(id, found);
      return found;
    },
    splitOf: (id) => {
      const base = baseIn(run, formulas, id);
      if (!base) return null;
      const known = context.formula(base);
      const split = splitOf(known, context.formula(id));
      return split ? { ...split, base: known } : null;
    },
    madeOf: (id) => {
      const known = made.get(id);
      if (known) return known;
      const reached = new Set([id]);
      for (const one of reached) {
        for (const part of context.formula(one).doc.parts ?? []) reached.add(part.formulaId);
      }
      made.set(id, reached);
      return reached;
    },
  };
  return context;
}

/** Formulas that lines of the run bake in bowls that others may share. */
const bakedIn = (run: Pick<RunFile['run'], 'lines'>): ReadonlySet<string | null> =>
  new Set(run.lines.flatMap((line) => ('formulaId' in line && !isApart(line) ? [plainFormulaId(line)] : [])));

/** The formula in the same run that leaves lines of this one out; null where there is none. */
function baseIn(
  run: Pick<RunFile['run'], 'lines'>,
  formulas: readonly FormulaDoc[],
  id: string,
): string | null {
  const here = bakedIn(run);
  return formulas.find((doc) => doc.apartFrom === id && doc.id !== id && here.has(doc.id))?.id ?? null;
}

/** Which formulas of a run have their base in it: what a memory of planned lines goes by. */
export const splitsIn = (run: Pick<RunFile['run'], 'lines'>, formulas: readonly FormulaDoc[]): string =>
  formulas
    .flatMap(({ id, apartFrom }) => (apartFrom && bakedIn(run).has(id) ? [`${apartFrom}<${id}`] : []))
    .join(' ');

/** What one batch of a formula takes of other formulas, g. */
export function partsMassG(doc: FormulaDoc): number {
  return (doc.parts ?? []).reduce((sum, part) => sum + part.massG, 0);
}
