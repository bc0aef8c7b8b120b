import { wrap, type Remote } from 'comlink';
import type { Planner } from './planning.worker';

let remote: Remote<Planner> | null = null;

/** The planner in a worker of its own, started when it is first asked. */
export function askPlanner(): Pick<Remote<Planner>, 'costsOf' | 'offersFrom' | 'triedOn'> {
  remote ??= wrap<Planner>(new Worker(new URL('./planning.worker', import.meta.url)));
  return remote;
}
