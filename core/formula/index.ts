export { bakersPercent, lackFault } from './checks';
export { guessMethod, mayMix } from './guessMethod';
export type { GuessedMethod } from './guessMethod';
export { evidenceOfMeasures, guessMeasures, madeHolds, massOf, readFormula, Readings } from './read';
export type { Measuring, ReadFormula, Weighed, WeighedLine } from './read';
export { readSteps } from './steps';
export type { ReadStep, StepUse } from './steps';
export { doubtsOf, settledText, unsureCount } from './doubts';
export type { Choice, Doubt, Settling } from './doubts';
