import type { RunDoc } from '../core/model/documents';
import { DEMO_FORMULAS, DEMO_KITCHEN, demoRuns } from '../demo';
import { FAMILY_FILES } from '../demo/families';
import { formulaKey, keyOf, type Docs } from './documents';
import { holderOf, loadPlanner, planOf } from './plans';
import { SHARED } from './store';
import * as planning from '../workers/planning';

beforeAll(() => loadPlanner(() => Promise.resolve(planning)));

const at = (hour: number, minute = 0, day = 25) => new Date(2026, 10, day, hour, minute).getTime();
const run = demoRuns('2026-11-25T09:30')[0] as RunDoc;
const docs: Docs = Object.fromEntries([DEMO_KITCHEN, ...DEMO_FORMULAS, run].map((doc) => [keyOf(doc), doc]));

const made = (some: RunDoc, now: number, all: Docs = docs) => {
  const line = planOf(some, all, now)?.lines[0];
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
    expect(planOf({ ...run }, gone, at(9, 30))?.lines[0]).toMatchObject({
      planned: false,
      fault: { field: 'formula' },
    });
  });

  it('bring along the formulas that a formula is made of, and plan anew when one of those changes', () => {
    const [honey] = DEMO_FORMULAS;
    if (!honey) throw new Error('the demo has formulas');
    const syrup = { ...honey, id: 'formula-syrup', name: 'Syrup', text: '100 g honey\n50 g water' };
    const whole = { ...honey, parts: [{ formulaId: syrup.id, massG: 60 }] };
    const all = { ...docs, [formulaKey(whole.id)]: whole, [formulaKey(syrup.id)]: syrup };
    const own = { ...run };
    const first = planOf(own, all, at(9, 30));
    const line = first?.lines[0];
    expect(line?.planned ? line.figure('part.1').value : null).toBeCloseTo(
      60 * (line?.planned ? line.figure('scale.used').value : 0),
      6,
    );
    expect(
      planOf(own, { ...all, [formulaKey(syrup.id)]: { ...syrup, name: 'Thicker' } }, at(9, 30)),
    ).not.toBe(first);
    const { [formulaKey(syrup.id)]: _gone, ...without } = all;
    expect(planOf({ ...run }, without, at(9, 30))?.lines[0]).toMatchObject({
      planned: false,
      fault: { field: 'formula' },
    });
  });

  it('plan lines of all families, say what one of them lacks, and keep the others', () => {
    const pops = FAMILY_FILES.pops;
    if (!pops) throw new Error('the demo has pops');
    const other: RunDoc = { ...run, lines: [...run.lines, ...pops.run.lines] };
    const lacking = planOf(other, { ...docs, kitchen: { ...DEMO_KITCHEN, sheets: [] } }, at(9, 30));
    expect(lacking?.lines.map((line) => line.planned)).toEqual([true, false, true, true]);
    const whole = planOf({ ...other }, docs, at(9, 30));
    expect(whole?.lines.every((line) => line.planned)).toBe(true);
  });

  it('hold the figures of lines and of what they share', () => {
    const evening = FAMILY_FILES.evening;
    if (!evening) throw new Error('the demo has an evening');
    const whole = planOf(evening.run, docs, at(9, 30));
    if (!whole) throw new Error('planned');
    expect(holderOf(whole, SHARED)?.has('formula-malt-buttercream/mixed')).toBe(true);
    expect(holderOf(whole, 'pops-fresh')?.has('dough.total')).toBe(true);
    expect(holderOf(whole, 'nowhere')).toBeNull();
  });
});
