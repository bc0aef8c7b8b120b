import { FAMILY_FILES } from '../../demo/families';
import { toEnd } from '../schedule/solver';
import { dayLeft, dayOfFile, type DayFile, type RunDay } from '../schedule/chores';
import { forFewer } from './fewer';
import { goingOn } from './log';

const FILE = FAMILY_FILES.pops as DayFile;
const DAY = toEnd(dayOfFile(FILE, 20, 100)) as RunDay;
/** So many of the fresh pops are lost; none where it is 0. */
const gone = (pieces: number) => ({
  lost: new Map(pieces > 0 ? [['pops-fresh', pieces]] : []),
  counted: new Map<string, number>(),
});
const hands = (chores: RunDay['chores'], line: string) =>
  chores
    .filter(({ chore }) => chore.kind === 'hands' && chore.lineIds.join() === line)
    .reduce((sum, { chore }) => sum + chore.takes.lengthS, 0);

describe('pieces that are lost', () => {
  it('are no work any more, and none of the work of others', () => {
    const after = forFewer(DAY.chores, gone(12));
    expect(hands(after, 'pops-fresh')).toBeLessThan(hands(DAY.chores, 'pops-fresh'));
    expect(hands(after, 'balls-leftover')).toBe(hands(DAY.chores, 'balls-leftover'));
    const roll = (chores: RunDay['chores']) =>
      chores.find(({ chore }) => chore.id === 'pops-fresh/roll')?.chore;
    const made = roll(DAY.chores)?.pieces ?? 1;
    expect(roll(after)?.takes.lengthS).toBeCloseTo(
      (roll(DAY.chores)?.takes.lengthS ?? 0) * (1 - 12 / made),
      6,
    );
  });

  it('leave the day no later', () => {
    const at = `${FILE.run.readyAt.slice(0, 10)}T11:30`;
    const left = (lost: number) =>
      dayLeft({
        day: { chores: forFewer(DAY.chores, gone(lost)) },
        kitchen: FILE.kitchen,
        readyAt: FILE.run.readyAt,
        nowAt: at,
        stood: new Map(),
      })?.lateMin ?? Infinity;
    expect(left(12)).toBeLessThanOrEqual(left(0));
  });

  it('are nothing where none is lost', () => {
    expect(forFewer(DAY.chores, gone(0))).toBe(DAY.chores);
  });

  it('are counted from what the bowl came to: two more of it, then one lost, is one more', () => {
    const state = { lost: new Map([['pops-fresh', 1]]), counted: new Map([['pops-fresh', 42]]) };
    const roll = forFewer(DAY.chores, state).find(({ chore }) => chore.id === 'pops-fresh/roll')?.chore;
    const before = DAY.chores.find(({ chore }) => chore.id === 'pops-fresh/roll')?.chore;
    const made = before?.pieces ?? 1;
    expect(goingOn(state, 'pops-fresh', made)).toBe(41);
    expect((roll?.takes.lengthS ?? 0) / (before?.takes.lengthS ?? 1)).toBeCloseTo(41 / made, 6);
  });
});
