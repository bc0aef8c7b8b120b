import { Workbox } from 'workbox-window';
import { create } from 'zustand';

/** A newer version of the app that is in and waits to be taken; null where there is none. */
export const useNewVersion = create<{ readonly take: (() => void) | null }>(() => ({ take: null }));

/** Has the browser keep the whole app for use without a network. A newer version waits until somebody takes it. */
export async function keepForOffline(): Promise<void> {
  if (!('serviceWorker' in navigator) || process.env.NODE_ENV !== 'production') return;
  const keeper = new Workbox('/sw.js');
  keeper.addEventListener('waiting', () => {
    useNewVersion.setState({
      take: () => {
        keeper.addEventListener('controlling', () => window.location.reload());
        keeper.messageSkipWaiting();
      },
    });
  });
  try {
    await keeper.register();
  } catch {
    // Private windows and some settings do not allow it: the app then needs its server.
  }
}
