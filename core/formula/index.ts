export { guessMeasures, massOf, readFormula } from './read';
export type { ReadFormula } from './read';
