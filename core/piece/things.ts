import { STICK, ellipse, rounded, type Section } from './outline';

/** How far the wall of a paper case leans out, of its height. Basis: ordinary cases. */
const CASE_LEAN = 0.27;

/**
 * A scoop filled level: half a ball of that volume, its wall round it.
 * @param volumeMl ml of a level scoop, above 0
 */
export function scoopSection(volumeMl: number): Section {
  // Half a ball of radius r holds 2/3 π r³.
  const r = Math.cbrt((3 * volumeMl * 1000) / (2 * Math.PI));
  const wall = 1.5;
  const centre = { x: 0, y: r };
  return {
    patches: [
      { material: 'vessel', points: ellipse(r + wall, r + wall, centre, 0.5, 1) },
      { material: 'batter', points: ellipse(r, r, centre, 0.5, 1) },
    ],
    marks: [{ words: 'level', y: r, fromX: r + wall }],
    fill: null,
  };
}

/** A lollipop stick lying. */
export function stickSection(lengthMm: number): Section {
  return {
    patches: [{ material: 'stick', points: rounded(lengthMm / 2, 0, 2 * STICK.halfMm, STICK.halfMm) }],
    marks: [],
    fill: null,
  };
}

/** A paper case from the side: its base, and its pleated wall leaning out. */
export function caseSection(baseMm: number, highMm: number): Section {
  const lean = highMm * CASE_LEAN;
  const half = baseMm / 2;
  return {
    patches: [
      {
        material: 'stick',
        points: [
          { x: -half, y: 0 },
          { x: half, y: 0 },
          { x: half + lean, y: highMm },
          { x: -half - lean, y: highMm },
        ],
      },
    ],
    marks: [],
    fill: null,
  };
}
