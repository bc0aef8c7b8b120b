import type { FormulaDoc, Line, RunFile } from '../model/documents';
import { plainFormulaId, referencesOf } from '../model/references';
import { OutOfBounds, type Sampling } from '../figure';
import { showText } from '../quantity';
import type { ChainPlan } from './chain';
import type { BatterNeed, Planning } from './families/planning';
import { sameNeeds, type PlanMemory } from './memory';
import { runContext, Unplannable, type PlanFault, type RunContext } from './lookup';

/** A line that cannot be planned, and what would mend it. */
export interface Unplanned {
  readonly line: Line;
  readonly formula: FormulaDoc | null;
  readonly fault: PlanFault;
}

/** A planned line, or one that cannot be. */
export type Attempted<P extends ChainPlan> = P | ({ readonly planned: false } & Unplanned);

export type PlanFile = Pick<RunFile, 'run' | 'formulas' | 'kitchen' | 'asOf'>;

/** How a line is planned; throws `Unplannable` for a line that it does not plan. */
export type Planner<P extends ChainPlan> = (
  context: RunContext,
  line: Line,
  sampling: Sampling | null,
) => Planning<P>;

/**
 * Plans every line of a run. `sampling` draws the roots anew, for checking ranges. With a memory, lines planned before
 * from the same things are handed back as they were; sampled plans are never remembered.
 */
export function planRunWith<P extends ChainPlan>(
  planner: Planner<P>,
  file: PlanFile,
  sampling: Sampling | null,
  memory: PlanMemory<Attempted<P>> | null = null,
): Attempted<P>[] {
  const kept = sampling === null ? memory : null;
  kept?.open(file);
  const context = runContext(file);
  const { lines } = file.run;
  const pins = sharedPins(lines);
  const started = lines.map((line) => {
    const pin = pins.get(plainFormulaId(line) ?? '');
    const known = kept?.recall(line, pin) ?? null;
    if (known) return { line, pin, known, begun: null, needs: known.needs };
    const begun = begin(planner, context, pinned(line, pin), sampling);
    return { line, pin, known, begun, needs: 'work' in begun ? begun.needs : [] };
  });
  return started.map(({ line, pin, known, begun, needs }) => {
    const others = new Map<string, number>();
    for (const other of started) {
      if (other.line === line) continue;
      for (const { formulaId, massG } of other.needs) {
        if (needs.some((need) => need.formulaId === formulaId))
          others.set(formulaId, (others.get(formulaId) ?? 0) + massG);
      }
    }
    if (known && sameNeeds(known.others, others)) return known.result;
    const one = begun ?? begin(planner, context, pinned(line, pin), sampling);
    const result = 'work' in one ? finish(one, others) : one;
    kept?.keep(line, { pin, needs, others, result });
    return result;
  });
}

function finish<P extends ChainPlan>(one: Begun<P>, others: ReadonlyMap<string, number>): Attempted<P> {
  return attempt(one.line, () => {
    const done = one.work.next({ others });
    if (!done.done) throw new Error('invariant: a line asks for batter once');
    return done.value;
  });
}

interface Begun<P> {
  readonly line: Line;
  readonly work: Planning<P>;
  readonly needs: readonly BatterNeed[];
}

function begin<P extends ChainPlan>(
  planner: Planner<P>,
  context: RunContext,
  line: Line,
  sampling: Sampling | null,
): Begun<P> | ({ planned: false } & Unplanned) {
  return attempt(line, () => {
    // All that a line rests on is looked up first: what is told later cannot fail for want of it.
    for (const { kind, id } of referencesOf(line)) {
      if (kind === 'formula') checkFormulaTree(context, id);
      else context.thing(kind, id);
    }
    const work = planner(context, line, sampling);
    const first = work.next();
    if (first.done) throw new Error('invariant: a line says what batter it needs');
    return { line, work, needs: first.value };
  });
}

function checkFormulaTree(context: RunContext, id: string): void {
  for (const part of context.formula(id).doc.parts ?? []) checkFormulaTree(context, part.formulaId);
}

/** What cannot be planned is told; anything else that goes wrong is a fault of this program and stays one. */
function attempt<T>(line: Line, work: () => T): T | ({ planned: false } & Unplanned) {
  try {
    return work();
  } catch (error) {
    if (error instanceof Unplannable)
      return { planned: false, line, formula: error.formula, fault: error.fault };
    if (error instanceof OutOfBounds)
      return { planned: false, line, formula: null, fault: faultOf(error.at) };
    throw error;
  }
}

export function faultOf({ id, label, unit, value, min, max }: OutOfBounds['at']): PlanFault {
  const low = value < min;
  return {
    field: 'stated',
    figureId: id,
    fault: `"${label}" is stated as ${showText(value, unit)}; it cannot be ${low ? 'less' : 'more'} than ${showText(low ? min : max, unit)}.`,
    mend: 'Weigh or measure it again, or take the value back.',
  };
}

/** A bowl that lines share is weighed once: what one line states for it holds for the others. By formula, g. */
function sharedPins(lines: readonly Line[]): ReadonlyMap<string, number> {
  const pins = new Map<string, number>();
  if (lines.length < 2) return pins;
  for (const line of lines) {
    const pin = line.stated['batter.mixed'];
    const formulaId = plainFormulaId(line);
    if (formulaId && pin !== undefined && !pins.has(formulaId)) pins.set(formulaId, pin);
  }
  return pins;
}

const pinned = (line: Line, pin: number | undefined): Line =>
  pin === undefined ? line : { ...line, stated: { ...line.stated, 'batter.mixed': pin } };
