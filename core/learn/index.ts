export { allEvidence, taughtBy, withLearned, withoutLearned } from './beliefs';
export { doneBetween, evidenceOf } from './fromRun';
export { learn, TENTH } from './learner';
export type { Learned, Taught } from './learner';
export { lessonsOf } from './lessons';
export type { Lesson } from './lessons';
