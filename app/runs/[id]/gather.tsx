import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../screens/later';

const GatherScreen = later('GatherScreen');

export default function Gather() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <GatherScreen id={id} />;
}
