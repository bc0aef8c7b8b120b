import { Slot } from 'expo-router';
import { House } from '../screens/shell/House';
import { readDocuments } from '../state/store';

// Before anything is drawn: what is drawn first is drawn from them.
readDocuments();

export default function RootLayout() {
  return (
    <House>
      <Slot />
    </House>
  );
}
