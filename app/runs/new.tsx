import { useLocalSearchParams } from 'expo-router';
import { later } from '../../screens/later';
import { loadRunScreens } from '../../screens/runs/loadRunScreens';

const NewRunScreen = later(loadRunScreens, 'NewRunScreen');

export default function NewRun() {
  const { formula, piece } = useLocalSearchParams<{ formula?: string; piece?: string }>();
  return <NewRunScreen key={`${piece ?? ''} ${formula ?? ''}`} formula={formula} piece={piece} />;
}
