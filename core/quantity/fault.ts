/** What is wrong with a line or a field, and what would be right. */
export interface Fault {
  readonly fault: string;
  readonly mend: string;
}
