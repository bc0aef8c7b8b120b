import { useLocalSearchParams } from 'expo-router';
import { PiecesScreen } from '../../../screens/runs/PiecesScreen';

export default function Pieces() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PiecesScreen id={id} />;
}
