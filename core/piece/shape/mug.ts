import { capHeightMm, domeOn, rectangle, walls, type Section } from '../outline';

/** Height of a mug against its width inside. Basis: ordinary mugs. */
const MUG_SLIM = 1.15;

/** How wide a mug of that volume (ml) is inside, mm. Basis: the shape of ordinary mugs. */
export const mugWidthMm = (volumeMl: number): number => Math.cbrt((4000 * volumeMl) / (Math.PI * MUG_SLIM));

/** A mug with the cake in it: batter line, risen cake, frosting as a dome. All volumes in ml. */
export function mugSection(
  volumeMl: number,
  fillShare: number,
  cakeShare: number,
  frostingMl: number,
): Section {
  const width = mugWidthMm(volumeMl);
  const depth = width * MUG_SLIM;
  const half = width / 2;
  const cake = depth * cakeShare;
  const dome = capHeightMm(frostingMl, half * 0.9);
  return {
    patches: [
      { material: 'vessel', points: walls(half, depth, 4) },
      { material: 'crumb', points: rectangle(-half, half, 0, cake) },
      ...(dome > 0 ? [{ material: 'frosting' as const, points: domeOn(half * 0.9, cake, dome) }] : []),
    ],
    marks: [
      { words: 'rim', y: depth, fromX: half + 4 },
      { words: 'batter', y: depth * fillShare, fromX: half },
      ...(dome > 0 ? [{ words: 'frosting', y: cake + dome / 2, fromX: half * 0.5 }] : []),
    ],
    fill: { y: depth * fillShare, halfMm: half },
  };
}
