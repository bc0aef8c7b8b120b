import { useLocalSearchParams } from 'expo-router';
import { NewRunScreen } from '../../screens/runs/NewRunScreen';

export default function NewRun() {
  const { formula, piece } = useLocalSearchParams<{ formula?: string; piece?: string }>();
  return <NewRunScreen key={`${piece ?? ''} ${formula ?? ''}`} formula={formula} piece={piece} />;
}
