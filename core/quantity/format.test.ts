import fc from 'fast-check';
import type { Unit } from '../figure';
import {
  formatDuration,
  formatNumber,
  fromShown,
  inStyle,
  join,
  show,
  showText,
  spoons,
  toShown,
  type NumberStyle,
} from './format';

const OUNCES: NumberStyle = { mass: 'oz', temperature: 'F', decimal: ',' };

describe('figures as people read them', () => {
  it.each<[number, Unit, string, string]>([
    [54.6, 'g', '55 g', '1,93 oz'],
    [6.94, 'g', '6.9 g', '0,24 oz'],
    [0, 'g', '0 g', '0,00 oz'],
    [12345, 'g', '12\u202f345 g', '435,4 oz'],
    [175, '°C', '175 °C', '347 °F'],
    [-5, 'K', '−5 °C', '−9 °F'],
    [1140, 's', '19 min', '19 min'],
    [0.583, 'share', '58 %', '58 %'],
    [1.884, 'times', '×1.88', '×1,88'],
    [3, 'wholes', '3', '3'],
    [2.5, 'wholes', '2.5', '2,5'],
    [1, 'loads', '1 load', '1 load'],
    [17.8, 'mm', '18 mm', '18 mm'],
    [4.66, 'mm', '4.7 mm', '4,7 mm'],
  ])('shows %d %s', (value, unit, plain, other) => {
    expect(showText(value, unit)).toBe(plain);
    expect(showText(value, unit, OUNCES)).toBe(other);
  });

  it.each([
    [45, '45 s'],
    [95, '2 min'],
    [5940, '99 min'],
    [6000, '1 h 40'],
  ])('says %d s as %s', (seconds, text) => expect(join(formatDuration(seconds))).toBe(text));

  it('never shows a minus before nought', () => expect(formatNumber(-0.0001, 1)).toBe('0.0'));

  it('puts measures inside sentences into the reader’s units', () => {
    expect(inStyle('Soft at {18 °C}, {55 g} a well.')).toBe('Soft at 18 °C, 55 g a well.');
    expect(inStyle('Soft at {18 °C}, {55 g} a well.', OUNCES)).toBe('Soft at 64 °F, 1,94 oz a well.');
  });

  it('gives back the same value after being shown and typed in', () => {
    const units = fc.constantFrom<Unit>('g', 'ml', 'mm', '°C', 'K', 's', 'share', 'times');
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 5000, noNaN: true }), units, (value, unit) =>
        [OUNCES, { ...OUNCES, mass: 'g' as const }].every(
          (style) => Math.abs(fromShown(toShown(value, unit, style), unit, style) - value) < 1e-9 * value,
        ),
      ),
    );
  });

  it('shows the ends of a range with the decimals of its value', () => {
    expect(show(9.6, 'g', undefined, 21).number).toBe('10');
  });
});

describe('spoons', () => {
  it.each([
    [11.5, 4.6, '2½ tsp'],
    [0.1, 6, 'a pinch'],
    [13.8, 4.6, '1 tbsp'],
    [16.1, 4.6, '1 tbsp + ½ tsp'],
    [4.6, 4.6, '1 tsp'],
  ])('%d g at %d g a tsp is %s', (massG, perTsp, text) => expect(spoons(massG, perTsp)).toBe(text));

  it('is never more than a sixteenth of a teaspoon off', () => {
    const worth: Record<string, number> = { '⅛': 1, '¼': 2, '⅜': 3, '½': 4, '⅝': 5, '¾': 6, '⅞': 7 };
    fc.assert(
      fc.property(fc.double({ min: 0.4, max: 200, noNaN: true }), (massG) => {
        const text = spoons(massG, 5);
        const tbsp = Number(/(\d+) tbsp/.exec(text)?.[1] ?? 0);
        const tsp = /(\d*)([⅛¼⅜½⅝¾⅞]?) tsp/.exec(text);
        const eighths = tbsp * 24 + Number(tsp?.[1] || 0) * 8 + (worth[tsp?.[2] ?? ''] ?? 0);
        return Math.abs((eighths / 8) * 5 - massG) <= 5 / 16 + 1e-9;
      }),
    );
  });
});
