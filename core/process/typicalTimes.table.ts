/** Typical oven times that the baking model is fitted to. Still oven, batter at 21 °C, done at 97 °C. Basis: typical. */
export interface TypicalTime {
  readonly what: string;
  readonly massG: number;
  readonly ovenC: number;
  readonly minutes: number;
}

export const TYPICAL_TIMES: readonly TypicalTime[] = [
  { what: 'mini', massG: 14, ovenC: 175, minutes: 11 },
  { what: 'standard', massG: 48, ovenC: 175, minutes: 19 },
  { what: 'standard, cool oven', massG: 48, ovenC: 160, minutes: 23.5 },
  { what: 'standard, hot oven', massG: 48, ovenC: 190, minutes: 16.5 },
  { what: 'large', massG: 115, ovenC: 175, minutes: 26 },
];
