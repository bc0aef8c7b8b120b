import { useRouter } from 'expo-router';
import { inStyle } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { Card } from '../../ui/card';
import { Screen } from '../../ui/screen';
import { Body } from '../../ui/text';
import { GROUNDS } from './cautions.words';

/** What the cautions rest on, and who decides locally; reached from any of them. */
export function CautionsScreen() {
  const router = useRouter();
  const style = useNumberStyle();
  return (
    <Screen
      title="What cautions rest on"
      reading
      onBack={() => (router.canGoBack() ? router.back() : router.navigate('/'))}
    >
      {GROUNDS.map(({ title, says }) => (
        <Card key={title} title={title}>
          {says.map((one) => (
            <Body key={one}>{inStyle(one, style)}</Body>
          ))}
        </Card>
      ))}
    </Screen>
  );
}
