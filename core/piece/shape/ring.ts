import { PI, cm2, minus, ml, mm3, over, plus, square, squareRoot, times, type Expr } from '../../figure';
import { bisect } from '../../numeric/bisect';
import { ellipse, type CutPoint, type Patch, type Section } from '../outline';
import { DEPTH } from './fields';
import type { Sides, WellShape } from './wellShape';

/** A ring bakes as this round well, which holds that share of its batter, and so much longer. Fitted to the model. */
const QUICK = { baseShare: 0.9, factor: 0.964 } as const;
/** A hole is this part of the top where nobody says how wide it is. */
const USUAL_HOLE = 0.4;

/** Radius from the axis to the middle of the tube, mm: as far as the middle of the dough goes round. */
const middleOf = ({ top, hole }: Sides): Expr<'mm'> => over(plus(top, hole), 4);
const tubeOf = ({ top, hole }: Sides): Expr<'mm'> => over(minus(top, hole), 2);
/** Half the way round an ellipse, by Ramanujan: exact for a circle, within 1 part in 10 000 for any that is baked in. */
const halfRound = (a: Expr<'mm'>, b: Expr<'mm'>): Expr<'mm'> =>
  times(
    over(PI, 2),
    minus(times(3, plus(a, b)), squareRoot(times(plus(times(3, a), b), plus(a, times(3, b))))),
  );

/** Half a tube of some height to both sides of the axis, round side up or down. */
function tubes(middleMm: number, halfMm: number, heightMm: number, up: boolean): CutPoint[][] {
  const [from, to, y] = up ? [0, 0.5, 0] : [0.5, 1, heightMm];
  return [-middleMm, middleMm].map((x) => ellipse(halfMm, heightMm, { x, y }, from, to));
}
const section = (patches: readonly Patch[]): Section => ({ patches, marks: [], fill: null });

/** Half a torus, round side down: a ring with a hole, its tube half an ellipse. */
export const ring: WellShape = {
  kind: 'ring',
  title: 'a ring',
  detail: 'Half a tube, round side down, with a hole in the middle.',
  fields: [
    {
      side: 'top',
      label: 'Top of the well',
      ask: 'Across the top',
      after: 'across the top, with a hole of',
      min: 25,
      max: 300,
    },
    {
      side: 'hole',
      label: 'Hole of the well',
      ask: 'Across the hole',
      after: 'across and',
      min: 3,
      max: 280,
    },
    DEPTH,
  ],
  usualMm: (side, topMm) => (side === 'hole' ? USUAL_HOLE * topMm : 0),
  /** Pappus: the tube's half ellipse, π·w·d/4, goes round at (D + h)/4: V = π²·d·(D² − h²)/16. */
  volume: ({ top, hole, depth }) =>
    ml(over(times(times(PI, PI), depth, minus(square(top), square(hole))), 16)),
  volumeSays: 'A ring is half a tube that goes once round its hole.',
  pan: ({ top, hole }, depthMm) => ({
    pan: {
      shape: 'ring',
      baseRadiusM: 0,
      topRadiusM: top / 2000,
      depthM: depthMm / 1000,
      holeRadiusM: hole / 2000,
    },
    share: 1,
  }),
  /** Filled to a height; past its rim the piece stands on it with upright sides. */
  profile: ({ topRadiusM, depthM, holeRadiusM = 0 }, volumeM3) => {
    const middle = (topRadiusM + holeRadiusM) / 2;
    const half = (topRadiusM - holeRadiusM) / 2;
    const round = 2 * Math.PI * middle;
    /** Of the tube, below a height. */
    const holds = (z: number) => {
      const u = 1 - z / depthM;
      return round * half * depthM * (Math.PI / 2 - u * Math.sqrt(Math.max(1 - u * u, 0)) - Math.asin(u));
    };
    const full = holds(depthM);
    const heightM =
      volumeM3 >= full ? depthM + (volumeM3 - full) / (round * 2 * half) : bisect(holds, volumeM3, 0, depthM);
    const across = (z: number) =>
      z < depthM ? half * Math.sqrt(Math.max(1 - ((depthM - z) / depthM) ** 2, 0)) : half;
    return { heightM, radiusM: (z) => middle + across(z), holeM: (z) => middle - across(z) };
  },
  /** Bent into a ring, a bar conducts as a straight one: its round well has the tube's width for a radius. */
  quick: ({ topRadiusM, depthM, holeRadiusM = 0 }) => {
    const width = topRadiusM - holeRadiusM;
    return {
      pan: { baseRadiusM: width * QUICK.baseShare, topRadiusM: width, depthM },
      factor: QUICK.factor,
      share: (width * width) / (topRadiusM * topRadiusM - holeRadiusM * holeRadiusM),
    };
  },
  surface: (of, volume) => {
    const [middle, width] = [middleOf(of), tubeOf(of)];
    const round = times(2, PI, middle);
    return {
      height: over(times(16, mm3(volume)), times(times(PI, PI), minus(square(of.top), square(of.hole)))),
      heightSays: 'The height of half a tube of that volume round its hole.',
      area: (height) => cm2(times(round, plus(halfRound(over(width, 2), height), width))),
      areaSays: 'The round side of the ring, and the flat one that it stands on.',
      // The round side and its two edges, π²·R each: whatever its height.
      curve: () => times(2, times(PI, PI), middle),
      foot: cm2(times(round, width)),
    };
  },
  narrowestMm: ({ top, hole }) => (top - hole) / 2,
  footprint: ({ top }) => ({ longMm: top, wideMm: top }),
  domes: false,
  pairsToBall: false,
  section: ({ top, hole, depth }) =>
    section(
      tubes((top + hole) / 4, (top - hole) / 4, depth, false).map((points) => ({
        material: 'vessel',
        points,
      })),
    ),
  piece: ({ top, hole }, heightMm, coatMm) => {
    const [middle, half] = [(top + hole) / 4, (top - hole) / 4];
    const coat = coatMm > 0 ? tubes(middle, half + coatMm, heightMm + coatMm, true) : [];
    return section([
      ...coat.map((points) => ({ material: 'coat' as const, points })),
      ...tubes(middle, half, heightMm, true).map((points) => ({ material: 'crumb' as const, points })),
    ]);
  },
  turningOut: 'grease corners',
};
