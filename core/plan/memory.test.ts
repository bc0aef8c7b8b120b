import fc from 'fast-check';
import { FAMILY_FILES } from '../../demo/families';
import type { Line, RunFile } from '../model/documents';
import { PlanMemory } from './memory';
import { planRun, planWhole } from './plan';
import type { PlannedLine, RunPlan } from './planned';

const EVENING = FAMILY_FILES.evening as RunFile;

/** Every figure of a plan with its range, and every fault, as one text. */
const told = ({ lines, components }: RunPlan): string =>
  JSON.stringify([
    lines.map((line) =>
      line.planned
        ? line.figures.map(({ id, value, low, high }) => [id, value, low, high])
        : [line.line.id, line.fault],
    ),
    components?.figures.map(({ id, value }) => [id, value]) ?? null,
  ]);

type Step = (file: RunFile) => RunFile;
const withLines = (file: RunFile, lines: readonly Line[]): RunFile => ({
  ...file,
  run: { ...file.run, lines: [...lines] },
});
const at = (file: RunFile, i: number) => i % Math.max(1, file.run.lines.length);

/** What people do to a run: counts, weigh-ins of a bowl, lines out and again, another time, another kitchen. */
const step: fc.Arbitrary<Step> = fc.oneof(
  fc.tuple(fc.nat(20), fc.integer({ min: 1, max: 90 })).map(
    ([i, count]): Step =>
      (file) =>
        withLines(
          file,
          file.run.lines.map((line, k) => (k === at(file, i) ? { ...line, count } : line)),
        ),
  ),
  fc.tuple(fc.nat(20), fc.integer({ min: 300, max: 3000 })).map(
    ([i, grams]): Step =>
      (file) =>
        withLines(
          file,
          file.run.lines.map((line, k) =>
            k === at(file, i) ? { ...line, measured: { 'batter.mixed': grams } } : line,
          ),
        ),
  ),
  fc.nat(20).map(
    (i): Step =>
      (file) =>
        file.run.lines.length > 1
          ? withLines(
              file,
              file.run.lines.filter((_, k) => k !== at(file, i)),
            )
          : file,
  ),
  fc.nat(20).map((i): Step => (file) => {
    const line = file.run.lines[at(file, i)];
    return line
      ? withLines(file, [...file.run.lines, { ...line, id: `${line.id}-${file.run.lines.length}` }])
      : file;
  }),
  fc.constant<Step>((file) => ({ ...file, run: { ...file.run, readyAt: '2026-11-29T11:00' } })),
  fc.constant<Step>((file) => ({ ...file, kitchen: { ...file.kitchen, altitudeM: 1200 } })),
  fc.constant<Step>((file) => ({ ...file, formulas: file.formulas.map((doc) => ({ ...doc })) })),
  // A formula is lost, and comes back.
  fc.nat(20).map((i): Step => (file) => ({ ...file, formulas: file.formulas.filter((_, k) => k !== i) })),
  fc.constant<Step>((file) => ({ ...file, formulas: EVENING.formulas })),
);

describe('a run planned with a memory', () => {
  it('is what planning it anew gives, whatever was changed before', () => {
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 8 }), (steps) => {
        const memory = new PlanMemory();
        let file = EVENING;
        planWhole(file, null, memory);
        for (const change of steps) {
          file = change(file);
          expect(told(planWhole(file, null, memory))).toBe(told(planWhole(file)));
        }
      }),
      { numRuns: 25 },
    );
  });

  it('hands back the lines that a change leaves alone, and those alone', () => {
    const memory = new PlanMemory();
    const before = planRun(EVENING, null, memory);
    const [first, ...others] = EVENING.run.lines;
    if (!first) throw new Error('the evening has lines');
    const after = planRun(
      withLines(EVENING, [{ ...first, count: first.count + 1 }, ...others]),
      null,
      memory,
    );
    expect(after[0]).not.toBe(before[0]);
    const shares = (plan: PlannedLine) => before.indexOf(plan) > 0 && after.includes(plan);
    // Only a line of the same batter may have had to be planned anew.
    expect(before.filter(shares).length).toBeGreaterThanOrEqual(others.length - 1);
  });

  it('draws a sampled plan anew every time', () => {
    const memory = new PlanMemory();
    const kept = planRun(EVENING, null, memory);
    const drawn = planRun(EVENING, { root: (_id, value) => value * 1.01, held: () => undefined }, memory);
    expect(drawn[0]).not.toBe(kept[0]);
    expect(planRun(EVENING, null, memory)[0]).toBe(kept[0]);
  });
});
