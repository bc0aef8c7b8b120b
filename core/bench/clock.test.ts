import { clockPhase, nextLookAt, observedFactor } from './clock';
import { recordLook, startClock } from './test-utils/loads';

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

  it('comes back two minutes after a look of which nothing was said, and one where it was nearly done', () => {
    const look = (result: 'not yet' | 'nearly', at: number) => ({ ...clock(), looks: [{ at, result }] });
    expect(nextLookAt(look('not yet', min(16.5)))).toBe(min(18.5));
    expect(clockPhase(look('not yet', min(16.5)), min(17)).phase).toBe('baking');
    expect(nextLookAt(look('nearly', min(18.5)))).toBe(min(19.5));
  });

  it('comes back later after a wet middle than after crumbs, and never within a minute', () => {
    const after = (saw: 'wet' | 'crumbs' | 'pale') => nextLookAt(recordLook(clock(), saw, min(17))) - min(17);
    expect(after('wet')).toBeGreaterThan(after('crumbs'));
    for (const saw of ['wet', 'crumbs', 'pale'] as const) expect(after(saw)).toBeGreaterThanOrEqual(60_000);
  });

  it('ends with "done" and keeps every look and the time it took', () => {
    const done = recordLook(recordLook(clock(), 'wet', min(16)), 'clean', min(20));
    expect(clockPhase(done, min(90))).toEqual({ phase: 'ended', tookS: 1200, result: 'done' });
    expect(done.looks).toHaveLength(2);
    expect(observedFactor(done)).toBeCloseTo(20 / 19, 9);
    expect(observedFactor(clock())).toBeNull();
  });

  it('stands the same after being written out and read back', () => {
    const kept = JSON.parse(JSON.stringify(recordLook(clock(), 'wet', min(16)))) as ReturnType<typeof clock>;
    expect(clockPhase(kept, min(17.25))).toEqual(clockPhase(recordLook(clock(), 'wet', min(16)), min(17.25)));
  });
});
