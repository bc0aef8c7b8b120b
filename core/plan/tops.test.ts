import { DEMO_FORMULAS, DEMO_KITCHEN, demoRuns } from '../../demo';
import { choose, edit } from '../line';
import { TOP_STYLES } from '../process/frost.table';
import { planRun } from './plan';
import { topsOf } from './tops';

it('tells of each style what the line shows once it is chosen: as wide a top, as heavy a frosting', () => {
  const file = { kitchen: DEMO_KITCHEN, formulas: [...DEMO_FORMULAS] };
  const frosted = demoRuns('2026-11-25T09:30').flatMap((run) =>
    run.lines.flatMap((line) =>
      line.family === 'cupcake' && line.frosting ? [{ run, line, frosting: line.frosting }] : [],
    ),
  );
  expect(frosted.length).toBeGreaterThan(0);
  for (const { run, line, frosting } of frosted) {
    const tops = topsOf({ run, ...file }, line, frosting);
    expect([...tops.keys()]).toEqual(Object.keys(TOP_STYLES));
    for (const [style, each] of tops) {
      const chosen = edit(line, choose({ frosting: { ...frosting, style } }));
      const lines = run.lines.map((one) => (one.id === line.id ? chosen : one));
      const plan = planRun({ run: { ...run, lines }, ...file }).find((one) => one.line.id === line.id);
      if (!plan?.planned) throw new Error('not planned');
      expect(plan.figure('frosting.each').value).toBeCloseTo(each, 9);
    }
  }
});
