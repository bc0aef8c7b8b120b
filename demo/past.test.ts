import { clocksIn } from '../core/bench/clocksIn';
import { readFileSync } from 'node:fs';
import { learn } from '../core/learn';
import { allEvidence } from '../core/learn/beliefs';
import { clockPhase } from '../core/bench';
import { beliefSchema } from '../core/model/belief';
import { runSchema } from '../core/model/documents';
import { pastText, PAST_SATURDAY } from '../tools/demo-past';
import { DEMO_KITCHEN } from './kitchen';
import { pastBefore, type PastFile } from './past';

const FILE = JSON.parse(readFileSync('public/demo-past.json', 'utf8')) as PastFile;
const msOf = (local: string) => new Date(local).getTime();

describe('the past of the demo kitchen', () => {
  it('is what the simulated kitchen bakes, to the letter', () => {
    expect(readFileSync('public/demo-past.json', 'utf8')).toBe(pastText());
  });

  it('is a dozen closed runs of every family, all before the evening and in order', () => {
    const { runs, beliefs } = pastBefore(FILE, '2027-03-30T10:00', msOf);
    expect(runs).toHaveLength(12);
    expect(new Set(runs.flatMap(({ lines }) => lines.map(({ family }) => family)))).toEqual(
      new Set(['cupcake', 'pop', 'cakesicle', 'mug', 'mini']),
    );
    for (const run of runs) {
      expect(runSchema.safeParse(run).success).toBe(true);
      expect(run.readyAt.slice(11)).toBe('16:00');
      // On the clock of the place, whether or not its clocks have changed in between.
      const closedAt = new Date(run.closed?.at ?? 0);
      expect([closedAt.getDay(), closedAt.getHours(), closedAt.getMinutes()]).toEqual([6, 17, 30]);
      expect(closedAt.getTime()).toBeLessThan(msOf('2027-03-28T10:00'));
      for (const clock of clocksIn(run)) {
        expect(clockPhase(clock, 0).phase).toBe('ended');
        expect(clock.endedAt).toBeLessThan(run.closed?.at ?? 0);
      }
      const [made, wanted] = [run.closed?.made ?? 0, run.lines.reduce((sum, { count }) => sum + count, 0)];
      expect(made).toBeGreaterThan(wanted * 0.8);
      expect(made).toBeLessThanOrEqual(wanted + 1);
    }
    for (const one of beliefs) expect(beliefSchema.safeParse(one).success).toBe(true);
  });

  it('taught what it says it did', () => {
    const { runs, beliefs } = pastBefore(FILE, PAST_SATURDAY.replace('T16', 'T10').replace('28', '25'), msOf);
    const learned = learn(allEvidence(runs, DEMO_KITCHEN), msOf(PAST_SATURDAY));
    expect(beliefs.length).toBeGreaterThan(6);
    let slight = 0;
    for (const { param, of, mean, seen } of beliefs) {
      const found = learned.find((one) => one.param === param && one.of === of);
      // What was hardly moved at all may be told on one day and not on another.
      if (!found) {
        slight += 1;
        continue;
      }
      expect(found.by === 'others' || found.seen === seen).toBe(true);
      expect(found.mean / mean).toBeCloseTo(1, 3);
    }
    expect(slight).toBeLessThan(3);
    // One belief of a thing, however many batters were baked in it.
    const things = beliefs.map(({ param, of }) => `${param}@${of}`);
    expect(new Set(things).size).toBe(things.length);
  });
});
