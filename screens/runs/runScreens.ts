/** The screens of a run, loaded together: a change from one stage to the next then waits for nothing. */
export { BakeScreen } from './BakeScreen';
export { FromScreen } from './FromScreen';
export { GatherScreen } from './GatherScreen';
export { NewRunScreen } from './NewRunScreen';
export { PiecesScreen } from './PiecesScreen';
export { PrintScreen } from './PrintScreen';
export { SumsScreen } from './SumsScreen';
