import { ml, times, type Expr } from '../../figure';
import type { PanShape } from '../pan';
import { rectangle, rounded, type Section } from '../outline';

/** A sheet of cake of some height. */
export const sheetVolume = (length: Expr<'mm'>, width: Expr<'mm'>, height: Expr<'mm'>): Expr<'ml'> =>
  ml(times(times(length, width), height));

/** A rectangular tin as the round one that conducts alike: same area, so that depth and faces are the tin's own. */
export function roundAs(lengthM: number, widthM: number, depthM: number): PanShape {
  const radius = Math.sqrt((lengthM * widthM) / Math.PI);
  return { baseRadiusM: radius, topRadiusM: radius, depthM };
}

/** A box-shaped piece of cake under its coat. */
export function cubeSection(lengthMm: number, heightMm: number, coatMm: number): Section {
  const half = lengthMm / 2;
  return {
    patches: [
      ...(coatMm > 0
        ? [
            {
              material: 'coat' as const,
              points: rounded(half + coatMm, 0, heightMm + 2 * coatMm, coatMm + 1),
            },
          ]
        : []),
      { material: 'crumb', points: rectangle(-half, half, coatMm, heightMm + coatMm) },
    ],
    marks: [
      ...(coatMm > 0 ? [{ words: 'coat', y: heightMm + 1.5 * coatMm, fromX: half * 0.7 }] : []),
      { words: 'cake', y: heightMm * 0.4 + coatMm, fromX: half * 0.6 },
    ],
    fill: null,
  };
}
