import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../screens/later';

const BakeScreen = later('BakeScreen');

export default function Bake() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <BakeScreen id={id} />;
}
