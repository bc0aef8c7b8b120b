import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../screens/later';

const RehearseScreen = later('RehearseScreen');

export default function Rehearse() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <RehearseScreen id={id} />;
}
