import { expose } from 'comlink';
import { bakeCurve } from '../core/process/bakeCurve';

/** The one thing that this worker does. */
export const ovenModel = { bakeCurve };
export type OvenModel = typeof ovenModel;

expose(ovenModel);
