/** Files of everything are read by a worker; screens ask for it here. */
export { readInPieces, type Reading } from '../workers/bringing';
export type { Brought } from '../workers/bringing.worker';
