/** Letters that a file may have: a run of sixty lines with all its formulas takes a tenth of it. */
export const MOST_LETTERS = 5_000_000;
