import { later } from '../screens/later';

const LogbookScreen = later('LogbookScreen');

// The router takes a component that is a function.
export default function Logbook() {
  return <LogbookScreen />;
}
