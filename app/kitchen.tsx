import { later } from '../screens/later';

const KitchenScreen = later('KitchenScreen');

// The router takes a component that is a function.
export default function Kitchen() {
  return <KitchenScreen />;
}
