export { thingKey } from './chore';
export type { Chore, ChoreGap, ChoreHold, Part, Takes, Thing } from './chore';
export { problemOf } from './problemOf';
export { dayInSteps, dayOfRun, keptTooLong, nightsBefore } from './runDay';
export type { DayEffort, DayQuestion, OvenTurn, RunDay, Timed } from './runDay';
export { groupingsOf, workOf } from './runWork';
export { thingName, unitsOf } from './things';
export { changed, dayOfFile, waysOut } from './waysOut';
export type { DayFile, WayOut } from './waysOut';
