import { Slot } from 'expo-router';
import { House } from '../screens/shell/House';

export default function RootLayout() {
  return (
    <House>
      <Slot />
    </House>
  );
}
