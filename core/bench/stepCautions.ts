import type { Caution } from '../caution/cautions';
import { bladeOf } from '../caution/facts';
import { CUSTARD, SYRUP } from '../caution/words.table';
import type { ChoreDoes } from '../model/choreDoes';
import type { FillingChoice, FrostingChoice } from '../model/documents';
import type { LinePlan, RunPlan } from '../plan';
import type { Chore } from '../schedule/chores/chore';

/** At which steps a caution is told, by what is done: where the hand is that it is meant for. */
const TOLD_AT: Readonly<Record<string, readonly ChoreDoes[]>> = {
  raw: ['weigh-out', 'mix'],
  'raw-egg-served': ['pack'],
  'raw-flour-served': ['fill-in', 'bind', 'roll', 'frost', 'pack'],
  'herb-oil': ['fill-in', 'pack'],
  custard: ['fill-in', 'frost'],
  honey: ['pack'],
  'dry-ice': ['pack'],
  'not-in-oven': ['load', 'bake'],
  'hot-tin': ['load', 'bake'],
  'hot-mug': ['group', 'bake'],
  'cool-safely': ['fill-in', 'frost', 'roll', 'pack'],
  leftovers: ['crumble'],
  'water-chocolate': ['melt', 'warm', 'dip', 'coat-a', 'cover'],
  'food-moulds': ['wash-mould', 'coat-a'],
  syrup: ['frosting'],
  'not-food': ['frost', 'cover', 'top', 'dip'],
  flowers: ['frost', 'cover', 'top', 'dip'],
  allergens: ['pack'],
  alcohol: ['pack'],
  'holds-only': ['pack'],
  stick: ['pack'],
  choking: ['pack'],
  selling: ['pack'],
};
/** What is eaten raw is told where it is made. */
const RAW_SERVED: ReadonlySet<string> = new Set(['raw-egg-served', 'raw-flour-served']);
/** Sugar that is boiled for something without a formula of its own. */
const CARAMEL_AT: readonly ChoreDoes[] = ['fill-in', 'frost', 'cover', 'top', 'dip'];

/** Cautions of a line that belong to a step, in the order of the work. */
export function stepCautions(
  chore: Pick<Chore, 'does' | 'makes'>,
  plan: LinePlan,
  { components }: Pick<RunPlan, 'components'>,
): string[] {
  const { does, makes } = chore;
  const made = components?.batches.filter(({ lineIds }) => lineIds.includes(plan.line.id)) ?? [];
  const boils = made.filter(({ formula }) => SYRUP.test(formula.name) || SYRUP.test(formula.steps ?? ''));
  const here = made.find(({ id }) => id === makes);
  const { frosting, filling } = plan.line as {
    readonly frosting?: FrostingChoice | null;
    readonly filling?: FillingChoice | null;
  };
  const told = ({ id, words }: Caution): boolean => {
    if (id === 'blade')
      return does === 'cut' ? words.startsWith('Cut on') : does === 'fill-in' && bladeOf(filling) !== null;
    if (id === 'sugar-burns')
      return boils.length > 0 ? here !== undefined && boils.includes(here) : CARAMEL_AT.includes(does);
    if (here) {
      if (id === 'syrup') return makes === frosting?.formulaId;
      if (id === 'custard') return CUSTARD.test(here.formula.name);
      return RAW_SERVED.has(id) && words.includes(`"${here.formula.name}"`);
    }
    return TOLD_AT[id]?.includes(does) ?? false;
  };
  return plan.cautions.filter(told).map(({ words }) => words);
}
