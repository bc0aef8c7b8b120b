import type * as Later from './laterScreens';

/** Loads what comes beside the first screen; the browser keeps it from then on. */
export const loadLater = (): Promise<typeof Later> => import('./laterScreens');
