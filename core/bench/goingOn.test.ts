import { EVENING, CUPCAKE, POP, whole } from '../plan/test-utils/lines';
import type { Line, RunDoc } from '../model/documents';
import { workOf } from '../schedule/chores';
import { amountsOf } from './amounts';
import { goodOf, isForThoseGoingOn, runGoingOn } from './goingOn';
import { benchStateOf } from './log';

const lines: Line[] = [
  {
    ...CUPCAKE,
    id: 'cakes',
    count: 24,
    frosting: { kind: 'buttercream', style: 'rosette', eachG: 30, formulaId: null },
  },
  { ...POP, id: 'pops', count: 12 },
];
const plan = whole(lines);
const made = (id: string): number | null => {
  const line = plan.lines.find((one) => one.line.id === id);
  return line?.planned ? line.parts.count.made.value : null;
};
const run: RunDoc = { ...EVENING.run, lines };
const lost = (lineId: string, pieces: number) =>
  benchStateOf([{ id: 'e', at: 1, what: 'lost', lineId, pieces }]);

describe('a run of which some are lost', () => {
  it('is the same run where none are', () => {
    expect(runGoingOn(run, benchStateOf([]), made)).toBe(run);
  });

  it('is finished, packed and labelled for the rest', () => {
    const going = runGoingOn(run, lost('cakes', 4), made);
    expect(going.lines.map(({ count }) => count)).toEqual([20, 12]);
    const after = whole(going.lines);
    const frosting = (of: typeof plan) => {
      const line = of.lines[0];
      if (!line?.planned) throw new Error('it can be planned');
      return line.figure('frosting.needed').value;
    };
    // A swirl each: four of twenty-four fewer. By hand: 20/24 of it, but for what stays on the bowl and the bag.
    expect(frosting(after) / frosting(plan)).toBeCloseTo(20 / 24, 1);
  });

  it('was baked for all of them', () => {
    const chores = workOf(plan, EVENING.kitchen);
    const labels = (some: typeof chores) => new Set(some.map(({ label }) => label));
    const ofBatter = chores.filter((one) => amountsOf(one, chores, plan).batches.length > 0);
    expect(ofBatter.some(isForThoseGoingOn)).toBe(false);
    expect(labels(chores.filter(isForThoseGoingOn)).size).toBeGreaterThan(2);
  });

  it('counts good ones as it was closed, or as it goes on', () => {
    expect(goodOf(run, lost('cakes', 4), 'cakes', 24)).toBe(20);
    const closed = benchStateOf([{ id: 'e', at: 1, what: 'line closed', lineId: 'cakes', made: 19 }]);
    expect(goodOf(run, closed, 'cakes', 24)).toBe(19);
    const alone = {
      lines: lines.slice(0, 1),
      closed: { at: 1, made: 22, finish: 'gentle', note: '' },
    } as const;
    expect(goodOf(alone as unknown as RunDoc, benchStateOf([]), 'cakes', 24)).toBe(22);
  });
});
