/** Batter that a line needs of a formula, g. */
export interface BatterNeed {
  readonly formulaId: string;
  readonly massG: number;
}

/** What other lines of the run take of the same formulas, g by formula id. */
export interface Shared {
  readonly others: ReadonlyMap<string, number>;
}

/**
 * A line being planned: it says once what batter it needs, is told what the others take of the same bowls, and goes on.
 * So each shared bowl is scaled, and its eggs rounded, for all lines together.
 */
export type Planning<P> = Generator<readonly BatterNeed[], P, Shared>;
