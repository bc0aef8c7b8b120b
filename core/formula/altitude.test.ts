import fc from 'fast-check';
import type { FormulaDoc } from '../model/documents';
import { DEMO_FORMULAS } from '../../demo';
import { readFormula } from '.';
import { atHeight, isHighFor } from './altitude';

const doc: FormulaDoc = {
  ...(DEMO_FORMULAS[0] as FormulaDoc),
  text: '200 g plain flour\n10 g baking powder\n160 g caster sugar\n100 g milk\n2 eggs',
  ovenC: 175,
};
const known = { doc, read: readFormula(doc, null) };
const at = (m: number) => {
  const high = atHeight(known, m);
  if (!high) throw new Error('high enough');
  return high;
};

describe('a formula at a height', () => {
  it('changes nothing on low ground, nor what is written for the height, nor a frosting', () => {
    expect(atHeight(known, 899)).toBeNull();
    expect(isHighFor({ doc: { ...doc, writtenForM: 1300 } }, 1500)).toBe(false);
    expect(isHighFor({ doc: { ...doc, makes: 'frosting' } }, 1500)).toBe(false);
  });

  it('is worked by hand at 1900 m: two steps of 500 m above 900', () => {
    const { lines, hotterK, ovenC, text } = at(1900);
    // Powder −20 %: 8 g; sugar −4 %: 153.6 g; milk +6 %: 106 g. Flour and eggs stay.
    expect(lines.map(({ name, toG }) => [name, Number(toG.toFixed(1))])).toEqual([
      ['baking powder', 8],
      ['caster sugar', 153.6],
      ['milk', 106],
    ]);
    expect([hotterK, ovenC]).toEqual([8, 183]);
    expect(text).toBe('200 g plain flour\n8 g baking powder\n154 g caster sugar\n106 g milk\n2 eggs');
  });

  it('takes only the way that is left, where a formula is written for another height', () => {
    const half = { ...doc, writtenForM: 1400 };
    const high = atHeight({ doc: half, read: readFormula(half, null) }, 1900);
    expect(high?.lines[0]?.share).toBeCloseTo(-0.1, 9);
  });

  it('moves further the higher it is, never without end', () => {
    const height = fc.double({ min: 900, max: 5000, noNaN: true });
    fc.assert(
      fc.property(height, height, (a, b) => {
        const [low, high] = [at(Math.min(a, b)), at(Math.max(a, b))];
        for (const [i, { share }] of low.lines.entries())
          expect(Math.abs(high.lines[i]?.share ?? 0)).toBeGreaterThanOrEqual(Math.abs(share) - 1e-12);
        expect(high.hotterK).toBeGreaterThanOrEqual(low.hotterK);
        expect(Math.min(...high.lines.map(({ toG }) => toG))).toBeGreaterThan(0);
      }),
    );
  });
});
