/**
 * Units that figures are reckoned in, and the dimensions that decide which of them may be added, multiplied and divided.
 * Counts and shares have no dimension: pieces times grams are grams.
 */
export type Unit =
  | 'g'
  | 'ml'
  | 'mm'
  | '°C'
  | 'K'
  | 's'
  | 'g/ml'
  | 'share'
  | 'times'
  | 'pieces'
  | 'loads'
  /** Things that come whole: eggs, tins, leaves. */
  | 'wholes'
  | 'cm²'
  | 'g/cm²'
  | 'W';

export type Dimension =
  | '1'
  | 'g'
  | 'ml'
  | 'mm'
  | 'mm²'
  | 'mm³'
  | 'cm²'
  | 'cm²·mm'
  | '°C'
  | 'K'
  | 's'
  | 'g/ml'
  | 'g/cm²'
  | 'W'
  | 'J'
  | 'J/g'
  | 'J/g K'
  /** What no unit can be: grams times grams. No figure has it, so what came of it fits nowhere. */
  | 'nonsense';

export type DimensionOf<U extends Unit> = U extends 'share' | 'times' | 'pieces' | 'loads' | 'wholes'
  ? '1'
  : U extends Dimension
    ? U
    : never;

/** What two dimensions come to when they are multiplied; the order does not matter. */
interface Products {
  'g/ml': { ml: 'g' };
  mm: { mm: 'mm²'; 'mm²': 'mm³'; 'cm²': 'cm²·mm' };
  'g/cm²': { 'cm²': 'g' };
  'J/g K': { K: 'J/g' };
  'J/g': { g: 'J' };
  W: { s: 'J' };
}

type Listed<A, B> = A extends keyof Products ? (B extends keyof Products[A] ? Products[A][B] : never) : never;

type Sensible<D> = [D] extends [never] ? 'nonsense' : Extract<D, Dimension>;

/** Dimension of a product. */
export type Product<A extends Dimension, B extends Dimension> = A extends '1'
  ? B
  : B extends '1'
    ? A
    : Sensible<Listed<A, B> | Listed<B, A>>;

/** Dimension of a quotient: what gives the first when it is multiplied by the second. */
export type Quotient<A extends Dimension, B extends Dimension> = B extends '1'
  ? A
  : A extends B
    ? '1'
    : Sensible<{ [C in Dimension]: Product<B, C> extends A ? C : never }[Dimension]>;
