export { BASES, basisText, hasRange, words } from './figure';
export type { Basis, Bounds, Figure, Known, RangeCause, Start, Words } from './figure';
export {
  PI,
  asDimension,
  atLeast,
  bare,
  calls,
  cm2,
  cube,
  cubeRoot,
  exp,
  largerOf,
  layerMl,
  ln,
  measure,
  minus,
  ml,
  mm3,
  over,
  plus,
  power,
  reckon,
  says,
  saysAll,
  smallestOf,
  square,
  squareRoot,
  squared,
  times,
  totalOf,
  wholeOf,
  without,
} from './expr';
export type { AnyRef, Expr, Ref, Says } from './expr';
export { AS_IT_IS, anyRef, decided, toScale } from './cell';
export type { Decision, More, Sampling } from './cell';
export { Figures, OutOfBounds } from './figures';
export type { LaidOut, Move, RootSpec } from './figures';
export { resultWith, roundingWords, sumText } from './explain';
export type { Explained } from './explain';
export type { Dimension, DimensionOf, Unit } from './unit';
export { writeFormula, writeSum } from './write';
export type { Writer } from './write';
