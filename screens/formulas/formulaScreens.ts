/** The screens of one formula, loaded together. */
export { FormulaScreen } from './FormulaScreen';
export { NewFormulaScreen } from './NewFormulaScreen';
