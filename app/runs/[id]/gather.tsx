import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../screens/later';
import { loadRunScreens } from '../../../screens/runs/loadRunScreens';

const GatherScreen = later(loadRunScreens, 'GatherScreen');

export default function Gather() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <GatherScreen id={id} />;
}
