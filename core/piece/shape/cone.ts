import { PI, cm2, ml, mm3, over, plus, square, times, type Expr } from '../../figure';
import type { PanShape, Profile } from '../pan';
import { boxSection, domeSection } from '../outline';
import { ACROSS_BASE, ACROSS_TOP, DEPTH } from './fields';
import type { Surface, WellShape } from './wellShape';

/** A round piece as a short cylinder of its top's width. */
export function drum(width: Expr<'mm'>, volume: Expr<'ml'>): Surface {
  return {
    height: over(times(4, mm3(volume)), times(PI, square(width))),
    heightSays: 'The height of a round piece of that volume and mean width.',
    area: (height) => cm2(plus(over(times(PI, square(width)), 2), times(PI, width, height))),
    areaSays: 'Top, bottom and side of a round piece of its mean width.',
    curve: (height) => plus(times(PI, height), over(times(PI, PI, width), 2)),
    foot: over(times(PI, cm2(square(width))), 4),
  };
}

export const cylinderProfile = (radiusM: number, heightM: number): Profile => ({
  heightM,
  radiusM: () => radiusM,
});

/** A frustum filled to a volume, its walls going on upwards. Volume π·((r + s·h)³ − r³) / 3s. */
export function coneProfile(pan: PanShape, volumeM3: number): Profile {
  const flare = (pan.topRadiusM - pan.baseRadiusM) / pan.depthM;
  const base = pan.baseRadiusM;
  if (Math.abs(flare) < 1e-9) return cylinderProfile(base, volumeM3 / (Math.PI * base ** 2));
  const heightM = (Math.cbrt((3 * flare * volumeM3) / Math.PI + base ** 3) - base) / flare;
  return { heightM, radiusM: (z) => base + flare * z };
}

/** Round with sloping sides: a cone with its point cut off. */
export const cone: WellShape = {
  kind: 'frustum',
  title: 'round with sloping sides',
  detail: '',
  fields: [ACROSS_TOP, ACROSS_BASE, DEPTH],
  usualMm: () => 0,
  volume: ({ top, base, depth }) =>
    ml(times(over(times(PI, depth), 12), plus(square(top), times(top, base), square(base)))),
  volumeSays: 'A well is a cone with its point cut off.',
  pan: ({ top, base }, depthMm) => ({
    pan: { baseRadiusM: base / 2000, topRadiusM: top / 2000, depthM: depthMm / 1000 },
    share: 1,
  }),
  profile: coneProfile,
  quick: (pan) => ({ pan, factor: 1 }),
  surface: ({ top }, volume) => drum(top, volume),
  narrowestMm: ({ top, base }) => Math.min(top, base),
  footprint: ({ top }) => ({ longMm: top, wideMm: top }),
  domes: true,
  pairsToBall: false,
  section: ({ top, depth }) => boxSection(top, depth),
  piece: ({ top }, height, coatMm) => domeSection(top / 2, height, coatMm),
  turningOut: null,
};
