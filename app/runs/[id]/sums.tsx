import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../screens/later';

const SumsScreen = later('SumsScreen');

export default function Sums() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <SumsScreen id={id} />;
}
