import { later } from '../../screens/later';

const FromScreen = later('FromScreen');

// The router takes a component that is a function.
export default function From() {
  return <FromScreen />;
}
