import type { BakeCurve } from '../core/process/bakeCurve';
import type { BakeModelInput } from '../core/process/bakeModel';
import { Hand } from './hand';
import type { OvenModel } from './ovenModel.worker';

const model = new Hand<OvenModel>(() => new Worker(new URL('./ovenModel.worker', import.meta.url)));

/** The baking model in a worker of its own, started when it is first asked. */
export const askOven = (input: BakeModelInput, factor: number): Promise<BakeCurve> =>
  model.ask((remote) => remote.bakeCurve(input, factor));
