import type { CavityShapeKind } from '../../model/kinds';
import { rectangle, type CutPoint, type Section } from '../outline';
import { box } from './box';
import type { CavityShape } from './cavityShape';
import { halfEllipsoid } from './halfEllipsoid';
import { stickMould } from './stickMould';

/** Every shape of cavities. */
export const CAVITY_SHAPES: Readonly<Record<CavityShapeKind, CavityShape>> = {
  stadium: stickMould,
  'half-ellipsoid': halfEllipsoid,
  box,
};

/** A cavity as it is drawn: its shape, and its measures along it. */
export interface CavityCut {
  readonly shape: CavityShapeKind;
  readonly lengthMm: number;
  readonly depthMm: number;
}

/** A moulded piece along its length, as it lies in the mould: shell below, filling, back plate on top, stick to the side. */
export function mouldedSection(
  { shape, lengthMm, depthMm }: CavityCut,
  shellMm: number,
  backMm: number,
  stick: boolean,
): Section {
  const half = lengthMm / 2;
  const outline = (inset: number): CutPoint[] =>
    CAVITY_SHAPES[shape].outline(half, depthMm, inset, inset > 0 ? depthMm - backMm : depthMm);
  return {
    patches: [
      { material: 'coat', points: outline(0) },
      { material: 'crumb', points: outline(shellMm) },
      ...(stick
        ? [
            {
              material: 'stick' as const,
              points: rectangle(half * 0.1, half + 22, depthMm / 2 - 2, depthMm / 2 + 2),
            },
          ]
        : []),
    ],
    marks: [
      { words: 'back plate', y: depthMm - backMm / 2, fromX: half * 0.8 },
      { words: 'filling', y: depthMm * 0.28, fromX: half * 0.5 },
    ],
    fill: null,
  };
}
