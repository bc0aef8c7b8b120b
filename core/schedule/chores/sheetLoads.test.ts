import { FAMILY_FILES } from '../../../demo/families';
import { choose, edit } from '../../line';
import { loadOf } from '../../bench/standing';
import { toEnd } from '../solver';
import { mlOf } from '../mixes';
import { dayOfFile, type DayFile } from './waysOut';

const FILE = FAMILY_FILES.minis as DayFile;

/** The day of so many cubes, with so many of their sheet in the house. */
function dayOf(count: number, owned: number) {
  const line = FILE.run.lines.find((one) => one.family === 'mini' && one.style === 'cubes');
  if (line?.family !== 'mini' || line.style !== 'cubes') throw new Error('the demo has cubes');
  const run = { ...FILE.run, lines: [edit({ ...line, lots: [] }, choose({ count }))] };
  const sheets = (FILE.kitchen.sheets ?? []).map((sheet) =>
    sheet.id === line.sheetId ? { ...sheet, owned } : sheet,
  );
  const day = toEnd(dayOfFile({ ...FILE, run, kitchen: { ...FILE.kitchen, sheets } }, 20, 60));
  if (!day) throw new Error('a day');
  const of = (does: string) =>
    day.chores.filter(({ chore }) => chore.does === does).sort((a, b) => b.startMin - a.startMin);
  return { day, of };
}

describe('a batter that fills more sheets than there are', () => {
  it('is one bake where the sheets go in at once', () => {
    const { of } = dayOf(30, 1);
    expect(of('bake').map(({ chore }) => [chore.label, loadOf(chore)])).toEqual([['Bake', 1]]);
    expect(of('refill')).toEqual([]);
  });

  it('is baked load by load, each with its own clock, the sheet turned out and filled again between them', () => {
    const { day, of } = dayOf(130, 1);
    const bakes = of('bake');
    expect(bakes.length).toBeGreaterThan(2);
    expect(bakes.map(({ chore }) => loadOf(chore))).toEqual(bakes.map((_, i) => i + 1));
    expect(of('refill')).toHaveLength(bakes.length - 1);
    of('refill').forEach((out, i) => {
      expect(bakes[i]?.endMin).toBeGreaterThanOrEqual(out.startMin);
      expect(out.endMin).toBeGreaterThanOrEqual((bakes[i + 1]?.startMin ?? Infinity) - 0.02);
    });
    expect(of('cool')).toHaveLength(bakes.length);
    expect(day.breaches).toEqual([]);
  });

  it('is mixed in as many bowls as its wait allows, and as much of it as in one', () => {
    const all = (count: number, owned: number) =>
      dayOf(count, owned)
        .of('mix')
        .map(({ chore }) => mlOf(chore));
    const sum = (some: readonly number[]) => some.reduce((a, b) => a + b, 0);
    const [apart, atOnce] = [all(130, 1), all(130, 4)];
    expect(apart.length).toBeGreaterThan(1);
    expect(sum(apart)).toBeCloseTo(sum(atOnce), 6);
  });
});
