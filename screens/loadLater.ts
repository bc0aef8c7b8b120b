import { ScriptMissing } from '../state/scriptMissing';
import type * as Later from './laterScreens';

/** The scripts that hold it, as the build cut them; none where it was not cut. */
const parts = (): readonly string[] =>
  (globalThis as { readonly carnelianParts?: readonly string[] }).carnelianParts ?? [];

const fetched = new Map<string, Promise<void>>();

function script(address: string): Promise<void> {
  const on =
    fetched.get(address) ??
    new Promise<void>((done, missing) => {
      const tag = document.createElement('script');
      tag.src = address;
      tag.onload = () => done();
      tag.onerror = () => {
        // Asked for again the next time.
        fetched.delete(address);
        tag.remove();
        missing(new ScriptMissing());
      };
      document.head.appendChild(tag);
    });
  fetched.set(address, on);
  return on;
}

/** Loads what comes beside the first screen; the browser keeps it from then on. */
export async function loadLater(): Promise<typeof Later> {
  try {
    await Promise.all(parts().map(script));
    return await import('./laterScreens');
  } catch {
    throw new ScriptMissing();
  }
}
