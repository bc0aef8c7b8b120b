import { useLocalSearchParams } from 'expo-router';
import { GatherScreen } from '../../../screens/runs/GatherScreen';

export default function Gather() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <GatherScreen id={id} />;
}
