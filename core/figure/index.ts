export type { Basis, Figure, RangeCause, Unit, Why } from './figure';
export { basisText, hasRange } from './figure';
export { Ledger } from './ledger';
