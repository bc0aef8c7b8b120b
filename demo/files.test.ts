import { readFileSync } from 'node:fs';
import { formulaSchema, kitchenSchema, runSchema } from '../core/model/documents';
import { readRunFile } from '../core/exchange/read';
import { readFormula } from '../core/formula';
import { planRun } from '../core/plan';
import { demoFiles } from '../tools/demo-files';
import { FAMILY_FILES } from './families';
import { FAMILY_FORMULAS } from './familyFormulas';
import { DEMO_FORMULAS, DEMO_KITCHEN, EMPTY_KITCHEN, demoRuns, nextSaturdayAtFour } from '.';

describe('the demo', () => {
  it('fits its own schemas', () => {
    for (const formula of DEMO_FORMULAS) expect(formulaSchema.safeParse(formula).success).toBe(true);
    for (const kitchen of [DEMO_KITCHEN, EMPTY_KITCHEN])
      expect(kitchenSchema.safeParse(kitchen).success).toBe(true);
    for (const run of demoRuns('2026-11-25T10:00')) expect(runSchema.safeParse(run).success).toBe(true);
  });

  it('has formulas in which every line is read and nothing is out of proportion', () => {
    for (const formula of DEMO_FORMULAS) {
      const read = readFormula(formula, null);
      expect(read.lines.filter((line) => line.status !== 'read').map((line) => line.raw)).toEqual([]);
      expect(read.checks).toEqual([]);
      expect(read.lines.flatMap((line) => line.notices)).toEqual([]);
    }
  });

  it('plans for the Saturday to come, never for today', () => {
    expect(nextSaturdayAtFour('2026-11-25T10:00')).toBe('2026-11-28T16:00');
    expect(nextSaturdayAtFour('2026-11-28T09:00')).toBe('2026-12-05T16:00');
  });

  it('plans every run of its own without a fault', () => {
    for (const run of demoRuns('2026-11-25T10:00')) {
      const [line] = planRun({
        run,
        formulas: [...DEMO_FORMULAS],
        kitchen: DEMO_KITCHEN,
        asOf: '2026-11-25T10:00',
      });
      expect(line?.planned).toBe(true);
    }
  });

  it('has formulas of the other families in which every line is read and nothing is out of proportion', () => {
    for (const formula of FAMILY_FORMULAS) {
      const read = readFormula(formula, null);
      expect([formula.id, read.lines.filter((line) => line.status !== 'read').map(({ raw }) => raw)]).toEqual(
        [formula.id, []],
      );
      expect([formula.id, read.checks]).toEqual([formula.id, []]);
    }
  });

  it('ships a run file of every family, in step with the code', () => {
    for (const [path, text] of Object.entries(demoFiles())) {
      expect(readFileSync(path, 'utf8')).toBe(text);
      const file = readRunFile(JSON.parse(text));
      expect(file.ok ? [] : file.faults).toEqual([]);
    }
    const families = FAMILY_FILES.evening?.run.lines.map(({ family }) => family);
    expect(new Set(families)).toEqual(new Set(['cupcake', 'pop', 'cakesicle', 'mug', 'mini']));
    expect(families).toHaveLength(12);
  });

  it('ships a run file that the headless command reads', () => {
    const file = readRunFile(JSON.parse(readFileSync('demo/cupcakes.run.json', 'utf8')));
    expect(file.ok).toBe(true);
  });
});
