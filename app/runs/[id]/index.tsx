import { Redirect, useLocalSearchParams } from 'expo-router';

export default function Run() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <Redirect href={{ pathname: '/runs/[id]/sums', params: { id } }} />;
}
