import { wrap, type Remote } from 'comlink';
import type { BakeCurve } from '../core/process/bakeCurve';
import type { BakeModelInput } from '../core/process/bakeModel';
import type { OvenModel } from './ovenModel.worker';

let remote: Remote<OvenModel> | null = null;

/** The baking model in a worker of its own, started when it is first asked. */
export function askOven(input: BakeModelInput, factor: number): Promise<BakeCurve> {
  remote ??= wrap<OvenModel>(new Worker(new URL('./ovenModel.worker', import.meta.url)));
  return remote.bakeCurve(input, factor);
}
