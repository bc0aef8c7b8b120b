import { PI, ml, over, square, times } from '../../figure';
import { bisect } from '../../numeric/bisect';
import { boxSection, domeSection } from '../outline';
import { ACROSS_TOP, DEPTH } from './fields';
import { drum } from './cone';
import type { WellShape } from './wellShape';

/** A bowl bakes as the frustum of its top, depth and volume: this share of the top at the base, and so much longer. */
const BASE_SHARE = (Math.sqrt(5) - 1) / 2;
const FACTOR = 1.04;

/** Half an ellipsoid, round side down: half a ball where it is as deep as it is wide to the middle. */
export const bowl: WellShape = {
  kind: 'bowl',
  title: 'a bowl',
  detail: 'Half a ball, round side down.',
  fields: [{ ...ACROSS_TOP, after: 'across the top and' }, DEPTH],
  usualMm: () => 0,
  volume: ({ top, depth }) => ml(over(times(PI, square(top), depth), 6)),
  volumeSays: 'A bowl is half a ball, or half an egg where it is deeper or flatter.',
  pan: ({ top }, depthMm) => ({
    pan: { shape: 'bowl', baseRadiusM: 0, topRadiusM: top / 2000, depthM: depthMm / 1000 },
    share: 1,
  }),
  /** Filled to a height; past its rim the piece stands on it as a cylinder. V(h) = π·r²·h²/d·(1 − h/3d). */
  profile: ({ topRadiusM, depthM }, volumeM3) => {
    const area = Math.PI * topRadiusM * topRadiusM;
    const full = (2 / 3) * area * depthM;
    const holds = (h: number) => ((area * h * h) / depthM) * (1 - h / (3 * depthM));
    const heightM = volumeM3 >= full ? depthM + (volumeM3 - full) / area : bisect(holds, volumeM3, 0, depthM);
    const round = (z: number) => topRadiusM * Math.sqrt(Math.max(1 - ((depthM - z) / depthM) ** 2, 0));
    return { heightM, radiusM: (z) => (z < depthM ? round(z) : topRadiusM) };
  },
  quick: (pan) => ({
    pan: { baseRadiusM: pan.topRadiusM * BASE_SHARE, topRadiusM: pan.topRadiusM, depthM: pan.depthM },
    factor: FACTOR,
  }),
  surface: ({ top }, volume) => drum(top, volume),
  narrowestMm: ({ top }) => top,
  footprint: ({ top }) => ({ longMm: top, wideMm: top }),
  domes: false,
  pairsToBall: true,
  section: ({ top, depth }) => boxSection(top, depth),
  piece: ({ top }, height, coatMm) => domeSection(top / 2, height, coatMm),
  turningOut: 'grease corners',
};
