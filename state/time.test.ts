import type * as clock from './clock';
import { onTheWall, steadyNow } from './clock';
import {
  awayText,
  changesBefore,
  dayText,
  exists,
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

describe('where the clocks are put forward and back', () => {
  it('says when, by what the clock shows', () => {
    expect(changesBefore('2026-03-29T16:00')).toEqual([{ at: '2026-03-29T01:00', byMin: 60 }]);
    expect(changesBefore('2026-10-25T16:00')).toEqual([{ at: '2026-10-25T02:00', byMin: -60 }]);
    expect(changesBefore('2026-12-05T16:00')).toBeUndefined();
  });

  it('offers no hour that is not there, and ten o’clock of the next day whatever happens at night', () => {
    expect(exists('2026-03-29T01:30')).toBe(false);
    expect(exists('2026-03-29T02:30')).toBe(true);
    const evening = new Date(2026, 2, 28, 20).getTime();
    expect(localAt(evening, 1, 10)).toBe('2026-03-29T10:00');
  });
});

type Clock = typeof clock;

describe('a clock that is put back', () => {
  afterEach(() => jest.restoreAllMocks());

  it('does not lengthen what is being timed, and is followed when it is put right', () => {
    let [wall, passed] = [1_000_000_000, 5_000];
    jest.spyOn(Date, 'now').mockImplementation(() => wall);
    jest.spyOn(performance, 'now').mockImplementation(() => passed);
    const from = steadyNow();
    wall += 60_000;
    passed += 60_000;
    expect(steadyNow() - from).toBe(60_000);
    // Half an hour back, and a minute passes.
    wall -= 1_800_000 - 60_000;
    passed += 60_000;
    expect(steadyNow() - from).toBe(120_000);
    expect(onTheWall(steadyNow())).toBe(wall);
    wall += 1_800_000;
    expect(steadyNow() - from).toBe(120_000);
  });

  it('goes on over a reload where it was, and says that it was put back', () => {
    let [wall, passed] = [Date.UTC(2026, 10, 25, 10), 5_000];
    jest.spyOn(Date, 'now').mockImplementation(() => wall);
    jest.spyOn(performance, 'now').mockImplementation(() => passed);
    const from = steadyNow();
    wall += 60_000;
    passed += 60_000;
    steadyNow();
    // An hour back while the page is away: it comes back with a clock of its own.
    wall -= 3_600_000;
    jest.isolateModules(() => {
      const again = jest.requireActual<Clock>('./clock');
      expect(again.steadyNow() - from).toBe(60_000);
      expect(again.useClockJump.getState().jump?.byMs).toBe(-3_600_000);
      wall += 30_000;
      passed += 30_000;
      expect(again.steadyNow() - from).toBe(90_000);
    });
  });
});

describe('a clock that is put forward', () => {
  afterEach(() => jest.restoreAllMocks());
  const fresh = (test: (clock: Clock) => void | Promise<void>) => {
    localStorage.clear();
    let done: void | Promise<void> = undefined;
    jest.isolateModules(() => {
      done = test(jest.requireActual<Clock>('./clock'));
    });
    return done;
  };
  let [wall, passed] = [0, 0];
  beforeEach(() => {
    [wall, passed] = [Date.UTC(2026, 10, 25, 10), 5_000];
    jest.spyOn(Date, 'now').mockImplementation(() => wall);
    jest.spyOn(performance, 'now').mockImplementation(() => passed);
  });
  const go = (wallMs: number, passedMs: number) => {
    wall += wallMs;
    passed += passedMs;
  };

  it('is followed, told, and taken back where it goes back by as much', () =>
    fresh(({ steadyNow: now, useClockJump }) => {
      const from = now();
      go(3_660_000, 60_000);
      expect(now() - from).toBe(3_660_000);
      expect(useClockJump.getState().jump).toEqual({ byMs: 3_600_000, followed: true });
      go(60_000 - 3_600_000, 60_000);
      expect(now() - from).toBe(120_000);
    }));

  it('is not followed where somebody says that it was set', () =>
    fresh(({ steadyNow: now, wasSetForward, useClockJump }) => {
      const from = now();
      go(3_660_000, 60_000);
      now();
      wasSetForward();
      expect(now() - from).toBe(60_000);
      expect(useClockJump.getState().jump).toBeNull();
    }));

  it('is not followed where the server’s clock says that no time has passed, and is where it has', () =>
    fresh(async ({ steadyNow: now, meetServer }) => {
      let server = wall;
      (globalThis as { fetch?: unknown }).fetch = () =>
        Promise.resolve({ headers: new Map([['date', new Date(server).toUTCString()]]) });
      await meetServer();
      const from = now();
      go(3_660_000, 60_000);
      server += 60_000;
      now();
      await new Promise((done) => setTimeout(done, 0));
      expect(now() - from).toBe(60_000);
      go(7_260_000, 60_000);
      server += 7_260_000;
      now();
      await new Promise((done) => setTimeout(done, 0));
      expect(now() - from).toBe(60_000 + 7_260_000);
    }));
});
