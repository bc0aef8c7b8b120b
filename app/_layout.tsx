import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_600SemiBold } from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold';
import { Bitter_600SemiBold } from '@expo-google-fonts/bitter/600SemiBold';
import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { House } from '../screens/shell/House';

export default function RootLayout() {
  const [loaded, failed] = useFonts({
    AtkinsonHyperlegibleNext_400Regular,
    AtkinsonHyperlegibleNext_600SemiBold,
    Bitter_600SemiBold,
  });
  return (
    <House fontsReady={loaded || failed !== null}>
      <Slot />
    </House>
  );
}
