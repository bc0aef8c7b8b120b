import type { RunDoc } from '../model/documents';
import { copyOf } from './edit';

/** A run to be made again: its lines as they were chosen, nothing of what was weighed, ticked, baked or held in it. */
export const runAgain = (
  { lines, ahead, ...run }: RunDoc,
  anew: Pick<RunDoc, 'id' | 'name' | 'createdAt' | 'readyAt'>,
): RunDoc => ({
  kind: run.kind,
  version: run.version,
  ...anew,
  lines: lines.map((line) => copyOf(line, line.id)),
  closed: null,
  ...(ahead === undefined ? {} : { ahead }),
});
