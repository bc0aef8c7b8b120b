import { createFocusTrap } from 'focus-trap';
import { useEffect, useRef, type RefObject } from 'react';
import type { View } from 'react-native';

/** react-native-web hands out DOM elements behind its View refs. */
const elementOf = (ref: RefObject<View | null>): HTMLElement | null =>
  ref.current as unknown as HTMLElement | null;

const focused = (): HTMLElement | null =>
  document.activeElement instanceof HTMLElement ? document.activeElement : null;

/**
 * What people expect of a dialog at a keyboard, for as long as it is there: it takes the focus when it opens, keeps Tab inside, closes on Escape
 * (also from within a field), and gives the focus back to where it came from. Of several, the topmost has the keys.
 */
export function useDialogFocus(onClose: () => void): RefObject<View | null> {
  const ref = useRef<View>(null);
  const close = useRef(onClose);
  useEffect(() => {
    close.current = onClose;
  });
  useEffect(() => {
    const dialog = elementOf(ref);
    if (!dialog) return undefined;
    const trap = createFocusTrap(dialog, {
      // A field of the sheet that has taken the focus by itself keeps it, with what has been typed into it meanwhile.
      initialFocus: () => (dialog.contains(focused()) ? false : dialog),
      fallbackFocus: dialog,
      escapeDeactivates: () => {
        close.current();
        return false;
      },
      allowOutsideClick: true,
      preventScroll: true,
      // What closed the sheet may have put the focus elsewhere already.
      setReturnFocus: (before) => (focused() === document.body && before.isConnected ? before : false),
      // All that is drawn in a sheet is in sight; to ask so of each would lay the whole page out.
      tabbableOptions: { displayCheck: 'none' },
    });
    // react-native-web stops keys at the page's root, before the trap could hear Escape from a field.
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'Escape') return;
      event.stopPropagation();
      close.current();
    };
    dialog.addEventListener('keydown', onKey);
    trap.activate();
    return () => {
      dialog.removeEventListener('keydown', onKey);
      trap.deactivate();
    };
  }, []);
  return ref;
}
