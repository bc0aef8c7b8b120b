import { eventsOf, recordLook, startClock } from '../../core/bench/test-utils/loads';
import type { RunDoc } from '../../core/model/documents';
import { planWhole } from '../../core/plan';
import { DEMO_FORMULAS, DEMO_KITCHEN, demoRuns } from '../../demo';
import { nextThing } from './nextThing';

const NOW = '2026-11-25T10:00';
const run = demoRuns(NOW)[0] as RunDoc;

function next(over: Partial<RunDoc>, ticks: string[] = [], now = NOW) {
  const changed: RunDoc = { ...run, ...over, lines: run.lines.map((line) => ({ ...line, ticks })) };
  return nextThing(changed, planWhole({ run: changed, formulas: DEMO_FORMULAS, kitchen: DEMO_KITCHEN }), now);
}

const clock = (load: number, done: boolean) => {
  const started = startClock(
    `c${load}`,
    'line-1',
    load,
    18,
    { firstLookS: 900, expectedS: 1200, latestS: 1400 },
    0,
  );
  return done ? recordLook(started, 'clean', 1_200_000) : started;
};

describe('the very next thing', () => {
  it('is the day’s first step, then the next that is not past', () => {
    expect(next({})).toMatchObject({ words: 'Butter out', stage: 'gather' });
    expect(next({}, [], '2026-11-28T13:20')).toMatchObject({ words: 'Weigh out, line the tins' });
  });
  it('is what is left to weigh, then the oven', () => {
    expect(next({}, ['1', '2'])).toMatchObject({ words: 'Weigh out: 8 to go', stage: 'gather' });
    expect(next({}, ['1', '2', '3', '4', '5', '6', '7', '8', '9', '10'])).toMatchObject({
      words: 'Put load 1 in',
      stage: 'bake',
    });
  });
  it('is a look while a clock runs, the next load after it, and closing at the end', () => {
    expect(next({ log: eventsOf(clock(1, false)) })).toMatchObject({
      words: 'Look at load 1',
      atMs: 900_000,
    });
    expect(next({ log: eventsOf(clock(1, true)) })).toMatchObject({ words: 'Put load 2 in' });
    expect(next({ log: eventsOf(clock(1, true), clock(2, true)) })).toMatchObject({ words: 'Close the run' });
  });
});
