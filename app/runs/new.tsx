import { useLocalSearchParams } from 'expo-router';
import { later } from '../../screens/later';

const NewRunScreen = later('NewRunScreen');

export default function NewRun() {
  const { formula, piece } = useLocalSearchParams<{ formula?: string; piece?: string }>();
  return <NewRunScreen key={`${piece ?? ''} ${formula ?? ''}`} formula={formula} piece={piece} />;
}
