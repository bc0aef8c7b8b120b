import { useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { BandTabs } from '../../ui/bandTabs';
import { Whole } from '../shell/Whole';
import { Screen } from '../../ui/screen';

export const LOGBOOK_VIEWS = [
  { id: 'batches', name: 'Batches', href: '/logbook' },
  { id: 'charts', name: 'Charts', href: '/logbook/charts' },
  { id: 'learned', name: 'Learned', href: '/logbook/learned' },
  { id: 'keeping', name: 'Keeping', href: '/logbook/keeping' },
] as const;
export type LogbookView = (typeof LOGBOOK_VIEWS)[number]['id'];

/** The logbook at one of its views. */
export function LogbookFrame({
  view,
  foot,
  children,
}: {
  readonly view: LogbookView;
  readonly foot?: ReactNode;
  readonly children: ReactNode;
}) {
  const router = useRouter();
  return (
    <Screen
      title="Logbook"
      broad
      band={
        <BandTabs
          label="Views of the logbook"
          tabs={LOGBOOK_VIEWS}
          at={view}
          onGo={(to) => router.navigate(LOGBOOK_VIEWS.find(({ id }) => id === to)?.href ?? '/logbook')}
        />
      }
      foot={foot}
    >
      <Whole>{children}</Whole>
    </Screen>
  );
}
