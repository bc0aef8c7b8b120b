import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readRunFile } from '../core/exchange/read';
import { dayOfFile } from '../core/schedule/chores';
import { toEnd } from '../core/schedule/solver';
import { schemaFiles } from './schemas';
import { sums } from './sums';

const EXAMPLE = 'demo/cupcakes.run.json';

/** As a process of its own, as a person calls it; the other cases ask the same function, without its start. */
function called(...args: string[]): { status: number | null; out: string; err: string } {
  const done = spawnSync('node_modules/.bin/tsx', ['tools/sums.ts', ...args], { encoding: 'utf8' });
  return { status: done.status, out: done.stdout, err: done.stderr };
}

function withRun(edit: (file: Record<string, unknown>) => void): string {
  const file = JSON.parse(readFileSync(EXAMPLE, 'utf8')) as Record<string, unknown>;
  edit(file);
  const path = join(mkdtempSync(join(tmpdir(), 'carnelian-')), 'run.json');
  writeFileSync(path, JSON.stringify(file));
  return path;
}

type Line = Record<string, unknown>;
const firstLine = (file: Record<string, unknown>): Line => ((file.run as Line).lines as Line[])[0] ?? {};

jest.setTimeout(60_000);

describe('the headless command', () => {
  it('prints every figure with value, range, unit and basis', () => {
    const { status, out } = called(EXAMPLE);
    const printed = JSON.parse(out) as {
      lines: { figures: Record<string, Record<string, unknown>>; loads: number[] }[];
    };
    expect(status).toBe(0);
    expect(printed.lines[0]?.loads).toEqual([18, 18]);
    expect(printed.lines[0]?.figures['portion.mass']).toMatchObject({ value: 55, unit: 'g' });
    for (const figure of Object.values(printed.lines[0]?.figures ?? {})) {
      expect(Object.keys(figure).sort()).toEqual(['basis', 'high', 'low', 'unit', 'value']);
    }
  });

  it('explains one figure with its sum and inputs', () => {
    const { status, out } = sums([EXAMPLE, '--why', 'fill.share']);
    const why = JSON.parse(out) as Record<string, unknown>;
    expect(status).toBe(0);
    expect(why.filled).toBe('55 g ÷ (106 ml × 0.90 g/ml) = 58 %');
    expect(why.inputs).toHaveLength(3);
  });

  it.each([
    ['pops', 3, 'Malt buttercream'],
    ['cakesicles', 2, 'Malt buttercream'],
    ['mugs', 1, null],
    ['minis', 5, 'Quince butter'],
    ['evening', 12, 'Barley syrup'],
  ])(
    'prints all of the %s: %d lines, their notes, cautions, keeping, and what they share',
    (name, lines, shared) => {
      const { status, out } = sums([`demo/${name}.run.json`]);
      const printed = JSON.parse(out) as {
        lines: { notes: string[]; cautions: unknown[]; keeping: string; day: unknown[]; lots: unknown[] }[];
        components: { formula: string }[];
      };
      expect(status).toBe(0);
      expect(printed.lines).toHaveLength(lines);
      for (const line of printed.lines) {
        expect(line.keeping).toMatch(/^Keeps: .+Check local rules\.$/);
        expect(line.cautions.length * line.day.length * line.lots.length).toBeGreaterThan(0);
        expect(line.notes.join()).not.toMatch(/[{}]|undefined|NaN/);
      }
      const names = printed.components.map(({ formula }) => formula);
      if (shared) expect(names).toContain(shared);
      else expect(names).toEqual([]);
    },
  );

  it('tells the day that the app tells: with filling, frosting, pairing and packing, begun by its safe start', () => {
    const of = (name: string) => {
      const file = `demo/${name}.run.json`;
      const read = readRunFile(JSON.parse(readFileSync(file, 'utf8')));
      if (!read.ok) throw new Error('the demo reads');
      const printed = JSON.parse(sums([file]).out) as {
        day: { safeStart: string; chores: { label: string }[] };
        lines: { startBy: string; day: { label: string; startAt: string }[] }[];
      };
      return { printed, day: toEnd(dayOfFile(read.value)) };
    };
    for (const name of ['cupcakes', 'minis']) {
      const { printed, day } = of(name);
      expect(printed.day.safeStart).toBe(day?.safeStartAt);
      expect(printed.day.chores).toHaveLength(day?.chores.length ?? 0);
      const starts = printed.lines.map(({ startBy }) => startBy).sort();
      expect(starts[0]).toBe(day?.chores.map(({ startAt }) => startAt).sort()[0]);
      for (const line of printed.lines) expect(line.day.map(({ label }) => label).join()).toMatch(/Pack/);
    }
    const labels = of('minis')
      .printed.day.chores.map(({ label }) => label)
      .join();
    for (const work of [/Inject/, /Spread and pair/, /Make Malt buttercream/]) expect(labels).toMatch(work);
  });

  it.each([
    ['no file', () => ['/nowhere/run.json'], /^\/nowhere\/run\.json: The file cannot be read\. .+\n$/],
    ['no argument', () => [], /^arguments: .+\n$/],
    ['an unknown option', () => [EXAMPLE, '--loud'], /^--loud: .+\n$/],
    [
      'an unknown figure',
      () => [EXAMPLE, '--why', 'portion.colour'],
      /^--why: There is no figure .+portion\.mass.*\n$/,
    ],
    [
      'a count of nought',
      () => [withRun((f) => (firstLine(f).count = 0))],
      /^run\.lines\[0\]\.count: Make at least 1\. .+\n$/,
    ],
    [
      'a count of 100,000',
      () => [withRun((f) => (firstLine(f).count = 100_000))],
      /^run\.lines\[0\]\.count: .*5000.*\n$/,
    ],
    [
      'a tin that is not there',
      () => [withRun((f) => (firstLine(f).tinId = 'x'))],
      /^run\.lines\[0\]\.tinId: .+Use one of: tin-standard.*\n$/,
    ],
    [
      'an empty formula',
      () => [withRun((f) => ((f.formulas as Line[])[0]!.text = ''))],
      /^run\.lines\[0\]\.formulaId: .+\n$/,
    ],
    [
      'more cake than batter',
      () => [withRun((f) => (firstLine(f).measured = { 'cake.mass': 80 }))],
      /^run\.lines\[0\]\.measured\["cake\.mass"\]: .+cannot be more than 55 g.+\n$/,
    ],
    ['a list', () => [withRun((f) => (f.run = []))], /^run: .+\n$/],
  ])('refuses %s with one line and exit code 2', (_, args, line) => {
    const { status, out, err } = sums(args());
    expect(status).toBe(2);
    expect(out).toBe('');
    expect(err).toMatch(line);
  });

  it('ends as a process with exit code 2 and one line, too', () => {
    const { status, out, err } = called('/nowhere/run.json');
    expect(status).toBe(2);
    expect(out).toBe('');
    expect(err).toMatch(/^\/nowhere\/run\.json: The file cannot be read\. .+\n$/);
  });

  it('keeps the published schemas in step with the code', () => {
    for (const [path, text] of Object.entries(schemaFiles())) expect(readFileSync(path, 'utf8')).toBe(text);
  });
});
