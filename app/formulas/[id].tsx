import { useLocalSearchParams } from 'expo-router';
import { FormulaScreen } from '../../screens/formulas/FormulaScreen';

export default function Formula() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <FormulaScreen id={id} />;
}
