import { useLocalSearchParams } from 'expo-router';
import { PrintScreen } from '../../../screens/runs/PrintScreen';

export default function Print() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PrintScreen id={id} />;
}
