import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../screens/later';

const PrintScreen = later('PrintScreen');

export default function Print() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PrintScreen id={id} />;
}
