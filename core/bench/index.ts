export { clockPhase, nextLookAt, observedFactor, recordLook, startClock } from './clock';
export type { ClockPhase } from './clock';
