import { FAMILY_FILES } from '../../demo/families';
import type { CupcakeLine, RunFile } from '../model/documents';
import { planWhole, type LinePlan } from '../plan';
import { workOf } from '../schedule/chores';
import { stepCautions } from './stepCautions';

const planned = (file: RunFile) => {
  const whole = planWhole(file);
  const plans = whole.lines.flatMap((line): LinePlan[] => (line.planned ? [line] : []));
  return { whole, plans, chores: workOf(whole, file.kitchen) };
};
const EVENING = FAMILY_FILES.evening as RunFile;
/** The frosted cupcakes of the evening, by another frosting or filling. */
const cupcakes = (over: Partial<CupcakeLine> = {}, steps?: Readonly<Record<string, string>>) => {
  const file: RunFile = {
    ...EVENING,
    formulas: EVENING.formulas.map((one) => ({ ...one, steps: steps?.[one.id] ?? one.steps })),
    run: {
      ...EVENING.run,
      lines: EVENING.run.lines
        .filter(({ id }) => id === 'cupcakes-frosted')
        .map((line) => ({ ...(line as CupcakeLine), lots: [], ...over })),
    },
  };
  const { whole, plans, chores } = planned(file);
  const [plan] = plans;
  if (!plan) throw new Error('the cupcakes can be planned');
  return (what: string) => {
    const chore = chores.find(({ id, does }) => id === what || does === what);
    if (!chore) throw new Error(`no step "${what}"`);
    return stepCautions(chore, plan, whole).join(' ');
  };
};

describe('cautions at the bench', () => {
  it.each(Object.entries(FAMILY_FILES))('are each told at some step: %s', (_, file) => {
    const { whole, plans, chores } = planned(file);
    const untold = plans.flatMap((plan) => {
      const told = new Set(
        chores
          .filter(({ lineIds }) => lineIds.includes(plan.line.id))
          .flatMap((chore) => stepCautions(chore, plan, whole)),
      );
      return plan.cautions.filter(({ words }) => !told.has(words)).map(({ id }) => `${plan.line.id}: ${id}`);
    });
    expect(untold).toEqual([]);
  });

  it('keep the corer to coring and raw batter to the batter', () => {
    const at = cupcakes();
    expect(at('fill-in')).toMatch(/Cut cores/);
    expect(at('frost')).not.toMatch(/Cut cores/);
    expect(at('mix')).toMatch(/Do not taste the batter/);
    expect(at('made:formula-quince-butter/make')).toBe('');
  });

  it('tell of boiling sugar where it boils', () => {
    const caramel = cupcakes({}, { 'formula-quince-butter': 'Boil the sugar to 120 °C. Stir in the fruit.' });
    expect(caramel('made:formula-quince-butter/make')).toMatch(/Boiling sugar/);
    expect(caramel('made:formula-malt-buttercream/make')).not.toMatch(/Boiling sugar/);
    expect(caramel('fill-in')).not.toMatch(/Boiling sugar/);
    const meringue = cupcakes({
      frosting: {
        kind: 'cooked meringue',
        style: 'swirl',
        formulaId: 'formula-malt-buttercream',
        onHandG: null,
      },
    });
    expect(meringue('made:formula-malt-buttercream/make')).toMatch(/Syrup at/);
    expect(meringue('made:formula-quince-butter/make')).not.toMatch(/Syrup at/);
    const plain = cupcakes({
      frosting: { kind: 'cooked meringue', style: 'swirl', formulaId: null, onHandG: null },
    });
    expect(plain('frosting')).toMatch(/Syrup at/);
  });
});
