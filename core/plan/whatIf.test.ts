import { FAMILY_FILES } from '../../demo/families';
import { lineSchema } from '../model/lines';
import type { Line, RunFile } from '../model/documents';
import { edit } from '../line';
import { planRun, type LinePlan } from '.';
import { differencesOf, questionsOf } from './whatIf';

const EVENING = FAMILY_FILES.evening as RunFile;
const { run, kitchen } = EVENING;

function planned(line: Line): LinePlan | null {
  const lines = run.lines.map((one) => (one.id === line.id ? line : one));
  const plan = planRun({ ...EVENING, run: { ...run, lines } }).find((one) => one.line.id === line.id);
  return plan?.planned ? plan : null;
}

describe('what if', () => {
  it.each(run.lines.map((line) => [line.id, line] as const))(
    'of %s asks only what can be planned, and knows how it is made now',
    (_, line) => {
      const questions = questionsOf(line, kitchen);
      expect(questions.length).toBeGreaterThan(0);
      for (const { alternatives } of questions) {
        expect(alternatives.filter(({ now }) => now).length).toBeLessThanOrEqual(1);
        expect(new Set(alternatives.map(({ id }) => id)).size).toBe(alternatives.length);
        for (const alternative of alternatives) {
          expect(lineSchema.safeParse(edit(line, alternative.action)).success).toBe(true);
          expect(edit(line, alternative.action).count).toBe(line.count);
        }
      }
    },
  );

  it('says nothing changes where nothing does', () => {
    for (const line of run.lines) {
      const plan = planned(line);
      const now = questionsOf(line, kitchen)
        .flatMap(({ alternatives }) => alternatives)
        .filter((one) => one.now);
      for (const one of now) {
        const same = planned(edit(line, one.action));
        expect(plan && same ? differencesOf(plan, same) : null).toEqual([]);
      }
    }
  });

  const change = (lineId: string, question: string, alternative: string) => {
    const line = run.lines.find(({ id }) => id === lineId);
    if (!line) throw new Error('a line');
    const found = questionsOf(line, kitchen)
      .find(({ id }) => id === question)
      ?.alternatives.find(({ id }) => id === alternative);
    const before = planned(line);
    const after = found ? planned(edit(line, found.action)) : null;
    if (!before || !after) throw new Error('both can be planned');
    return new Map(
      differencesOf(before, after).map((one) => [one.before.id, one.after.value / one.before.value]),
    );
  };

  it('a fudge bind takes 0.35 ÷ 0.18 of the binder of a classic one, give or take what its dough needs', () => {
    const ratio = change('balls-leftover', 'bind-school', 'fudge').get('binder.need') ?? 0;
    expect(ratio).toBeGreaterThan(1.9);
  });

  it('a thicker coat weighs more, a narrower vessel leaves less in it', () => {
    expect(change('pops-fresh', 'thickness', 'thick').get('coat.each')).toBeGreaterThan(1.4);
    expect(change('pops-fresh', 'vessel', 'vessel-glass').get('pot.1.melt')).toBeLessThan(1);
  });

  it('a thinner shell leaves more room for filling', () => {
    const thin = change('sicles-plum', 'shell', '1.2');
    expect(thin.get('shell.taken')).toBeLessThan(1);
    expect(thin.get('portion.mass')).toBeGreaterThan(1);
  });

  it('half power takes longer', () => {
    expect(change('mugs-apple', 'power', '0.5').get('micro.time')).toBeGreaterThan(1.5);
  });
});
