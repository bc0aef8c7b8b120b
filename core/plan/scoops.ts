import type { KitchenDoc } from '../model/documents';

/** Scoops that dough is portioned with where a kitchen has named none of its own, by their number. */
const USUAL_SCOOPS = [60, 50, 40, 30] as const;

/** The scoops of a kitchen, each number once and the smallest first; the usual ones where it has none. */
export function scoopsOf(kitchen: KitchenDoc): readonly { readonly number: number; readonly name: string }[] {
  const own = new Map((kitchen.scoops ?? []).map(({ number, name }) => [number, name]));
  if (own.size === 0) return USUAL_SCOOPS.map((number) => ({ number, name: `A level scoop ${number}` }));
  return [...own]
    .sort(([a], [b]) => b - a)
    .map(([number, name]) => ({ number, name: `${name}, level (number ${number})` }));
}
