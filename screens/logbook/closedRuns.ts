import type { RunDoc } from '../../core/model/documents';
import { closedIn } from '../../state/documents';
import { useDocuments } from '../../state/store';

/** Closed runs, the last of them first. */
export const useClosedRuns = (): readonly RunDoc[] => closedIn(useDocuments((state) => state.docs));
