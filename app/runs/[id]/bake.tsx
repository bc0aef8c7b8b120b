import { useLocalSearchParams } from 'expo-router';
import { BakeScreen } from '../../../screens/runs/BakeScreen';

export default function Bake() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <BakeScreen id={id} />;
}
