export type { BatchIngredient, BatterPlan, EggChoice } from './batterFigures';
export type { Limit, LoadPlan, Supply } from './countFigures';
export type { FinishKind, FinishWords } from './finish';
export { planRun } from './plan';
export type { LinePlan, PlannedLine, Stratum, TimedStep, Unplanned } from './plan';
export type { Offer, Remainder } from './remainder';
