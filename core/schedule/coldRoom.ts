/** A tray as it goes into the cold, mm. */
export interface Tray {
  readonly lengthMm: number;
  readonly widthMm: number;
}

/** How the pieces of a line lie in the cold before they are coated or turned out. */
export interface ColdRoom {
  readonly where: 'fridge' | 'freezer';
  /** What takes a place of its own: a tray of pieces, or a mould. */
  readonly what: 'tray' | 'mould';
  readonly pieces: number;
  /** Pieces that one tray or mould takes. */
  readonly each: number;
  readonly tray: Tray;
  /** Whether somebody has measured the tray. */
  readonly measured: boolean;
  /** Trays or moulds in the cold at once, if all are to be. */
  readonly needed: number;
  /** Room that the kitchen has counted; null where nobody has. */
  readonly room: number | null;
  /** Goes in which they fit; 1 where there is room or nobody has counted it; 0 where there is none at all. */
  readonly goes: number;
}
