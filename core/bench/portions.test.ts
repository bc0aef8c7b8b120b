import fc from 'fast-check';
import { FAMILY_FILES } from '../../demo/families';
import type { RunFile } from '../model/documents';
import { planWhole } from '../plan';
import type { Chore } from '../schedule/chores';
import { BOWL, PORTION, portioningOf } from './portioningOf';
import { EVEN_SHARE, portioned, trimOf } from './portions';

const bowl = (weighed: readonly number[]) => portioned({ totalG: 864, count: 36, portionG: 24, weighed });

describe('the bowl on the scale', () => {
  const plan = planWhole(FAMILY_FILES.pops as RunFile).lines.find(({ line }) => line.id === 'pops-fresh');
  if (!plan?.planned) throw new Error('no plan');
  const roll = { does: 'roll', lineIds: ['pops-fresh'] } as unknown as Chore;
  const told = (...some: readonly (readonly [string, number])[]) =>
    portioningOf(roll, plan, {
      weighed: new Map([
        [
          'any name',
          some.map(([of, massG]) => ({ of, massG, does: 'roll' as const, lineIds: ['pops-fresh'] })),
        ],
      ]),
    });

  it('holds what it shows and what had been taken of it; the last time counts', () => {
    const sums = told([PORTION, 25])?.totalG;
    expect(told([PORTION, 25], [PORTION, 26], [BOWL, 900], [PORTION, 24])).toMatchObject({
      totalG: 951,
      weighed: [25, 26, 24],
    });
    expect(told([BOWL, 1200], [PORTION, 25], [BOWL, 900])?.totalG).toBe(925);
    expect(sums).toBeCloseTo(plan.parts.dough?.ready.value ?? 0, 9);
  });
});

describe('portioning', () => {
  it('wants as planned before the first piece', () => {
    expect(bowl([])).toMatchObject({ n: 0, nextG: 24, pieces: 36, leftG: 864 });
  });

  it('says what the heavy ones cost and what the rest has to weigh', () => {
    // Twelve of 26 g: 312 taken, 552 left for 24: 23 g each. At 26 g a piece it comes to 33.
    const told = bowl(Array.from({ length: 12 }, () => 26));
    expect(told.nextG).toBe(23);
    expect(told.pieces).toBe(33);
    expect(told.heavyCosts).toBe(1);
    expect(told.spreadG).toBe(0);
  });

  it('sees a hand that drifts', () => {
    expect(bowl([23, 23, 23, 23, 23, 25, 25, 25, 25, 25]).driftG).toBe(2);
    expect(bowl([24, 24, 24]).driftG).toBeNull();
  });

  it('loses nothing: the rest shared out is the bowl again', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 18, max: 30, noNaN: true }), { maxLength: 30 }),
        fc.integer({ min: 31, max: 60 }),
        (weighed, count) => {
          const { nextG, leftG } = portioned({ totalG: 1500, count, portionG: 24, weighed });
          const all = weighed.reduce((sum, one) => sum + one, 0) + (nextG ?? 0) * (count - weighed.length);
          expect(all).toBeCloseTo(Math.max(1500, 1500 - leftG), 6);
        },
      ),
    );
  });

  it('heavier pieces never come to more of them', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 20, max: 28 }), { minLength: 1, maxLength: 30 }), (weighed) => {
        const heavier = weighed.map((one) => one + 1);
        expect(bowl(heavier).pieces).toBeLessThanOrEqual(bowl(weighed).pieces);
      }),
    );
  });

  it('trims what is off by more than it matters, in steps of the scale', () => {
    expect(trimOf(26, 24, 1)).toBe(2);
    expect(trimOf(24.6, 24, 1)).toBe(0);
    expect(trimOf(21.5, 24, 0.5)).toBe(-2.5);
    expect(Math.abs(trimOf(24 * (1 + EVEN_SHARE * 0.99), 24, 0.1))).toBe(0);
  });
});
