export type {
  BatchIngredient,
  BatterPlan,
  Batch,
  ChainPlan,
  EggChoice,
  Limit,
  LotPlan,
  Need,
  Stratum,
  Supply,
  TimedStep,
} from './chain';
export type { ComponentsPlan } from './components';
export type { CupcakePlan, MiniWellsPlan, WellsPlan } from './families/wells';
export type { OvenQuestion } from './families/wellsBake';
export type { LoadPlan } from './families/wellsCount';
export type { FinishKind, FinishWords } from './finish';
export { readOnce } from './lookup';
export type { PlanFault } from './lookup';
export { planRun, planWhole } from './plan';
export type { LinePlan, PlannedLine, RunPlan } from './plan';
export type { Attempted, Unplanned } from './runPlanner';
export type { Offer, Remainder } from './remainder';
