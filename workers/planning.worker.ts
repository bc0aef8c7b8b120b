import { expose } from 'comlink';
import { costsOf, offersFrom, triedOn } from './tried';

/** All that this worker does. */
export const planner = { costsOf, offersFrom, triedOn };
export type Planner = typeof planner;

expose(planner);
