import type { FormulaDoc, Line, RunDoc } from '../model/documents';
import { plainFormulaId, referencesOf } from '../model/references';
import { OutOfBounds, type Sampling } from '../figure';
import type { Readings } from '../formula';
import { planComponents } from './components';
import { runContext, Unplannable, type PlanFault, type PlanFile, type RunContext } from './context';
import type { BatterNeed } from './emitted';
import { planningOf } from './families';
import { faultWords } from './faults.words';
import type { LinePlan, Planning } from './linePlan';
import { sameNeeds, type PlanMemory } from './memory';
import { isApart } from './promise';
import type { PlannedLine, RunPlan, Unplanned } from './planned';

/**
 * Plans every line of a run, of whatever family. With a memory, lines planned before from the same things are handed
 * back as they were; sampled plans are never remembered.
 * @param sampling draws the roots anew, for checking ranges
 * @param readings formulas read before, where there is no memory that has them
 */
export function planRun(
  file: PlanFile,
  sampling: Sampling | null = null,
  memory: PlanMemory | null = null,
  readings: Readings | undefined = memory?.readings,
): PlannedLine[] {
  return planLines(runContext(file, readings), file, sampling, memory);
}

/** Plans a run with what its lines have in common. */
export function planWhole(
  file: PlanFile,
  sampling: Sampling | null = null,
  memory: PlanMemory | null = null,
  readings: Readings | undefined = memory?.readings,
): RunPlan {
  const context = runContext(file, readings);
  const lines = planLines(context, file, sampling, memory);
  const planned = lines.flatMap((line): LinePlan[] => (line.planned ? [line] : []));
  if (planned.length < lines.length) return { lines, components: null, fault: null };
  try {
    return { lines, components: planComponents(context, planned), fault: null };
  } catch (error) {
    return { lines, components: null, fault: unplannableOf(error).fault };
  }
}

function planLines(
  context: RunContext,
  file: PlanFile,
  sampling: Sampling | null,
  memory: PlanMemory | null,
): PlannedLine[] {
  const kept = sampling === null ? memory : null;
  kept?.open(file);
  const { lines } = file.run;
  const pools = new Map(lines.map((line) => [line.id, poolOf(context, line)]));
  const poolIn = (line: Line): Pool => (isApart(line) ? NO_POOL : (pools.get(line.id) ?? NO_POOL));
  const pins = sharedPins(lines, poolIn);
  const started = lines.map((line) => {
    const pin = pins.get(poolIn(line).formulaId);
    const known = kept?.recall(line, pin) ?? null;
    if (known) return { line, pin, known, begun: null, needs: known.needs };
    const begun = begin(context, withPin(line, poolIn(line), pin), sampling);
    return { line, pin, known, begun, needs: 'work' in begun ? begun.needs : [] };
  });
  const tried = (instead: Line): PlannedLine =>
    planLines(context, { ...file, run: withLine(file.run, instead) }, null, null).find(
      (one) => one.line.id === instead.id,
    ) ?? { planned: false, line: instead, ...unplannableOf(null) };
  return started.map(({ line, pin, known, begun, needs }) => {
    const others = new Map<string, number>();
    for (const other of started) {
      if (other.line === line || isApart(other.line) || isApart(line)) continue;
      for (const { formulaId, massG } of other.needs) {
        if (needs.some((need) => need.formulaId === formulaId))
          others.set(formulaId, (others.get(formulaId) ?? 0) + massG);
      }
    }
    if (known && sameNeeds(known.others, others)) return known.result;
    const one = begun ?? begin(context, withPin(line, poolIn(line), pin), sampling);
    const result = 'work' in one ? finish(one, others) : one;
    if (result.planned && sampling === null) result.triedBy(tried);
    kept?.keep(line, { pin, needs, others, result });
    return result;
  });
}

const withLine = (run: RunDoc, instead: Line): RunDoc => ({
  ...run,
  lines: run.lines.map((line) => (line.id === instead.id ? instead : line)),
});

interface Begun {
  readonly line: Line;
  readonly work: Planning;
  readonly needs: readonly BatterNeed[];
}

function begin(context: RunContext, line: Line, sampling: Sampling | null): Begun | Unplanned {
  return attempt(line, () => {
    // All that a line rests on is looked up first: what is told later cannot fail for want of it.
    for (const { kind, id } of referencesOf(line)) {
      if (kind === 'formula') context.madeOf(id);
      else context.thing(kind, id);
    }
    const work = planningOf(context, line, sampling);
    const first = work.next();
    if (first.done) throw new Error('invariant: a line says what batter it needs');
    return { line, work, needs: first.value };
  });
}

function finish(one: Begun, others: ReadonlyMap<string, number>): PlannedLine {
  return attempt(one.line, () => {
    const done = one.work.next({ others });
    if (!done.done) throw new Error('invariant: a line asks for batter once');
    return done.value;
  });
}

function attempt<T>(line: Line, work: () => T): T | Unplanned {
  try {
    return work();
  } catch (error) {
    return { planned: false, line, ...unplannableOf(error) };
  }
}

/** What cannot be planned is told; and so is a fault of this program, of that line alone: the others stand. */
function unplannableOf(error: unknown): { readonly formula: FormulaDoc | null; readonly fault: PlanFault } {
  if (error instanceof Unplannable) return { formula: error.formula, fault: error.fault };
  if (error instanceof OutOfBounds) {
    const { id, ...at } = error.at;
    const why = { code: 'measured out of bounds', ...at } as const;
    return { formula: null, fault: { field: 'measured', figureId: id, why, ...faultWords(why) } };
  }
  const why = { code: 'not reckoned' } as const;
  return { formula: null, fault: { field: 'line', why, ...faultWords(why) } };
}

/** The bowl that a line shares with others, and under which id its plan has it: what one line weighed holds for all. */
interface Pool {
  readonly formulaId: string;
  readonly figureId: 'batter.mixed' | 'base.mixed';
}
const NO_POOL: Pool = { formulaId: '', figureId: 'batter.mixed' };

function poolOf(context: RunContext, line: Line): Pool {
  const formulaId = plainFormulaId(line);
  if (formulaId === null) return NO_POOL;
  try {
    const split = context.splitOf(formulaId);
    return split
      ? { formulaId: split.base.doc.id, figureId: 'base.mixed' }
      : { formulaId, figureId: 'batter.mixed' };
  } catch {
    // A formula that is gone is told when its line is planned.
    return { formulaId, figureId: 'batter.mixed' };
  }
}

/** Weighed bowls by formula, g. */
function sharedPins(lines: readonly Line[], poolIn: (line: Line) => Pool): ReadonlyMap<string, number> {
  const pins = new Map<string, number>();
  if (lines.length < 2) return pins;
  for (const line of lines) {
    const { formulaId, figureId } = poolIn(line);
    const pin = line.measured[figureId];
    if (formulaId && pin !== undefined && !pins.has(formulaId)) pins.set(formulaId, pin);
  }
  return pins;
}

const withPin = (line: Line, { figureId }: Pool, pin: number | undefined): Line =>
  pin === undefined ? line : { ...line, measured: { ...line.measured, [figureId]: pin } };
