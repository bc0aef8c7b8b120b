export { thingKey } from './chore';
export type { Chore, ChoreGap, ChoreHold, Takes, Thing } from './chore';
export { problemOf } from './problemOf';
export { dayOfRun, nightsBefore } from './runDay';
export type { DayEffort, DayQuestion, OvenTurn, RunDay, Timed } from './runDay';
export { workOf } from './runWork';
export { thingName, unitsOf } from './things';
