import { useRouter } from 'expo-router';
import { MainAction } from '../../ui/actions';
import { Screen } from '../../ui/screen';
import { Body } from '../../ui/text';

export function NotFoundScreen() {
  const router = useRouter();
  return (
    <Screen
      title="Nothing here"
      foot={<MainAction title="To the runs" onPress={() => router.navigate('/')} />}
    >
      <Body>No run, formula or place stands at this address. It may have been taken out.</Body>
    </Screen>
  );
}
