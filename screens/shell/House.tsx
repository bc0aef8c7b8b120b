import { useEffect, useLayoutEffect, useMemo, useState, type ReactNode } from 'react';
import { View, useColorScheme } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { localNow } from '../../state/time';
import { loadPlanner } from '../../state/plans';
import { kitchenIn } from '../../state/documents';
import { keepDaily } from '../../state/snapshots';
import { useDocuments } from '../../state/store';
import { StoneBands } from '../../ui/card';
import { PaperIcon } from '../../ui/icons';
import { Guard } from '../../ui/guard';
import { Heading } from '../../ui/text';
import { DARK, LIGHT, TokensContext, dressPage, paperTheme, space } from '../../ui/theme';
import { loadLater } from '../loadLater';
import { SaveEverything } from './SaveFault';
import { Shell } from './Shell';
import { Unread } from './Unread';

/** Theme, documents and frame round every screen. Screens wait here until documents and fonts are in. */
export function House({
  fontsReady,
  children,
}: {
  readonly fontsReady: boolean;
  readonly children: ReactNode;
}) {
  const ready = useDocuments((state) => state.ready);
  const [missing, setMissing] = useState(false);
  const unread = useDocuments((state) => state.unread);
  const hydrate = useDocuments((state) => state.hydrate);
  useEffect(() => {
    void hydrate(localNow(Date.now())).then(keepDaily);
    // Asked for, and nothing more: a browser that does not promise it keeps the documents as well as it can.
    void navigator.storage?.persist?.().catch(() => undefined);
    loadPlanner(async () => (await loadLater()).planning).catch(() => setMissing(true));
  }, [hydrate]);
  const choice = useDocuments((state) => kitchenIn(state.docs).prefs.theme);
  const system = useColorScheme();
  const tokens = (choice === 'system' ? system : choice) === 'dark' ? DARK : LIGHT;
  const theme = useMemo(() => paperTheme(tokens), [tokens]);
  // Before anything is painted: text takes its colour from the page.
  useLayoutEffect(() => dressPage(tokens, document.documentElement), [tokens]);
  return (
    <TokensContext value={tokens}>
      <PaperProvider theme={theme} settings={{ icon: PaperIcon, rippleEffectEnabled: false }}>
        {ready && fontsReady ? (
          <Guard what="Carnelian" ways={<SaveEverything />}>
            <Shell missing={missing}>{children}</Shell>
          </Guard>
        ) : unread && !ready ? (
          <Unread cause={unread} />
        ) : (
          <Opening />
        )}
      </PaperProvider>
    </TokensContext>
  );
}

function Opening() {
  return (
    <View role="main" style={{ flex: 1, justifyContent: 'center', alignItems: 'center', gap: space(2) }}>
      <View style={{ width: 160 }}>
        <StoneBands height={16} />
      </View>
      <Heading level={1}>Carnelian</Heading>
    </View>
  );
}
