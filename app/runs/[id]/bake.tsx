import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../screens/later';
import { loadRunScreens } from '../../../screens/runs/loadRunScreens';

const BakeScreen = later(loadRunScreens, 'BakeScreen');

export default function Bake() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <BakeScreen id={id} />;
}
