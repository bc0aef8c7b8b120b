import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useDocuments } from '../../state/store';
import { Sheet } from '../../ui/sheet';
import { Body, Strong } from '../../ui/text';
import { space } from '../../ui/theme';
import { PLACES } from './places';

const KEYS: readonly (readonly [string, string])[] = [
  ...PLACES.map((place, i) => [String(i + 1), place.name] as const),
  ['n', 'New run'],
  ['f', 'New formula'],
  ['u', 'Undo the last change'],
  ['?', 'This list'],
];

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.tagName === 'INPUT' || target.tagName === 'TEXTAREA' || target.isContentEditable);

/** A sheet is open: its keys are its own, and none of them leads away from it. */
const isAsked = () => document.querySelector('[role="dialog"]') !== null;

/** A few keys of our own for the desk; none while somebody is typing or asked something. */
export function Shortcuts() {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const answer = (key: string) => {
      const place = PLACES[Number(key) - 1];
      if (place) router.navigate(place.href);
      else if (key === 'n') router.navigate('/runs/new');
      else if (key === 'f') router.navigate('/formulas/new');
      else if (key === 'u') useDocuments.getState().undo();
      else if (key === '?') setOpen(true);
    };
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target) || isAsked()) return;
      answer(event.key);
    };
    // The page kept what was pressed before this listened.
    const page = globalThis as { carnelianKeys?: readonly string[] | null };
    page.carnelianKeys?.forEach(answer);
    page.carnelianKeys = null;
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [router]);
  return (
    <Sheet title="Keys" visible={open} onClose={() => setOpen(false)}>
      {KEYS.map(([key, what]) => (
        <View key={key} style={{ flexDirection: 'row', gap: space(2) }}>
          <Strong style={{ width: 32 }}>{key}</Strong>
          <Body>{what}</Body>
        </View>
      ))}
    </Sheet>
  );
}
