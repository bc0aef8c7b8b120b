import { ScriptMissing } from '../state/scriptMissing';
import type * as Later from './laterScreens';

/** Loads what comes beside the first screen; the browser keeps it from then on. */
export async function loadLater(): Promise<typeof Later> {
  try {
    return await import('./laterScreens');
  } catch {
    throw new ScriptMissing();
  }
}
