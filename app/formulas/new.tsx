import { later } from '../../screens/later';

const NewFormulaScreen = later('NewFormulaScreen');

// The router takes a component that is a function.
export default function NewFormula() {
  return <NewFormulaScreen />;
}
