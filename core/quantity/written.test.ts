import fc from 'fast-check';
import { readLine, type ReadLine } from './line';
import type { Measures } from './units.table';
import { WRITTEN_LINES } from './test-utils/writtenLines';

interface Meant {
  readonly text: string;
  readonly measures: Measures;
  readonly grams: number;
  readonly tolerance: number;
  readonly name: string;
}

const meant = WRITTEN_LINES.map((row): Meant => {
  const [text = '', measures = '', grams = '', tolerance = '', ...name] = row.split('|');
  return {
    text,
    measures: measures as Measures,
    grams: Number(grams),
    tolerance: Number(tolerance),
    name: name.join('|'),
  };
});

const allOf = (line: ReadLine): readonly ReadLine[] => [line, ...line.also];
const gramsOf = (line: ReadLine) => allOf(line).reduce((sum, { massG }) => sum + massG, 0);
const asks = (line: ReadLine) => allOf(line).some(({ status }) => status === 'unread');

/** What a line was read as where that is not what was meant; null where it is. */
function misread({ text, measures, grams, tolerance, name }: Meant): string | null {
  const line = readLine(text, measures);
  const got = gramsOf(line);
  const told = `${text} → ${line.status} ${got.toFixed(1)} ${allOf(line)
    .map((one) => one.name)
    .join(' & ')}`;
  if (name.startsWith('ASK')) return asks(line) && got === 0 ? null : told;
  if (name === 'NONE' || name === 'NOT') return got === 0 && !asks(line) ? null : told;
  const named = allOf(line).some(
    (one) => new RegExp(name, 'i').test(`${one.name}`) || new RegExp(name, 'i').test(one.called),
  );
  return line.status === 'read' && named && Math.abs(got / grams - 1) <= tolerance + 1e-9 ? null : told;
}

describe('lines in many ways of writing', () => {
  it('come to what their writers mean, or are asked about', () => {
    expect(meant.length).toBeGreaterThan(300);
    expect(meant.flatMap((one) => misread(one) ?? [])).toEqual([]);
  });

  it.each<[string, readonly (readonly [string, number])[]]>([
    [
      '200 g flour, 100 g sugar, 2 eggs',
      [
        ['plain flour', 200],
        ['granulated sugar', 100],
        ['egg', 100],
      ],
    ],
    [
      '100 g each of butter and sugar',
      [
        ['butter', 100],
        ['granulated sugar', 100],
      ],
    ],
    [
      'zest and juice of 2 limes',
      [
        ['lime zest', 6],
        ['lime juice', 56],
      ],
    ],
    [
      'flour 200g, sugar 100g',
      [
        ['plain flour', 200],
        ['granulated sugar', 100],
      ],
    ],
    [
      '1 egg beaten with 2 tsp water',
      [
        ['egg', 50],
        ['water', 10],
      ],
    ],
  ])('"%s" are several things', (text, things) => {
    const all = allOf(readLine(text, 'metric')).map(({ name, massG }) => [name, Math.round(massG)]);
    expect(all).toEqual(things);
  });

  it('takes what may be used instead for no more of it', () => {
    const line = readLine('150 g butter or 120 ml oil', 'metric');
    expect([line.name, line.massG, line.also.length]).toEqual(['butter', 150, 0]);
    expect(line.notices.map(({ fault }) => fault).join()).toMatch(/120 ml oil.+instead/);
    expect(readLine('or 200 g margarine', 'us')).toMatchObject({ status: 'note', massG: 0 });
  });

  it('says where it had to choose', () => {
    expect(readLine('11/2 cups flour', 'us').notices[0]?.fault).toMatch(/read as 1 and 1\/2/);
    expect(readLine('Flour: 200', 'metric').notices[0]?.fault).toMatch(/taken for grams/);
  });
});

const WORDS =
  '1 2 200 ½ 3/4 1.000 0,5 g ml cup cups tbsp kg tin (400 g) ( ) , ; : + plus minus or and with each of - – x % °C butter flour sugar eggs milk chocolate powder paste zest juice lemon whites size large a half dozen pinch size of an egg to taste about'.split(
    ' ',
  );

describe('whatever is written', () => {
  it('is read without a fault, a hang, an endless number, or an amount below nought', () => {
    const line = fc.oneof(
      fc.array(fc.constantFrom(...WORDS), { maxLength: 14 }).map((words) => words.join(' ')),
      fc.string({ maxLength: 120, unit: 'grapheme' }),
      fc.string({ maxLength: 60, unit: fc.constantFrom(...'0123456789/.,½-–()[] gmcupx×%') }),
    );
    fc.assert(
      fc.property(line, fc.constantFrom<Measures>('us', 'metric', 'australian'), (text, measures) => {
        const read = readLine(text, measures);
        for (const { massG, lowG, highG, raw } of allOf(read)) {
          expect(raw).toBe(text);
          expect(Number.isFinite(massG) && massG >= 0 && Number.isFinite(lowG) && highG >= massG).toBe(true);
        }
      }),
      { numRuns: 3000 },
    );
  });

  it('weighs nothing where there is neither a figure nor a number word', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('butter', 'flour', 'fine', 'sugar', ',', 'sifted'), { maxLength: 8 }),
        (words) => {
          expect(gramsOf(readLine(words.join(' '), 'us'))).toBe(0);
        },
      ),
    );
  });
});
