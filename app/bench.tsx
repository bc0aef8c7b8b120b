import { later } from '../screens/later';

const BenchScreen = later('BenchScreen');

// The router takes a component that is a function.
export default function Bench() {
  return <BenchScreen />;
}
