import { useEffect, useRef, type RefObject } from 'react';
import type { View } from 'react-native';

/** Open dialogs, the topmost last: Escape and Tab belong to that one alone. */
const open: symbol[] = [];

const FOCUSABLE = 'button:not([disabled]), [href], input, textarea, [tabindex="0"]';

/** react-native-web hands out DOM elements behind its View refs. */
const elementOf = (ref: RefObject<View | null>): HTMLElement | null =>
  ref.current as unknown as HTMLElement | null;

/**
 * What people expect of a dialog at a keyboard: it takes the focus when it opens, keeps Tab inside, closes on Escape,
 * and gives the focus back to where it came from.
 */
export function useDialogKeys(visible: boolean, onClose: () => void): RefObject<View | null> {
  const ref = useRef<View>(null);
  const close = useRef(onClose);
  useEffect(() => {
    close.current = onClose;
  });
  useEffect(() => {
    if (!visible) return undefined;
    const me = Symbol('dialog');
    open.push(me);
    const cameFrom = document.activeElement;
    const settle = setTimeout(() => {
      const dialog = elementOf(ref);
      if (dialog && !dialog.contains(document.activeElement)) dialog.focus();
    }, 50);
    const onKey = (event: KeyboardEvent) => {
      if (open.at(-1) !== me) return;
      if (event.key === 'Escape') close.current();
      if (event.key === 'Tab') keepInside(event, elementOf(ref));
    };
    document.addEventListener('keydown', onKey);
    return () => {
      clearTimeout(settle);
      document.removeEventListener('keydown', onKey);
      open.splice(open.indexOf(me), 1);
      // After the picture without the sheet: to find out where the focus may go lays the whole page out.
      setTimeout(() => {
        const lost = document.activeElement === null || document.activeElement === document.body;
        if (lost && cameFrom instanceof HTMLElement && cameFrom.isConnected) cameFrom.focus();
      }, 0);
    };
  }, [visible]);
  return ref;
}

function keepInside(event: KeyboardEvent, dialog: HTMLElement | null): void {
  const stops = [...(dialog?.querySelectorAll<HTMLElement>(FOCUSABLE) ?? [])];
  const first = stops[0];
  const last = stops.at(-1);
  if (!dialog || !first || !last) return;
  const at = document.activeElement;
  const outside = !dialog.contains(at);
  if (event.shiftKey ? at === first || at === dialog || outside : at === last || outside) {
    event.preventDefault();
    (event.shiftKey ? last : first).focus();
  }
}
