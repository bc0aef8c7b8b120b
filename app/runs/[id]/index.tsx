import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../screens/later';

const GlanceScreen = later('GlanceScreen');

export default function Run() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <GlanceScreen id={id} />;
}
