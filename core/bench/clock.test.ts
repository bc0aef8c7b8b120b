import { clockPhase, nextLookAt, observedFactor, recordLook, startClock } from './clock';

const T0 = 1_764_000_000_000;
const min = (minutes: number) => T0 + minutes * 60_000;
const clock = () =>
  startClock('c', 'a', 1, 12, { firstLookS: 16 * 60, expectedS: 19 * 60, latestS: 22 * 60 }, T0);

describe('the clock of a load', () => {
  it('waits for the first look, then asks for it, then says that it is late', () => {
    expect(clockPhase(clock(), min(10))).toMatchObject({ phase: 'baking', untilLookS: 360 });
    expect(clockPhase(clock(), min(16))).toMatchObject({ phase: 'look', late: false });
    expect(clockPhase(clock(), min(23))).toMatchObject({ phase: 'look', late: true });
  });

  it('comes back two minutes after "not yet" and one after "nearly"', () => {
    const notYet = recordLook(clock(), 'not yet', min(16.5));
    expect(nextLookAt(notYet)).toBe(min(18.5));
    expect(clockPhase(notYet, min(17)).phase).toBe('baking');
    expect(nextLookAt(recordLook(notYet, 'nearly', min(18.5)))).toBe(min(19.5));
  });

  it('ends with "done" and keeps every look and the time it took', () => {
    const done = recordLook(recordLook(clock(), 'not yet', min(16)), 'done', min(20));
    expect(clockPhase(done, min(90))).toEqual({ phase: 'ended', tookS: 1200, result: 'done' });
    expect(done.looks).toHaveLength(2);
    expect(observedFactor(done)).toBeCloseTo(20 / 19, 9);
    expect(observedFactor(clock())).toBeNull();
  });

  it('stands the same after being written out and read back', () => {
    const kept = JSON.parse(JSON.stringify(recordLook(clock(), 'not yet', min(16)))) as ReturnType<
      typeof clock
    >;
    expect(clockPhase(kept, min(17.25))).toEqual(
      clockPhase(recordLook(clock(), 'not yet', min(16)), min(17.25)),
    );
  });
});
