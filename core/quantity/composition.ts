import { PARTS_BY_ROLE, PARTS_OF } from './composition.table';
import type { Ingredient } from './ingredient';

/** Shares of a mass, 0 to 1. */
export interface Composition {
  readonly water: number;
  readonly fat: number;
  readonly sugar: number;
}

/** What an ingredient usually holds: its own figures, or those of its kind. Basis: typical. */
export function compositionOf({ key, role }: Pick<Ingredient, 'key' | 'role'>): Composition {
  const [water, fat, sugar] = PARTS_OF[key] ?? PARTS_BY_ROLE[role];
  return { water: water / 100, fat: fat / 100, sugar: sugar / 100 };
}

interface Weighed {
  readonly ingredient: Ingredient | null;
  readonly massG: number;
}

/** Water, fat and sugar of some lines together, g, and of how much of them it is known, g. */
export function heldIn(lines: readonly Weighed[]): Composition & { readonly ofG: number } {
  return lines.reduce(
    (sum, { ingredient, massG }) => {
      if (!ingredient) return sum;
      const { water, fat, sugar } = compositionOf(ingredient);
      return {
        water: sum.water + water * massG,
        fat: sum.fat + fat * massG,
        sugar: sum.sugar + sugar * massG,
        ofG: sum.ofG + massG,
      };
    },
    { water: 0, fat: 0, sugar: 0, ofG: 0 },
  );
}
