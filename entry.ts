/**
 * Where the app begins. The router's own beginning draws the first picture as a transition, in slices of 5 ms that give way
 * to what else there is; at the start there is nothing else, and on a slow processor the slices cost a quarter of a second.
 */
import '@expo/metro-runtime';
import { registerRootComponent } from 'expo';
import { App } from 'expo-router/build/qualified-entry';
import { readDocuments } from './state/store';

/** A store that takes longer, ms, is not waited for: the frame is drawn, and says what it waits for. */
const SOON_MS = 250;

// Documents first, then the picture made of them: drawn once.
let begun = false;
const begin = () => {
  if (begun) return;
  begun = true;
  registerRootComponent(App);
};
setTimeout(begin, SOON_MS);
void readDocuments().then(begin);
