import type { Stratum } from '../chain';
import { type Figures } from '../figures';

export type Band = readonly [id: string, label: string, material: Stratum['material'], figureId: string];

/** Less than this is no band, g. */
const LEAST_G = 0.05;

/** The bands of a chain that a plan has figures for and that hold something, in the order given. */
export function bandsOf(ledger: Figures, bands: readonly Band[]): Stratum[] {
  return bands.flatMap(([id, label, material, figureId]) => {
    if (!ledger.has(figureId)) return [];
    const figure = ledger.figure(figureId);
    return figure.value > LEAST_G
      ? [{ id, label, material, figureId, massG: figure.value, pinned: figure.kind === 'pinned' }]
      : [];
  });
}
