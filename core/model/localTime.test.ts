import fc from 'fast-check';
import { localOf, minutesOf } from './localTime';

describe('local times', () => {
  it('come back as they went, over days, months and leap years, in any order', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -40_000_000, max: 80_000_000 }),
        (minutes) => minutesOf(localOf(minutes)) === minutes,
      ),
    );
    expect(localOf(minutesOf('2028-02-29T23:59') + 1)).toBe('2028-03-01T00:00');
    expect(localOf(minutesOf('2026-01-01T00:00') - 1)).toBe('2025-12-31T23:59');
  });
  it('go to the minute below, but for what floating point leaves', () => {
    const noon = minutesOf('2026-11-28T12:00');
    expect(localOf(noon + 0.99)).toBe('2026-11-28T12:00');
    expect(localOf(noon - 1e-9)).toBe('2026-11-28T12:00');
  });
  it.each(['2026-11-28', 'noon', '2026-13-01T10:00', '2026-11-28T10:00:00'])('are not "%s"', (text) =>
    expect(() => minutesOf(text)).toThrow(/no local time/),
  );
});

describe('the night that the clocks change', () => {
  const forward = [{ at: '2026-03-29T01:00', byMin: 60 }];
  const back = [{ at: '2026-10-25T02:00', byMin: -60 }];

  it('has an hour less when they are put forward: from half past midnight to 02:30 are 60 minutes', () => {
    expect(minutesOf('2026-03-29T02:30', forward) - minutesOf('2026-03-29T00:30', forward)).toBe(60);
    expect(localOf(minutesOf('2026-03-29T02:30', forward) - 60, forward)).toBe('2026-03-29T00:30');
    expect(localOf(minutesOf('2026-03-29T02:30', forward) - 30, forward)).toBe('2026-03-29T02:00');
  });

  it('has an hour more when they are put back: from half past midnight to 02:30 are 180 minutes', () => {
    expect(minutesOf('2026-10-25T02:30', back) - minutesOf('2026-10-25T00:30', back)).toBe(180);
    expect(localOf(minutesOf('2026-10-25T02:30', back) - 60, back)).toBe('2026-10-25T01:30');
    expect(localOf(minutesOf('2026-10-25T02:30', back) - 120, back)).toBe('2026-10-25T01:30');
    expect(localOf(minutesOf('2026-10-25T02:30', back) - 150, back)).toBe('2026-10-25T01:00');
  });
});
