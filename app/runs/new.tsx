import { useLocalSearchParams } from 'expo-router';
import { later } from '../../screens/later';

const NewRunScreen = later('NewRunScreen');

export default function NewRun() {
  const { formula, piece, log } = useLocalSearchParams<{ formula?: string; piece?: string; log?: string }>();
  return (
    <NewRunScreen
      key={`${piece ?? ''} ${formula ?? ''} ${log ?? ''}`}
      formula={formula}
      piece={piece}
      log={log === '1'}
    />
  );
}
