/** Mass of a ball: ρ·π·d³/6, with ρ in g/ml. Geometry. */
export function ballMassG(diameterMm: number, densityGMl: number): number {
  return (densityGMl * Math.PI * diameterMm ** 3) / 6 / 1000;
}
