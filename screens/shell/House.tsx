import { useEffect, useLayoutEffect, useMemo, useState, type ReactNode } from 'react';
import { useColorScheme } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { loadPlanner } from '../../state/plans';
import { kitchenIn } from '../../state/documents';
import { meetServer } from '../../state/clock';
import { keepForOffline } from '../../state/offline';
import { keepDaily } from '../../state/snapshots';
import { useDocuments } from '../../state/store';
import { PaperIcon } from '../../ui/icons';
import { Guard } from '../../ui/guard';
import { DARK, LIGHT, TokensContext, dressPage, paperTheme } from '../../ui/theme';
import { loadLater } from '../loadLater';
import { SaveEverything } from './SaveFault';
import { Shell } from './Shell';
import { Unread } from './Unread';

/** What stands is kept for the day so long after the first picture, ms: it needs all documents. */
const DAILY_AFTER_MS = 4000;

/**
 * Theme, documents and frame round every screen. Until the documents are in, the page shows what it was served with:
 * the places, and the next thing to do as it was last known.
 */
export function House({ children }: { readonly children: ReactNode }) {
  const ready = useDocuments((state) => state.ready);
  const [missing, setMissing] = useState(false);
  const unread = useDocuments((state) => state.unread);
  // What the first picture does without comes after it.
  useEffect(() => {
    if (!ready) return undefined;
    const soon = setTimeout(() => {
      loadPlanner(async () => (await loadLater()).planning)
        .catch(() => setMissing(true))
        .finally(() => {
          setTimeout(() => void keepDaily(), DAILY_AFTER_MS);
          void keepForOffline();
          void meetServer();
          // Asked for, and nothing more: a browser that does not promise it keeps the documents as well as it can.
          void navigator.storage?.persist?.().catch(() => undefined);
        });
    }, 0);
    return () => clearTimeout(soon);
  }, [ready]);
  const choice = useDocuments((state) => kitchenIn(state.docs).prefs.theme);
  const system = useColorScheme();
  const tokens = (choice === 'system' ? system : choice) === 'dark' ? DARK : LIGHT;
  const theme = useMemo(() => paperTheme(tokens), [tokens]);
  const shown = ready || unread !== null;
  useLayoutEffect(() => {
    if (shown) document.getElementById('shell')?.remove();
  }, [shown]);
  // Before anything is painted: text takes its colour from the page.
  useLayoutEffect(() => dressPage(tokens, document.documentElement), [tokens]);
  return (
    <TokensContext value={tokens}>
      <PaperProvider theme={theme} settings={{ icon: PaperIcon, rippleEffectEnabled: false }}>
        {ready ? (
          <Guard what="Carnelian" ways={<SaveEverything />}>
            <Shell missing={missing}>{children}</Shell>
          </Guard>
        ) : unread ? (
          <Unread cause={unread} />
        ) : null}
      </PaperProvider>
    </TokensContext>
  );
}
