import type { PlanFile } from '../core/plan';
import { Hand } from './hand';
import type { Planner } from './planning.worker';

const planner = new Hand<Planner>(() => new Worker(new URL('./planning.worker', import.meta.url)));

type Of<K extends keyof Planner> = Parameters<Planner[K]>;

const asks = {
  triedOn: (...asked: Of<'triedOn'>) => planner.ask((remote) => remote.triedOn(...asked)),
  costsOf: (file: PlanFile) => planner.ask((remote) => remote.costsOf(file)),
  offersFrom: (...asked: Of<'offersFrom'>) => planner.ask((remote) => remote.offersFrom(...asked)),
};
/** The planner in a worker of its own, started when it is first asked. */
export const askPlanner = () => asks;
