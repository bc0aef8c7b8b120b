/** A root that moves figures: what it is wherever it stands, and the figure that shows it here. */
export interface Root {
  readonly key: string;
  readonly id: string;
  readonly label: string;
  /** By which others' ties name it, and how its own doubt is tied to others': correlations, by their names. */
  readonly tiedAs?: string | undefined;
  readonly ties?: Readonly<Record<string, number>> | undefined;
}
