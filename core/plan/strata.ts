import type { Ref } from '../figure';
import type { Stratum } from './emitted';

/** A band of the chain: the figure that it is as high as. */
export type Band = readonly [
  id: string,
  label: string,
  material: Stratum['material'],
  figure: Ref<'g'> | null | undefined,
];

/** Less than this is no band, g. */
const LEAST_G = 0.05;

/** The bands of a chain that a plan has figures for and that hold something, in the order given. */
export function bandsOf(bands: readonly Band[]): Stratum[] {
  return bands.flatMap(([id, label, material, figure]) =>
    figure && figure.value > LEAST_G
      ? [{ id, label, material, figureId: figure.id, massG: figure.value, pinned: figure.pinned }]
      : [],
  );
}
