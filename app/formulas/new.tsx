export { NewFormulaScreen as default } from '../../screens/formulas/NewFormulaScreen';
