export { materialHolds } from './holds';
export { againstPromise, mayHold, promisedOfAll } from './promise';
export type { Promised } from './promise';
export { batterWaitMin } from './batterWait';
export { bowlsOf, tickKey, ticksOf, withTicks } from './bowls';
export type { Bowl } from './bowls';
export type { ComponentsPlan } from './components';
export type { PlanFault, PlanFile } from './context';
export type {
  Batch,
  BatchIngredient,
  ColdNeed,
  CutSays,
  EggChoice,
  Hold,
  Limit,
  LotPlan,
  Material,
  MaterialIs,
  Need,
  Pot,
  Preparation,
  Resource,
  Stratum,
  SumsSection,
  Supply,
  Task,
  TaskDoes,
  Use,
} from './emitted';
export { gramsText } from './figures';
export type { FinishKind, FinishWords } from './finish';
export type { Drawing, LinePlan, Parts } from './linePlan';
export { PlanMemory } from './memory';
export { planRun, planWhole } from './plan';
export type { PlannedLine, RunPlan, Unplanned } from './planned';
export type { Offer, Remainder } from './remainder';
export { SECTION_WORDS, WEIGH_WORDS } from './sections.words';
export type { OvenQuestion } from './stations/bake';
export { isBaked, kindOf } from './stations/bind';
export type { LoadPlan } from './stations/loads';
export { scoopings, scoopsOf } from './stations/scoop';
export { lengthS } from './task';
export { taskWords } from './tasks.words';
export { warning } from './warnings.words';
export type { Warning } from './warnings.words';
export { weighOut } from './weighOut';
export { whyText } from './whyText';
