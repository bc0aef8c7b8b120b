/** The same constant for another mass: it grows with mass^(2/3), as surface does. Masses in g, constant in s. */
export function scaleConstantS(constantS: number, referenceG: number, massG: number): number {
  return constantS * (massG / referenceG) ** (2 / 3);
}
