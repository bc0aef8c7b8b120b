import fc from 'fast-check';
import { dayOfRun } from '.';
import { DEMO_FORMULAS, DEMO_KITCHEN, demoDay, demoRuns } from '../../../demo';
import { planWhole, type LinePlan, type RunPlan } from '../../plan';
import { someFile } from '../../plan/test-utils/runs';

/** Days of any run that can be kept; `ANY_DAYS=5000` looks at as many, as `npm run torture` does. */
const DAYS = Number(process.env.ANY_DAYS ?? 300);

describe('the day of any run that can be kept', () => {
  it('is found and holds by the checker, or says what stands in its way', () => {
    fc.assert(
      fc.property(someFile, (file) => {
        const whole = planWhole(file);
        const { readyAt } = file.run;
        const day = dayOfRun({ whole, readyAt, kitchen: file.kitchen }, { tries: 2, days: 10 });
        if (day === null) {
          expect(whole.lines.every((one) => !one.planned || one.parts.count.made.value <= 0)).toBe(true);
          return;
        }
        expect(day.breaches).toEqual([]);
        expect(day.chores.length > 0 || day.lacking.length > 0 || day.blockedBy !== null).toBe(true);
      }),
      { numRuns: DAYS, endOnFailure: true },
    );
  }, 3_600_000);

  it('is no search of minutes where it is more than a day’s work', () => {
    const [run] = demoRuns(demoDay('2026-11-25T08:00'));
    if (!run) throw new Error('the demo has a run');
    const lines = run.lines.slice(0, 1).map((line) => ({ ...line, count: 5000 }));
    const whole = planWhole({ run: { ...run, lines }, kitchen: DEMO_KITCHEN, formulas: DEMO_FORMULAS });
    const day = dayOfRun({ whole, readyAt: run.readyAt, kitchen: DEMO_KITCHEN }, { tries: 2, days: 10 });
    expect(day).toMatchObject({ chores: [], blockedBy: 'too much' });
  });

  it('is told to be too much where a tin of one well would go in a hundred thousand times', () => {
    const [run] = demoRuns(demoDay('2026-11-25T08:00'));
    const [line] = run?.lines ?? [];
    if (!run || !line) throw new Error('the demo has a run with a line');
    const whole = planWhole({
      run: { ...run, lines: [line] },
      kitchen: DEMO_KITCHEN,
      formulas: DEMO_FORMULAS,
    });
    const [plan] = whole.lines;
    if (!plan?.planned) throw new Error('the line can be planned');
    const sizes = Array.from({ length: 300_000 }, () => 1);
    const lines = [Object.assign(Object.create(plan) as LinePlan, { loads: { ...plan.loads, sizes } })];
    const many: RunPlan = { ...whole, lines };
    expect(dayOfRun({ whole: many, readyAt: run.readyAt, kitchen: DEMO_KITCHEN })?.blockedBy).toBe(
      'too much',
    );
  });
});
