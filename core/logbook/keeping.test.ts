import fc from 'fast-check';
import { KEPT_PLACES, type Kept } from '../model/documents';
import { bestBy, byDay, dayAfter, daysBetween, mayGo, movedTo, takenOut, usedBy } from './keeping';
import { priceOf, roundPrice } from './price';

const KEPT: Kept = {
  id: 'k',
  name: 'pops',
  runId: null,
  lineId: null,
  madeOn: '2026-11-28',
  place: 'fridge',
  since: '2026-11-28',
  used: 0,
  days: { room: 2, fridge: 6, freezer: 60 },
  made: 24,
  left: 24,
};

describe('what is put away', () => {
  it('has its last day by the place where it stands', () => {
    expect(bestBy(KEPT)).toBe('2026-12-04');
    expect(bestBy({ ...KEPT, place: 'room' })).toBe('2026-11-30');
    expect(bestBy({ ...KEPT, place: 'freezer' })).toBe('2027-01-27');
    expect(bestBy({ ...KEPT, days: { ...KEPT.days, room: null }, place: 'room' })).toBeNull();
  });

  it('carries along what has passed of its time', () => {
    // Half of six days in the fridge: half of two in the room are left. By hand.
    const out = movedTo(KEPT, 'room', '2026-12-01');
    expect(out).toMatchObject({ place: 'room', since: '2026-12-01', used: 0.5 });
    expect(bestBy(out)).toBe('2026-12-02');
    // The freezer stops that clock and has its own.
    const frozen = movedTo(KEPT, 'freezer', '2026-12-01');
    expect(bestBy(frozen)).toBe('2027-01-30');
    const thawed = movedTo(frozen, 'fridge', '2027-01-10');
    expect(bestBy(thawed)).toBe('2027-01-13');
    // Frozen past its day, it is for that day or for nobody.
    expect(bestBy(movedTo(frozen, 'fridge', '2027-03-01'))).toBe('2027-03-01');
  });

  it('never gains time by being carried about, but in the freezer', () => {
    const moves = fc.array(
      fc.tuple(fc.constantFrom('room' as const, 'fridge' as const), fc.integer({ min: 0, max: 3 })),
      {
        maxLength: 6,
      },
    );
    fc.assert(
      fc.property(moves, (all) => {
        let [kept, day] = [KEPT, KEPT.since];
        let used = 0;
        for (const [place, days] of all) {
          day = dayAfter(day, days);
          kept = movedTo(kept, place, day);
          expect(kept.used).toBeGreaterThanOrEqual(used);
          used = kept.used;
        }
        expect(daysBetween(KEPT.since, bestBy(kept) ?? '')).toBeLessThanOrEqual(
          Math.max(6, daysBetween(KEPT.since, day)),
        );
      }),
    );
  });

  it('is not frozen past its day, nor put where it does not keep', () => {
    expect(mayGo(KEPT, 'freezer', '2026-12-04')).toBe(true);
    expect(mayGo(KEPT, 'freezer', '2026-12-05')).toBe(false);
    expect(mayGo(KEPT, 'room', '2026-12-05')).toBe(false);
    expect(mayGo({ ...KEPT, place: 'freezer' }, 'fridge', '2027-06-01')).toBe(true);
    expect(mayGo({ ...KEPT, days: { ...KEPT.days, room: null } }, 'room', KEPT.since)).toBe(false);
    for (const place of KEPT_PLACES) expect(mayGo({ ...KEPT, place }, place, KEPT.since)).toBe(false);
  });

  it('is taken out piece by piece, never below none, and stands by its day', () => {
    expect(takenOut(KEPT, 5).left).toBe(19);
    expect(takenOut(KEPT, 50).left).toBe(0);
    const old = { ...KEPT, id: 'old', since: '2026-11-20' };
    const wrong = { ...KEPT, id: 'wrong', place: 'room' as const, days: { ...KEPT.days, room: null } };
    expect(byDay([KEPT, old, takenOut(KEPT, 24), wrong]).map(({ id }) => id)).toEqual(['wrong', 'old', 'k']);
    expect(usedBy({ ...KEPT, days: { ...KEPT.days, fridge: 0 } }, KEPT.since)).toBe(1);
  });
});

describe('the price of a piece', () => {
  const money = { hour: 12, kWh: 0.3, wrap: 0.1, margin: 0.25 };
  const asked = { pieces: 24, used: 6, unpriced: 0, handsMin: 120, energyKWh: 2, money };
  it('is what goes into it, and the margin on top of all', () => {
    const price = priceOf(asked);
    // 0.25 + 1.00 + 0.025 + 0.10 = 1.375; of 1.8333 a quarter is left over. By hand.
    expect(price.cost).toBeCloseTo(1.375, 9);
    expect(price.price).toBeCloseTo(1.375 / 0.75, 9);
    expect(price.price * 0.25).toBeCloseTo(price.price - price.cost, 9);
    expect(price.missing).toEqual([]);
  });
  it('says what is not in it', () => {
    const none = { hour: null, kWh: null, wrap: null, margin: 0.3 };
    expect(priceOf({ ...asked, used: null, money: none }).missing).toEqual([
      'ingredients',
      'work',
      'energy',
      'wrap',
    ]);
    expect(priceOf({ ...asked, unpriced: 2 }).missing).toEqual(['some ingredients']);
    expect(() => priceOf({ ...asked, pieces: 0 })).toThrow('invariant');
  });
  it('is rounded to what people say, never down', () => {
    expect([roundPrice(1.8333), roundPrice(1.85), roundPrice(12.31), roundPrice(140.2)]).toEqual([
      1.85, 1.85, 12.4, 141,
    ]);
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 5000, noNaN: true }), (price) => {
        expect(roundPrice(price)).toBeGreaterThanOrEqual(price - 1e-6);
        expect(roundPrice(price)).toBeLessThanOrEqual(price + 1);
      }),
    );
  });
});
