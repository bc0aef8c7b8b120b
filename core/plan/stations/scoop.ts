import { calls, measure, over, says, times, type Ref } from '../../figure';
import type { KitchenDoc } from '../../model/documents';
import type { MethodDef } from '../../process/batter.table';
import { QUART_ML, scoopMl } from '../../process/portion';
import type { PlanFigures } from '../figures';
import { SCOOP } from './scoop.words';

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

/** Off the weight by less than this share, the fewer scoops are taken. Basis: what levelling by hand comes to. */
const NEAR_ENOUGH = 0.04;
const MOST_SCOOPS = 4;
/** Further off than this share, a portion is not to be had by that scoop. */
const TOO_FAR = 0.35;

/** So many level ones of a scoop. */
export interface Scooping {
  readonly number: number;
  readonly name: string;
  readonly count: number;
}

/** Every scoop of the kitchen, filled as often as comes nearest to a volume (ml): the nearest first, of near ones the fewest. */
function byNearness(wantedMl: number, kitchen: KitchenDoc): readonly (Scooping & { readonly off: number })[] {
  return scoopsOf(kitchen)
    .map(({ number, name }) => {
      const count = Math.min(Math.max(Math.round(wantedMl / scoopMl(number)), 1), MOST_SCOOPS);
      const off = Math.abs((count * scoopMl(number)) / wantedMl - 1);
      return { number, name, count, off, far: Math.max(off - NEAR_ENOUGH, 0) };
    })
    .sort((a, b) => a.far - b.far || a.count - b.count || a.off - b.off);
}

/** The scoops of the kitchen that a volume (ml) is to be had by, the nearest first. */
export const scoopings = (wantedMl: number, kitchen: KitchenDoc): readonly Scooping[] =>
  byNearness(wantedMl, kitchen)
    .filter(({ off }) => off <= TOO_FAR)
    .map(({ number, name, count }) => ({ number, name, count }));

/**
 * A portion of batter by the scoop, for those who do not weigh: which, how many, and what that really puts in. Null where
 * no scoop of the kitchen comes near.
 */
export function addScoops(
  f: PlanFigures,
  kitchen: KitchenDoc,
  into: string,
  usual: MethodDef,
  portion: Ref<'g'>,
  density: Ref<'g/ml'>,
): Ref<'g'> | null {
  // Whether there is one is asked of the usual density, which no drawing of chances moves.
  if (scoopings(portion.value / usual.batterDensity.value, kitchen).length === 0) return null;
  const number = f.sum(
    'scoop.number',
    SCOOP.number,
    'pieces',
    calls(
      '1',
      (v) => byNearness(v.portion / v.density, kitchen)[0]?.number ?? 1,
      { portion, density },
      says`of the scoops under Kitchen, the one that comes nearest to ${over(portion, density)}`,
    ),
    { decide: { step: 1, how: 'nearest', least: 1, said: '' } },
  );
  const volume = f.sum('scoop.volume', SCOOP.volume, 'ml', over(measure(QUART_ML, 'ml'), number));
  const count = f.sum('scoop.count', SCOOP.count(into), 'pieces', over(over(portion, density), volume), {
    decide: { step: 1, how: 'nearest', least: 1 },
  });
  return f.sum(
    'scoop.mass',
    SCOOP.mass(into, count.value, number.value),
    'g',
    times(times(count, volume), density),
  );
}
