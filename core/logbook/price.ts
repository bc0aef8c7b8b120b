import type { KitchenDoc, Money } from '../model/documents';
import type { LinePlan } from '../plan';
import type { RunDay } from '../schedule/chores';

/** What pieces cost to make, by what it goes for, in the person's own money; null where nobody has said a price of it. */
export interface PriceAsked {
  readonly pieces: number;
  /** What is used up of what has a price, and how many things have none. */
  readonly used: number | null;
  readonly unpriced: number;
  readonly handsMin: number;
  readonly energyKWh: number;
  readonly money: Money;
}

export interface Price {
  readonly ingredients: number | null;
  readonly work: number | null;
  readonly energy: number | null;
  readonly wrap: number | null;
  /** Of one piece, of what is known. */
  readonly cost: number;
  /** With the margin on top. */
  readonly price: number;
  /** What is not in it. */
  readonly missing: readonly ('ingredients' | 'some ingredients' | 'work' | 'energy' | 'wrap')[];
}

/** What one piece costs, and what it has to be sold for so that the margin is its share of the price. */
export function priceOf({ pieces, used, unpriced, handsMin, energyKWh, money }: PriceAsked): Price {
  if (pieces <= 0) throw new Error('invariant: there are pieces to be sold');
  const each = (whole: number | null) => (whole === null ? null : whole / pieces);
  const parts = {
    ingredients: each(used),
    work: each(money.hour === null ? null : (money.hour * handsMin) / 60),
    energy: each(money.kWh === null ? null : money.kWh * energyKWh),
    wrap: money.wrap,
  };
  const cost = Object.values(parts).reduce<number>((sum, one) => sum + (one ?? 0), 0);
  const missing: Price['missing'] = (['ingredients', 'work', 'energy', 'wrap'] as const).filter(
    (key) => parts[key] === null,
  );
  return {
    ...parts,
    cost,
    price: cost / (1 - money.margin),
    missing: parts.ingredients !== null && unpriced > 0 ? ['some ingredients', ...missing] : missing,
  };
}

/** A price that people say: to five hundredths under ten, to tenths under a hundred, else whole. Never under what was reckoned. */
export function roundPrice(price: number): number {
  const step = price < 10 ? 0.05 : price < 100 ? 0.1 : 1;
  return Math.round(Math.ceil(price / step - 1e-9) * step * 100) / 100;
}

/** What an oven draws on the average once it is hot, kW, and how long it heats, min. Basis: typical of household ovens. */
const OVEN = { kW: 1.1, heatMin: 15 } as const;
/** What a microwave draws, of what it is rated to give. Basis: typical. */
const MICROWAVE_DRAWS = 1.5;

/** Current that the heat of a line draws, kWh; about, as nobody has measured it. */
export function energyOf(
  { parts }: Pick<LinePlan, 'parts'>,
  { microwaves = [] }: Pick<KitchenDoc, 'microwaves'>,
): number {
  const { clocked, micro } = parts;
  if (!clocked) return 0;
  const hours = (clocked.sizes.length * clocked.time.value) / 3600;
  if (!micro) return OVEN.kW * (hours + OVEN.heatMin / 60);
  const watts = Math.max(0, ...microwaves.map(({ ratedW }) => ratedW));
  return (watts / 1000) * MICROWAVE_DRAWS * hours;
}

/** Work of a day that goes to one line, min: a step for several lines is shared out evenly. */
export function handsOf(day: Pick<RunDay, 'chores'>, lineId: string): number {
  return day.chores.reduce((sum, { chore, startMin, endMin }) => {
    if (chore.kind !== 'hands' || !chore.lineIds.includes(lineId)) return sum;
    return sum + (startMin - endMin) / chore.lineIds.length;
  }, 0);
}
