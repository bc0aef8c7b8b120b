import type { Amount } from '../amount';
import { EGG_SIZE_G, FILLING_FACTOR, PIECE_SPREAD_SHARE, type Ingredient } from '../ingredients.table';
import type { Fault } from '../fault';
import type { OwnKitchen } from '../own';
import { singular } from '../plural';
import { TABLE_CUP_ML, TABLE_TSP_ML, type Measures } from '../units.table';
import type { Sum, Thing } from './things';

/** A handful that was weighed once still differs from hand to hand: half the 10–90 width as a share. Basis: typical. */
const OWN_SPREAD_SHARE = 0.1;
/** A measure and a weight on one line may differ by this share before it is pointed out. */
const CONFLICT_SHARE = 0.15;

/** One way in which a line says how much, weighed; without a mass where it cannot be known. */
export interface Read {
  readonly amount: Amount;
  readonly massG: number | null;
  readonly spreadG: number;
  readonly reading: string;
}

/** What an amount is weighed by. */
export interface Weighing {
  readonly ingredient: Ingredient | null;
  readonly measures: Measures;
  /** The line, for what it says of filling a cup, of the size of eggs, of heaped spoons. */
  readonly text: string;
  readonly own: OwnKitchen;
}

/** The mass of an amount of an ingredient, or null where it cannot be known. */
function weigh(amount: Amount, { ingredient, measures, text, own }: Weighing): Read {
  const { unit } = amount;
  const factor = amount.factor * heapedBy(amount, ingredient, measures);
  const value = amount.value * factor;
  const stated = ((amount.high - amount.low) / 2) * factor;
  const read = (perUnitG: number | null, share: number, reading: string): Read => ({
    amount,
    massG: perUnitG === null ? null : value * perUnitG,
    spreadG: perUnitG === null ? 0 : Math.hypot(value * perUnitG * share, stated * perUnitG),
    reading,
  });
  const at = (perUnitG: number, share: number, tail = '') =>
    read(perUnitG, share, `${amount.text} at {${trim(perUnitG)} g}${tail}`);
  if (!unit) {
    const pieceG = pieceMass(ingredient, measures, text);
    const share = ingredient?.role === 'egg' ? PIECE_SPREAD_SHARE.egg : PIECE_SPREAD_SHARE.other;
    return pieceG === null ? read(null, share, '') : at(pieceG, share, ' each');
  }
  const size = unit.size[measures];
  const usual = ingredient?.packG?.[unit.key];
  switch (unit.kind) {
    case 'mass':
      if (unit.key !== 'stick') return read(size, unit.spreadShare, '');
      // Butter comes by the stick; cinnamon and celery by another one.
      if (usual !== undefined) return at(usual, PIECE_SPREAD_SHARE.other, ' each');
      return ingredient?.role === 'fat' ? at(size, unit.spreadShare) : read(null, 0, '');
    case 'personal': {
      const told = own.ownMeasures ?? {};
      const weighed = Object.prototype.hasOwnProperty.call(told, unit.key) ? told[unit.key] : undefined;
      if (weighed !== undefined) return at(weighed, OWN_SPREAD_SHARE, ', as weighed here');
      const strong = unit.key === 'little' && ingredient?.tspG !== undefined;
      return at(
        (unit.key === 'scoop' ? usual : undefined) ?? (strong ? LITTLE_OF_STRONG_G : size),
        unit.spreadShare,
      );
    }
    case 'pack':
      return usual === undefined ? read(null, 0, '') : at(usual, unit.spreadShare, ' each');
    case 'volume': {
      const density = densityOf(ingredient, unit.key, text);
      return density === null ? read(null, 0, '') : at(size * density, unit.spreadShare, ` a ${unit.key}`);
    }
  }
}

/** A little of salt or spice, g. Basis: typical. */
const LITTLE_OF_STRONG_G = 0.5;

const SPOONS: ReadonlySet<string> = new Set(['tsp', 'tbsp', 'dsp']);
const WET_ROLES: ReadonlySet<string> = new Set(['liquid', 'fat', 'egg', 'acid']);
/** Heaped and rounded spoons of dry things in British use, against what the words mean elsewhere. Basis: typical. */
const BRITISH_HEAP = { heaped: 1.6 / 1.25, rounded: 1.5 / 1.15 } as const;

function heapedBy({ unit, text }: Amount, ingredient: Ingredient | null, measures: Measures): number {
  if (measures === 'us' || !unit || !SPOONS.has(unit.key)) return 1;
  if (ingredient && (WET_ROLES.has(ingredient.role) || (ingredient.cupG ?? 0) > 300)) return 1;
  if (/\bheap/i.test(text)) return BRITISH_HEAP.heaped;
  return /\brounded\b/i.test(text) ? BRITISH_HEAP.rounded : 1;
}

function pieceMass(ingredient: Ingredient | null, measures: Measures, text: string): number | null {
  if (!ingredient?.pieceG) return null;
  if (ingredient.role !== 'egg') return ingredient.pieceG;
  const sizes = EGG_SIZE_G[measures];
  const named = /\b(extra[- ]large|small|medium|large|jumbo)\b/i
    .exec(text)?.[1]
    ?.toLowerCase()
    .replace('-', ' ');
  const wholeG = named ? (sizes[named] ?? 50) : 50;
  // Whites and yolks grow with the egg: their share of a 50 g egg stays.
  return wholeG * (ingredient.pieceG / 50);
}

const SMALL: ReadonlySet<string> = new Set(['tsp', 'tbsp', 'dsp', 'drop']);

/** g per ml of the ingredient as it lies in that measure; null where the table does not say. */
function densityOf(ingredient: Ingredient | null, unit: string, text: string): number | null {
  if (!ingredient) return null;
  const bySpoon = ingredient.tspG === undefined ? null : ingredient.tspG / TABLE_TSP_ML;
  const byCup = ingredient.cupG === undefined ? null : ingredient.cupG / TABLE_CUP_ML;
  const density = SMALL.has(unit) ? (bySpoon ?? byCup) : (byCup ?? bySpoon);
  if (density === null) return null;
  const filling = FILLING_FACTOR.find(({ key, word }) => key === ingredient.key && word.test(text));
  return density * (filling?.factor ?? 1);
}

const trim = (value: number) => String(Number(value.toPrecision(value >= 100 ? 3 : 2)));

/** Amounts added up, and what is taken off again. */
function addUp(sum: Sum, by: Weighing): Read {
  const [first, ...more] = sum.map(({ amount, sign }) => ({ sign, read: weigh(amount, by) }));
  if (!first) throw new Error('invariant: a sum of no amounts');
  return more.reduce(
    (all, { sign, read }) => ({
      amount: all.amount,
      massG: all.massG === null || read.massG === null ? null : all.massG + sign * read.massG,
      spreadG: Math.hypot(all.spreadG, read.spreadG),
      reading: [all.reading, read.reading].filter(Boolean).join(sign < 0 ? ' − ' : ' + '),
    }),
    first.read,
  );
}

/** Every way in which a thing says how much; the size of one goes with the number of them. */
export function readsOf({ sums, sizeOfOne }: Thing, by: Weighing): Read[] {
  const reads = sums.map((sum) => addUp(sum, by));
  const [first] = reads;
  const size = reads.at(-1);
  if (!sizeOfOne || !first || !size || size === first || size.massG === null) return reads;
  const count = first.amount.value;
  const pack = first.amount.unit?.kind === 'pack' ? first.amount.unit.key : (by.ingredient?.name ?? '');
  const amount: Amount = { ...size.amount, packs: { count, one: pack } };
  return [
    {
      amount,
      massG: size.massG * count,
      spreadG: size.spreadG * count,
      reading: `${first.amount.text} of {${trim(size.massG)} g}`,
    },
  ];
}

/** Eggs go by count; all else by weight where one is given, since a weight does not depend on how a cup was filled. */
export function pick(reads: readonly Read[], ingredient: Ingredient | null): Read | null {
  const known = reads.filter((read) => read.massG !== null);
  const counted = ingredient?.role === 'egg' ? known.find((read) => read.amount.unit === null) : undefined;
  const weights = known.filter(
    (read) => read.amount.unit?.kind === 'mass' && read.amount.unit.key !== 'stick',
  );
  // Of "8 oz/225 g" the grams are what a scale reads.
  const weight = weights.find((read) => /^k?g$/.test(read.amount.unit?.key ?? '')) ?? weights[0];
  const volume = known.find((read) => read.amount.unit?.kind === 'volume');
  const first = known[0] ?? null;
  // A handful or a packet says less than a measure beside it.
  const vague = first?.amount.unit?.kind === 'personal' || first?.amount.unit?.kind === 'pack';
  return counted ?? weight ?? (vague ? (volume ?? first) : first);
}

export function conflict(reads: readonly Read[], best: Read, name: string): Fault[] {
  const bestG = best.massG ?? 0;
  const gap = (read: Read) => Math.abs((read.massG ?? bestG) / bestG - 1);
  const exact = ({ amount: { unit } }: Read) =>
    unit !== null && unit.kind !== 'personal' && unit.kind !== 'pack';
  return reads
    .filter((read) => read !== best && read.massG !== null && exact(read) && gap(read) > CONFLICT_SHARE)
    .map((read) => ({
      fault: `${read.amount.text} of ${name} is about ${Math.round(read.massG ?? 0)} g, but ${best.amount.text} stands beside it: ${Math.round(gap(read) * 100)} % apart.`,
      mend:
        best.amount.unit?.kind === 'mass'
          ? 'The weight is used, since it does not depend on how a cup is filled. Check it against the source.'
          : `${best.amount.text} is used. Check it against the source.`,
    }));
}

export function unknownMeasure(amount: Amount | undefined, name: string): [string, string] {
  if (amount?.unit?.kind === 'pack') {
    return [
      `How much a ${amount.unit.key} holds is not written.`,
      `Add its size: ${amount.text} (400 g) ${name}.`,
    ];
  }
  if (!amount?.unit)
    return [
      `What one ${singular(name)} weighs is not known.`,
      `Add the grams: ${amount?.text ?? '1'} (60 g) ${name}.`,
    ];
  return [
    `What a ${amount.unit.key} of ${name} weighs is not known.`,
    `Add the grams: ${amount.text} (100 g) ${name}.`,
  ];
}
