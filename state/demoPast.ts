import { demoDay } from '../demo';
import { pastBefore, type Past, type PastFile } from '../demo/past';
import { dateOf } from './time';

/** The demo is laid out without its past sooner than anybody waits so long for it, ms. */
const PATIENCE_MS = 3000;

/** The demo kitchen's past, before the Saturday to come; null where it does not come. It is checked as it is read back. */
export async function demoPast(now: string): Promise<Past | null> {
  try {
    const answer = await fetch('/demo-past.json', { signal: AbortSignal.timeout(PATIENCE_MS) });
    if (!answer.ok) return null;
    return pastBefore((await answer.json()) as PastFile, demoDay(now), (local) => dateOf(local).getTime());
  } catch {
    return null;
  }
}
