import { dayOfFile, type DayFile, type RunDay } from '.';
import { FAMILY_FILES } from '../../../demo/families';
import { localOf, minutesOf } from '../../model/localTime';
import { toEnd } from '../solver';
import { dayLeft, type Stood } from './dayLeft';

const FILE = FAMILY_FILES.pops as DayFile;
const DAY = toEnd(dayOfFile(FILE, 30)) as RunDay;
const { readyAt } = FILE.run;
const READY = minutesOf(readyAt);

/** The day as it stands after so many of its chores, each done as planned, so many minutes behind. */
function after(done: number, lateMin = 0) {
  const ended = DAY.chores.slice(0, done);
  const nowMin =
    READY - Math.min(...ended.map(({ endMin }) => endMin), DAY.chores[0]?.startMin ?? 0) + lateMin;
  const stood = new Map<string, Stood>(
    DAY.chores.flatMap(({ chore, startMin, endMin }): [string, Stood][] => {
      const begunAgoS = (nowMin - (READY - startMin)) * 60;
      const endedAgoS = (nowMin - (READY - endMin)) * 60;
      if (ended.some((one) => one.chore.id === chore.id))
        return [[chore.id, { begunAgoS, endedAgoS: Math.max(0, endedAgoS), leftS: null }]];
      return [];
    }),
  );
  return {
    left: dayLeft({ day: DAY, kitchen: FILE.kitchen, readyAt, nowAt: localOf(nowMin), stood }),
    nowMin,
    stood,
  };
}

describe('what is left of a day', () => {
  it('keeps what was in hand while all goes as planned', () => {
    for (const done of [0, 4, 9]) {
      const { left } = after(done);
      expect(left?.breaches).toEqual([]);
      expect(left?.lateMin).toBeLessThanOrEqual(1);
    }
  });

  it('begins nothing before now, and nothing again that is done', () => {
    const { left, nowMin, stood } = after(6);
    for (const [id, at] of left?.starts ?? []) {
      expect(stood.has(id)).toBe(false);
      expect(minutesOf(at)).toBeGreaterThanOrEqual(Math.floor(nowMin));
    }
    expect((left?.starts.size ?? 0) + stood.size).toBe(DAY.chores.length);
  });

  it('is later by no more than what was lost, and never sooner', () => {
    const on = after(5).left?.lateMin ?? 0;
    const late = after(5, 45).left?.lateMin ?? 0;
    expect(late).toBeGreaterThanOrEqual(on);
    expect(late - on).toBeLessThanOrEqual(45 + 15);
  });

  it('says what has waited too long', () => {
    const rolled = DAY.chores.findIndex(({ chore }) => /\/bind$/.test(chore.id));
    const { left } = after(rolled + 1, 600);
    expect(left?.overdue.some((id) => /\/roll$/.test(id))).toBe(true);
  });

  it('is nothing once all is done', () => {
    expect(after(DAY.chores.length).left).toBeNull();
  });
});
