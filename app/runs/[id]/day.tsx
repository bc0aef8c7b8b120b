import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../screens/later';

const DayScreen = later('DayScreen');

export default function Day() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <DayScreen id={id} />;
}
