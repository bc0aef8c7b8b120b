export type { Basis, Figure, RangeCause, Unit, Why } from './figure';
export { basisText, hasRange } from './figure';
export { AS_IT_IS, Ledger, OutOfBounds } from './ledger';
export type { Decision, DeriveSpec, Sampling } from './ledger';
