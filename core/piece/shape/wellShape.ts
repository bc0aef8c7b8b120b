import type { Expr } from '../../figure';
import type { WellShapeKind } from '../../model/kinds';
import type { TinDoc } from '../../model/kitchenDoc';
import type { PanShape, Profile } from '../pan';
import type { Section } from '../outline';

/** A measure of a well. */
export type Side = 'top' | 'base' | 'depth' | 'length' | 'hole';
/** Where the tin's document keeps it. */
export const SIDE_FIELDS = {
  top: 'topMm',
  base: 'baseMm',
  depth: 'depthMm',
  length: 'lengthMm',
  hole: 'holeMm',
} as const satisfies Readonly<Record<Side, keyof TinDoc>>;

/** A measure as it is asked for and as its figure is called. */
export interface WellField {
  readonly side: Side;
  /** What the figure is called: "Top of the well". */
  readonly label: string;
  /** What is asked for: "Across the top". */
  readonly ask: string;
  /** What follows it in the sentence about a tin: "across the top,". */
  readonly after: string;
  readonly min: number;
  readonly max: number;
}

/** Measures of a well as expressions, mm. */
export type Sides = Readonly<Record<Side, Expr<'mm'>>>;
/** The same as numbers; nought where the shape has none. */
export type SideMm = Readonly<Record<Side, number>>;

/** A baked piece as coats and toppings see it. */
export interface Surface {
  /** Height of a piece of that volume. */
  readonly height: Expr<'mm'>;
  readonly heightSays: string;
  readonly area: (height: Expr<'mm'>) => Expr<'cm²'>;
  readonly areaSays: string;
  /** Integral of mean curvature: 2π·d for a ball, π·(a + b + c) for a box. */
  readonly curve: (height: Expr<'mm'>) => Expr<'mm'>;
  /** What it stands on, which takes no cover. */
  readonly foot: Expr<'cm²'>;
}

/** A shape of wells: all that is to be known of it stands in its file. */
export interface WellShape {
  readonly kind: WellShapeKind;
  /** Where it is chosen. */
  readonly title: string;
  readonly detail: string;
  /** Its measures, in the order in which they are told. */
  readonly fields: readonly WellField[];
  /** A measure that a tin does not state, mm. */
  readonly usualMm: (side: Side, topMm: number) => number;
  /** The measures as the shape takes them, where they may be stated the other way round. */
  readonly inOrder?: (mm: Readonly<Record<Side, number>>) => Record<Side, number>;
  /** To the brim. */
  readonly volume: (of: Sides) => Expr<'ml'>;
  /** What the volume rests on: "A well is a cone with its point cut off." */
  readonly volumeSays: string;
  /** The pan that conducts alike, and the share of the piece's batter that it stands for. */
  readonly pan: (mm: SideMm, depthMm: number) => { readonly pan: PanShape; readonly share: number };
  /** The body that a piece of that volume fills, from the base upwards, m and m³. */
  readonly profile: (pan: PanShape, volumeM3: number) => Profile;
  /** The cone that bakes like it, for the quick form, a factor on that cone's time, and what of the batter it holds. */
  readonly quick: (pan: PanShape) => {
    readonly pan: PanShape;
    readonly factor: number;
    readonly share?: number;
  };
  readonly surface: (of: Sides, volume: Expr<'ml'>) => Surface;
  /** Narrowest way across the top of a piece, mm: what a core must leave walls in. */
  readonly narrowestMm: (mm: SideMm) => number;
  /** Room that a well takes on the tin. */
  readonly footprint: (mm: SideMm) => { readonly longMm: number; readonly wideMm: number };
  /** Whether it is drawn as a cone, with batter and dome in it. */
  readonly domes: boolean;
  /** Whether two of them put together are a ball. */
  readonly pairsToBall: boolean;
  /** The empty well from the side, where it is no cone. */
  readonly section: (mm: SideMm) => Section;
  /** A piece that was turned out of it, cut through the middle, in its coat. */
  readonly piece: (mm: SideMm, heightMm: number, coatMm: number) => Section;
  /** What to do so that pieces come out of it; null where a paper case sees to it. */
  readonly turningOut: 'grease corners' | null;
}
