import { PI, cm2, cube, cubeRoot, mm3, over, square, times, type Expr } from '../../figure';
import { ellipse, rectangle, STICK, type Section } from '../outline';
import type { Solid } from './solid';

/** Diameter of the ball of some volume. */
export const ballDiameter = (volume: Expr<'ml'>): Expr<'mm'> => cubeRoot(over(times(6, mm3(volume)), PI));
/** Volume of a ball, mm³. */
export const ballVolume = (diameter: Expr<'mm'>): Expr<'mm³'> => over(times(PI, cube(diameter)), 6);

/** A ball as a coat sees it. */
export const ballSolid = (diameter: Expr<'mm'>): Solid => ({
  area: cm2(times(PI, square(diameter))),
  curve: times(2, PI, diameter),
});

/** A ball of dough with its coat, on a stick that goes half-way in. Coat 0 for a bare one. */
export function ballSection(diameterMm: number, coatMm: number, stick: boolean): Section {
  const r = diameterMm / 2;
  const out = r + coatMm;
  const bottom = stick ? STICK.outMm : 0;
  const centre = { x: 0, y: bottom + out };
  return {
    patches: [
      ...(coatMm > 0 ? [{ material: 'coat' as const, points: ellipse(out, out, centre) }] : []),
      { material: 'crumb', points: ellipse(r, r, centre) },
      ...(stick
        ? [{ material: 'stick' as const, points: rectangle(-STICK.halfMm, STICK.halfMm, 0, centre.y) }]
        : []),
    ],
    marks: [
      ...(coatMm > 0 ? [{ words: 'coat', y: centre.y + out * 0.8, fromX: out * 0.6 }] : []),
      { words: 'dough', y: centre.y, fromX: r * 0.6 },
      ...(stick ? [{ words: 'stick', y: bottom / 2, fromX: STICK.halfMm }] : []),
    ],
    fill: null,
  };
}

/** Two halves put together round a layer of filling. */
export function pairSection(diameterMm: number, fillingMm: number, coatMm: number): Section {
  const r = diameterMm / 2;
  const centre = r + fillingMm / 2 + coatMm;
  return {
    patches: [
      ...(coatMm > 0
        ? [
            {
              material: 'coat' as const,
              points: ellipse(r + coatMm, r + fillingMm / 2 + coatMm, { x: 0, y: centre }),
            },
          ]
        : []),
      { material: 'crumb', points: ellipse(r, r, { x: 0, y: centre + fillingMm / 2 }, 0, 0.5) },
      { material: 'crumb', points: ellipse(r, r, { x: 0, y: centre - fillingMm / 2 }, 0.5, 1) },
      { material: 'filling', points: rectangle(-r, r, centre - fillingMm / 2, centre + fillingMm / 2) },
    ],
    marks: [
      { words: 'half', y: centre + r * 0.6, fromX: r * 0.5 },
      { words: 'filling', y: centre, fromX: r },
    ],
    fill: null,
  };
}
