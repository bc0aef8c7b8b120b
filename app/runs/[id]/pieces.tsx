import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../screens/later';
import { loadRunScreens } from '../../../screens/runs/loadRunScreens';

const PiecesScreen = later(loadRunScreens, 'PiecesScreen');

export default function Pieces() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PiecesScreen id={id} />;
}
