import { DEMO_FORMULAS } from '../../../demo';
import { CAKESICLES, CUBES, FAMILY_FILES, MINIS, MUGS, POPS } from '../../../demo/families';
import { FAMILY_FORMULAS } from '../../../demo/familyFormulas';
import { DEMO_KITCHEN } from '../../../demo/kitchen';
import {
  newCupcakeLine,
  type CubeLine,
  type CupcakeLine,
  type FormulaDoc,
  type KitchenDoc,
  type Line,
  type MiniWellsLine,
  type MugLine,
  type PopLine,
  type RunFile,
} from '../../model/documents';
import { planWhole, type LinePlan, type RunPlan } from '..';

const first = <T>(list: readonly T[]): T => {
  const [found] = list;
  if (!found) throw new Error('the demo has it');
  return found;
};

export const POP: PopLine = first(POPS);
export const BALLS: PopLine = POPS[1] ?? POP;
export const SICLE = first(CAKESICLES);
export const MUG: MugLine = first(MUGS);
export const MINI: MiniWellsLine = first(MINIS);
export const CUBE: CubeLine = first(CUBES);
export const CUPCAKE: CupcakeLine = newCupcakeLine({
  id: 'cupcakes',
  formulaId: 'formula-honey-thyme',
  count: 24,
  tinId: 'tin-standard',
  ovenId: 'oven-main',
});
export const EVENING = FAMILY_FILES.evening as RunFile;

interface With {
  readonly kitchen?: Partial<KitchenDoc>;
  readonly formulas?: readonly FormulaDoc[];
  readonly asOf?: string;
}

/** Plans some lines in the demo's kitchen, changed as a test needs it. */
export function whole(lines: readonly Line[], { kitchen, formulas, asOf }: With = {}): RunPlan {
  return planWhole({
    run: { ...EVENING.run, lines: [...lines] },
    formulas: [...(formulas ?? []), ...DEMO_FORMULAS, ...FAMILY_FORMULAS],
    kitchen: { ...DEMO_KITCHEN, ...kitchen },
    asOf,
  });
}

/** The plan of one line; throws what keeps it from being planned. */
export function plan(line: Line, having: With = {}): LinePlan {
  const [planned] = whole([line], having).lines;
  if (!planned?.planned) throw new Error(planned?.fault.fault ?? 'no line');
  return planned;
}

/** What keeps a line from being planned; null where nothing does. */
export function faultOf(line: Line, having: With = {}) {
  const [planned] = whole([line], having).lines;
  return planned?.planned === false ? planned.fault : null;
}

export const v = (one: LinePlan, id: string): number => one.figure(id).value;
export const has = (one: LinePlan, id: string): boolean => one.figures.some((figure) => figure.id === id);
