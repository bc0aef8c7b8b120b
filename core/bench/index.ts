export {
  clockPhase,
  firstToLookAt,
  nextLookAt,
  hurried,
  observedFactor,
  recordLook,
  startClock,
} from './clock';
export type { ClockPhase } from './clock';
