import { dayOfRun, workOf } from '.';
import type { AllergenKind } from '../../model/kinds';
import type { Line } from '../../model/documents';
import { CUBE, CUPCAKE, EVENING, MUG, POP, whole } from '../../plan/test-utils/lines';
import { promisedFirst } from './promised';

const nuts: AllergenKind[] = ['nuts', 'peanut'];
const free = { ...CUPCAKE, id: 'free', count: 12, freeFrom: nuts, frosting: null } as Line;
const nutty = {
  ...CUPCAKE,
  id: 'nutty',
  frosting: null,
  lots: [
    {
      id: 'top',
      name: 'With almonds',
      count: 24,
      colour: null,
      coat: null,
      toppings: [{ by: 'each', what: 'flaked almonds', eachG: 2 }],
    },
  ],
} as Line;
const { kitchen } = EVENING;
const dayOf = (lines: readonly Line[]) => {
  const day = dayOfRun(
    { whole: whole(lines), readyAt: EVENING.run.readyAt, kitchen },
    { tries: 12, days: 50 },
  );
  if (!day) throw new Error('a day comes together');
  return day;
};

describe('what is promised free of something', () => {
  it('is packed before hands touch what holds it, wherever it stands in the run', () => {
    for (const lines of [
      [free, nutty],
      [nutty, free],
    ]) {
      const day = dayOf(lines);
      const packed = day.chores.find(({ chore }) => chore.lineIds[0] === 'free' && chore.does === 'pack');
      const begun = day.chores
        .filter(({ chore }) => chore.kind === 'hands' && chore.lineIds.every((id) => id === 'nutty'))
        .map(({ startMin }) => startMin);
      // Minutes before it must be ready: what comes later has fewer.
      expect(Math.max(...begun)).toBeLessThanOrEqual((packed?.endMin ?? 0) + 0.02);
      expect(day.breaches).toEqual([]);
    }
  });

  it('shares no bowl with it, and says at each step what it has to itself', () => {
    const chores = workOf(whole([free, nutty]), kitchen);
    expect(chores.filter(({ lineIds }) => lineIds.length > 1)).toEqual([]);
    const details = (stem: string) =>
      chores.filter((one) => one.lineIds[0] === 'free' && one.does === stem).map(({ detail }) => detail);
    expect(details('mix')[0]).toMatch(/^Promised free of nuts and peanut\. Their own bowl/);
    expect(details('fill')[0]).toMatch(/own tin/);
    expect(details('pack')[0]).toMatch(/own box/);
  });

  it('does not wait where it holds what it is promised free of: the promise is what is wrong', () => {
    const broken = { ...nutty, freeFrom: nuts } as Line;
    const chores = workOf(whole([broken]), kitchen);
    for (const { id, after } of chores) for (const gap of after) expect(gap.chore).not.toBe(id);
    expect(dayOf([broken]).breaches).toEqual([]);
    const lots = { ...nutty, lots: (nutty.lots ?? []).map((lot) => ({ ...lot, freeFrom: nuts })) } as Line;
    expect(dayOf([lots, free]).breaches).toEqual([]);
  });

  it('goes first by the order of the run where each holds what the others are promised free of', () => {
    const noEgg = {
      ...MUG,
      id: 'mugs',
      freeFrom: ['egg'],
      lots: nutty.lots?.map((lot) => ({ ...lot, count: 2 })),
    };
    const noSoya = { ...POP, id: 'pops', freeFrom: ['soya'] };
    const day = dayOf([free, noEgg as Line, noSoya as Line, { ...CUBE, freeFrom: ['sesame'] }]);
    expect(day.breaches).toEqual([]);
  });

  it('is finished first where only some pieces of a line are promised, load by load', () => {
    const [lot] = nutty.lots ?? [];
    if (!lot) throw new Error('it has one');
    const some = {
      ...nutty,
      lots: [
        { ...lot, count: 10 },
        { ...lot, id: 'kids', name: 'For the children', count: 14, toppings: [], freeFrom: nuts },
      ],
    } as Line;
    const tops = workOf(whole([some]), kitchen).filter((one) => ['top', 'pack'].includes(one.does));
    const said = tops.flatMap(({ detail }) => /^First the (\d+) "For the children"/.exec(detail)?.[1] ?? []);
    expect(tops.length).toBeGreaterThan(1);
    const topped = tops.filter((one) => one.does === 'top');
    const first = topped.flatMap(({ detail }) => Number(/^First the (\d+)/.exec(detail)?.[1] ?? 0));
    expect(first.reduce((sum, one) => sum + one, 0)).toBe(14);
    expect(said.length).toBeGreaterThan(0);
  });

  it('never waits for a line that needs it itself, through whatever it is part of', () => {
    const lines = [free, nutty];
    const plans = whole(lines).lines.flatMap((line) => (line.planned ? [line] : []));
    const packed = plans.map((plan) => ({
      plan,
      lineId: plan.line.id,
      packId: `${plan.line.id}/pack`,
    }));
    const [sample] = workOf(whole(lines), kitchen).filter(({ kind }) => kind === 'hands');
    if (!sample) throw new Error('there is work');
    const chore = (id: string, lineIds: string[], ...after: string[]) => ({
      ...sample,
      id,
      lineIds,
      after: after.map((one) => ({ chore: one, leastS: 0, mostS: null })),
    });
    // A syrup that is told to be for the nutty line alone goes into what both are spread with.
    const chores = [
      chore('syrup', ['nutty']),
      chore('spread', ['free', 'nutty'], 'syrup'),
      chore('free/pack', ['free'], 'spread'),
      chore('nutty/mix', ['nutty']),
    ];
    const after = new Map(
      promisedFirst(chores, packed, () => false).map((one) => [one.id, one.after.map((gap) => gap.chore)]),
    );
    expect(after.get('syrup')).toEqual([]);
    expect(after.get('nutty/mix')).toEqual(['free/pack']);
  });
});
