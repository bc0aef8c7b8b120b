import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { DEMO_FORMULAS, DEMO_KITCHEN } from '../../demo';
import { FAMILY_FILES } from '../../demo/families';
import type { PastFile } from '../../demo/past';
import { benchStateOf } from '../bench/log';
import { withLearned } from '../learn';
import { chartsOf, comparedRuns } from '../logbook';
import type { KitchenDoc, RunDoc } from '../model/documents';
import { planWhole } from '../plan';
import { readLine, readNumberField } from '../quantity';
import { bringIn } from './bringIn';
import { MOST_LETTERS } from './limits';
import { readRunFile, type DocFault } from './read';
import { logCsv } from '../logbook/logCsv';

/** `FILES=10000 LINES=40000` looks at as many, as `npm run torture` does. */
const env = process.env as Readonly<Record<string, string | undefined>>;
const FILES = Number(env.FILES ?? 400);
const LINES = Number(env.LINES ?? 2000);

const evening = JSON.stringify(FAMILY_FILES.evening);
/** What a person is told is short, and never the schema library's own words. */
function plain(faults: readonly DocFault[]): void {
  expect(faults.length).toBeGreaterThan(0);
  expect(faults.length).toBeLessThanOrEqual(41);
  for (const { field, fault, mend } of faults) {
    expect(fault.length).toBeGreaterThan(5);
    expect(`${fault} ${mend}`).not.toMatch(/Invalid input|expected .* received|Too (small|big): /);
    expect(field.length + fault.length + mend.length).toBeLessThan(2000);
  }
}

const ODD = [
  '1e308',
  '-1e308',
  'null',
  '[]',
  '{}',
  '"\\u001b[31m"',
  '1e-320',
  '""',
  '0',
  '-1',
  '99999999999',
  'true',
  '"2026-02-30T24:00"',
];
/** A file as something may have left it: cut off, doubled, with numbers, words or whole parts put in each other's place. */
const mutatedOf = (whole: string) =>
  fc
    .tuple(
      fc.nat(whole.length - 1),
      fc.nat(400),
      fc.nat(whole.length - 1),
      fc.constantFrom('cut', 'swap', 'number', 'end', 'double'),
      fc.constantFrom(...ODD),
    )
    .map(([at, length, other, how, odd]) => {
      const piece = whole.slice(at, at + length);
      switch (how) {
        case 'cut':
          return whole.slice(0, at) + whole.slice(at + length);
        case 'swap':
          return whole.slice(0, other) + piece + whole.slice(other + length);
        case 'end':
          return whole.slice(0, at);
        case 'double':
          return whole.slice(0, at) + piece + whole.slice(at);
        case 'number': {
          const next = /[:[,](?:-?\d[\d.]*|"[^"]*"|null|true|false)(?=[,\]}])/g;
          next.lastIndex = at;
          const found = next.exec(whole);
          return found
            ? whole.slice(0, found.index + 1) + odd + whole.slice(found.index + found[0].length)
            : whole;
        }
      }
    });

const mutated = mutatedOf(evening);

describe('files that something happened to', () => {
  it('are read or refused in plain words, and what is read can be planned', () => {
    fc.assert(
      fc.property(mutated, (text) => {
        const outcome = bringIn(text);
        if (!outcome.ok) plain(outcome.faults);
        else if (outcome.what === 'run')
          for (const line of planWhole(outcome.file).lines)
            if (!line.planned) expect(line.fault.why.code).not.toBe('not reckoned');
      }),
      { numRuns: FILES },
    );
  });

  it('of everything are read document by document, and what is read can be learned from and drawn', () => {
    const past = JSON.parse(readFileSync('public/demo-past.json', 'utf8')) as PastFile;
    const everything = JSON.stringify({
      kind: 'snapshot',
      version: 1,
      at: '2026-11-28T16:00',
      why: 'by hand',
      docs: [{ ...DEMO_KITCHEN, beliefs: past.beliefs }, ...past.runs.slice(0, 5)],
    });
    let whole = 0;
    fc.assert(
      fc.property(mutatedOf(everything), (text) => {
        const outcome = bringIn(text);
        if (!outcome.ok) return plain(outcome.faults);
        if (outcome.what !== 'snapshot') return;
        whole += 1;
        const { docs } = outcome.snapshot;
        const runs = docs.filter((doc): doc is RunDoc => doc.kind === 'run');
        const kitchen = docs.find((doc): doc is KitchenDoc => doc.kind === 'kitchen') ?? DEMO_KITCHEN;
        const now = Date.UTC(2026, 10, 28);
        for (const { mean, spread } of withLearned(kitchen, runs, now).beliefs)
          expect([Number.isFinite(mean), Number.isFinite(spread)]).toEqual([true, true]);
        for (const { says, points } of chartsOf(runs, kitchen, (_, of) => of, now)) {
          expect(says).not.toMatch(/NaN|Infinity|undefined/);
          for (const { value } of points) expect(Number.isFinite(value)).toBe(true);
        }
        for (const run of runs) {
          benchStateOf(run.log ?? []);
          comparedRuns(run, runs[0] ?? run);
          expect(logCsv([run])).not.toMatch(/NaN|undefined/);
        }
      }),
      { numRuns: FILES / 2 },
    );
    // Enough of them are still a file of everything: else nothing would be shown.
    expect(whole).toBeGreaterThan(FILES / 20);
  });

  it.each([
    ['deep', '['.repeat(100_000)],
    ['tags without end', '<a'.repeat(MOST_LETTERS / 2)],
    ['opening brackets of tags', `<p>${'<'.repeat(MOST_LETTERS - 10)}`],
    ['scripts without end', '<script type="application/ld+json">'.repeat(100_000)],
    ['a list without end', `{"kind":"run file","version":2,"x":[${'1,'.repeat(1_000_000)}1]}`],
    ['a number without end', `{"kind":"run","version":2,"createdAt":${'9'.repeat(400_000)}}`],
    ['one word', 'a'.repeat(MOST_LETTERS)],
    ['ones', '1 '.repeat(MOST_LETTERS / 2)],
    ['stops', '1. '.repeat(MOST_LETTERS / 3)],
    ['headings of a page', '<h2>For the cake</h2><li>100 g flour</li>'.repeat(MOST_LETTERS / 50)],
    ['too long', ' '.repeat(MOST_LETTERS + 1)],
    ['a recipe of nothing', '{"@type":"Recipe","recipeIngredient":["' + '1 '.repeat(500_000) + '"]}'],
  ])('that are %s are refused or read', (_, text) => {
    const outcome = bringIn(text);
    if (!outcome.ok) plain(outcome.faults);
  });

  it('whose formulas take each other many times over are planned or refused at once', () => {
    const formulas = Array.from({ length: 60 }, (_, i) => ({
      ...DEMO_FORMULAS[0]!,
      id: `f${i}`,
      parts: i < 58 ? [1, 2].map((k) => ({ formulaId: `f${i + k}`, massG: 10 })) : [],
    }));
    const file = { ...FAMILY_FILES.evening!, formulas: [...FAMILY_FILES.evening!.formulas, ...formulas] };
    const line = { ...file.run.lines[0]!, formulaId: 'f0' };
    const read = readRunFile({ ...file, run: { ...file.run, lines: [line] } });
    if (read.ok) expect(planWhole(read.value).lines).toHaveLength(1);
    else plain(read.faults);
  });

  it('with two lines of one id say so at the line', () => {
    const { run } = FAMILY_FILES.evening!;
    const lines = [run.lines[0], run.lines[0]];
    const read = readRunFile({ ...FAMILY_FILES.evening, run: { ...run, lines } });
    expect(read.ok ? [] : read.faults).toMatchObject([
      { field: 'run.lines', fault: 'Two lines have the same id.' },
    ]);
  });

  it.each([
    '2026-02-30T16:00',
    '2026-12-05T24:00',
    '0000-01-01T00:00',
    '2026-13-01T10:00',
    '2026-12-05T16:60',
  ])('%s is no hour', (readyAt) => {
    const { run } = FAMILY_FILES.evening!;
    const read = readRunFile({ ...FAMILY_FILES.evening, run: { ...run, readyAt } });
    expect(read.ok ? '' : read.faults[0]?.field).toBe('run.readyAt');
  });

  it('say which of many missing parts are missing, and no more than a person reads', () => {
    const formulas = Array.from({ length: 400 }, (_, i) => ({
      ...DEMO_FORMULAS[0]!,
      id: `f${i}`,
      parts: Array.from({ length: 20 }, (__, k) => ({ formulaId: `gone-${i}-${k}`, massG: 1 })),
    }));
    const { run } = FAMILY_FILES.evening!;
    const read = readRunFile({ kind: 'run file', version: 2, run, formulas, kitchen: DEMO_KITCHEN });
    plain(read.ok ? [] : read.faults);
  });
});

describe('lines that something happened to', () => {
  const bits = fc.constantFrom(
    ...[
      '1',
      '1/2',
      '½',
      ' ',
      ' to ',
      '-',
      '–',
      '(',
      ')',
      ',',
      '.',
      '/',
      'cup',
      'cups',
      'g',
      'oz',
      'egg',
      'flour',
    ],
    ...[
      '9'.repeat(310),
      '1 ',
      '1e999',
      '\u0000',
      '\u202e',
      'Infinity',
      'NaN',
      '一',
      'of',
      'a dozen',
      'heaped',
      '×',
      ':',
    ],
  );
  it('are read to something finite above nought, or not read', () => {
    fc.assert(
      fc.property(
        fc.array(bits, { maxLength: 14 }).map((parts) => parts.join('')),
        fc.constantFrom('us' as const, 'metric' as const, 'australian' as const),
        (line, measures) => {
          const { status, massG, lowG, highG, fault } = readLine(line, measures);
          for (const mass of [massG, lowG, highG]) expect(Number.isFinite(mass)).toBe(true);
          if (status === 'read') expect(massG).toBeGreaterThan(0);
          if (status === 'unread') expect(fault?.fault.length).toBeGreaterThan(5);
          const field = readNumberField(line);
          if (field !== null) expect(Number.isFinite(field)).toBe(true);
        },
      ),
      { numRuns: LINES },
    );
  });
});
