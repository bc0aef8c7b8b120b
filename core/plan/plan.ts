import type { CupcakeLine, FormulaDoc, Line, RunFile } from '../exchange/documents';
import { referencesOf } from '../exchange/references';
import { OutOfBounds, type Sampling } from '../figure';
import { showText } from '../quantity';
import type { ChainPlan } from './chain';
import { planComponents, type ComponentsPlan } from './components';
import { planCakesicle, type CakesiclePlan } from './families/cakesicle';
import { planCubes, type CubePlan } from './families/cubes';
import { planMug, type MugPlan } from './families/mug';
import type { BatterNeed, Planning } from './families/planning';
import { planPop, type PopPlan } from './families/pop';
import { planWells, type CupcakePlan, type MiniWellsPlan } from './families/wells';
import { runContext, Unplannable, type PlanFault, type RunContext } from './lookup';

export type LinePlan = CupcakePlan | MiniWellsPlan | CubePlan | PopPlan | CakesiclePlan | MugPlan;

/** A line that cannot be planned, and what would mend it. */
export interface Unplanned {
  readonly line: Line;
  readonly formula: FormulaDoc | null;
  readonly fault: PlanFault;
}

export type PlannedLine = LinePlan | ({ readonly planned: false } & Unplanned);

type File = Pick<RunFile, 'run' | 'formulas' | 'kitchen' | 'asOf'>;

/** A run planned whole: its lines, and what is made once for all of them. */
export interface RunPlan {
  readonly lines: readonly PlannedLine[];
  /** Fillings, frostings, binders and parts of formulas; null where a line cannot be planned, or nothing is needed. */
  readonly components: ComponentsPlan | null;
  /** What keeps the components from being planned: a part of a formula that is gone or empty. */
  readonly fault: PlanFault | null;
}

/** Plans every line of a run. `sampling` draws the roots anew, for checking ranges. */
export function planRun(file: File, sampling: Sampling | null = null): PlannedLine[] {
  const context = runContext(file);
  const started = withSharedPins(file.run.lines).map((line) => begin(context, line, sampling));
  return started.map((one, i) => {
    if (!('work' in one)) return one;
    const others = new Map<string, number>();
    started.forEach((other, k) => {
      if (k === i || !('work' in other)) return;
      for (const { formulaId, massG } of other.needs) {
        if (one.needs.some((need) => need.formulaId === formulaId))
          others.set(formulaId, (others.get(formulaId) ?? 0) + massG);
      }
    });
    return attempt(one.line, () => {
      const done = one.work.next({ others });
      if (!done.done) throw new Error('invariant: a line asks for batter once');
      return done.value;
    });
  });
}

/** Plans a run with what its lines have in common. */
export function planWhole(file: File, sampling: Sampling | null = null): RunPlan {
  const lines = planRun(file, sampling);
  const planned = lines.flatMap((line): ChainPlan[] => (line.planned ? [line] : []));
  if (planned.length < lines.length) return { lines, components: null, fault: null };
  try {
    return { lines, components: planComponents(runContext(file), planned), fault: null };
  } catch (error) {
    if (error instanceof Unplannable) return { lines, components: null, fault: error.fault };
    if (error instanceof OutOfBounds) return { lines, components: null, fault: faultOf(error.at) };
    throw error;
  }
}

interface Begun {
  readonly line: Line;
  readonly work: Planning<LinePlan>;
  readonly needs: readonly BatterNeed[];
}

function begin(
  context: RunContext,
  line: Line,
  sampling: Sampling | null,
): Begun | ({ planned: false } & Unplanned) {
  return attempt(line, () => {
    // All that a line rests on is looked up first: what is told later cannot fail for want of it.
    for (const { kind, id } of referencesOf(line)) {
      if (kind === 'formula') checkFormulaTree(context, id);
      else context.thing(kind, id);
    }
    const work = planningOf(context, line, sampling);
    const first = work.next();
    if (first.done) throw new Error('invariant: a line says what batter it needs');
    return { line, work, needs: first.value };
  });
}

function checkFormulaTree(context: RunContext, id: string): void {
  for (const part of context.formula(id).doc.parts ?? []) checkFormulaTree(context, part.formulaId);
}

function planningOf(context: RunContext, line: Line, sampling: Sampling | null): Planning<LinePlan> {
  switch (line.family) {
    case 'cupcake':
      return planWells(context, line, sampling);
    case 'mini':
      return line.style === 'cubes' ? planCubes(context, line, sampling) : planWells(context, line, sampling);
    case 'pop':
      return planPop(context, line, sampling);
    case 'cakesicle':
      return planCakesicle(context, line, sampling);
    case 'mug':
      return planMug(context, line, sampling);
  }
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

function faultOf({ id, label, unit, value, min, max }: OutOfBounds['at']): PlanFault {
  const low = value < min;
  return {
    field: 'stated',
    figureId: id,
    fault: `"${label}" is stated as ${showText(value, unit)}; it cannot be ${low ? 'less' : 'more'} than ${showText(low ? min : max, unit)}.`,
    mend: 'Weigh or measure it again, or take the value back.',
  };
}

/** A bowl that lines share is weighed once: what one line states for it holds for the others. */
function withSharedPins(lines: readonly Line[]): readonly Line[] {
  const pins = new Map<string, number>();
  for (const line of lines) {
    const pin = line.stated['batter.mixed'];
    const formulaId = plainFormulaId(line);
    if (formulaId && pin !== undefined && !pins.has(formulaId)) pins.set(formulaId, pin);
  }
  if (pins.size === 0 || lines.length < 2) return lines;
  return lines.map((line) => {
    const pin = pins.get(plainFormulaId(line) ?? '');
    return pin === undefined ? line : { ...line, stated: { ...line.stated, 'batter.mixed': pin } };
  });
}

/** The formula whose bowl bears the id `batter.mixed` in a line's plan. */
export function plainFormulaId(line: Line): string | null {
  if (line.family === 'pop' || line.family === 'cakesicle') {
    for (const part of line.crumb)
      if (part.from === 'bake' || part.from === 'microwave') return part.formulaId;
    return null;
  }
  return line.formulaId;
}

/** Whether a plan is one of cupcakes. */
export function isCupcakePlan(plan: LinePlan): plan is CupcakePlan {
  return plan.family === 'cupcake';
}

export type { CupcakeLine };
