import type { RunDoc } from '../../core/model/documents';
import { runsIn } from '../../state/documents';
import { useDocuments } from '../../state/store';

/** Closed runs, the last of them first. */
export function useClosedRuns(): readonly RunDoc[] {
  const docs = useDocuments((state) => state.docs);
  return runsIn(docs)
    .filter((run) => run.closed !== null)
    .sort((a, b) => (b.closed?.at ?? 0) - (a.closed?.at ?? 0));
}
