import { useLocalSearchParams } from 'expo-router';
import { NewRunScreen } from '../../screens/runs/NewRunScreen';

export default function NewRun() {
  const { formula } = useLocalSearchParams<{ formula?: string }>();
  return <NewRunScreen key={formula ?? ''} formula={formula} />;
}
