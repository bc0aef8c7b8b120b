import { useEffect, type ReactNode } from 'react';
import { useDocuments } from '../../state/store';
import { Small } from '../../ui/text';

/** What needs all documents, closed runs too: a moment after the start they are in. */
export function Whole({ children }: { readonly children: ReactNode }) {
  const whole = useDocuments((state) => state.whole);
  useEffect(() => useDocuments.getState().askWhole(), []);
  return whole ? children : <Small>Opening the closed runs.</Small>;
}
