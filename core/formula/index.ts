export { bakersPercent } from './checks';
export { guessMeasures, massOf, readFormula, Readings } from './read';
export type { Measuring, ReadFormula, Weighed, WeighedLine } from './read';
