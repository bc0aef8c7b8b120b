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
