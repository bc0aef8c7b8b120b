import type { Allergen } from './allergens.table';

/** What an ingredient does in a batter. */
export type Role =
  | 'flour'
  | 'starch'
  | 'sugar'
  | 'fat'
  | 'egg'
  | 'liquid'
  | 'powder'
  | 'bicarbonate'
  | 'salt'
  | 'cocoa'
  | 'dairy'
  | 'fruit'
  | 'nut'
  | 'flavour'
  | 'acid'
  | 'chocolate'
  | 'other';

export interface Ingredient {
  readonly key: string;
  readonly name: string;
  readonly names: readonly string[];
  readonly role: Role;
  /** g in a level US cup. */
  readonly cupG?: number;
  /** g in a level US teaspoon, where a spoon is how it is measured. */
  readonly tspG?: number;
  /** g of one piece, without shell, stone or peel. */
  readonly pieceG?: number;
  /** g in one pack of the size that is usual, by the kind of pack, for what comes in one usual size only. */
  readonly packG?: Readonly<Record<string, number>>;
  /** What it holds of the lists, as it is usually made; left out where it holds none. */
  readonly allergens?: readonly Allergen[];
  /** Sold ready made, by many makers: its packet may tell of more. */
  readonly more?: true;
}
