import { cm2, minus, ml, mm3, over, plus, times } from '../../figure';
import { boxSection, ellipse, rounded, type Section } from '../outline';
import { ACROSS_BASE, ACROSS_TOP, DEPTH } from './fields';
import { coneProfile } from './cone';
import { boxSolid } from './solid';
import type { Surface, WellShape } from './wellShape';

/**
 * A bar's well as the round one that conducts alike: radius of area over half the girth, as deep, and holding that much
 * less in proportion to its area. Lengths in m; `share` is what of the bar's batter the round one holds.
 */
export function barAs(lengthM: number, widthM: number): { radiusM: number; share: number } {
  const radiusM = (lengthM * widthM) / (lengthM + widthM);
  return { radiusM, share: (Math.PI * radiusM * radiusM) / (lengthM * widthM) };
}

/** A bar is as long as it says, or three times as long as wide where it says nothing. */
const USUAL_SLIM = 3;

/** Straight sides from the top's length and width to a base narrower by the same on every side. */
export const bar: WellShape = {
  kind: 'bar',
  title: 'a bar',
  detail: 'As for fingers.',
  fields: [
    {
      side: 'length',
      label: 'Length of the well',
      ask: 'Length at the top',
      after: 'long,',
      min: 10,
      max: 400,
    },
    { ...ACROSS_TOP, label: 'Width of the well' },
    ACROSS_BASE,
    DEPTH,
  ],
  usualMm: (side, topMm) => (side === 'length' ? USUAL_SLIM * topMm : 0),
  /** V = h/6·(A + a + (L + l)·(W + w)), exact for such a body. */
  volume: ({ length, top, base, depth }) => {
    const baseLength = plus(minus(length, top), base);
    return ml(
      times(
        over(depth, 6),
        plus(
          times(length, top),
          times(baseLength, base),
          times(plus(minus(times(2, length), top), base), plus(top, base)),
        ),
      ),
    );
  },
  inOrder: (mm) => ({ ...mm, length: Math.max(mm.length, mm.top), top: Math.min(mm.length, mm.top) }),
  volumeSays: 'A bar with sloping sides, narrower at its base on every side by the same.',
  pan: ({ length, top, base }, depthMm) => {
    const narrower = top - base;
    const above = barAs(length / 1000, top / 1000);
    const below = barAs((length - narrower) / 1000, base / 1000);
    return {
      pan: { baseRadiusM: below.radiusM, topRadiusM: above.radiusM, depthM: depthMm / 1000 },
      share: (above.share + below.share) / 2,
    };
  },
  profile: coneProfile,
  quick: (pan) => ({ pan, factor: 1 }),
  surface: ({ length, top, base }, volume): Surface => ({
    height: over(mm3(volume), over(times(length, plus(top, base)), 2)),
    heightSays: 'The height of a bar of that volume, length and mean width.',
    area: (height) => boxSolid(length, top, height).area,
    areaSays: 'Six sides.',
    curve: (height) => boxSolid(length, top, height).curve,
    foot: cm2(times(length, top)),
  }),
  narrowestMm: ({ top, base, length }) => Math.min(top, base, length),
  footprint: ({ length, top }) => ({ longMm: length, wideMm: top }),
  domes: false,
  pairsToBall: false,
  section: ({ length, depth }) => boxSection(length, depth),
  piece: ({ length }, height) => boxSection(length, height),
  turningOut: 'grease corners',
};

/** A finger along its length, with its channels of filling. */
export function fingerSection(
  lengthMm: number,
  heightMm: number,
  channels: number,
  channelMl: number,
): Section {
  const half = lengthMm / 2;
  const pocket = Math.cbrt((6000 * channelMl) / Math.PI) / 2;
  const at = (k: number) => ((2 * (k + 0.5)) / channels - 1) * half;
  return {
    patches: [
      { material: 'crumb', points: rounded(half, 0, heightMm, 8) },
      ...Array.from({ length: channelMl > 0 ? channels : 0 }, (_, k) => ({
        material: 'filling' as const,
        points: ellipse(pocket, Math.min(pocket, heightMm * 0.42), { x: at(k), y: heightMm / 2 }),
      })),
    ],
    marks: [{ words: 'cake', y: heightMm * 0.85, fromX: half * 0.8 }],
    fill: null,
  };
}
