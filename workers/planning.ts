/** The heavy sums of planning in one piece, so that they load together and beside the first screen. */
export { planWhole } from '../core/plan/plan';
export { PlanMemory } from '../core/plan/memory';
export { rescue } from '../core/bench/rescue';
export { evidenceOf, lessonsOf, taughtBy, withLearned } from '../core/learn';
