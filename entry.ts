/**
 * Where the app begins. The router's own beginning draws the first picture as a transition, in slices of 5 ms that give way
 * to what else there is; at the start there is nothing else, and on a slow processor the slices cost a quarter of a second.
 */
import '@expo/metro-runtime';
import { registerRootComponent } from 'expo';
import { Slot } from 'expo-router';
import { App } from 'expo-router/build/qualified-entry';
import { createRoot } from 'react-dom/client';
import { View } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { RunsScreen } from './screens/runs/RunsScreen';
import { House } from './screens/shell/House';
import { Shell } from './screens/shell/Shell';
import { readDocuments } from './state/store';
import { LIGHT, paperTheme } from './ui/theme';

/** A store that takes longer, ms, is not waited for: the frame is drawn, and says what it waits for. */
const SOON_MS = 250;

/**
 * What the first picture is drawn with. A module runs when it is first asked for: these are asked for while the browser
 * still reads the documents, rather than between the documents and the picture.
 */
const ASKED_FOR: readonly (() => unknown)[] = [
  () => createRoot,
  () => View,
  () => App(),
  () => paperTheme(LIGHT),
  () => House,
  () => PaperProvider,
  () => Slot,
  () => Shell,
  () => RunsScreen,
];

// Documents first, then the picture made of them: drawn once.
let begun = false;
const begin = () => {
  if (begun) return;
  begun = true;
  registerRootComponent(App);
};
const askFor = (i: number) => {
  const one = ASKED_FOR[i];
  if (begun || !one) return;
  one();
  setTimeout(() => askFor(i + 1), 0);
};
setTimeout(begin, SOON_MS);
void readDocuments().then(begin);
setTimeout(() => askFor(0), 0);
