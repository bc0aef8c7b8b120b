import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../screens/later';

const PiecesScreen = later('PiecesScreen');

export default function Pieces() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PiecesScreen id={id} />;
}
