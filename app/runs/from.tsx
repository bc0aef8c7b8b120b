import { later } from '../../screens/later';
import { loadRunScreens } from '../../screens/runs/loadRunScreens';

const FromScreen = later(loadRunScreens, 'FromScreen');

// The router takes a component that is a function.
export default function From() {
  return <FromScreen />;
}
