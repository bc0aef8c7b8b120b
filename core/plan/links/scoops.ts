import type { KitchenDoc } from '../../model/documents';
import type { MethodDef } from '../../process/batter.table';
import { scoopMl } from '../../process/portion';
import type { Figures } from '../figures';
import { scoopsOf } from '../scoops';

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

/** A portion of batter by the scoop, for those who do not weigh: which, how many, and what that really puts in. */
export function addScoops(ledger: Figures, kitchen: KitchenDoc, into: string, usual: MethodDef): void {
  // Whether there is one is asked of the usual density, which no drawing of chances moves.
  if (scoopings(ledger.value('portion.mass') / usual.batterDensity.value, kitchen).length === 0) return;
  const number = ledger.calc(
    'scoop.number',
    'Scoop that comes nearest, its number',
    'pieces',
    'of the scoops under Kitchen, the one that comes nearest to {portion.mass} ÷ {batter.density}',
    (portion = 0, density = 1) => byNearness(portion / density, kitchen)[0]?.number ?? 1,
    'With the fewest level scoops, where several come near.',
    { decide: { step: 1, how: 'nearest', least: 1 } },
  );
  ledger.calc(
    'scoop.volume',
    'A level scoop',
    'ml',
    '946 ÷ {scoop.number}',
    (n = 1) => scoopMl(n),
    'So many level ones as its number says make a US quart of {946 ml}.',
  );
  const count = ledger.calc(
    'scoop.count',
    `Level scoops for ${into}`,
    'pieces',
    '{portion.mass} ÷ {batter.density} ÷ {scoop.volume}, rounded',
    (portion = 0, density = 1, volume = 1) => portion / density / volume,
    'As many as come nearest to the weight. The scale is surer.',
    { decide: { step: 1, how: 'nearest', least: 1 } },
  );
  ledger.calc(
    'scoop.mass',
    count === 1 ? `By one level scoop ${number}` : `By ${count} level scoops ${number}`,
    'g',
    '{scoop.count} × {scoop.volume} × {batter.density}',
    (n = 0, volume = 0, density = 0) => n * volume * density,
    `What that puts into ${into}: hold it against the weight wanted.`,
  );
}
