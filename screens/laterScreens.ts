/**
 * All that the first screen can be drawn without, in one script that loads beside it: the other places, the stages of a
 * run, and the planner. What these share then stays out of the first screen's own.
 */
export { BenchScreen } from './bench/BenchScreen';
export { CautionsScreen } from './cautions/CautionsScreen';
export { BringForm } from './exchange/BringForm';
export { FormulaScreen } from './formulas/FormulaScreen';
export { FormulasScreen } from './formulas/FormulasScreen';
export { NewFormulaScreen } from './formulas/NewFormulaScreen';
export { KitchenScreen } from './kitchen/KitchenScreen';
export { ChartsScreen } from './logbook/ChartsScreen';
export { KeepingScreen } from './logbook/KeepingScreen';
export { LabelsScreen } from './labels/LabelsScreen';
export { LearnedScreen } from './logbook/LearnedScreen';
export { LogbookScreen } from './logbook/LogbookScreen';
export { DayScreen } from './day/DayScreen';
export { GlanceScreen } from './day/GlanceScreen';
export { BakeScreen } from './runs/BakeScreen';
export { FromScreen } from './runs/FromScreen';
export { GatherScreen } from './runs/GatherScreen';
export { NewRunScreen } from './runs/NewRunScreen';
export { PiecesScreen } from './runs/PiecesScreen';
export { PrintScreen } from './runs/PrintScreen';
export { RehearseScreen } from './rehearse/RehearseScreen';
export { RunSearch } from './runs/RunSearch';
export { SumsScreen } from './runs/SumsScreen';
export * as planning from '../state/planner';
