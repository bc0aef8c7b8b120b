/**
 * Sums as typed expressions. A `Ref` is a figure of a plan; an `Expr` is what is reckoned from figures. Each knows its
 * dimension, so that grams are never added to millilitres: what does not fit does not compile. From the one expression
 * come the value, the range, the words and the cell of the workbook check.
 */
import { OP, Term, evaluate, leaf, type Called } from './term';
import type { Dimension, DimensionOf, Product, Quotient, Unit } from './unit';

declare const dimension: unique symbol;

export interface Expr<D extends Dimension> {
  readonly op: number;
  readonly [dimension]?: D;
}

/** A figure of a plan, to reckon with and to ask for its value. */
export interface Ref<U extends Unit> extends Expr<DimensionOf<U>> {
  readonly id: string;
  readonly label: string;
  readonly unit: U;
  readonly value: number;
  readonly low: number;
  readonly high: number;
  /** Whether somebody weighed or measured it. */
  readonly pinned: boolean;
}

/** A figure of whatever unit. */
export type AnyRef = { readonly [U in Unit]: Ref<U> }[Unit];

/** A term, or a plain number: a count or a share. */
type In<D extends Dimension> = Expr<D> | (D extends '1' ? number : never);
type Some = Expr<Dimension> | number;
type DimOf<X> = X extends number ? '1' : X extends Expr<infer D> ? D : never;

const term = (x: Some): Term => (typeof x === 'number' ? leaf(OP.number, x) : (x as unknown as Term));
const expr = <D extends Dimension>(t: Term): Expr<D> => t;
const two = (op: number, a: Some, b: Some): Term => new Term(op, term(a), term(b), null, '', null);
const one = (op: number, a: Some): Term => new Term(op, term(a), null, null, '', null);

export function times<A extends Some, B extends Some>(a: A, b: B): Expr<Product<DimOf<A>, DimOf<B>>>;
export function times<A extends Some, B extends Some, C extends Some>(
  a: A,
  b: B,
  c: C,
): Expr<Product<Product<DimOf<A>, DimOf<B>>, DimOf<C>>>;
export function times<A extends Some, B extends Some, C extends Some, E extends Some>(
  a: A,
  b: B,
  c: C,
  e: E,
): Expr<Product<Product<Product<DimOf<A>, DimOf<B>>, DimOf<C>>, DimOf<E>>>;
export function times(a: Some, b: Some, c?: Some, d?: Some): Expr<Dimension> {
  let product = two(OP.times, a, b);
  if (c !== undefined) product = two(OP.times, product, c);
  if (d !== undefined) product = two(OP.times, product, d);
  return expr(product);
}

export function over<A extends Some, B extends Some>(a: A, b: B): Expr<Quotient<DimOf<A>, DimOf<B>>> {
  return expr(two(OP.over, a, b));
}

type Plain = Expr<'1'> | number;
type Additive = Exclude<Dimension, '°C'>;

/** A sum of like terms; a difference of temperatures may be added to a temperature. */
export function plus(a: Plain, ...more: Plain[]): Expr<'1'>;
export function plus(a: Expr<'°C'>, b: Expr<'K'>): Expr<'°C'>;
export function plus<D extends Additive>(a: Expr<D>, ...more: Expr<NoInfer<D>>[]): Expr<D>;
export function plus(first: Some, ...more: Some[]): Expr<Dimension> {
  return expr(chain(OP.plus, first, more));
}

function chain(op: number, first: Some, more: readonly Some[]): Term {
  let all = term(first);
  for (let i = 0; i < more.length; i += 1) all = two(op, all, more[i] as Some);
  return all;
}

/** The first less all others; two temperatures differ by kelvins. */
export function minus(a: Plain, ...less: Plain[]): Expr<'1'>;
export function minus(a: Expr<'°C'>, b: Expr<'°C'>): Expr<'K'>;
export function minus(a: Expr<'°C'>, b: Expr<'K'>): Expr<'°C'>;
export function minus<D extends Additive>(a: Expr<D>, ...less: Expr<NoInfer<D>>[]): Expr<D>;
export function minus(first: Some, ...less: Some[]): Expr<Dimension> {
  return expr(chain(OP.minus, first, less));
}

/** What is left of a whole once a share is taken off it. */
export const without = (share: Expr<'1'>): Expr<'1'> => expr(two(OP.minus, 1, share));

export const PI: Expr<'1'> = expr(leaf(OP.pi, Math.PI));

/** A fixed measure that is shown in the person's own units. */
export function measure<U extends Unit>(value: number, unit: U): Expr<DimensionOf<U>>;
export function measure<D extends 'J/g' | 'J/g K'>(value: number, unit: D): Expr<D>;
export function measure(value: number, unit: string): Expr<Dimension> {
  return expr(leaf(OP.measure, value, unit));
}

export const square = (x: Expr<'mm'>): Expr<'mm²'> => expr(two(OP.power, x, 2));
export const cube = (x: Expr<'mm'>): Expr<'mm³'> => expr(two(OP.power, x, 3));
export const squared = (x: Expr<'1'>): Expr<'1'> => expr(two(OP.power, x, 2));
export const power = (x: In<'1'>, exponent: In<'1'>): Expr<'1'> => expr(two(OP.power, x, exponent));
export const squareRoot = (x: Expr<'mm²'>): Expr<'mm'> => expr(one(OP.sqrt, x));
export const cubeRoot = (x: Expr<'mm³'>): Expr<'mm'> => expr(one(OP.cbrt, x));
export const ln = (x: Expr<'1'>): Expr<'1'> => expr(one(OP.ln, x));
export const exp = (x: Expr<'1'>): Expr<'1'> => expr(one(OP.exp, x));

/** So many whole ones of it: rounds, loads. */
export const wholeOf = (x: Expr<'1'>): Expr<'1'> => expr(one(OP.wholeOf, x));
export const largerOf = <D extends Dimension>(a: In<D>, b: In<D>): Expr<D> => expr(two(OP.larger, a, b));
export const atLeast = <D extends Dimension>(x: Expr<D>, floor: In<D> | 0): Expr<D> =>
  expr(two(OP.atLeast, x, floor as Some));
export const smallestOf = <D extends Dimension>(items: readonly Expr<D>[]): Expr<D> =>
  expr(new Term(OP.least, null, null, items.map(term), '', null));
export const totalOf = <D extends Dimension>(items: readonly Expr<D>[]): Expr<D> =>
  expr(new Term(OP.total, null, null, items.map(term), '', null));

/** Lengths multiplied, as a volume or an area in the units that kitchens use; and back. */
export const ml = (x: Expr<'mm³'>): Expr<'ml'> => expr(two(OP.over, x, 1000));
/** An area times a thickness. */
export const layerMl = (x: Expr<'cm²·mm'>): Expr<'ml'> => expr(two(OP.over, x, 10));
export const cm2 = (x: Expr<'mm²'>): Expr<'cm²'> => expr(two(OP.over, x, 100));
export const mm3 = (x: Expr<'ml'>): Expr<'mm³'> => expr(two(OP.times, 1000, x));
/** The bare number of a measure, for the few formulas that no dimension fits; and a dimension for such a number. */
export const bare = (x: Expr<Dimension>): Expr<'1'> => x as Expr<'1'>;
export const asDimension = <D extends Dimension>(x: Expr<'1'>): Expr<D> => x as unknown as Expr<D>;

type Inputs = Readonly<Record<string, Expr<Dimension>>>;

/** Words that say what a function of the physics does, with the figures that it starts from. */
export interface Says {
  readonly strings: readonly string[];
  readonly said: readonly Expr<Dimension>[];
}
export function says(strings: TemplateStringsArray, ...said: Expr<Dimension>[]): Says {
  return { strings, said };
}
/** One such text after another. */
export function saysAll(...parts: readonly Says[]): Says {
  const strings: string[] = [''];
  const said: Expr<Dimension>[] = [];
  for (const part of parts) {
    strings.push(`${strings.pop() ?? ''}${part.strings[0] ?? ''}`, ...part.strings.slice(1));
    said.push(...part.said);
  }
  return { strings, said };
}

/**
 * What a named function of the physics makes of figures. Its inputs go by name, so that none can stand in another's place.
 * @param result the dimension that the function answers in
 */
export function calls<D extends Dimension, I extends Inputs>(
  result: D,
  f: (v: { readonly [K in keyof I]: number }) => number,
  inputs: I,
  words: Says,
): Expr<D> {
  const keys = Object.keys(inputs);
  const called: Called = {
    f: f as Called['f'],
    keys,
    bag: {},
    strings: words.strings,
    said: words.said.map(term),
  };
  void result;
  return expr(
    new Term(
      OP.call,
      null,
      null,
      keys.map((key) => term(inputs[key] as Some)),
      '',
      called,
    ),
  );
}

/** What an expression comes to, with its figures as they stand: for sums of plain measures. */
export const reckon = (sum: Expr<Dimension>): number => evaluate(sum as unknown as Term);
