import type { Expr } from '../../figure';
import type { CavityShapeKind } from '../../model/kinds';
import type { CutPoint } from '../outline';

/** Measures of a cavity, mm: length, width, depth. */
export interface CavitySides {
  readonly length: Expr<'mm'>;
  readonly width: Expr<'mm'>;
  readonly depth: Expr<'mm'>;
}

/** A shape of cavities that coats are laid in. */
export interface CavityShape {
  readonly kind: CavityShapeKind;
  readonly title: string;
  readonly detail: string;
  readonly opening: (of: CavitySides) => Expr<'mm²'>;
  readonly volume: (of: CavitySides, edgeMm: number) => Expr<'ml'>;
  /** Floor and sides. */
  readonly wall: (of: CavitySides, edgeMm: number) => Expr<'cm²'>;
  /** Outline along its length, `inset` from the wall and cut off at `topMm`. */
  readonly outline: (halfMm: number, depthMm: number, insetMm: number, topMm: number) => CutPoint[];
}
