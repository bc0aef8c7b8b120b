import fc from 'fast-check';
import { FAMILY_FILES } from '../../demo/families';
import type { RunFile } from '../model/documents';
import { planWhole } from '../plan';
import {
  LABEL_EDGE_MM,
  LABEL_SHEETS,
  brokenInto,
  labelIngredients,
  labelsSvg,
  lettersFor,
  placesOn,
  type LabelParagraph,
} from './label';

const EVENING = FAMILY_FILES.evening as RunFile;
const of = (id: string) => {
  const run = { ...EVENING.run, lines: EVENING.run.lines.filter((line) => line.id === id) };
  const file = { ...EVENING, run };
  return labelIngredients(run, planWhole(file));
};

describe('ingredients on a label', () => {
  it('stand by descending mass, each once, and nothing that is not eaten', () => {
    for (const { id } of EVENING.run.lines) {
      const all = of(id);
      expect(all.length).toBeGreaterThan(1);
      for (const [i, { massG }] of all.entries())
        expect(massG).toBeLessThanOrEqual(all[i - 1]?.massG ?? Infinity);
      const names = all.map(({ name }) => name);
      expect(new Set(names).size).toBe(names.length);
      expect(names.join(' ')).not.toMatch(/stick|cases|board/);
    }
  });

  it('know what is allergenic in them, and say where nobody can know', () => {
    const pops = of('pops-fresh');
    const butter = pops.find(({ name }) => name.includes('butter'));
    expect(butter?.holds.allergens).toContain('milk');
    expect(pops.some(({ holds }) => holds.allergens.includes('gluten'))).toBe(true);
    expect(pops.find(({ name }) => name === 'pumpkin seeds')?.massG).toBeCloseTo(16 * 1.2, 6);
    // Leftover cake: nobody knows its packet.
    const balls = of('balls-leftover');
    expect(balls.some(({ holds }) => holds.packets.length > 0)).toBe(true);
  });
});

describe('sheets of labels', () => {
  it.each(LABEL_SHEETS)('$name: all labels lie on their sheet, beside each other', (sheet) => {
    const places = placesOn(sheet);
    expect(places).toHaveLength(sheet.columns * sheet.rows);
    for (const { x, y } of places) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(y).toBeGreaterThanOrEqual(0);
      expect(x + sheet.wide).toBeLessThanOrEqual(sheet.pageWide + 1e-9);
      expect(y + sheet.high).toBeLessThanOrEqual(sheet.pageHigh + 1e-9);
    }
    for (const [i, a] of places.entries())
      for (const b of places.slice(i + 1))
        expect(Math.abs(a.x - b.x) >= sheet.wide - 1e-9 || Math.abs(a.y - b.y) >= sheet.high - 1e-9).toBe(
          true,
        );
  });

  it('are drawn in millimetres, with nobody’s words taken for marks', () => {
    const [sheet] = LABEL_SHEETS;
    if (!sheet) throw new Error('no sheet');
    const paragraphs = [{ runs: [{ text: '<script>alert("&")</script>', strong: true }] }];
    const svg = labelsSvg(sheet, [{ paragraphs, mm: 3 }]);
    expect(svg).toContain('width="210mm" height="297mm" viewBox="0 0 210 297"');
    expect(svg).not.toContain('<script');
    expect(svg).toContain('&lt;script&gt;');
    expect(svg.match(/<text/g)).toHaveLength(1);
  });
});

describe('words on a label', () => {
  const word = fc.string({ minLength: 1, maxLength: 12, unit: fc.constantFrom(...'abcdmwil,') });
  const paragraph: fc.Arbitrary<LabelParagraph> = fc
    .array(fc.tuple(fc.array(word, { minLength: 1, maxLength: 12 }), fc.boolean()), {
      minLength: 1,
      maxLength: 5,
    })
    .map((runs) => ({ runs: runs.map(([words, strong]) => ({ text: `${words.join(' ')} `, strong })) }));

  it('are all there, in their order and their look, however lines are broken', () => {
    fc.assert(
      fc.property(
        paragraph,
        fc.integer({ min: 20, max: 90 }),
        fc.integer({ min: 18, max: 42 }),
        (one, wide, tenths) => {
          const lines = brokenInto(one, wide, tenths / 10);
          const plain = (runs: readonly { readonly text: string; readonly strong?: boolean }[]) =>
            runs
              .flatMap(({ text, strong }) => [...text].map((letter) => `${letter}${strong ? '*' : ''}`))
              .join('');
          expect(plain(lines.flat())).toBe(plain(one.runs));
        },
      ),
    );
  });

  it('are as large as they fit, smaller where there are more of them or less room', () => {
    const text = (n: number): LabelParagraph[] => [{ runs: [{ text: 'plain flour, '.repeat(n) }] }];
    const size = { wide: 63.5, high: 38.1 };
    const of = (n: number, at = size) => lettersFor(text(n), at) ?? 0;
    expect(of(1)).toBe(4.2);
    for (const n of [5, 10, 20, 40]) expect(of(n)).toBeLessThanOrEqual(of(n - 4));
    expect(of(20, { wide: 99.1, high: 67.7 })).toBeGreaterThan(of(20));
    expect(lettersFor(text(400), size)).toBeNull();
    // A word that is wider than the label does not fit at all.
    expect(lettersFor([{ runs: [{ text: 'm'.repeat(80) }] }], size)).toBeNull();
    expect(LABEL_EDGE_MM * 2).toBeLessThan(size.high);
  });
});
