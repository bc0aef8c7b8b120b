import { useLocalSearchParams } from 'expo-router';
import { later } from '../screens/later';

const KitchenScreen = later('KitchenScreen');

// The router takes a component that is a function.
export default function Kitchen() {
  const { part } = useLocalSearchParams<{ part?: string }>();
  return <KitchenScreen key={part ?? ''} part={part} />;
}
