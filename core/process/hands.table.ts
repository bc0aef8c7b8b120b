/** Hands-on time, seconds a piece. Basis: typical of a household kitchen; the log replaces it. */
export const POP_HANDS_S = { roll: 20, stick: 12, dip: 25, garnish: 10 } as const;
export const SHELL_HANDS_S = { coats: 35, fill: 30, back: 20, turnOut: 20 } as const;
export const CUBE_HANDS_S = { cut: 6, dip: 30, frost: 20 } as const;

/** Weighing out a formula, and stirring a few mugs, minutes. Basis: typical. */
export const WEIGH_MIN = 12;
export const MUG_WEIGH_MIN = 4;
