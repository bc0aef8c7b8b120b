import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../screens/later';
import { loadRunScreens } from '../../../screens/runs/loadRunScreens';

const PrintScreen = later(loadRunScreens, 'PrintScreen');

export default function Print() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PrintScreen id={id} />;
}
