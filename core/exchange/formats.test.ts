import fc from 'fast-check';
import Papa from 'papaparse';
import { DEMO_FORMULAS, DEMO_KITCHEN, demoRuns } from '../../demo';
import { formulaSchema, type FormulaDoc } from '../model/documents';
import { bringIn } from './bringIn';
import { csvText } from './csv';
import { readFormula } from '../formula';
import { recipeLd, recipeMarkdown } from './recipe';
import { INGREDIENTS } from '../quantity';
import { logCsv } from '../logbook/logCsv';
import { beliefsCsv, ingredientsCsv, outcomesCsv } from './tables';

const rowsOf = (text: string): string[][] => {
  const read = Papa.parse<string[]>(text, { delimiter: ',', newline: '\r\n' });
  expect(read.errors).toEqual([]);
  // Each row ends in a line break: after the last one there is nothing.
  expect(read.data.at(-1)).toEqual(['']);
  return read.data.slice(0, -1);
};

describe('the table of ingredients', () => {
  it('has every ingredient once, with what one weighs, and the things of one’s own behind them', () => {
    const own = { name: 'quark, "dry"', like: null, cupG: 230, packG: { tub: 250 } };
    const [head, ...rows] = rowsOf(ingredientsCsv({ ownThings: [own] }));
    expect(rows).toHaveLength(INGREDIENTS.length + 1);
    const at = (row: readonly string[] | undefined, name: string) => row?.[head?.indexOf(name) ?? -1];
    const egg = rows.find((row) => at(row, 'key') === 'egg');
    expect(Number(at(egg, 'one_g'))).toBeGreaterThan(40);
    expect(at(egg, 'allergens')).toContain('egg');
    expect([at(rows.at(-1), 'name'), at(rows.at(-1), 'packs_g'), at(rows.at(-1), 'own')]).toEqual([
      'quark, "dry"',
      'tub 250',
      'true',
    ]);
  });
});

describe('a table', () => {
  it('is read by an independent parser as it was written, whatever stands in its cells', () => {
    // What begins like a sum is the one thing that is changed.
    const text = fc.string().filter((one) => !/^\s*[=+\-@]/.test(one));
    fc.assert(
      fc.property(fc.array(fc.array(text, { minLength: 2, maxLength: 4 }), { maxLength: 8 }), (rows) => {
        const wide = rows.map((row) => [...row, 'x', 'x', 'x'].slice(0, 4));
        expect(rowsOf(csvText(['a', 'b', 'c', 'd'], wide))).toEqual([['a', 'b', 'c', 'd'], ...wide]);
      }),
    );
  });

  it('carries no sum into a spreadsheet', () => {
    const [, row] = rowsOf(csvText(['a'], [['=HYPERLINK("x")']]));
    expect(row).toEqual([`'=HYPERLINK("x")`]);
    expect(rowsOf(csvText(['a', 'b'], [[-3.5, null]]))[1]).toEqual(['-3.5', '']);
  });

  it('holds the log, the outcomes and what the kitchen knows, a thing a row', () => {
    const [run] = demoRuns('2026-11-25T09:30');
    if (!run) throw new Error('the demo has runs');
    const at = Date.UTC(2026, 10, 28, 15);
    const told = {
      ...run,
      log: [
        { id: 'a', at, what: 'done' as const, chore: 'pops/bind', lineIds: ['pops'] },
        {
          id: 'b',
          at: at + 1,
          what: 'weighed' as const,
          chore: 'pops/roll',
          lineIds: ['pops'],
          of: 'portion',
          massG: 24.5,
        },
        { id: 'c', at: at + 2, what: 'lost' as const, lineId: 'pops', pieces: 2 },
      ],
      closed: {
        at: at + 9,
        made: 34,
        finish: 'flat' as const,
        note: 'Two, "stuck"',
        evidence: [
          {
            id: 'e',
            param: 'bake.factor',
            of: ['oven:a', 'kitchen'],
            at,
            lineId: 'pops',
            low: null,
            high: 1.1,
            start: { value: 1, spread: 0.11 },
            taken: 'yes' as const,
          },
        ],
      },
    };
    const log = rowsOf(logCsv([told]));
    expect(log).toHaveLength(5);
    expect(log[2]?.slice(2)).toEqual([
      new Date(at + 1).toISOString(),
      'weighed',
      'pops',
      'pops/roll',
      'portion',
      '24.5',
    ]);
    expect(log[4]?.slice(3)).toEqual(['closed', '', '', 'Two, "stuck"', '34']);
    expect(rowsOf(outcomesCsv([told]))[1]?.slice(4, 8)).toEqual(['bake.factor', 'oven:a', '', '1.1']);
    const belief = {
      param: 'bake.factor',
      of: 'oven:a',
      mean: 1.06,
      spread: 0.04,
      seen: 3,
      since: null,
      learned: true,
    };
    expect(rowsOf(beliefsCsv({ beliefs: [belief] }))[1]).toEqual([
      'bake.factor',
      'This oven and batter against the usual',
      'times',
      'oven:a',
      '1.06',
      '0.04',
      '3',
      '',
      'true',
    ]);
    expect(rowsOf(beliefsCsv(DEMO_KITCHEN))).toHaveLength(1 + DEMO_KITCHEN.beliefs.length);
  });
});

describe('a formula as a Recipe', () => {
  it('comes back with its name, its lines and its steps, for every formula of the demo', () => {
    for (const doc of DEMO_FORMULAS) {
      const read = bringIn(recipeLd(doc, readFormula(doc, null).holds));
      if (!read.ok || read.what !== 'formulas') throw new Error(`${doc.name} is not read`);
      const back = read.formulas[0] as FormulaDoc | undefined;
      const lines = (text: string) =>
        text
          .split('\n')
          .map((one) => one.trim())
          .filter(Boolean);
      expect(back?.name).toBe(doc.name);
      expect(lines(back?.text ?? '')).toEqual(lines(doc.text));
      expect(lines(back?.steps ?? '').join(' ')).toBe(lines(doc.steps).join(' '));
    }
  });

  it('has what the published shape asks for, and ends no script that it stands in', () => {
    const [doc] = DEMO_FORMULAS as [FormulaDoc];
    const hostile = formulaSchema.parse({ ...doc, name: '</script><b>x', statedPieces: 12, statedMin: 20 });
    const text = recipeLd(hostile, { allergens: ['milk'], packets: [{ name: 'moon dust', known: false }] });
    expect(text).not.toContain('</');
    const read = JSON.parse(text) as Record<string, unknown>;
    expect(read).toMatchObject({
      '@context': 'https://schema.org',
      '@type': 'Recipe',
      name: '</script><b>x',
      description: 'Not known: read the packet of "moon dust". Contains milk.',
      recipeYield: '12 pieces',
      cookTime: 'PT20M',
    });
    expect(Array.isArray(read.recipeIngredient)).toBe(true);
  });

  it('is read by people as Markdown, its signs as themselves', () => {
    const [doc] = DEMO_FORMULAS as [FormulaDoc];
    const text = recipeMarkdown(
      { ...doc, name: 'A *bold* cake', text: '200 g flour\n\n2 eggs', steps: 'Mix.\nBake.' },
      { allergens: ['gluten', 'wheat', 'egg'], packets: [] },
    );
    expect(text).toBe(
      `# A \\*bold\\* cake\n\n${[doc.statedPieces ? `${doc.statedPieces} pieces` : '', `${doc.ovenC} °C`, doc.statedMin ? `${doc.statedMin} min` : ''].filter(Boolean).join(', ')}\n\nContains gluten (wheat), egg.\n\n- 200 g flour\n- 2 eggs\n\n1. Mix.\n2. Bake.\n`,
    );
  });
});
