export { clockPhase, firstToLookAt, nextLookAt, hurried, lookOf, observedFactor } from './clock';
export type { ClockPhase } from './clock';
