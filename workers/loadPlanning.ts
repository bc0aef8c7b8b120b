import type * as Planning from './planning';

/** Loads the planner; the browser keeps it from then on. */
export const loadPlanning = (): Promise<typeof Planning> => import('./planning');
