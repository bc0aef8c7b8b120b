export { APART_MM, ballsOnTray, coldFault, coldFaults, coldRoomOf, trayOf } from './cold';
export type { ColdRoom, Tray } from './coldRoom';
export { dayOf, lateWarnings, warningsOf } from './day';
export type { Day, TimedStep } from './day';
export { gatherOf, preparationsOf, sharedPromiseWarnings } from './gather';
export type { GatherGroup, GatherStage, Preparing, Thing } from './gather';
export { keyOf, lineCosts, needsOf, shoppingOf } from './shopping';
export type { LineCost, Shopping, ShoppingRow } from './shopping';
