import type { BenchEvent } from '../model/documents';
import { lastOf } from './log';

/** The last thing that somebody told, and what began by itself together with it; empty where nothing was told. */
export function lastActOf({
  log = [],
}: {
  readonly log?: readonly BenchEvent[] | undefined;
}): readonly string[] {
  const last = lastOf(log);
  return last ? log.filter(({ at, what }) => at === last.at && what !== 'undone').map(({ id }) => id) : [];
}
