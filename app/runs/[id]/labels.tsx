import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../screens/later';

const LabelsScreen = later('LabelsScreen');

export default function Labels() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <LabelsScreen id={id} />;
}
