import { useLocalSearchParams } from 'expo-router';
import { later } from '../../screens/later';

const FormulaScreen = later('FormulaScreen');

export default function Formula() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <FormulaScreen id={id} />;
}
