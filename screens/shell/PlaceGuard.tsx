import { useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { useDocuments } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { Guard } from '../../ui/guard';
import { SaveEverything } from './SaveFault';

/** A place that fails is told in its place: the others can still be gone to, and undo mends what an edit broke. */
export function PlaceGuard({ children }: { readonly children: ReactNode }) {
  const router = useRouter();
  const docs = useDocuments((state) => state.docs);
  return (
    <Guard
      what="This page"
      resetKeys={[docs]}
      ways={
        <>
          <QuietAction title="To the runs" onPress={() => router.navigate('/')} />
          <SaveEverything />
        </>
      }
    >
      {children}
    </Guard>
  );
}
