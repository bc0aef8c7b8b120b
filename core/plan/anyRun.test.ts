import fc from 'fast-check';
import type { Figure, Unit } from '../figure';
import { edit, takeOffer } from '../line';
import { lineSchema, type Line } from '../model/documents';
import type { PlanFile } from './context';
import type { LinePlan } from './linePlan';
import { planWhole } from './plan';
import { someFile } from './test-utils/runs';
import { questionsOf } from './whatIf';

/** Any run that can be kept; `ANY_RUNS=10000` looks at as many, as `npm run torture` does. */
const RUNS = Number(process.env.ANY_RUNS ?? 120);
const sure = { numRuns: RUNS, endOnFailure: true };

const NEVER_BELOW_NOUGHT: ReadonlySet<Unit> = new Set([
  'g',
  'ml',
  'mm',
  's',
  'pieces',
  'cm²',
  'loads',
  'wholes',
]);

function soundFigure(plan: LinePlan, { id, unit, value, low, high }: Figure): void {
  const all = [value, low, high];
  if (!all.every(Number.isFinite)) throw new Error(`${id} is ${all.join(', ')}`);
  if (low > value + 1e-9 * Math.abs(value) || high < value - 1e-9 * Math.abs(value))
    throw new Error(`${id} lies outside of its range: ${all.join(', ')}`);
  if (plan.laidOut(id)?.more.signed !== true && NEVER_BELOW_NOUGHT.has(unit) && Math.min(value, low) < -1e-6)
    throw new Error(`${id} is below nought: ${all.join(', ')}`);
}

/** Everything that a plan tells, asked for: nothing of it may fail. */
function sound(plan: LinePlan): void {
  for (const figure of plan.figures) soundFigure(plan, figure);
  const told = [plan.tasks, plan.needs, plan.materials, plan.preparations, plan.cold, plan.remainder];
  const said = [plan.strata, plan.sections, plan.drawing, plan.cutSays, plan.warnings, plan.cautions];
  expect([...told, ...said, plan.keeping, plan.holds, plan.tests, plan.notes]).not.toContain(undefined);
}

const plannedIn = (file: PlanFile): LinePlan[] =>
  planWhole(file).lines.flatMap((line) => {
    if (!line.planned && line.fault.why.code === 'not reckoned')
      throw new Error('a line could not be reckoned');
    return line.planned ? [line] : [];
  });

const instead = (file: PlanFile, line: Line): PlanFile => ({
  ...file,
  run: { ...file.run, lines: file.run.lines.map((one) => (one.id === line.id ? line : one)) },
});

const value = (plan: LinePlan, id: string): number => (plan.has(id) ? plan.figure(id).value : 0);

/** What went into the bowl comes out of it: in wells, as steam, left over and left on the bowl. */
function balanced(plan: LinePlan): void {
  const { bowl, batterLeft } = plan.parts;
  if (!bowl || !batterLeft || plan.family === 'pop' || plan.family === 'cakesicle') return;
  const used = plan.has('batter.used') ? value(plan, 'batter.used') : value(plan, 'portions.total');
  const ready = value(plan, 'batter.ready');
  expect(used + batterLeft.value).toBeCloseTo(ready, 4);
  expect(ready).toBeLessThanOrEqual(bowl.own.value + 1e-6);
  expect(value(plan, 'cakes.total')).toBeLessThanOrEqual(used + 1e-6);
}

describe('any run that can be kept', () => {
  it('is planned or told why not; no figure is without end, out of its range or below nought; mass is kept', () => {
    fc.assert(
      fc.property(someFile, (file) => {
        for (const plan of plannedIn(file)) {
          sound(plan);
          balanced(plan);
        }
      }),
      sure,
    );
  });

  it('keeps all of that with anything measured that may be', () => {
    fc.assert(
      fc.property(someFile, fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })), (file, at) => {
        const next = () => at.next().value as number;
        for (const plan of plannedIn(file)) {
          const free = plan.figures.flatMap(({ id, replace }) => (replace ? [{ id, ...replace }] : []));
          const one = free[Math.floor(next() * free.length)];
          if (!one) continue;
          const measured = { [one.id]: one.min + next() ** 3 * (one.max - one.min) };
          for (const again of plannedIn(instead(file, { ...plan.line, measured }))) {
            sound(again);
            balanced(again);
          }
        }
      }),
      sure,
    );
  });

  it('is offered nothing that does not keep its promise, and no way that it cannot be', () => {
    fc.assert(
      fc.property(someFile, (file) => {
        for (const plan of plannedIn(file)) {
          for (const { change } of plan.remainder.offers) {
            if (change === null) continue;
            const then = edit(plan.line, takeOffer(plan.line, change));
            expect(lineSchema.safeParse(then).success).toBe(true);
            const made = plannedIn(instead(file, then)).find(({ line }) => line.id === then.id);
            expect(made?.parts.count.made.value).toBeGreaterThanOrEqual(change.count ?? plan.line.count);
          }
          for (const { alternatives } of questionsOf(plan.line, file.kitchen, plan))
            for (const { action } of alternatives)
              expect(lineSchema.safeParse(edit(plan.line, action)).success).toBe(true);
        }
      }),
      sure,
    );
  });
});
