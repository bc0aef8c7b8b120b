import type { WellShapeKind } from '../model/kinds';

/** The hollow that the batter lies in, as heat meets it, m. Plain numbers: it is sent to a worker. */
export interface PanShape {
  /** A cone with its point cut off where nothing is said; a cylinder where both radii are the same. */
  readonly shape?: WellShapeKind;
  readonly baseRadiusM: number;
  readonly topRadiusM: number;
  /** Height to which the walls go, m; past it the piece is taken to stand on. */
  readonly depthM: number;
  /** Radius of the hole in the middle; none where nothing is said. */
  readonly holeRadiusM?: number;
}

/** A body of revolution: its radius at a height above the base, m, for heights from 0 to `heightM`. */
export interface Profile {
  readonly heightM: number;
  readonly radiusM: (zM: number) => number;
  /** Radius of a hole through it at that height; none where nothing is said. */
  readonly holeM?: (zM: number) => number;
}
