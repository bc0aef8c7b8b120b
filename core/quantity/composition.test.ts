import { compositionOf, heldIn } from './composition';
import { PARTS_BY_ROLE, PARTS_OF } from './composition.table';
import { INGREDIENTS, ingredientOf } from './ingredients.table';

const of = (key: string, massG: number) => {
  const ingredient = ingredientOf(key);
  if (!ingredient) throw new Error(`no ingredient "${key}"`);
  return { ingredient, massG };
};

describe('what ingredients hold', () => {
  it('is known of every ingredient of the table, and never more than all of it', () => {
    expect(INGREDIENTS.length).toBeGreaterThanOrEqual(450);
    for (const one of INGREDIENTS) {
      const { water, fat, sugar } = compositionOf(one);
      expect(Math.min(water, fat, sugar)).toBeGreaterThanOrEqual(0);
      expect(water + fat + sugar).toBeLessThanOrEqual(1.0001);
    }
  });

  it('is told of no ingredient that the table has not', () => {
    expect(Object.keys(PARTS_OF).filter((key) => ingredientOf(key) === null)).toEqual([]);
    expect(Object.keys(PARTS_BY_ROLE)).toEqual(
      expect.arrayContaining([...new Set(INGREDIENTS.map(({ role }) => role))]),
    );
  });

  it('adds up: a pound cake by hand', () => {
    // 250 g each: flour 32.5 water; butter 40 water, 205 fat; sugar 2.5 water; eggs 190 water, 25 fat.
    const { water, fat, sugar, ofG } = heldIn([
      of('plain flour', 250),
      of('butter', 250),
      of('granulated sugar', 250),
      of('egg', 250),
    ]);
    expect(water).toBeCloseTo(265, 6);
    expect(fat).toBeCloseTo(2.5 + 205 + 25, 6);
    expect(sugar).toBeCloseTo(2.5 + 2.5 + 242.5, 6);
    expect(ofG).toBe(1000);
  });
});
