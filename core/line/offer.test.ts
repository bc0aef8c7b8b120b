import fc from 'fast-check';
import { FAMILY_FILES } from '../../demo/families';
import { lineSchema } from '../model/lines';
import type { Line, Lot, RunFile } from '../model/documents';
import { edit, shareLots, takeOffer, type OfferChange } from '.';
import { planRun } from '../plan';

const EVENING = FAMILY_FILES.evening as RunFile;
const lineOf = (id: string): Line => {
  const found = EVENING.run.lines.find((line) => line.id === id);
  if (!found) throw new Error(`no line ${id}`);
  return found;
};
const lot = (name: string, count: number): Lot => ({
  id: `lot-${name}`,
  name,
  count,
  colour: null,
  coat: null,
  toppings: [],
});

describe('lots of a line', () => {
  it('give way from the last when the count falls below what they promise', () => {
    const line: Line = { ...lineOf('pops-fresh'), lots: [lot('a', 10), lot('b', 6), lot('c', 4)] };
    const shared = shareLots({ ...line, count: 13 });
    expect(shared.lots?.map(({ name, count }) => [name, count])).toEqual([
      ['a', 10],
      ['b', 3],
    ]);
    expect(shareLots({ ...line, count: 10 }).lots).toHaveLength(1);
  });

  it('stay the very same where they fit', () => {
    const line: Line = { ...lineOf('pops-fresh'), count: 40 };
    expect(shareLots(line)).toBe(line);
    const none: Line = { ...lineOf('cupcakes-plain') };
    expect(shareLots(none)).toBe(none);
  });

  it('never come to more than the count, whatever they were', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.array(fc.integer({ min: 1, max: 30 }), { maxLength: 6 }),
        (count, counts) => {
          const lots = counts.map((n, i) => lot(String(i), n));
          const shared = shareLots({ ...lineOf('pops-fresh'), count, lots });
          const sum = (shared.lots ?? []).reduce((all, one) => all + one.count, 0);
          return sum <= count && (shared.lots ?? []).every((one) => one.count > 0);
        },
      ),
    );
  });
});

const taken = (line: Line, change: OfferChange): Line => edit(line, takeOffer(line, change));

describe('taking an offer', () => {
  it('changes the count of any family', () => {
    for (const line of EVENING.run.lines) {
      const next = taken(line, { count: line.count + 1 });
      expect(next.count).toBe(line.count + 1);
      expect(lineSchema.safeParse(next).success).toBe(true);
    }
  });

  it('fills wells otherwise and lets go of the weighed portion, where there are wells', () => {
    const cupcakes = {
      ...lineOf('cupcakes-plain'),
      measured: { 'portion.mass': 60, 'egg.mass': 52 },
    } as Line;
    const fill = { by: 'mass', massG: 48 } as const;
    expect(taken(cupcakes, { fill })).toMatchObject({ fill, measured: { 'egg.mass': 52 } });
    expect(taken(cupcakes, { fill }).measured).not.toHaveProperty('portion.mass');
    const cubes = lineOf('cubes-dipped');
    expect(taken(cubes, { fill })).toEqual(cubes);
  });

  it('makes pops of another weight, and moulded pieces as somebody stated it', () => {
    const pops = { ...lineOf('pops-fresh'), measured: { 'portion.mass': 26 } } as Line;
    expect(taken(pops, { portionG: 22 })).toMatchObject({ size: { by: 'mass', massG: 22 }, measured: {} });
    expect(taken(lineOf('sicles-plum'), { portionG: 30 }).measured).toEqual({ 'portion.mass': 30 });
  });

  it('leaves a run that can be planned, and as many pieces as the offer says', () => {
    for (const plan of planRun(EVENING)) {
      if (!plan.planned) throw new Error(plan.fault.fault);
      for (const offer of plan.remainder.offers) {
        if (!offer.change) continue;
        const next = taken(plan.line, offer.change);
        const lines = EVENING.run.lines.map((line) => (line.id === next.id ? next : line));
        const after = planRun({ ...EVENING, run: { ...EVENING.run, lines } }).find(
          (one) => one.line.id === next.id,
        );
        expect(after?.planned).toBe(true);
        if (offer.change.count !== undefined && after?.planned)
          expect([offer.id, after.figure('count.wanted').value]).toEqual([offer.id, offer.change.count]);
      }
    }
  });
});
