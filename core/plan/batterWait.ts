import type { Method } from '../model/documents';
import { BICARBONATE_WAIT_MIN, METHODS } from '../process/batter.table';
import type { ReadLine } from '../quantity';

/** Minutes that mixed batter may wait before it loses its lift: by its method, and no longer than what lifts it works. */
export function batterWaitMin(lines: readonly ReadLine[], method: Method): number {
  const raises = (role: string) => lines.some((line) => line.ingredient?.role === role);
  const { waitMin } = METHODS[method];
  return raises('bicarbonate') && !raises('powder') ? Math.min(BICARBONATE_WAIT_MIN, waitMin) : waitMin;
}
