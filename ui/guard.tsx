import type { ReactNode } from 'react';
import { View } from 'react-native';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { ScriptMissing } from '../state/scriptMissing';
import { QuietAction } from './actions';
import { Notice } from './notice';
import { Small } from './text';
import { space } from './theme';

interface GuardProps {
  /** What could not be shown, as a sentence begins: "The drawing". */
  readonly what: string;
  readonly children: ReactNode;
  /** A change of any of these tries again. */
  readonly resetKeys?: unknown[];
  /** More ways on, under the notice. */
  readonly ways?: ReactNode;
}

/** Whatever goes wrong inside is told in its place, and nowhere else. */
export function Guard({ what, children, resetKeys, ways }: GuardProps) {
  return (
    <ErrorBoundary
      resetKeys={resetKeys}
      fallbackRender={(failed) => <Failed what={what} ways={ways} {...failed} />}
    >
      {children}
    </ErrorBoundary>
  );
}

function Failed({
  what,
  ways,
  error,
  resetErrorBoundary,
}: FallbackProps & { readonly what: string; readonly ways?: ReactNode }) {
  if (error instanceof ScriptMissing) return <PartMissing />;
  return (
    <View style={{ gap: space(1), padding: space(1) }}>
      <Notice
        fault={`${what} could not be shown.`}
        mend="This is a fault of Carnelian. Your documents are as they were."
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
        <QuietAction title="Try again" onPress={resetErrorBoundary} />
        {ways}
      </View>
    </View>
  );
}

/** A script that is not there: a build has replaced it, or the network went before it came. */
export function PartMissing() {
  return (
    <View style={{ gap: space(1), padding: space(1) }}>
      <Notice
        fault="A part of Carnelian is missing here."
        mend="A newer version has taken its place, or the network is away. Load the page again: what you wrote is kept."
      />
      <QuietAction title="Load the page again" onPress={() => window.location.reload()} />
    </View>
  );
}

/** A drawing that fails leaves a line of words in its place: the figures beside it stand. */
export function DrawingGuard({ children, of }: { readonly children: ReactNode; readonly of?: unknown }) {
  return (
    <ErrorBoundary resetKeys={[of]} fallbackRender={() => <Small>The drawing could not be made.</Small>}>
      {children}
    </ErrorBoundary>
  );
}
