import { PI, cm2, plus, times, type Expr } from '../../figure';

/** A convex piece as a coat sees it: its surface, and the integral of its mean curvature, by which a coat grows. */
export interface Solid {
  readonly area: Expr<'cm²'>;
  /** 2π·d for a ball, π·(a + b + c) for a box. */
  readonly curve: Expr<'mm'>;
}

/** A box of three sides. */
export const boxSolid = (a: Expr<'mm'>, b: Expr<'mm'>, c: Expr<'mm'>): Solid => ({
  area: cm2(times(2, plus(times(a, b), times(b, c), times(a, c)))),
  curve: times(PI, plus(a, b, c)),
});
