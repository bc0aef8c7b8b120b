import { later } from '../../screens/later';

export default later(() => import('../../screens/formulas/formulaScreens'), 'NewFormulaScreen');
