import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../screens/later';
import { loadRunScreens } from '../../../screens/runs/loadRunScreens';

const SumsScreen = later(loadRunScreens, 'SumsScreen');

export default function Sums() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <SumsScreen id={id} />;
}
