import { later } from '../../screens/later';

const FormulasScreen = later('FormulasScreen');

// The router takes a component that is a function.
export default function Formulas() {
  return <FormulasScreen />;
}
