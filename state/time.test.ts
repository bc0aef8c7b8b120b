import {
  awayText,
  dayText,
  localAt,
  localNow,
  longDateText,
  minutesUntil,
  momentText,
  toSaturday,
  whenText,
} from './time';

const NOW = new Date(2026, 10, 25, 9, 30).getTime();

describe('times as people say them', () => {
  it.each([
    ['2026-11-25T16:00', 'today 16:00', 'in 6 h 30 min'],
    ['2026-11-25T09:42', 'today 09:42', 'in 12 min'],
    ['2026-11-25T09:05', 'today 09:05', '25 min ago'],
    ['2026-11-26T10:00', 'tomorrow 10:00', 'in 24 h 30 min'],
    ['2026-11-28T16:00', 'Saturday 16:00', 'in 3 days'],
    ['2026-12-12T16:00', 'Sat 12 Dec 16:00', 'in 17 days'],
    ['2026-11-24T10:00', 'yesterday 10:00', '23 h 30 min ago'],
  ])('%s is %s, %s', (local, when, away) => {
    expect(whenText(local, NOW)).toBe(when);
    expect(awayText(local, NOW)).toBe(away);
  });

  it('reads back what it writes', () => {
    expect(localNow(NOW)).toBe('2026-11-25T09:30');
    expect(minutesUntil(localNow(NOW), NOW)).toBe(0);
    expect(dayText(new Date(NOW), NOW)).toBe('today');
  });

  it('names days in full', () => {
    expect(longDateText(new Date(2026, 8, 5))).toBe('Saturday 5 September');
    expect(momentText(NOW)).toBe('Wednesday 25 November 2026, 09:30');
  });

  it('looks a week on from a Saturday, and to the coming one from any other day', () => {
    const saturdays = Array.from({ length: 14 }, (_, i) => {
      const now = new Date(2026, 10, 22 + i, 13).getTime();
      return localAt(now, toSaturday(now), 16);
    });
    expect(saturdays.slice(0, 6)).toEqual(Array(6).fill('2026-11-28T16:00'));
    expect(saturdays.slice(6, 13)).toEqual(Array(7).fill('2026-12-05T16:00'));
  });
});
