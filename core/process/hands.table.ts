/** Hands-on time, seconds a piece. Basis: typical of a household kitchen; the log replaces it. */
export const POP_HANDS_S = { roll: 40, stick: 8, dip: 20, garnish: 12 } as const;
/** Two brushed coats, filling pressed in, a back plate, turning out. */
export const SHELL_HANDS_S = { coats: 50, fill: 25, back: 20, turnOut: 15 } as const;
export const CUBE_HANDS_S = { cut: 5, dip: 20, frost: 20 } as const;

/** Somebody's pace at a stage against the usual, and how far that may be off. Basis: typical. */
export const PACE_START = { value: 1, spread: 0.25 } as const;

/** Weighing out a formula, and stirring a few mugs, minutes. Basis: typical. */
export const WEIGH_MIN = 12;
export const MUG_WEIGH_MIN = 4;
