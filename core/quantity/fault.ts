/** What is wrong with a line or a field, and what would be right. */
export interface Fault {
  readonly fault: string;
  readonly mend: string;
}

/** Personal measures that somebody has weighed: the unit's key → g of one. */
export type OwnMeasures = Readonly<Record<string, number>>;
