import fc from 'fast-check';
import { dayOfRun } from '.';
import { planWhole } from '../../plan';
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
  }, 600_000);
});
