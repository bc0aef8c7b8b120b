import { useEffect, useLayoutEffect, useMemo, type ReactNode } from 'react';
import { View, useColorScheme } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { localNow } from '../../state/time';
import { loadPlanner } from '../../state/plans';
import { kitchenIn } from '../../state/documents';
import { useDocuments } from '../../state/store';
import { StoneBands } from '../../ui/card';
import { PaperIcon } from '../../ui/icons';
import { Heading } from '../../ui/text';
import { DARK, LIGHT, TokensContext, dressPage, paperTheme, space } from '../../ui/theme';
import { loadLater } from '../loadLater';
import { Shell } from './Shell';

/** Theme, documents and frame round every screen. Screens wait here until documents and fonts are in. */
export function House({
  fontsReady,
  children,
}: {
  readonly fontsReady: boolean;
  readonly children: ReactNode;
}) {
  const ready = useDocuments((state) => state.ready);
  const hydrate = useDocuments((state) => state.hydrate);
  useEffect(() => {
    void hydrate(localNow(Date.now()));
    void loadPlanner(async () => (await loadLater()).planning);
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
        {ready && fontsReady ? <Shell>{children}</Shell> : <Opening />}
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
