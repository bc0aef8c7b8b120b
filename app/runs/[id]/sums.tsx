import { useLocalSearchParams } from 'expo-router';
import { SumsScreen } from '../../../screens/runs/SumsScreen';

export default function Sums() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <SumsScreen id={id} />;
}
