export { FormulasScreen as default } from '../../screens/formulas/FormulasScreen';
