import type { RunDoc } from '../core/exchange/documents';
import { DEMO_FORMULAS, DEMO_KITCHEN, demoRuns } from '../demo';
import { formulaKey, keyOf, type Docs } from './documents';
import { planOf } from './plans';

const at = (hour: number, minute = 0, day = 25) => new Date(2026, 10, day, hour, minute).getTime();
const run = demoRuns('2026-11-25T09:30')[0] as RunDoc;
const docs: Docs = Object.fromEntries([DEMO_KITCHEN, ...DEMO_FORMULAS, run].map((doc) => [keyOf(doc), doc]));

const made = (some: RunDoc, now: number, all: Docs = docs) => {
  const [line] = planOf(some, all, now);
  return line?.planned ? line.figure('count.made').value : null;
};

describe('plans derived from documents', () => {
  it('are made once for the same documents at the same minute, and anew when one of them changes', () => {
    const first = planOf(run, docs, at(9, 30));
    expect(planOf(run, docs, at(9, 30) + 20_000)).toBe(first);
    expect(planOf(run, { ...docs }, at(9, 30))).toBe(first);
    const kitchen = { ...DEMO_KITCHEN, scaleStepG: 5 };
    expect(planOf(run, { ...docs, kitchen }, at(9, 30))).not.toBe(first);
  });

  it('do not change for a formula that the run does not use', () => {
    const own = { ...run };
    const first = planOf(own, docs, at(9, 30));
    const other = DEMO_FORMULAS.find((formula) => formula.id === 'formula-beetroot-ginger');
    if (!other) throw new Error('the demo has two formulas');
    expect(planOf(own, { ...docs, [formulaKey(other.id)]: { ...other, name: 'Renamed' } }, at(9, 30))).toBe(
      first,
    );
  });

  it('let the clock limit a run on its day, until somebody has begun it', () => {
    const large: RunDoc = { ...run, lines: run.lines.map((line) => ({ ...line, count: 200 })) };
    expect(made({ ...large }, at(9, 30))).toBe(200);
    const onTheDay = made({ ...large }, at(13, 0, 28));
    expect(onTheDay).toBeLessThan(200);
    expect(onTheDay).toBeGreaterThan(0);
    const begun: RunDoc = { ...large, lines: large.lines.map((line) => ({ ...line, ticks: ['1'] })) };
    expect(made(begun, at(13, 0, 28))).toBe(200);
  });

  it('go on working after the hour has passed', () => {
    expect(made({ ...run }, at(12, 0, 30))).toBe(36);
  });

  it('say what is missing instead of breaking', () => {
    const gone: Docs = Object.fromEntries(
      Object.entries(docs).filter(([key]) => !key.startsWith('formula/')),
    );
    expect(planOf({ ...run }, gone, at(9, 30))[0]).toMatchObject({
      planned: false,
      fault: { field: 'formula' },
    });
  });
});
